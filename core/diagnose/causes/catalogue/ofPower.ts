import type { Cause } from '../cause'

const base = { domain: 'power', modes: null } as const

/** Faults that show in the power of the transmitter, the most frequent first (common practice: catalogue order). */
export const POWER_CAUSES: readonly Cause[] = [
  { ...base, id: 'coils-off', row: 'F53', title: 'Drive or output coils off their peak', remedy: 'Peak the coils in order, then balance the band.', prior: 3,
    shows: { power: { low: 0.5, third: 0.35, right: 0.1 }, band: { 'low-end': 0.38, 'high-end': 0.38, 'both-ends': 0.1, 'even': 0.14 }, current: { low: 0.6, right: 0.4 }, cores: { off: 0.92 } } },
  { ...base, id: 'broken-core', row: 'F71', title: 'Broken core, or off its thread', remedy: 'New core or coil, or one from a scrap set, pre-set alike; then peak and balance.', prior: 1,
    shows: { power: { third: 0.55, low: 0.25, tenth: 0.15 }, band: { 'low-end': 0.3, 'high-end': 0.3, 'even': 0.3, 'both-ends': 0.1 }, current: { low: 0.65, right: 0.35 }, cores: { dead: 0.92 } } },
  { ...base, id: 'carrier-low-set', row: 'F11', title: 'Carrier or power set low', remedy: 'Set the power; then low power, depth and panel meter again.', prior: 2,
    shows: { power: { low: 0.7, third: 0.28 }, current: { low: 0.65, right: 0.35 }, travel: { acts: 0.9, end: 0.08 }, band: { even: 0.92 }, 'low-switch': { small: 0.6, ten: 0.38 } } },
  { ...base, id: 'carrier-high-set', row: 'F05', title: 'Carrier or power set too high', remedy: 'Down to the rule set and to a quarter of the PEP the set can reach; then depth again.', prior: 2,
    shows: { 'power': { 'high': 0.9, 'far-high': 0.05 }, 'current': { right: 0.6, high: 0.4 }, 'travel': { acts: 0.95 }, 'low-switch': { ten: 0.5, large: 0.45 }, 'depth': { low: 0.4, right: 0.5 }, 'crest': { flat: 0.6, clean: 0.35 } } },
  { ...base, id: 'regulator-shorted', row: 'F07', title: 'Series AM regulator shorted', remedy: 'Replace it; ask about long use at high carrier; advise a low carrier.', prior: 1, modes: ['AM'],
    shows: { power: { 'far-high': 0.95, 'high': 0.04 }, travel: { nothing: 0.95 }, regulator: { shorted: 0.97 }, current: { high: 0.8, right: 0.2 }, depth: { none: 0.95 } } },
  { ...base, id: 'supply-low', row: 'C39', title: 'Supply low at the set', remedy: 'Measure at the socket while keyed: lead, fuse, plug, supply.', prior: 2,
    shows: { supply: { low: 0.97 }, power: { low: 0.75, third: 0.05, right: 0.2 }, current: { low: 0.5, right: 0.5 } } },
  { ...base, id: 'bench-meter', row: 'F25', title: 'The bench meter, its range or its lead', remedy: 'Settle the meter first: range, lead, second meter, calibration date. Nothing in the set is turned on such data.', prior: 1,
    shows: { 'power': { low: 0.5, third: 0.4, right: 0.05 }, 'current': { right: 0.95 }, 'panel': { 'panel-high': 0.9, 'agrees': 0.08 }, 'second-meter': { other: 0.95 }, 'band': { even: 0.9 }, 'low-switch': { ten: 0.85 } } },
  { ...base, id: 'panel-meter', row: 'F23', title: 'Panel meter out of calibration', remedy: 'Set its preset; test the diode of its branch only if the preset does not reach.', prior: 2,
    shows: { panel: { 'panel-low': 0.6, 'panel-high': 0.38 } } },
  { ...base, id: 'counterfeit-final', row: 'F20', title: 'Counterfeit or worn final', remedy: 'Replace by a tested part; bias before key, then peak, balance, harmonics. A component tester passes such parts.', prior: 1.5,
    shows: { 'power': { third: 0.65, tenth: 0.3 }, 'holds': { falls: 0.92 }, 'final-heat': { hot: 0.92 }, 'current': { right: 0.5, high: 0.45 }, 'substitute': { fails: 0.97 }, 'rf-forward': { 'to-final': 0.97 }, 'cores': { peaked: 0.7, off: 0.25 } } },
  { ...base, id: 'wrong-driver', row: 'F74', title: 'Driver of the wrong rating', remedy: 'The right part, and all stressed resistors of the section.', prior: 0.7,
    shows: { 'power': { tenth: 0.85, none: 0.1 }, 'driver-resistors': { burnt: 0.92 }, 'current': { high: 0.6, right: 0.35 }, 'rf-forward': { 'lost-driver': 0.95 }, 'cores': { peaked: 0.75, off: 0.2 } } },
  { ...base, id: 'drive-lost', row: 'F84', title: 'Drive lost before the driver', remedy: 'Follow the RF probe: coupling, switching, mixer, transmit supply of the stage.', prior: 1,
    shows: { 'power': { none: 0.55, tenth: 0.4 }, 'current': { low: 0.95 }, 'rf-forward': { 'lost-before': 0.95 }, 'cores': { peaked: 0.6, off: 0.3 } } },
  { ...base, id: 'inhibited', row: 'F35', title: 'Not locked, or inhibited by the lock', remedy: 'VCO coil and voltage at both ends, then power again.', prior: 0.8,
    shows: { 'power': { none: 0.5, right: 0.45 }, 'lock-ends': { 'one-end': 0.7, 'nowhere': 0.28 }, 'band': { 'low-end': 0.45, 'high-end': 0.45 }, 'current': { low: 0.55, right: 0.45 }, 'rf-forward': { 'lost-before': 0.7, 'to-final': 0.3 } } },
  { ...base, id: 'low-preset-off', row: 'F21', title: 'Low-power preset out of place', remedy: 'Set low power 10 dB below high, after high power is right.', prior: 2,
    shows: { 'low-switch': { small: 0.55, large: 0.43 }, 'low-preset': { acts: 0.95 } } },
  { ...base, id: 'low-switch-dead', row: 'F21', title: 'Low-power switch or its transistor', remedy: 'Test the switch and the transistor that it drives.', prior: 1,
    shows: { 'low-switch': { none: 0.85, small: 0.12 }, 'low-preset': { nothing: 0.93 } } },
]

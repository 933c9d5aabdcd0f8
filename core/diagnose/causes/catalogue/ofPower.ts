import type { Cause } from '../cause'

const base = { domain: 'power', modes: null } as const

/**
 * Adjustment, supply and meters that show in the power of the transmitter, the most frequent first (common
 * practice: catalogue order).
 */
export const POWER_CAUSES: readonly Cause[] = [
  {
    ...base,
    id: 'coils-off',
    row: 'F53',
    title: 'Drive or output coils off peak',
    remedy: 'Peak the coils in order, then balance the band.',
    prior: 3,
    part: 'coils',
    shows: {
      'power': { low: 0.5, third: 0.35, right: 0.1 },
      'band': { 'low-end': 0.38, 'high-end': 0.38, 'both-ends': 0.1, 'even': 0.14 },
      'current': { low: 0.6, right: 0.4 },
      'cores': { off: 0.92 },
      'ssb-power': { low: 0.85, right: 0.15 },
    },
  },
  {
    ...base,
    id: 'broken-core',
    row: 'F71',
    title: 'Core broken, or off its thread',
    remedy:
      'Fit a new core or coil, or one from a scrap set, ' +
      'pre-set to the same position; then peak and balance.',
    prior: 1,
    part: 'coils',
    shows: {
      'power': { third: 0.55, low: 0.25, tenth: 0.15 },
      'band': { 'low-end': 0.3, 'high-end': 0.3, 'even': 0.3, 'both-ends': 0.1 },
      'current': { low: 0.65, right: 0.35 },
      'cores': { dead: 0.92 },
      'ssb-power': { low: 0.9, right: 0.1 },
    },
  },
  {
    ...base,
    id: 'carrier-low-set',
    row: 'F11',
    title: 'Carrier or power set low',
    remedy: 'Set the power; then repeat low power, depth and panel meter.',
    prior: 2,
    part: 'transistor-final',
    shows: {
      'power': { low: 0.7, third: 0.28 },
      'current': { low: 0.65, right: 0.35 },
      'travel': { acts: 0.9, end: 0.08 },
      'band': { even: 0.92 },
      'low-switch': { small: 0.6, ten: 0.38 },
    },
  },
  {
    ...base,
    id: 'carrier-high-set',
    row: 'F05',
    title: 'Carrier or power set too high',
    remedy:
      'Reduce it to the rule set and to a quarter of the ' +
      'PEP the set can reach; then set the depth again.',
    prior: 2,
    shows: {
      'power': { 'high': 0.78, 'far-high': 0.18 },
      'current': { right: 0.55, high: 0.45 },
      'travel': { acts: 0.95 },
      'low-switch': { ten: 0.5, large: 0.45 },
      'depth': { low: 0.35, right: 0.42, over: 0.15, none: 0.05 },
      'crest': { flat: 0.55, clean: 0.3, over: 0.12 },
      'fm-power': { high: 0.9 },
      'panel': { 'agrees': 0.55, 'panel-low': 0.22, 'panel-high': 0.22 },
    },
  },
  {
    ...base,
    id: 'control-left-up',
    row: 'F50',
    title: 'Carrier or RF-power control left up from another mode',
    remedy: 'Control to its mark for AM before keying. Enter the mark in the handover.',
    prior: 1.5,
    part: 'power-control',
    shows: {
      'power': { 'high': 0.75, 'far-high': 0.2 },
      'current': { right: 0.5, high: 0.5 },
      'control-at': { up: 0.95 },
      'travel': { acts: 0.95 },
      'depth': { low: 0.35, right: 0.42, over: 0.15, none: 0.05 },
      'crest': { flat: 0.55, clean: 0.3, over: 0.12 },
      'fm-power': { high: 0.5, right: 0.48 },
      'panel': { 'agrees': 0.55, 'panel-low': 0.22, 'panel-high': 0.22 },
    },
  },
  {
    ...base,
    id: 'am-carrier-left-up',
    row: 'F50',
    title: 'Carrier control left up from CW or tune',
    remedy:
      'Carrier down to its mark before AM is keyed, peaks ' +
      'as the sheet states. Enter the mark in the handover.',
    prior: 2,
    part: 'valves',
    shows: {
      'am-carrier': { 'high': 0.3, 'far-high': 0.66 },
      'control-at': { up: 0.95 },
      'travel': { acts: 0.95 },
    },
  },
  {
    ...base,
    id: 'antenna-mismatch',
    row: 'F49',
    title: 'Antenna, tuner or cable',
    remedy: 'Match at half the level, then full. The set itself is within tolerance on the dummy load.',
    prior: 1,
    shows: { 'dummy-swr': { antenna: 0.97 } },
  },
  {
    ...base,
    id: 'inflated-claim',
    row: 'F16',
    title: 'The claim: more PEP than the output devices can deliver',
    remedy:
      'Give a figure of your own: tone, envelope and DC ' + 'input. A peak meter overshoots, splatter adds.',
    prior: 1,
    part: 'linear-final',
    shows: { 'claimed-pep': { beyond: 0.97 } },
  },
  {
    ...base,
    id: 'regulator-shorted',
    row: 'F07',
    title: 'Series AM regulator shorted',
    remedy: 'Replace it. Ask about long use at high carrier; advise a low carrier.',
    prior: 1,
    modes: ['AM'],
    shows: {
      'power': { 'far-high': 0.95, 'high': 0.04 },
      'travel': { nothing: 0.95 },
      'regulator': { shorted: 0.97 },
      'current': { high: 0.8, right: 0.2 },
      'depth': { none: 0.8, low: 0.19 },
      'fm-power': { high: 0.96 },
      'panel': { 'agrees': 0.55, 'panel-low': 0.22, 'panel-high': 0.22 },
    },
  },
  {
    ...base,
    id: 'supply-low',
    row: 'C39',
    title: 'Supply low at the set',
    remedy: 'Measure at the socket while keyed: lead, fuse, plug, supply.',
    prior: 2,
    shows: {
      'supply': { low: 0.97 },
      'power': { low: 0.75, third: 0.05, right: 0.2 },
      'current': { low: 0.5, right: 0.5 },
      'ssb-power': { low: 0.6, right: 0.4 },
    },
  },
  {
    ...base,
    id: 'bench-meter',
    row: 'F25',
    title: 'The test meter, its range or its lead',
    remedy:
      'Resolve the meter first: range, lead, second meter, ' +
      'calibration date. Adjust nothing on such readings.',
    prior: 1,
    shows: {
      'power': { low: 0.5, third: 0.4, right: 0.05 },
      'current': { right: 0.95 },
      'panel': { 'panel-high': 0.9, 'agrees': 0.08 },
      'second-meter': { other: 0.95 },
      'band': { even: 0.9 },
      'low-switch': { ten: 0.85 },
    },
  },
  {
    ...base,
    id: 'panel-meter',
    row: 'F23',
    title: 'Panel meter out of calibration',
    remedy: 'Set its preset. Test the diode of its branch only if the preset does not reach.',
    prior: 2,
    shows: { panel: { 'panel-low': 0.6, 'panel-high': 0.38 }, power: { right: 0.98, low: 0.01, high: 0.01 } },
  },
]

import type { Cause } from '../cause'

const base = { domain: 'frequency', modes: null } as const

export const FREQUENCY_CAUSES: readonly Cause[] = [
  { ...base, id: 'tx-trimmer-off', row: 'F31', title: 'Transmit crystal aged or its trimmer out of place', remedy: 'Set the transmit trimmer a shade high: crystals fall with age.', prior: 3, needsRole: 'tx-crystal',
    shows: { 'tx-error': { off: 0.95, far: 0.03 }, 'reference': { right: 0.75, slight: 0.24 }, 'trimmer': { reaches: 0.95 }, 'slope': { flat: 0.96 } } },
  { ...base, id: 'crystal-out-of-reach', row: 'F29', title: 'Crystal aged beyond the reach of its trimmer', remedy: 'Accept with the residual computed and told, or order a crystal: ask the owner early.', prior: 1, needsRole: 'tx-crystal',
    shows: { 'tx-error': { off: 0.85, far: 0.14 }, 'reference': { right: 0.8, slight: 0.19 }, 'trimmer': { stops: 0.95 }, 'slope': { flat: 0.96 } } },
  { ...base, id: 'no-trimmer', row: 'F30', title: 'No trimmer fitted', remedy: 'Offer to fit one in the place of the fixed capacitor, with the owner\u2019s consent.', prior: 1, lacksRoles: ['reference', 'tx-crystal'],
    shows: { 'tx-error': { off: 0.93, far: 0.03 }, 'reference': { off: 0.6, slight: 0.35 }, 'trimmer': { missing: 0.97 }, 'slope': { flat: 0.55, slopes: 0.45 }, 'rx-centre': { off: 0.7, centred: 0.3 } } },
  { ...base, id: 'reference-off', row: 'F26', title: 'Reference oscillator off or aged', remedy: 'Set the reference first, then transmit and receive trimmers.', prior: 2,
    shows: { 'reference': { off: 0.7, slight: 0.28 }, 'tx-error': { off: 0.55, right: 0.4 }, 'slope': { slopes: 0.75, flat: 0.25 }, 'rx-centre': { off: 0.8, centred: 0.2 }, 'trimmer': { reaches: 0.85 } } },
  { ...base, id: 'reference-value', row: 'F37', title: 'Reference value in the menu out of place', remedy: 'Output below the standard: the value is too high, lower it; above: raise it. Then power-cycle and read again.', prior: 1.5, needsRole: 'reference', needsKind: 'menu-value',
    shows: { 'standard-beat': { below: 0.5, above: 0.47 }, 'reference': { off: 0.7, slight: 0.28 }, 'tx-error': { off: 0.55, right: 0.4 } } },
  { ...base, id: 'reference-hidden', row: 'F32', title: 'Reference off, hidden behind the transmit trimmer', remedy: 'Reference first, then transmit and receive trimmers: the receiver is lopsided until then.', prior: 1.5, needsRole: 'tx-crystal',
    shows: { 'reference': { off: 0.93, slight: 0.06 }, 'tx-error': { right: 0.97 }, 'slope': { slopes: 0.8, flat: 0.2 }, 'rx-centre': { off: 0.93 }, 'trimmer': { reaches: 0.9 } } },
  { ...base, id: 'not-warm', row: 'F28', title: 'Not warm yet, or drifting', remedy: 'Wait until it moves less than 2 Hz a minute; cold spray and heat if it never settles.', prior: 1.5, onlyCold: true,
    shows: { 'settles': { moving: 0.95 }, 'tx-error': { off: 0.6, right: 0.4 }, 'reference': { right: 0.5, slight: 0.45 } } },
  { ...base, id: 'mode-offset-off', row: 'F33', title: 'Carrier oscillator or offset of one mode', remedy: 'Carrier oscillators, then the offset coils; the reference stays.', prior: 1.5, modes: ['USB', 'LSB'],
    shows: { 'sidebands': { 'one-off': 0.75, 'both-off': 0.24 }, 'tx-error': { right: 0.95 } } },
  { ...base, id: 'sister-model', row: 'F75', title: 'Programmed for a sister model: wrong code, jumper or memory', remedy: 'Readout and measurement band by band, then the code.', prior: 0.7, modes: ['AM'],
    shows: { 'blocks': { 'one-off': 0.97 }, 'tx-error': { right: 0.8, far: 0.2 }, 'slope': { flat: 0.95 } } },
  { ...base, id: 'vco-off', row: 'F35', title: 'VCO at the end of its range', remedy: 'VCO coil to the sheet\u2019s voltage, lock at both ends; then its capacitor.', prior: 1.2,
    shows: { 'vco': { 'at-end': 0.96 }, 'lock-ends': { 'one-end': 0.6, 'everywhere': 0.35 } } },
  { ...base, id: 'glue-leak', row: 'F73', title: 'Conductive glue, flux or a leaky capacitor', remedy: 'Wash one area and measure; glue off with the owner\u2019s consent.', prior: 0.7,
    shows: { 'humid': { moves: 0.96 }, 'settles': { moving: 0.75, still: 0.25 }, 'tx-error': { off: 0.5, right: 0.45 } } },
]

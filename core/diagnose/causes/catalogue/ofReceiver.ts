import type { Cause } from '../cause'

const base = { domain: 'receiver', modes: null } as const

export const RECEIVER_CAUSES: readonly Cause[] = [
  {
    ...base,
    id: 'front-end',
    row: 'F38',
    title: 'Front end: RF amplifier, protection diodes, RF coils',
    remedy: 'Inject behind it to confirm. Diodes and RF amplifier, then coils for SINAD at a low level.',
    prior: 2,
    shows: {
      'threshold': { deaf: 0.7, poor: 0.28 },
      's-meter': { low: 0.93 },
      'inject-if': { good: 0.93 },
      'rx-tuning': { centre: 0.95 },
    },
  },
  {
    ...base,
    id: 'if-strip',
    row: 'F38',
    title: 'IF stages misaligned or weak',
    remedy: 'IF coils for SINAD or AGC voltage at a low level, then the S-meter.',
    prior: 1,
    shows: { 'threshold': { deaf: 0.5, poor: 0.48 }, 's-meter': { low: 0.9 }, 'inject-if': { poor: 0.93 } },
  },
  {
    ...base,
    id: 's-preset',
    row: 'F38',
    title: 'S-meter preset only',
    remedy: 'Set the preset at the S9 level.',
    prior: 2,
    shows: { 's-meter': { low: 0.75, high: 0.23 }, 'threshold': { good: 0.97 } },
  },
  {
    ...base,
    id: 'rx-off-centre',
    row: 'F27',
    title: 'Receiver off the channel: reference, receive crystal or carrier oscillator',
    remedy: 'Reference first, then the receive trimmer or the carrier oscillator; not the clarifier.',
    prior: 1.5,
    shows: {
      'threshold': { poor: 0.75, deaf: 0.15 },
      'rx-tuning': { side: 0.94 },
      's-meter': { right: 0.45, low: 0.55 },
    },
  },
  {
    ...base,
    id: 'leakage',
    row: 'F39',
    title: 'The signal bypasses the cable',
    remedy: 'Screen, port, other generator. Adjust nothing on such readings.',
    prior: 1,
    shows: { 'sinad-slope': { flat: 0.95 }, 'port': { stays: 0.94 }, 'threshold': { good: 0.9 } },
  },
  {
    ...base,
    id: 'compensated-meter',
    row: 'F42',
    title: 'Deaf receiver, masked by the S-meter setting',
    remedy: 'Receiver first, then the preset again.',
    prior: 0.7,
    shows: {
      'threshold': { poor: 0.55, deaf: 0.43 },
      's-meter': { right: 0.9, high: 0.06 },
      'rx-tuning': { centre: 0.93 },
    },
  },
  {
    ...base,
    id: 'sidebands-uneven',
    row: 'F79',
    title: 'Carrier oscillator of one sideband off the filter',
    remedy: 'Set both carrier oscillators against the filter, then the offsets.',
    prior: 1,
    modes: ['USB', 'LSB'],
    shows: { 'sideband-audio': { uneven: 0.96 } },
  },
]

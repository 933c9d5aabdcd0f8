import type { MixingScheme, TestPoint } from '../modelSheet'

/** Crystals are seldom more than this off when nobody has looked (common practice). */
const PRIOR_PPM = 60
/** The reference is divided to the channel step of 10 kHz. */
const TO_STEP = 1 / 1024

/**
 * C16: f TX = 2 f(XT) + N x 10 kHz; the second intermediate frequency falls with the receive crystal and
 * twice with the reference.
 */
export const OSMUND_27F_SCHEME: MixingScheme = {
  baseHz: 26_091_250,
  stepHz: 10_000,
  oscillators: [
    { id: 'reference', name: 'reference', nominalHz: 10_240_000, adjuster: 'CT1', priorPpm: PRIOR_PPM },
    { id: 'xt', name: 'transmit crystal', nominalHz: 13_045_625, adjuster: 'CT2', priorPpm: PRIOR_PPM },
    { id: 'xr', name: 'receive crystal', nominalHz: 15_396_250, adjuster: 'CT3', priorPpm: PRIOR_PPM },
  ],
  frequencies: [
    {
      id: 'tx',
      name: 'transmit frequency',
      quantity: 'carrierHz',
      mode: 'FM',
      terms: [
        { oscillator: 'xt', factor: 2, stepFactor: 0 },
        { oscillator: 'reference', factor: 0, stepFactor: TO_STEP },
      ],
    },
    {
      id: 'ref',
      name: 'reference pin',
      quantity: 'referenceHz',
      mode: null,
      terms: [{ oscillator: 'reference', factor: 1, stepFactor: 0 }],
    },
    {
      id: 'if2',
      name: 'second intermediate frequency',
      quantity: null,
      mode: null,
      terms: [
        { oscillator: 'xr', factor: -1, stepFactor: 0 },
        { oscillator: 'reference', factor: -1, stepFactor: -TO_STEP },
      ],
    },
  ],
}

export const OSMUND_27F_TEST_POINTS: readonly TestPoint[] = [
  {
    id: 'TP1',
    name: 'reference pin, pin 3 of IC2',
    where: 'solder side, third pin from the notch',
    expected: '10.240 MHz, buffered',
    caution: 'Clip the probe: a slip shorts the pin.',
    board: { x: 0.15, y: 0.3, side: 'solder' },
  },
  {
    id: 'TP2',
    name: 'second IF',
    where: 'beside the 455 kHz filter',
    expected: '455.0 kHz \u00b10.2 kHz with a signal',
    caution: null,
    board: { x: 0.88, y: 0.3 },
  },
]

import type { MixedFrequency, MixingScheme, Oscillator } from '../modelSheet'

const REFERENCE_PRIOR_PPM = 60
/** Mixing and carrier oscillators may be off by hundreds of hertz when their coils were turned [Hz]. */
const PRIOR_HZ = 600
const MODES = ['AM', 'USB', 'LSB'] as const
/** Carrier oscillators of the modes (invented set), and the coil of each. */
const CARRIER = { AM: [10_695_000, 'L14'], USB: [10_692_500, 'L15'], LSB: [10_697_500, 'L16'] } as const
const OFFSET_COIL = { AM: null, USB: 'L21', LSB: 'L22' } as const
/** Channel 19 of band D, 27.185 MHz, has N = 150. */
const BASE_HZ = 25_685_000
const TO_STEP = 1 / 1024

const oscillator = (id: string, name: string, nominalHz: number, adjuster: string | null): Oscillator => ({
  id,
  name,
  nominalHz,
  adjuster,
  priorPpm: (PRIOR_HZ / nominalHz) * 1e6,
})

/**
 * C18: errors of the mixing oscillator, of N steps of the reference and of the carrier oscillator of the mode
 * add up.
 */
export const LARKFIELD_LX8_SCHEME: MixingScheme = {
  baseHz: BASE_HZ,
  stepHz: 10_000,
  oscillators: [
    {
      id: 'reference',
      name: 'reference',
      nominalHz: 10_240_000,
      adjuster: 'CT1',
      priorPpm: REFERENCE_PRIOR_PPM,
    },
    ...MODES.flatMap(m => [
      oscillator(`carrier-${m}`, `${m} carrier oscillator`, CARRIER[m][0], CARRIER[m][1]),
      oscillator(`mixing-${m}`, `${m} mixing`, BASE_HZ - CARRIER[m][0], OFFSET_COIL[m]),
    ]),
  ],
  frequencies: [
    ...MODES.flatMap((m): MixedFrequency[] => [
      {
        id: `tx-${m}`,
        name: `${m} transmit frequency`,
        quantity: 'carrierHz',
        mode: m,
        terms: [
          { oscillator: `carrier-${m}`, factor: 1, stepFactor: 0 },
          { oscillator: `mixing-${m}`, factor: 1, stepFactor: 0 },
          { oscillator: 'reference', factor: 0, stepFactor: TO_STEP },
        ],
      },
      {
        id: `osc-${m}`,
        name: `${m} carrier oscillator at its test point`,
        quantity: null,
        mode: null,
        terms: [{ oscillator: `carrier-${m}`, factor: 1, stepFactor: 0 }],
      },
    ]),
    {
      id: 'ref',
      name: 'reference',
      quantity: 'referenceHz',
      mode: null,
      terms: [{ oscillator: 'reference', factor: 1, stepFactor: 0 }],
    },
  ],
}

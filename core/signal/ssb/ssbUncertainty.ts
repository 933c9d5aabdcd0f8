import { largestPart } from '../limits'
import type { Measured, SsbFigures } from '../result'
import type { Below } from './below'
import { frequencyUncertainty, type Found, type LineMeter } from './lineMeter'
import type { PlacedCarrier } from './suppressedCarrier'

/** Ripple of the channel between two lines [dB]. */
export const LINE_FLOOR_DB = 0.005
const DB = 20 / Math.LN10

/** What was looked for below a tone; null = not told. */
export interface Belows {
  readonly imd3: Below | null
  readonly imd5: Below | null
  readonly imd7: Below | null
  readonly leak: Below | null
  readonly opposite: Below | null
}

export function limitsOf(
  { imd3, leak }: Pick<Belows, 'imd3' | 'leak'>,
  carrier: PlacedCarrier,
): Measured<SsbFigures>['limitedBy'] {
  const of = (b: Below | null) => b && largestPart({ noise: b.uncertaintyDb, recorder: LINE_FLOOR_DB })
  return { imd3DbBelowTone: of(imd3), carrierDbBelowPep: leak && (carrier.isSeen ? of(leak) : 'assumption') }
}

/**
 * A line of size a in noise n is uncertain by n/a; the audio of a tone by the place of the carrier as well.
 */
export function uncertaintyOf(
  below: Belows,
  { noiseAt, seconds }: LineMeter,
  tones: readonly Found[],
  carrier: PlacedCarrier,
): Measured<SsbFigures>['uncertainty'] {
  const of = (b: Below | null) => b && Math.hypot(b.uncertaintyDb, LINE_FLOOR_DB)
  const ratios = tones.map(t => noiseAt(t.hz) / t.amplitude)
  const crest = Math.hypot(0.01, DB * Math.max(...ratios))
  const ofTones = ratios.map(ratio =>
    Math.hypot(frequencyUncertainty(ratio, seconds), carrier.uncertaintyHz ?? 0),
  )
  // Audio ascends with the frequency on the upper sideband, and against it on the lower one.
  const isLower = carrier.hz !== null && tones[0]!.hz < carrier.hz
  const [imd3, imd5, leak] = [of(below.imd3), of(below.imd5), of(below.leak)]
  return {
    tonesHz: isLower ? ofTones.reverse() : ofTones,
    pepToMeanDb: crest,
    pepDbfs: crest,
    meanPowerDbfs: 0.01,
    suppressedCarrierHz: carrier.uncertaintyHz,
    imd3DbBelowTone: imd3,
    imd3DbBelowPep: imd3,
    imd5DbBelowTone: imd5,
    imd5DbBelowPep: imd5,
    imd7DbBelowTone: of(below.imd7),
    carrierDbBelowTone: leak,
    carrierDbBelowPep: leak,
    oppositeSidebandDb: of(below.opposite),
  }
}

import { voltageDb } from '../../quantity'
import type { SsbFigures } from '../result'
import { CLOSE_HZ, type Found, type LineMeter } from './lineMeter'
import { isProductOf, type PlacedCarrier } from './suppressedCarrier'

const DB = 20 / Math.LN10
/** A product this many times above the noise of its window is seen. */
const SEEN_ABOVE = 4

/** A line below a tone; one that is not seen above its noise is a bound: it lies at least so far below. */
export interface Below {
  readonly db: number
  readonly isBound: boolean
  /** standard, by the noise beside it [dB] */
  readonly uncertaintyDb: number
}
export const belowOf =
  ({ at, noiseAt }: LineMeter, tone: number) =>
  (hz: number): Below => {
    const [read, noise] = [at(hz), noiseAt(hz)]
    const isBound = read < SEEN_ABOVE * noise
    const taken = Math.max(isBound ? read + 2 * noise : read, 1e-12)
    return {
      db: voltageDb(tone / taken),
      isBound,
      uncertaintyDb: DB * Math.min(1, noise / Math.SQRT2 / taken),
    }
  }
/** Of two the one that is less far below. */
export const weaker = (a: Below, b: Below) => (a.db < b.db ? a : b)
/** Names of the figures that are bounds. */
export const boundsOf = (figures: Partial<Record<keyof SsbFigures, Below | null>>) =>
  (Object.keys(figures) as (keyof SsbFigures)[]).filter(k => figures[k]?.isBound)
export const ofCarrier = (leak: Below | null, opposite: Below | null, pepAboveTone: number) => ({
  carrierDbBelowTone: leak && leak.db,
  carrierDbBelowPep: leak && leak.db + pepAboveTone,
  oppositeSidebandDb: opposite && opposite.db,
})

/**
 * What is left of the carrier and of the other sideband. Where the place of the carrier is only assumed both
 * are looked for about it.
 */
export function besideCarrier(
  carrier: PlacedCarrier,
  lines: LineMeter,
  tones: readonly Found[],
  below: (hz: number) => Below,
): { leak: Below | null; opposite: Below | null } {
  if (carrier.hz === null) return { leak: null, opposite: null }
  const about = (hz: number) =>
    below(
      carrier.isSeen
        ? hz
        : (lines.strongest(
            hz - carrier.withinHz,
            hz + carrier.withinHz,
            f => !tones.some(t => Math.abs(f - t.hz) < CLOSE_HZ),
          ) ?? hz),
    )
  const separable = tones.filter(t => !isProductOf(tones, 2 * carrier.hz! - t.hz))
  const strongest = Math.max(...tones.map(t => t.amplitude))
  const images = separable.map((t): Below => {
    const image = about(2 * carrier.hz! - t.hz)
    return { ...image, db: image.db + voltageDb(t.amplitude / strongest) }
  })
  const seen = images.filter(i => !i.isBound)
  const among = seen.length > 0 ? seen : images
  const opposite = among.length > 0 ? among.reduce(weaker) : null
  return {
    leak: carrier.isSeen ? below(carrier.hz) : { ...about(carrier.hz), isBound: true },
    opposite: opposite && !carrier.isSeen ? { ...opposite, isBound: true } : opposite,
  }
}

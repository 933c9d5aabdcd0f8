import { kaiserLowpass } from '../spectrum/window'

/** Share of the narrow rate that passes flat on either side, and where the stop band begins. */
const PASS = 0.36
const STOP = 0.64

/** How a wide recording becomes the channel that is measured. */
export interface ChannelPlan {
  readonly centreHz: number
  readonly factor: number
  /** flat to this far from the centre [Hz] */
  readonly passHz: number
  /** nothing from further out comes in [Hz] */
  readonly stopHz: number
  /** null = nothing is filtered */
  readonly taps: Float64Array | null
}

/**
 * @param minRateHz narrow rate that is wanted
 * @param widestHz flat half-width that is allowed, e.g. to keep the mirror of a real signal out; null = as
 * the rate gives
 */
export function planChannel(
  sampleRateHz: number,
  centreHz: number,
  minRateHz: number,
  widestHz: number | null = null,
): ChannelPlan {
  const factor = smoothTo(sampleRateHz / minRateHz)
  const narrowHz = sampleRateHz / factor
  if (factor === 1 && widestHz === null)
    return { centreHz, factor, passHz: sampleRateHz / 2, stopHz: sampleRateHz / 2, taps: null }
  const passHz = Math.min(PASS * narrowHz, widestHz ?? Infinity)
  const stopHz = widestHz === null || passHz < widestHz ? STOP * narrowHz : passHz * 1.3
  const taps = kaiserLowpass((passHz + stopHz) / 2 / sampleRateHz, (stopHz - passHz) / sampleRateHz)
  return { centreHz, factor, passHz, stopHz, taps }
}

/** The largest factor up to n that a fast transform can divide by: a product of 2, 3 and 5. */
export function smoothTo(n: number): number {
  for (let factor = Math.max(1, Math.floor(n)); ; factor--) {
    let rest = factor
    for (const p of [2, 3, 5]) while (rest % p === 0) rest /= p
    if (rest === 1) return factor
  }
}

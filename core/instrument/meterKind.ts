/**
 * What a power meter really shows when the carrier is modulated (C06, common practice). On a bare carrier all
 * read alike. true-mean: thermal; average: linear diode, square of the mean voltage; leaky-peak: between,
 * decides by the speech; peak-hold: the crest; panel: relative, before and after on the same set only;
 * unknown: nobody knows what it averages.
 */
export const METER_KINDS = ['true-mean', 'average', 'leaky-peak', 'peak-hold', 'panel', 'unknown'] as const
export type MeterKind = (typeof METER_KINDS)[number]

/** What is on the line while the meters are compared. */
export type Signal =
  | { readonly kind: 'carrier' }
  | { readonly kind: 'am-tone'; readonly depthRatio: number }
  | { readonly kind: 'two-tone' }
  | { readonly kind: 'speech' }

/**
 * Two equal tones against their PEP: the mean is half of it; an average-responding diode shows the square of
 * the mean envelope, (2/pi)^2.
 */
export const TWO_TONE_MEAN = 0.5
export const TWO_TONE_AVERAGE = (2 / Math.PI) ** 2

/**
 * Factor from what a meter shows to true mean power, where the signal allows it.
 * @returns null = not comparable: the ratio depends on speech, or the meter is relative
 * Source: C01, C06, C09; sine AM with m <= 1 has a mean of Pc (1 + m^2 / 2) and a crest of Pc (1 + m)^2.
 * @example toTrueMean('average', { kind: 'am-tone', depthRatio: 1 }) // => 1.5
 */
export function toTrueMean(kind: MeterKind, signal: Signal): number | null {
  if (kind === 'panel') return null
  if (signal.kind === 'carrier' || kind === 'true-mean') return 1
  if (signal.kind === 'speech' || kind === 'leaky-peak' || kind === 'unknown') return null
  if (signal.kind === 'two-tone') return kind === 'average' ? TWO_TONE_MEAN / TWO_TONE_AVERAGE : TWO_TONE_MEAN
  const m = signal.depthRatio
  if (!(m >= 0 && m <= 1)) return null
  const mean = 1 + m ** 2 / 2
  return kind === 'average' ? mean : mean / (1 + m) ** 2
}

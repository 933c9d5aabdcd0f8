/**
 * What a figure would gain most from: noise of the receiver; a longer recording; the filters and rounding of
 * recorder and analysis; no other station beside it; a carrier that is seen instead of assumed; a known
 * reference of the receiver; the unmodulated carrier in the same recording; a set that stands still; a tone
 * instead of a voice.
 */
export const LIMITS = [
  'noise',
  'length',
  'recorder',
  'neighbour',
  'assumption',
  'reference',
  'gain',
  'drift',
  'modulation',
] as const
export type Limit = (typeof LIMITS)[number]

/** Figures of a group with what limits them. */
export type LimitsOf<T> = { readonly [K in keyof T]?: Limit | null }

/** The largest of the parts of an uncertainty, all in one unit; null where nothing is uncertain. */
export function largestPart(parts: Readonly<Partial<Record<Limit, number>>>): Limit | null {
  let most: Limit | null = null
  for (const limit of LIMITS) {
    const size = parts[limit] ?? 0
    if (size > (most === null ? 0 : parts[most]!)) most = limit
  }
  return most
}

import { expandedUncertainty, type Reading } from '../../quantity'
import type { Adjuster, MenuLaw } from '../../sheet'

/** The menu value that follows from a reading, by what the number stands for. */
export interface LawAdvice {
  readonly designator: string
  readonly law: MenuLaw
  /** what is to be added to the value that stands there, whole hertz */
  readonly by: number
  /** what the reading leaves open [Hz of the value]; null = its accuracy is not known */
  readonly bound: number | null
  readonly next: number
}

/**
 * What a menu value has to become, reckoned instead of tried.
 *
 * assumed-clock: a set that takes its clock for R makes f R0 / R where the clock is R0 in truth, so that the
 * value is R times what was read over what was wanted. offset: the value plus the offset that was read.
 * @param now value that stands in the menu
 * @param wantedHz what the reading should be; of an offset null
 * @returns null = there is no law, or the reading is a bound
 * @example 25003200 with 41 Hz below 10 MHz: 102.5 less, 25003097
 */
export function lawAdvice(
  { designator, law }: Pick<Adjuster, 'designator' | 'law'>,
  now: number,
  reading: Reading,
  wantedHz: number | null,
): LawAdvice | null {
  if (!law || reading.bound) return null
  const { value } = reading
  const expanded = expandedUncertainty(reading)
  if (law === 'offset') {
    const by = Math.round(value)
    return { designator, law, by, bound: expanded, next: now + by }
  }
  if (wantedHz === null || wantedHz <= 0) return null
  const next = Math.round(now * (value / wantedHz))
  return { designator, law, by: next - now, bound: expanded && (expanded / wantedHz) * now, next }
}

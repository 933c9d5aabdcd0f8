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
 * @returns null = there is no law, the reading is a bound or no reading of it, or nothing would change
 * @example 25003200 with 41 Hz below 10 MHz: 102.5 less, 25003097
 */
export function lawAdvice(
  { designator, law }: Pick<Adjuster, 'designator' | 'law'>,
  now: number,
  reading: Reading,
  wantedHz: number | null,
): LawAdvice | null {
  const change = law && !reading.bound ? CHANGE[law](now, reading, wantedHz) : null
  const by = change && Math.round(now + change.by) - now
  return law && change && by ? { designator, law, by, bound: change.bound, next: now + by } : null
}

type Change = Pick<LawAdvice, 'by' | 'bound'>
/** Change of the value, not rounded yet, by each law; null = the reading says nothing of it. */
const CHANGE: Readonly<
  Record<MenuLaw, (now: number, reading: Reading, wantedHz: number | null) => Change | null>
> = {
  'assumed-clock': (now, reading, wantedHz) => {
    if (wantedHz === null || wantedHz <= 0) return null
    const expanded = expandedUncertainty(reading)
    const perHz = now / wantedHz
    return { by: (reading.value - wantedHz) * perHz, bound: expanded && expanded * perHz }
  },
  'offset': (_now, reading) =>
    reading.quantity === 'ritOffsetHz' ? { by: reading.value, bound: expandedUncertainty(reading) } : null,
}

import type { PartTested } from '../run'

/**
 * A part passes RF substitution within this of a good one, and fails at or below this share of it (common
 * practice: 4 W within 10 %, <= 25 %).
 */
const PASSES_RATIO = 0.9
const FAILS_RATIO = 0.25

/**
 * A gain this many times below or above what its type is sold with belongs to another die (common practice:
 * remarked parts).
 */
const OTHER_DIE_FACTOR = 2

/** "doubtful": it was tried with RF and lies between pass and fail, or its gain is not that of its type. */
export type PartVerdict = 'accepted' | 'rejected' | 'doubtful' | 'not-proved'

type Tested = Pick<
  PartTested,
  'dcGain' | 'rfPowerW' | 'rfReferenceW' | 'fallsWhileKeyed' | 'heat' | 'gainFrom' | 'gainTo'
>

/**
 * Whether the gain lies far outside what the type is sold with.
 * @returns null when the gain or the type's is not known
 */
export function gainOfOtherDie({
  dcGain,
  gainFrom,
  gainTo,
}: Pick<Tested, 'dcGain' | 'gainFrom' | 'gainTo'>): boolean | null {
  if (dcGain === null || (!gainFrom && !gainTo)) return null
  return (
    (!!gainFrom && dcGain < gainFrom / OTHER_DIE_FACTOR) || (!!gainTo && dcGain > gainTo * OTHER_DIE_FACTOR)
  )
}

/**
 * What the tests of an RF power part prove. DC rejects, it never accepts; RF in a healthy set accepts.
 * A reading that falls while keyed, or heat in seconds, is itself the finding.
 */
export function partVerdict(t: Tested): PartVerdict {
  if (t.dcGain === 0 || t.fallsWhileKeyed === true || t.heat === 'hot') return 'rejected'
  const otherDie = gainOfOtherDie(t) === true
  if (t.rfPowerW === null || t.rfReferenceW === null || t.rfReferenceW <= 0)
    return otherDie ? 'doubtful' : 'not-proved'
  const ratio = t.rfPowerW / t.rfReferenceW
  if (ratio <= FAILS_RATIO) return 'rejected'
  if (ratio < PASSES_RATIO || otherDie) return 'doubtful'
  return t.fallsWhileKeyed === false ? 'accepted' : 'not-proved'
}

import type { PartTested } from '../run'

/** A part passes RF substitution within this of a good one, and fails at or below this share of it (common practice: 4 W within 10 %, <= 25 %). */
const PASSES_RATIO = 0.9
const FAILS_RATIO = 0.25

export type PartVerdict = 'accepted' | 'rejected' | 'not-proved'

/**
 * What the tests of an RF power part prove. DC rejects, it never accepts; RF in a healthy set accepts.
 * A reading that falls while keyed, or heat in seconds, is itself the finding.
 */
export function partVerdict(t: Pick<PartTested, 'dcGain' | 'rfPowerW' | 'rfReferenceW' | 'fallsWhileKeyed' | 'heat'>): PartVerdict {
  if (t.dcGain === 0 || t.fallsWhileKeyed === true || t.heat === 'hot') return 'rejected'
  if (t.rfPowerW === null || t.rfReferenceW === null || t.rfReferenceW <= 0) return 'not-proved'
  const ratio = t.rfPowerW / t.rfReferenceW
  if (ratio <= FAILS_RATIO) return 'rejected'
  return ratio >= PASSES_RATIO && t.fallsWhileKeyed === false ? 'accepted' : 'not-proved'
}

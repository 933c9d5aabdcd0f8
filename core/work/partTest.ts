import type { PartFigure, PartTested } from '../run'
import { partTestPlan } from './partKinds'

/**
 * A part passes RF substitution within this of a good one, and fails at or below this share of it (common
 * practice: 4 W within 10 %, <= 25 %).
 */
const PASSES_RATIO = 0.9
const FAILS_RATIO = 0.25
/** Below this share of its scale a needle is a bound (common practice). */
const READABLE_RATIO = 0.1

/**
 * A gain this many times below or above what its type is sold with belongs to another die (common practice:
 * remarked parts).
 */
const OTHER_DIE_FACTOR = 2

/** "doubtful": it was tried with RF and lies between pass and fail, or a figure is not that of its type. */
export type PartVerdict = 'accepted' | 'rejected' | 'doubtful' | 'not-proved'

type Tested = Omit<PartTested, 'kind' | 'id' | 'atMs' | 'part' | 'boughtAt' | 'text'>

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

/** @returns null = its type's ends are not known, and nothing is judged */
export function figureInside({ value, low, high }: PartFigure): boolean | null {
  if (low === null && high === null) return null
  return (low === null || value >= low) && (high === null || value <= high)
}

/** Full scale of the meter in W as it was written: "5 W", "500 mW", "10"; null = none. */
function scaleW(scale: string | undefined): number | null {
  const written =
    /(\d+(?:[.,]\d+)?)\s*(m?W)\b/i.exec(scale ?? '') ?? /^\s*(\d+(?:[.,]\d+)?)\s*$/.exec(scale ?? '')
  if (!written) return null
  const number = Number(written[1]!.replace(',', '.'))
  return /^mW$/i.test(written[2] ?? '') ? number / 1000 : number
}

/** RF power as far as the needle tells it: below a tenth of its scale only that it is not more. */
export function rfRead({ rfPowerW, scale }: Pick<Tested, 'rfPowerW' | 'scale'>) {
  if (rfPowerW === null) return null
  const readableW = (scaleW(scale) ?? 0) * READABLE_RATIO
  const isBound = rfPowerW < readableW
  return { powerW: isBound ? readableW : rfPowerW, isBound }
}

/**
 * RF out of the input of the test set, both as typed; null = not all known.
 * @returns ratio 0..1; above 1 no set can be
 */
export function testEfficiency({ rfPowerW, scale, supplyV, supplyA }: Tested): number | null {
  const rf = rfRead({ rfPowerW, scale })
  return rf && !rf.isBound && supplyV && supplyA ? rf.powerW / (supplyV * supplyA) : null
}

/**
 * What the tests of a part prove. Of an RF part DC rejects and never accepts; RF in a healthy set accepts. Of
 * the others its deciding figures within those of its type accept. A reading that falls while keyed, or heat
 * in seconds, is itself the finding.
 */
export function partVerdict(t: Tested): PartVerdict {
  const plan = partTestPlan(t.partKind ?? 'transistor')
  if (t.dcResult && t.dcResult !== 'good') return 'rejected'
  if (plan.hasGain && t.dcGain === 0) return 'rejected'
  const outside = (t.figures ?? []).filter(f => figureInside(f) === false)
  if (!plan.byRf) return byFigures(t, outside)
  if (t.fallsWhileKeyed === true || (plan.byHeat && t.heat === 'hot')) return 'rejected'
  return byRf(t, gainOfOtherDie(t) === true || outside.length > 0)
}

function byRf(t: Tested, isOtherDie: boolean): PartVerdict {
  const rf = rfRead(t)
  if (!rf || !t.rfReferenceW) return isOtherDie ? 'doubtful' : 'not-proved'
  const ratio = rf.powerW / t.rfReferenceW
  if (ratio <= FAILS_RATIO) return 'rejected'
  if (rf.isBound || ratio < PASSES_RATIO || isOtherDie) return 'doubtful'
  return t.fallsWhileKeyed === false ? 'accepted' : 'not-proved'
}

function byFigures(t: Tested, outside: readonly PartFigure[]): PartVerdict {
  if (outside.length > 0) return 'rejected'
  const { decides, dcResults } = partTestPlan(t.partKind ?? 'transistor')
  const isInside = (id: PartFigure['figure']) =>
    (t.figures ?? []).some(f => f.figure === id && figureInside(f) === true)
  if (decides.length === 0 || !decides.every(isInside)) return 'not-proved'
  return dcResults.length === 0 || t.dcResult === 'good' ? 'accepted' : 'not-proved'
}

import { expandedUncertainty, powerRatioToDb, type Bound } from '../quantity'
import type { CellState, RowState } from '../run'
import type { Verdict } from '../rules'
import { isFullPower, type ModelSheet } from '../sheet'
import type { Claim } from './claim'
import { SPEAKS_TO } from './speaksTo'

/** "About" is taken as within this of what was said (common practice: a default). */
const ABOUT_RATIO = 0.25
/** From here on owner's and bench's power differ by the meter, not by the set (common practice) [dB]. */
const METER_DIFFERENCE_DB = 1.5

export type ClaimOutcome = 'confirmed' | 'refuted' | 'cannot-tell' | 'not-measured'

/** How a claim stands, with everything that the conclusion used. */
export interface SettledClaim {
  readonly claim: Claim
  readonly outcome: ClaimOutcome
  /** the reading that settles it [SI], with its bound U (null = unknown) and the row it came from */
  readonly measured: {
    readonly value: number
    readonly bound: number | null
    /** the reading lay beyond its scale: it is known from one side only */
    readonly side: Bound | null
    readonly rowTitle: string
  } | null
  /** the values that the claim allows [SI]; null = open on that side */
  readonly allowed: { readonly low: number | null; readonly high: number | null }
  /** what the owner's power meter has to be multiplied by to agree with the bench, near this level only */
  readonly meterFactor: {
    readonly ratio: number
    readonly differenceDb: number
    readonly meterSuspect: boolean
  } | null
}

/** What is known of the set beside its rows. */
export interface ClaimContext {
  /** controls and mode that the sheet judges the set by: where a claim does not say, these rows speak */
  readonly main: ModelSheet['main'] | null
  /** a reading that is implausible and not confirmed settles nothing */
  readonly isDoubtful: (readingId: string) => boolean
}
const NO_CONTEXT: ClaimContext = { main: null, isDoubtful: () => false }

/**
 * Settles a claim by the as-found readings.
 *
 * Only a row of the claim's quantity, mode, channel and controls speaks to it. A claim is confirmed when the
 * reading with its bound lies wholly where the claim says, refuted when wholly outside, undecided when the
 * bound straddles or nobody knows it. Of several channels the middle one counts.
 * @param claim value in SI
 * @param asFound the as-found matrix
 */
export function settleClaim(
  claim: Claim,
  asFound: readonly RowState[],
  context: ClaimContext = NO_CONTEXT,
): SettledClaim {
  const allowed = allowedBy(claim)
  const found = evidence(claim, asFound, context)
  if (!found) return { claim, outcome: 'not-measured', measured: null, allowed, meterFactor: null }
  const measured = {
    value: found.value,
    bound: found.bound,
    side: sideOf(found),
    rowTitle: found.rowTitle,
  }
  return {
    claim,
    outcome: outcome(found, allowed),
    measured,
    allowed,
    meterFactor: meterFactor(claim, found),
  }
}

function allowedBy({ kind, value }: Claim): SettledClaim['allowed'] {
  if (kind === 'under') return { low: null, high: value }
  if (kind === 'over') return { low: value, high: null }
  const half = Math.abs(value) * ABOUT_RATIO
  return { low: value - half, high: value + half }
}

function sideOf({ isAtLeast, isAtMost }: Evidence): Bound | null {
  if (isAtLeast) return 'at-least'
  return isAtMost ? 'at-most' : null
}

/** A reading that was taken as a bound is open on one side. */
function outcome(
  { value, bound, isAtLeast, isAtMost }: Evidence,
  { low, high }: SettledClaim['allowed'],
): ClaimOutcome {
  if (bound === null) return 'cannot-tell'
  const [from, to] = [isAtMost ? -Infinity : value - bound, isAtLeast ? Infinity : value + bound]
  const surelyIn = (low === null || from >= low) && (high === null || to <= high)
  const surelyOut = (low !== null && to < low) || (high !== null && from > high)
  if (surelyIn) return 'confirmed'
  return surelyOut ? 'refuted' : 'cannot-tell'
}

/**
 * Only a reading ("about") can calibrate the owner's meter; a limit ("under") cannot. The meter is suspected
 * only where the set itself is right.
 */
function meterFactor(
  claim: Claim,
  { value: benchW, verdict, isAtLeast, isAtMost }: Evidence,
): SettledClaim['meterFactor'] {
  const isPower = claim.quantity === 'powerW' || claim.quantity === 'lowPowerW' || claim.quantity === 'pepW'
  if (
    !isPower ||
    claim.kind !== 'about' ||
    claim.meter === '' ||
    !(claim.value > 0) ||
    !(benchW > 0) ||
    isAtLeast ||
    isAtMost
  )
    return null
  const ratio = benchW / claim.value
  const differenceDb = powerRatioToDb(ratio)
  return {
    ratio,
    differenceDb,
    meterSuspect: verdict === 'inside' && Math.abs(differenceDb) > METER_DIFFERENCE_DB,
  }
}

interface Evidence {
  readonly row: RowState
  readonly value: number
  readonly bound: number | null
  readonly rowTitle: string
  readonly verdict: Verdict | null
  readonly isAtLeast: boolean
  readonly isAtMost: boolean
}

function evidence(
  claim: Claim,
  asFound: readonly RowState[],
  { main, isDoubtful }: ClaimContext,
): Evidence | null {
  const all = asFound.flatMap(row =>
    row.cells.flatMap((cell): Evidence[] => {
      const value =
        cell.latest && !isDoubtful(cell.latest.reading.id)
          ? SPEAKS_TO[claim.quantity](row.point.state, cell, cell.latest.reading)
          : null
      return value === null ? [] : [evidenceOf(row, cell, value)]
    }),
  )
  const said = all.filter(
    ({
      row: {
        point: { state },
      },
    }) => (claim.mode ?? state.mode) === state.mode && (claim.channel ?? state.channel) === state.channel,
  )
  const byMode = claim.mode || !main ? said : preferred(said, e => e.row.point.state.mode === main.mode)
  // Owners speak of the channels that the set is sold with, not of what opens beyond them.
  const usual = preferred(
    byMode,
    ({
      row: {
        point: { state: s },
      },
    }) =>
      s.coverage === 'standard' &&
      (!main || s.channel === null || (s.channel >= main.fromChannel && s.channel <= main.toChannel)),
  )
  const byControls = preferred(
    preferred(
      preferred(usual, e => isFullPower(e.row.point.state)),
      e => /as the owner had it/.test(e.row.point.state.setting),
    ),
    e => e.row.point.state.setting === (main?.setting ?? ''),
  )
  // Rows under different controls say different things: which of them the owner spoke of is not known.
  if (new Set(byControls.map(e => `${e.row.point.state.mode} ${e.row.point.state.setting}`)).size > 1)
    return null
  const rows = byControls.toSorted(
    (a, b) => (a.row.point.state.channel ?? 0) - (b.row.point.state.channel ?? 0),
  )
  return rows[Math.floor((rows.length - 1) / 2)] ?? null
}

/** Those that fit, or all where none does. */
function preferred<T>(list: readonly T[], fits: (item: T) => boolean): readonly T[] {
  const some = list.filter(fits)
  return some.length > 0 ? some : list
}

function evidenceOf(row: RowState, cell: CellState, value: number): Evidence {
  const { reading } = cell.latest!
  const { bound } = reading
  const isAsked = cell.requirement.window !== null || cell.requirement.limit !== null
  return {
    row,
    value,
    rowTitle: row.point.title,
    bound: expandedUncertainty(reading),
    verdict: isAsked ? (cell.judgement?.verdict ?? null) : null,
    isAtLeast: bound === 'at-least',
    isAtMost: bound === 'at-most',
  }
}

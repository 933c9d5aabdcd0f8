import { powerRatioToDb, standardToBound } from '../quantity'
import type { CellState, RowState } from '../run'
import type { Claim } from './claim'

/** "About" is taken as within this of what was said (general trade knowledge: a default). */
const ABOUT_RATIO = 0.25
/** From here on owner's and bench's power differ by the meter, not by the set (common practice) [dB]. */
const METER_DIFFERENCE_DB = 1.5

export type ClaimOutcome = 'confirmed' | 'refuted' | 'cannot-tell' | 'not-measured'

/** How a claim stands, with everything that the conclusion used. */
export interface SettledClaim {
  readonly claim: Claim
  readonly outcome: ClaimOutcome
  /** the reading that settles it [SI], with its bound U (null = unknown) and the row it came from */
  readonly measured: { readonly value: number, readonly bound: number | null, readonly rowTitle: string } | null
  /** the values that the claim allows [SI]; null = open on that side */
  readonly allowed: { readonly low: number | null, readonly high: number | null }
  /** what the owner's power meter has to be multiplied by to agree with the bench, near this level only */
  readonly meterFactor: { readonly ratio: number, readonly differenceDb: number, readonly meterSuspect: boolean } | null
}

/**
 * Settles a claim by the as-found readings.
 *
 * A claim is confirmed when the reading with its bound lies wholly where the claim says, refuted when wholly outside,
 * undecided when the bound straddles or nobody knows it. Of several channels the middle one counts.
 * @param claim value in SI
 * @param asFound the as-found matrix
 */
export function settleClaim(claim: Claim, asFound: readonly RowState[]): SettledClaim {
  const allowed = allowedBy(claim)
  const measured = evidence(claim, asFound)
  if (!measured) return { claim, outcome: 'not-measured', measured: null, allowed, meterFactor: null }
  return { claim, outcome: outcome(measured.value, measured.bound, allowed), measured, allowed, meterFactor: meterFactor(claim, measured.value) }
}

function allowedBy({ kind, value }: Claim): SettledClaim['allowed'] {
  if (kind === 'under') return { low: null, high: value }
  if (kind === 'over') return { low: value, high: null }
  const half = Math.abs(value) * ABOUT_RATIO
  return { low: value - half, high: value + half }
}

function outcome(value: number, bound: number | null, { low, high }: SettledClaim['allowed']): ClaimOutcome {
  if (bound === null) return 'cannot-tell'
  const surelyIn = (low === null || value - bound >= low) && (high === null || value + bound <= high)
  const surelyOut = (low !== null && value + bound < low) || (high !== null && value - bound > high)
  return surelyIn ? 'confirmed' : surelyOut ? 'refuted' : 'cannot-tell'
}

/** Only a reading ("about") can calibrate the owner's meter; a limit ("under") cannot. */
function meterFactor(claim: Claim, benchW: number): SettledClaim['meterFactor'] {
  const isPower = claim.quantity === 'powerW' || claim.quantity === 'lowPowerW'
  if (!isPower || claim.kind !== 'about' || claim.meter === '' || !(claim.value > 0) || !(benchW > 0)) return null
  const ratio = benchW / claim.value
  const differenceDb = powerRatioToDb(ratio)
  return { ratio, differenceDb, meterSuspect: Math.abs(differenceDb) > METER_DIFFERENCE_DB }
}

function evidence(claim: Claim, asFound: readonly RowState[]): SettledClaim['measured'] {
  const found = asFound.flatMap(row => row.cells.flatMap((cell) => {
    const value = valueFor(claim, row, cell)
    return value === null ? [] : [{ channel: row.point.state.channel ?? 0, value, bound: boundOf(cell), rowTitle: row.point.title }]
  })).sort((a, b) => a.channel - b.channel)
  const middle = found[Math.floor((found.length - 1) / 2)]
  return middle ? { value: middle.value, bound: middle.bound, rowTitle: middle.rowTitle } : null
}

function boundOf(cell: CellState): number | null {
  const u = cell.latest!.reading.standardUncertainty
  return u === null ? null : standardToBound(u)
}

/** The value that speaks to the claim, or null when this cell does not. */
function valueFor(claim: Claim, row: RowState, cell: CellState): number | null {
  const { latest } = cell
  if (!latest) return null
  const { lowPower, keyed, toneHz, mode } = row.point.state
  // With a tone the mean power of AM holds the sidebands too: it says nothing about the carrier.
  const isCarrier = keyed && (mode === 'FM' || toneHz === null)
  const { value, quantity } = latest.reading
  switch (claim.quantity) {
    case 'powerW': return quantity === 'powerW' && isCarrier && !lowPower ? value : null
    case 'lowPowerW': return quantity === 'powerW' && isCarrier && lowPower ? value : null
    case 'frequencyErrorHz': return quantity === 'carrierHz' && cell.asked.nominalHz !== null ? value - cell.asked.nominalHz : null
    case 'deviationHz': return quantity === 'deviationPositiveHz' ? value : null
    case 'depthRatio': return quantity === 'depthNegativeRatio' ? value : null
    case 'sensitivityV': return quantity === 'sensitivityV' || quantity === 'audibleV' ? value : null
  }
}

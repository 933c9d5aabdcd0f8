import { t } from '#shared/i18n'
import { leavesAlone, type RowState, type RunState, type StepState, type MeasurandState } from '#core/run'
import { asSetUp, profileQuantity } from '#core/instrument'
import { profileOf } from '#shared/instrumentSetup'
import type { Accuracy, Quantity } from '#core/quantity'
import { operatingPoint, sameConditions, type Step } from '#core/sheet'
import type { LiveLink } from '#shared/live'

/** The point at hand: the first that is missing or stale, else the first. */
export function openPointId(state: StepState): string {
  const open = state.wants.find(w => !w.latest || w.latest.staleBy.length > 0)
  return (open ?? state.wants[0]!).point.id
}

/** What the as-found matrix says about what a step measures: the hollow mark of its gauge. */
export function asFoundFor(asFound: readonly RowState[], want: MeasurandState): number | null {
  const at = operatingPoint(want.point.state)
  const match = asFound
    .flatMap(r => r.cells.map(c => ({ state: r.point.state, cell: c })))
    .find(
      ({ state, cell }) =>
        cell.want.quantity === want.want.quantity && sameConditions(operatingPoint(state), at),
    )
  return match?.cell.latest?.reading.value ?? null
}

/** Accuracy of the connected instrument that reads a quantity. */
export function connectedAccuracy(links: readonly LiveLink[], quantity: Quantity): Accuracy | null {
  for (const link of links) {
    const accuracy = profileQuantity(asSetUp(profileOf(link), link.setup), quantity)?.accuracy
    if (accuracy && link.state === 'live') return accuracy
  }
  return null
}

/** What pressing Enter would do at a step. */
export type Confirming =
  | { readonly kind: 'done'; readonly label: string }
  | { readonly kind: 'decide'; readonly label: string }
  | { readonly kind: 'leave'; readonly label: string }
  | { readonly kind: 'skip-justified'; readonly label: string }
  | { readonly kind: 'as-is'; readonly label: string }
  | { readonly kind: 'skip'; readonly label: string }
  | { readonly kind: 'already'; readonly label: string }
  | { readonly kind: 'retake'; readonly label: string }

export function confirming(state: StepState, run: RunState): Confirming {
  const source = run.steps.find(s => s.step.id === state.step.skipIf)
  if (state.satisfied) return { kind: 'already', label: t('align.nextOpenStep') }
  if (state.status === 'inside' || state.status === 'measured')
    return { kind: 'done', label: t('align.confirm') }
  if (state.status === 'not-measured' || state.status === 'skipped') {
    return source && leavesAlone(source)
      ? { kind: 'skip-justified', label: t('align.skipNotNeeded') }
      : { kind: 'skip', label: t('align.skip') }
  }
  // A stale reading cannot be accepted: nobody knows what it would be now.
  if (state.status === 'stale') return { kind: 'retake', label: t('align.repeatReading') }
  // What the meter cannot tell sends nobody into waxed cores.
  if (state.step.decides && state.status === 'cannot-tell')
    return { kind: 'leave', label: t('align.confirmLeaveAsIs') }
  if (state.step.decides && (state.status === 'above' || state.status === 'below'))
    return { kind: 'decide', label: t('align.confirmAdjustmentNeeded') }
  return { kind: 'as-is', label: t('align.acceptAsIs') }
}

/** The two neighbours that are offset for balance: the last two of what the step turns. */
export function balanceCoils(step: Step): string[] {
  return step.adjusters.slice(-2)
}

/**
 * Place of a reading for the ear, -1..1: of its window, by ratio where the quantity is one; while peaking,
 * octaves of what it began with.
 * @param reference value at which the tone stands in the middle while peaking, or null
 */
export function earPlace(
  value: number | null,
  want: MeasurandState,
  reference: number | null,
): number | null {
  if (value === null) return null
  const { window, nominalHz } = want.requirement
  if (window?.aim != null && window.low !== null && window.high !== null) {
    const byRatio = nominalHz === null && window.low > 0 && value > 0
    return byRatio
      ? Math.log(value / window.aim) / Math.log(window.high / window.low) / 2
      : (value - window.aim) / ((window.high - window.low) * 2)
  }
  return reference === null || reference <= 0 || value <= 0 ? 0 : Math.log2(value / reference)
}

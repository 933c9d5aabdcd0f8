import { bandBalance, type RowState, type RunState, type StepState, type WantState } from '../../core/run'
import { asSetUp, profileQuantity } from '../../core/instrument'
import { profileOf } from '../../shared/instrument'
import type { Accuracy, Quantity } from '../../core/quantity'
import { conditionsAsked, sameConditions } from '../../core/sheet'
import type { LiveLink } from '../../shared/live'

/** The point at hand: the first that is missing or stale, else the first. */
export function openPointId(state: StepState): string {
  const open = state.wants.find(w => !w.latest || w.latest.staleBy.length > 0)
  return (open ?? state.wants[0]!).point.id
}

/** What the as-found matrix says about what a step measures: the hollow mark of its gauge. */
export function asFoundFor(asFound: readonly RowState[], want: WantState): number | null {
  const asked = conditionsAsked(want.point.state)
  const match = asFound.flatMap(r => r.cells.map(c => ({ state: r.point.state, cell: c })))
    .find(({ state, cell }) => cell.want.quantity === want.want.quantity && sameConditions(conditionsAsked(state), asked))
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
  | { readonly kind: 'done', readonly label: string }
  | { readonly kind: 'decide', readonly label: string }
  | { readonly kind: 'skip-justified', readonly label: string }
  | { readonly kind: 'as-is', readonly label: string }
  | { readonly kind: 'skip', readonly label: string }
  | { readonly kind: 'already', readonly label: string }
  | { readonly kind: 'retake', readonly label: string }

export function confirming(state: StepState, run: RunState): Confirming {
  const source = run.steps.find(s => s.step.id === state.step.skipIf)
  if (state.satisfied) return { kind: 'already', label: 'Next open step' }
  if (state.status === 'inside') return { kind: 'done', label: 'Confirm' }
  if (state.status === 'not-measured' || state.status === 'skipped') {
    return source?.satisfied && source.status === 'inside' ? { kind: 'skip-justified', label: 'Skip: not needed' } : { kind: 'skip', label: 'Skip\u2026' }
  }
  // A stale reading cannot be accepted: nobody knows what it would be now.
  if (state.status === 'stale') return { kind: 'retake', label: 'Take it again' }
  if (state.step.decides && (state.status === 'above' || state.status === 'below' || state.status === 'cannot-tell')) return { kind: 'decide', label: 'Confirm: work follows' }
  return { kind: 'as-is', label: 'Accept as it is\u2026' }
}

/** Which way to offset a coil, from the three band readings of a spread step. */
export function balanceAdvice(state: StepState): string | null {
  if (state.criterion?.kind !== 'spread' || state.criterion.met !== false) return null
  const [low, middle, high] = state.wants.map(w => w.latest?.reading.value ?? 0)
  if (!low || !middle || !high) return 'One end gives no power: a coil is far off, or the set does not lock there.'
  const { weakEnd } = bandBalance(low, middle, high, state.criterion.limitDb)
  if (weakEnd === 'both') return 'Both ends are weak alike: the line-up is peaked too sharply, offset two neighbours in opposite directions.'
  if (weakEnd === 'none') return null
  return `The ${weakEnd === 'low' ? 'low' : 'high'} end is weak: offset one coil towards it (core ${weakEnd === 'low' ? 'in' : 'out'}), its neighbour the other way only as far as needed.`
}

/** Place of a reading for the ear, -1..1 of its window; while peaking, relative to the last reading taken. */
export function earPlace(value: number | null, want: WantState): number | null {
  if (value === null) return null
  const { window } = want.asked
  if (window?.aim != null && window.low !== null && window.high !== null) return (value - window.aim) / ((window.high - window.low) * 2)
  const before = want.latest?.reading.value ?? null
  return before === null || before <= 0 || value <= 0 ? 0 : Math.log2(value / before)
}

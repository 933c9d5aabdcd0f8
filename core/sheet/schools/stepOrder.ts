import { quantityInfo } from '../../quantity'
import type { Step } from '../modelSheet'

/** What comes later, by school S29; lower ranks come first. */
const RANKS: Readonly<Record<string, (step: Step) => number>> = {
  b: step => (measures(step, 'receiver', 's-meter') ? 1 : 0),
  c: step => (measures(step, 'tx-frequency', 'reference') && !measures(step, 'power') ? 1 : 0),
}

/**
 * Steps of a procedure in another order: each as early as its rank lets it, and none before a step that it
 * needs, that can make it unnecessary, or whose reading it is told from.
 */
export function inOrder(procedure: readonly Step[], optionId: string | undefined): readonly Step[] {
  const rank = optionId === undefined ? undefined : RANKS[optionId]
  if (!rank) return procedure
  const left = [...procedure]
  const placed: Step[] = []
  while (left.length > 0) {
    const ready = left.filter(s => !left.some(other => other !== s && standsOn(s, other.id)))
    // A sheet that runs in a circle stays as it is.
    const next = ready.reduce<Step | null>((a, s) => (a === null || rank(s) < rank(a) ? s : a), null)
    if (!next) return procedure
    placed.push(next)
    left.splice(left.indexOf(next), 1)
  }
  return placed
}

function standsOn({ needs, skipIf, points }: Step, id: string): boolean {
  return (
    needs.includes(id) ||
    skipIf === id ||
    points.some(p => p.wants.some(w => w.target && 'stepId' in w.target && w.target.stepId === id))
  )
}

const measures = ({ points }: Step, ...topics: readonly string[]): boolean =>
  points.some(p => p.wants.some(w => topics.includes(quantityInfo(w.quantity).topic)))

import { message } from '../../message'
import { CoreError } from '../../errors'
import type { Step } from '../modelSheet'

/**
 * The steps that one must come after: what it needs, what may make it unnecessary, what its targets follow.
 */
export function comesAfter(step: Step): string[] {
  const followed = step.points.flatMap(p =>
    p.wants.flatMap(w =>
      w.target?.kind === 'like-reading' || w.target?.kind === 'above-reading' ? [w.target.stepId] : [],
    ),
  )
  return [...new Set([...step.needs, ...(step.skipIf === null ? [] : [step.skipIf]), ...followed])].filter(
    id => id !== step.id,
  )
}

/** A ring of steps that wait for each other, in order; null = there is none. */
export function cycleIn(steps: readonly Step[]): string[] | null {
  const byId = new Map(steps.map(s => [s.id, s]))
  const done = new Set<string>()
  const walk = (id: string, path: readonly string[]): string[] | null => {
    const at = path.indexOf(id)
    if (at >= 0) return path.slice(at)
    const step = byId.get(id)
    if (!step || done.has(id)) return null
    for (const before of comesAfter(step)) {
      const ring = walk(before, [...path, id])
      if (ring) return ring
    }
    done.add(id)
    return null
  }
  for (const s of steps) {
    const ring = walk(s.id, [])
    if (ring) return ring
  }
  return null
}

/**
 * The steps in an order in which everything that one needs stands before it; where the needs leave it open,
 * the given order is kept.
 * @throws {CoreError} bad-sheet: they wait for each other
 */
export function inOrder(steps: readonly Step[]): Step[] {
  const ring = cycleIn(steps)
  if (ring) throw new CoreError('bad-sheet', message('error.stepsInRing', { list: ring.join(', ') }))
  const known = new Set(steps.map(s => s.id))
  const placed = new Set<string>()
  const out: Step[] = []
  while (out.length < steps.length) {
    const next = steps.find(
      s => !placed.has(s.id) && comesAfter(s).every(id => placed.has(id) || !known.has(id)),
    )!
    placed.add(next.id)
    out.push(next)
  }
  return out
}

/** Why a step cannot stand at a place: it would come before what it needs, or after what needs it. */
export interface MoveRefused {
  readonly moved: Step
  readonly other: Step
  readonly why: 'needs-it' | 'is-needed'
}

/** The steps with one moved by hand, or why it cannot be. */
export function moveStep(steps: readonly Step[], from: number, to: number): readonly Step[] | MoveRefused {
  const moved = steps[from]!
  const rest = steps.filter((_, i) => i !== from)
  const before = rest.slice(0, to)
  const after = rest.slice(to)
  const needed = after.find(s => comesAfter(moved).includes(s.id))
  if (needed) return { moved, other: needed, why: 'needs-it' }
  const needing = before.find(s => comesAfter(s).includes(moved.id))
  if (needing) return { moved, other: needing, why: 'is-needed' }
  return [...before, moved, ...after]
}

/**
 * Level of each step in the graph: the longest way from a step that needs nothing.
 * @throws {CoreError} bad-sheet
 */
export function levels(steps: readonly Step[]): Map<string, number> {
  const out = new Map<string, number>()
  for (const s of inOrder(steps))
    out.set(s.id, Math.max(-1, ...comesAfter(s).map(id => out.get(id) ?? -1)) + 1)
  return out
}

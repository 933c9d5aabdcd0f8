import {
  GOES_STALE,
  entriesByState,
  topicOf,
  type AdjusterRole,
  type Coverage,
  type ModelSheet,
} from '../sheet'
import type { Mode } from '../rules'
import type { Quantity, Topic } from '../quantity'
import type { RowTaken } from './jobEvent'

/** A turn of an adjuster, said by the technician or inferred from a reading that moved. */
export interface Turn {
  readonly designator: string
  /** what it is called; null = the designator says all there is */
  readonly name: string | null
  readonly role: AdjusterRole
  /** modes that it acts on; null = all */
  readonly modes: readonly Mode[] | null
  /** a control of the front panel: part of how a row is taken */
  readonly isControl: boolean
  /** step in which it was turned; null = outside the alignment */
  readonly stepId: string | null
  readonly order: number
  readonly atMs: number
  /** true = nobody said so: a reading moved by more than drift and noise explain */
  readonly inferred: boolean
  /** put back to its mark; what it moves is the same only as far as a mark tells */
  readonly isReturned?: true
}

/** What decides which turns change a reading; readings of one cell are changed by the same turns. */
export interface Cell {
  readonly topic: Topic
  readonly mode: Mode
  readonly stepId: string | null
  readonly pointId: string
  readonly quantity: Quantity
  readonly coverage: Coverage
}

/** Which turns make a reading that was taken before them stale, by a sheet. */
export interface StaleRule {
  readonly changes: (turn: Turn, cell: Cell) => boolean
}

export function cellOf({ stepId, pointId, conditions }: RowTaken, quantity: Quantity): Cell {
  const { mode, coverage } = conditions
  return { topic: topicOf(quantity, conditions), mode, coverage, stepId, pointId, quantity }
}

/**
 * The rule of a sheet: a reading is stale by what changes what it measured, and by nothing else.
 *
 * An adjuster that acts on some modes leaves the readings of the others. A reference reading (the current at
 * bias zero) is not changed by the adjuster that is set from it. Controls of the front panel that a later
 * step prescribes are how that step is done: they do not undo the steps that it stands on. A menu value that
 * each country state keeps for itself changes nothing in the other.
 */
export function staleRule(sheet: ModelSheet): StaleRule {
  const references = referenceAdjusters(sheet)
  const standsOn = dependencies(sheet)
  const acts = actsInState(sheet)
  return {
    changes(turn, { topic, mode, stepId, pointId, quantity, coverage }) {
      if (!GOES_STALE[turn.role].topics.includes(topic)) return false
      if (turn.modes && !turn.modes.includes(mode)) return false
      if (!acts(turn, coverage)) return false
      if (references.get(`${stepId} ${pointId} ${quantity}`)?.has(turn.designator)) return false
      const prescribed =
        turn.isControl && turn.stepId !== null && stepId !== null && standsOn.get(turn.stepId)?.has(stepId)
      return !prescribed
    },
  }
}

/** Whether a turn acts in a country state: a value that each keeps for itself, in that of its step alone. */
export function actsInState(sheet: ModelSheet): (turn: Turn, coverage: Coverage) => boolean {
  const byState = new Set(entriesByState(sheet))
  const statesOf = new Map(
    sheet.procedure.map(s => [s.id, new Set(s.points.map(p => p.state.coverage))] as const),
  )
  return ({ designator, stepId }, coverage) =>
    !byState.has(designator) || stepId === null || (statesOf.get(stepId)?.has(coverage) ?? true)
}

/** Readings that another target is told from, with the adjusters that are set by that target. */
function referenceAdjusters(sheet: ModelSheet): Map<string, Set<string>> {
  const found = new Map<string, Set<string>>()
  for (const step of sheet.procedure) {
    for (const { target } of step.points.flatMap(p => p.wants)) {
      if (target?.kind !== 'above-reading') continue
      const key = `${target.stepId} ${target.pointId} ${target.quantity}`
      found.set(key, new Set([...(found.get(key) ?? []), ...step.adjusters]))
    }
  }
  return found
}

/** Every step that a step stands on, directly or through others. */
function dependencies(sheet: ModelSheet): Map<string, Set<string>> {
  const all = new Map<string, Set<string>>()
  for (const step of sheet.procedure)
    all.set(step.id, new Set(step.needs.flatMap(n => [n, ...(all.get(n) ?? [])])))
  return all
}

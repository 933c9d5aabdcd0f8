import type { JobEvent } from '../run'
import type { Adjuster, ModelSheet } from '../sheet'

/**
 * An adjuster with where it stood before it was turned: said on its own, else when it was turned; null =
 * nobody wrote it down.
 */
export interface StartPosition {
  readonly adjuster: Adjuster
  readonly position: string | null
  readonly turnedSince: boolean
}

/**
 * Starting positions of every adjuster, in the order of the sheet. What is said after the first turn is no
 * starting position.
 */
export function startPositions(sheet: ModelSheet, events: readonly JobEvent[]): StartPosition[] {
  return sheet.adjusters
    .filter(a => a.kind !== 'fixed-part')
    .map(adjuster => {
      const firstTurn = events.findIndex(
        e => e.kind === 'adjuster-turned' && e.designators.includes(adjuster.designator),
      )
      const before = firstTurn < 0 ? events : events.slice(0, firstTurn)
      const noted = before.findLast(e => e.kind === 'position-noted' && e.designator === adjuster.designator)
      const turn = firstTurn < 0 ? null : events[firstTurn]!
      const atTurn = turn?.kind === 'adjuster-turned' && turn.startPosition ? turn.startPosition : null
      const said = noted?.kind === 'position-noted' ? noted.position : atTurn
      return { adjuster, position: said, turnedSince: firstTurn >= 0 }
    })
}

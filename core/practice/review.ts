import { rigFault } from '../rig'
import type { ModelSheet, Step } from '../sheet'
import { keyDownOf, type KeyDown } from './keyDown'
import { outsideOf, type Outside } from './outside'
import { poweredHands, type PoweredHands } from './poweredHands'
import type { PracticeRecord } from './session'

export interface FaultReview {
  readonly id: string
  readonly name: string
  readonly shows: string
  readonly cured: boolean
  readonly named: boolean
}
/** An adjuster that was turned before one that it depends on, and not again after it. */
export interface OrderFinding {
  readonly adjuster: string
  readonly step: string
  readonly before: string
  readonly needs: string
}

export interface Review {
  readonly faults: readonly FaultReview[]
  /** named although it was not there */
  readonly wronglyNamed: readonly { readonly id: string; readonly name: string }[]
  readonly order: readonly OrderFinding[]
  readonly outside: readonly Outside[]
  readonly keyDown: KeyDown
  readonly hottestC: number
  readonly damage: readonly { readonly timeS: number; readonly what: string; readonly why: string }[]
  /** parts worked on with the power on */
  readonly powered: readonly PoweredHands[]
  /** plate voltage of the set, null = none [V] */
  readonly plateV: number | null
  readonly workedS: number
  readonly turns: number
  readonly measuredFirst: boolean | null
}

/** What can be said of a case when it is finished: what was wrong, what was found, and how it was worked. */
export function reviewOf(record: PracticeRecord, sheet: ModelSheet): Review {
  const turned = record.log.flatMap(l =>
    l.action.kind === 'turn' ? [{ designator: l.action.designator, atS: l.atS }] : [],
  )
  const { faultIds } = record.scenario
  return {
    faults: faultIds.map(id => {
      const { name, shows, cured } = rigFault(id)
      return { id, name, shows, cured: cured(record.final), named: record.named.includes(id) }
    }),
    wronglyNamed: record.named
      .filter(id => !faultIds.includes(id))
      .map(id => ({ id, name: rigFault(id).name })),
    order: orderFindings(turned, sheet.procedure),
    outside: outsideOf(record.final, sheet),
    keyDown: keyDownOf(record.log, sheet, record.final.memory.timeS - record.start.memory.timeS),
    hottestC: record.final.memory.hottestC,
    damage: record.final.damage.map(d => ({
      timeS: d.timeS - record.start.memory.timeS,
      what: String(d.what),
      why: d.why,
    })),
    workedS: record.final.memory.timeS - record.start.memory.timeS,
    powered: poweredHands(record),
    plateV: sheet.plateV ?? null,
    turns: turned.length,
    measuredFirst:
      record.rowsBeforeFirstTurn === null || turned.length === 0 ? null : record.rowsBeforeFirstTurn > 0,
  }
}

/** Last turns against the dependencies of the procedure. */
function orderFindings(
  turned: readonly { designator: string; atS: number }[],
  procedure: readonly Step[],
): OrderFinding[] {
  const last = new Map(turned.map(t => [t.designator, t.atS]))
  const upstream = (step: Step): Step[] =>
    step.needs.flatMap(id => {
      const found = procedure.find(s => s.id === id)
      return found ? [found, ...upstream(found)] : []
    })
  const found = procedure.flatMap(step =>
    step.adjusters
      .filter(d => last.has(d))
      .flatMap(adjuster =>
        upstream(step).flatMap(needed =>
          needed.adjusters
            .filter(
              d => d !== adjuster && !step.adjusters.includes(d) && (last.get(d) ?? -1) > last.get(adjuster)!,
            )
            .map(before => ({ adjuster, step: step.id, before, needs: needed.id })),
        ),
      ),
  )
  return found.filter(
    (f, i) => found.findIndex(o => o.adjuster === f.adjuster && o.before === f.before) === i,
  )
}

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ruleSet } from '../rules'
import type { AdjusterRole } from '../sheet'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import type { JobEvent } from './jobEvent'
import { runState } from './runState'
import { confirmed, eventStruck, reopened, stepRow, struck, turned } from '../../test/fixtures/jobEvents'

/**
 * The dependency table written a second time, from the text of the trade table and not from the code: which
 * steps must be measured again after a turn. Peaking (A1.8) is left out on purpose: balancing leaves the
 * peak.
 */
const SPOILS: Partial<Record<AdjusterRole, readonly string[]>> = {
  'reference': ['A1.3', 'A1.4', 'A1.5'],
  'tx-crystal': ['A1.5'],
  'rx-crystal': [],
  'vco-coil': ['A1.4', 'A1.13'],
  'coil': ['A1.7', 'A1.9', 'A1.10', 'A1.11', 'A1.15'],
  'low-power-preset': ['A1.11'],
  'deviation-preset': ['A1.13'],
  'panel-preset': ['A1.15'],
  's-meter-preset': [],
}

const VALUES: Record<string, number> = {
  onTimeS: 1500,
  referenceHz: 10_240_000,
  lockS: 0.2,
  carrierHz: 27_791_260,
  powerW: 3.7,
  deviationPositiveHz: 2400,
  deviationNegativeHz: 2400,
  panelPowerW: 3.7,
}
const points = OSMUND_27F.procedure.flatMap(s =>
  s.points.map(p => ({ stepId: s.id, point: p, low: p.state.lowPower })),
)

const arbRow = fc
  .tuple(fc.constantFrom(...points), fc.double({ min: 0.8, max: 1.2, noNaN: true }))
  .map(([{ stepId, point, low }, factor]) =>
    stepRow(
      stepId,
      point.id,
      Object.fromEntries(
        point.wants.map(w => [
          w.quantity,
          VALUES[w.quantity]! *
            (low ? 0.1 : 1) *
            (w.quantity.endsWith('Hz') ? 1 + (factor - 1) * 1e-5 : factor),
        ]),
      ),
    ),
  )
const arbTurn = fc
  .subarray(
    OSMUND_27F.adjusters.map(a => a.designator),
    { minLength: 1, maxLength: 3 },
  )
  .map(d => turned(...d))
const arbStep = fc.constantFrom(...OSMUND_27F.procedure.map(s => s.id))
const arbConfirm = fc
  .tuple(arbStep, fc.constantFrom('done', 'as-is', 'skipped'), fc.constantFrom('', 'why'))
  .map(([id, outcome, reason]) => confirmed(id, outcome as 'done', reason))
const arbEvents = fc
  .array(
    fc.oneof(
      { weight: 5, arbitrary: arbRow },
      { weight: 2, arbitrary: arbTurn },
      { weight: 2, arbitrary: arbConfirm },
      arbStep.map(id => reopened(id)),
    ),
    { maxLength: 40 },
  )
  .chain(events =>
    fc.array(fc.nat(), { maxLength: 4 }).map(picks => {
      const ids = events.flatMap(e => (e.kind === 'row-taken' ? e.readings.map(r => r.id) : []))
      const turns = events.filter(e => e.kind === 'adjuster-turned')
      const strikes = picks.flatMap(p =>
        turns.length > 0 && p % 3 === 0 ? [eventStruck(turns[p % turns.length]!.id)] : [],
      )
      return [
        ...events,
        ...(ids.length === 0 ? [] : picks.map(p => struck(ids[p % ids.length]!))),
        ...strikes,
      ]
    }),
  )

const readingIds = (events: readonly JobEvent[]) =>
  events.flatMap(e => (e.kind === 'row-taken' ? e.readings.map(r => r.id) : []))
const roleOf = (designator: string) => OSMUND_27F.adjusters.find(a => a.designator === designator)!.role

describe('whatever the order of events', () => {
  it('no reading is lost', () => {
    fc.assert(
      fc.property(arbEvents, events => {
        const { history } = runState(OSMUND_27F, ruleSet('R-UK27'), events)
        expect(history.readings.map(t => t.reading.id)).toEqual(readingIds(events))
      }),
      { numRuns: 300 },
    )
  })

  it('no stale step is left unmarked: a turn after the reading that counts always shows, and never satisfies', () => {
    fc.assert(
      fc.property(arbEvents, events => {
        const { steps, history } = runState(OSMUND_27F, ruleSet('R-UK27'), events)
        const gone = new Set(
          events.flatMap(e => {
            if (e.kind === 'reading-struck') return [e.readingId]
            return e.kind === 'event-struck' ? [e.eventId] : []
          }),
        )
        for (const state of steps.filter(s => s.step.id !== 'A1.8')) {
          // The last row of each point that still counts, found the plain way.
          const spoiled = state.step.points.some(point =>
            point.wants.some(want => {
              const index = events.findLastIndex(
                e =>
                  e.kind === 'row-taken' &&
                  e.stepId === state.step.id &&
                  e.pointId === point.id &&
                  e.readings.some(r => r.quantity === want.quantity && !gone.has(r.id)),
              )
              return (
                index >= 0 &&
                events
                  .slice(index + 1)
                  .some(
                    e =>
                      e.kind === 'adjuster-turned' &&
                      !gone.has(e.id) &&
                      e.designators.some(d => SPOILS[roleOf(d)]!.includes(state.step.id)),
                  )
              )
            }),
          )
          if (spoiled) expect(state.staleBy.length).toBeGreaterThan(0)
          if (spoiled && state.status !== 'skipped') expect(state.status).toBe('stale')
          if (state.status === 'stale') expect(state.satisfied && !state.step.decides).toBe(false)
          if (!spoiled) expect(state.staleBy.every(t => t.inferred)).toBe(true)
        }
        expect(history.turns.every(t => Number.isFinite(t.order))).toBe(true)
      }),
      { numRuns: 300 },
    )
  })

  it('the next step is open and its needs are met', () => {
    fc.assert(
      fc.property(arbEvents, events => {
        const { steps, next } = runState(OSMUND_27F, ruleSet('R-UK27'), events)
        if (!next) return
        const at = steps.find(s => s.step.id === next.stepId)!
        expect(at.satisfied).toBe(false)
        expect(at.step.needs.every(n => steps.find(s => s.step.id === n)!.satisfied)).toBe(true)
      }),
      { numRuns: 300 },
    )
  })

  it('the same events give the same state, and adding one never changes the past readings', () => {
    fc.assert(
      fc.property(arbEvents, arbRow, (events, more) => {
        const before = runState(OSMUND_27F, ruleSet('R-UK27'), events)
        expect(runState(OSMUND_27F, ruleSet('R-UK27'), events)).toEqual(before)
        const after = runState(OSMUND_27F, ruleSet('R-UK27'), [...events, more])
        expect(after.history.readings.slice(0, before.history.readings.length).map(t => t.reading)).toEqual(
          before.history.readings.map(t => t.reading),
        )
      }),
      { numRuns: 100 },
    )
  })
})

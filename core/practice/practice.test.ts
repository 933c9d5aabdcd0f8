import { describe, expect, it } from 'vitest'
import {
  act,
  advance,
  deliver,
  healthyRig,
  preparedScenario,
  rigFault,
  scenarioOf,
  truthOf,
  type RigAction,
  type RigState,
} from '../rig'
import { modelSheet } from '../sheet'
import {
  LESSONS,
  keyDownOf,
  lessonProgress,
  outsideOf,
  reviewOf,
  type Logged,
  type PracticeRecord,
} from './index'

const WARM_S = 2400
const does = (s: RigState, ...actions: RigAction[]) => actions.reduce((state, a) => act(state, a).state, s)
const log = (...entries: readonly (readonly [number, RigAction])[]): Logged[] =>
  entries.map(([atS, action]) => ({ atS, atMs: 0, action, motion: null }))
const turn = (designator: string, position: number): RigAction => ({ kind: 'turn', designator, position })
const key = (keyed: boolean): RigAction => ({ kind: 'control', controls: { keyed } })

describe('what is outside', () => {
  it.each([
    'osmund-27f',
    'osmund-40a',
    'larkfield-lx8',
    'larkfield-lx8m',
    'corvid-m6',
    'brantwick-tallis60',
    'quillon-p5',
    'quillon-p7',
  ])('a healthy %s keeps its own sheet', id => {
    expect(
      outsideOf(advance(healthyRig(id, 6), WARM_S), modelSheet(id)).map(
        o => `${o.rowId} ${o.quantity} ${o.value}`,
      ),
    ).toEqual([])
  })
  it('a healthy valve set does once it is tuned', () => {
    const tuned = does(advance(healthyRig('quillon-hb150', 6), WARM_S), turn('CARRIER', 1))
    expect(
      outsideOf(tuned, modelSheet('quillon-hb150')).map(o => `${o.rowId} ${o.quantity} ${o.value}`),
    ).toEqual([])
  })
  it('a neglected one does not, in many places', () => {
    const found = outsideOf(
      advance(deliver(preparedScenario('osmund-27f')), WARM_S),
      modelSheet('osmund-27f'),
    )
    expect(new Set(found.map(o => o.quantity))).toEqual(
      new Set(['referenceHz', 'carrierHz', 'powerW', 'deviationPositiveHz', 'deviationNegativeHz']),
    )
  })
})

describe('review', () => {
  const scenario = scenarioOf('osmund-27f', ['X04'], 3)
  const start = advance(deliver(scenario), WARM_S)
  const record = (
    final: RigState,
    entries: Logged[],
    rest: Partial<PracticeRecord> = {},
  ): PracticeRecord => ({
    scenario,
    start,
    final,
    log: entries,
    trace: [],
    named: [],
    rowsBeforeFirstTurn: null,
    ...rest,
  })
  const sheet = modelSheet('osmund-27f')
  it('tells cured from named, and what was named wrongly', () => {
    const mended = does(start, turn('L6', 0))
    expect(reviewOf(record(mended, [], { named: ['X05'] }), sheet)).toMatchObject({
      faults: [{ id: 'X04', cured: true, named: false }],
      wronglyNamed: [{ id: 'X05' }],
    })
    expect(reviewOf(record(start, [], { named: ['X04'] }), sheet)).toMatchObject({
      faults: [{ cured: false, named: true }],
      wronglyNamed: [],
    })
  })
  it('finds an adjuster that was set before what it depends on', () => {
    const wrong = reviewOf(
      record(start, log([5, turn('RV2', 0.6)], [9, turn('CT2', 0.4)], [20, turn('CT1', 0.4)])),
      sheet,
    ).order
    expect(wrong.map(o => `${o.adjuster} before ${o.before}`)).toEqual([
      'CT2 before CT1',
      'RV2 before CT2',
      'RV2 before CT1',
    ])
    expect(
      reviewOf(
        record(start, log([5, turn('CT1', 0.4)], [9, turn('CT2', 0.4)], [20, turn('RV2', 0.6)])),
        sheet,
      ).order,
    ).toEqual([])
    // set too early, but again afterwards: nothing is stale
    expect(
      reviewOf(
        record(start, log([5, turn('CT2', 0.4)], [9, turn('CT1', 0.4)], [20, turn('CT2', 0.41)])),
        sheet,
      ).order,
    ).toEqual([])
  })
  it('counts key-down, a forgotten key included', () => {
    const entries = log([10, key(true)], [18, key(false)], [30, key(true)], [31, key(true)])
    expect(keyDownOf(entries, sheet, 60)).toEqual({ totalS: 38, longestS: 30, limitS: 20, timesOver: 1 })
    expect(
      keyDownOf(log([10, key(true)], [20, { kind: 'control', controls: { powerOn: false } }]), sheet, 60)
        .totalS,
    ).toBe(10)
  })
  it(
    'parts replaced with the power on are held against it, with the ' +
      'plate voltage of the set; switched off they are not',
    () => {
      const valves = scenarioOf('quillon-hb150', ['X17'], 3)
      const warm = advance(deliver(valves), WARM_S)
      const power = (powerOn: boolean): RigAction => ({ kind: 'control', controls: { powerOn } })
      const replaced: RigAction = { kind: 'replace', group: 'valves' }
      const of = (entries: Logged[]) =>
        reviewOf(
          {
            scenario: valves,
            start: warm,
            final: warm,
            log: entries,
            trace: [],
            named: [],
            rowsBeforeFirstTurn: null,
          },
          modelSheet('quillon-hb150'),
        )
      expect(of(log([5, replaced]))).toMatchObject({ powered: [{ atS: 5, what: 'valves' }], plateV: 800 })
      expect(of(log([2, power(false)], [5, replaced], [9, power(true)])).powered).toEqual([])
      expect(
        of(log([2, power(false)], [5, power(true)], [9, replaced], [10, key(true)])).powered,
      ).toHaveLength(1)
      expect(reviewOf(record(start, log([5, turn('L6', 0)])), sheet)).toMatchObject({
        powered: [],
        plateV: null,
      })
    },
  )
  it('says whether something was measured before the first turn, and what was destroyed', () => {
    const waxed = rigFault('X06').apply(start)
    const broken = act(waxed, { kind: 'turn', designator: 'L4', position: 0, forced: true }).state
    const r = reviewOf(record(broken, log([3, turn('L4', 0)]), { rowsBeforeFirstTurn: 0 }), sheet)
    expect(r).toMatchObject({ measuredFirst: false, turns: 1, damage: [{ what: 'L4' }] })
    expect(
      reviewOf(record(broken, log([3, turn('L4', 0)]), { rowsBeforeFirstTurn: 12 }), sheet).measuredFirst,
    ).toBe(true)
  })
})

describe('lessons', () => {
  it('a core is back in the middle only near it, from either side', () => {
    const middle = LESSONS.flatMap(l => l.steps).find(s => s.say.includes('middle between the two sides'))!
    const at = (turns: number) => middle.done({ state: { slugs: { L4: { turns } } }, log: [] } as never)
    expect([at(-1.7), at(-0.3), at(0.3), at(1.7)]).toEqual([false, true, true, false])
  })
  /** A beginner who does exactly what is said. */
  const hands: Record<string, readonly (readonly RigAction[])[]> = {
    carrier: [
      [],
      [key(true)],
      [turn('RV4', 0.432)],
      [key(false)],
      [{ kind: 'stimulus', stimulus: { tones: [{ hz: 1000, v: 0.03 }] } }, key(true)],
      [key(false)],
    ],
    peak: [[], [key(true)], [turn('L4', 0.9)], [turn('L4', 0)], [key(false)]],
    deviation: [
      [],
      [{ kind: 'stimulus', stimulus: { tones: [{ hz: 1000, v: 0.1 }] } }, key(true)],
      [turn('RV2', 0.6)],
      [key(false)],
    ],
    bias: [
      [{ kind: 'control', controls: { driveOff: true } }, key(true)],
      [turn('R36', 0.48)],
      [key(false)],
      [{ kind: 'control', controls: { driveOff: false } }, key(true), turn('R41', 0.63)],
      [key(false)],
    ],
    twins: [
      [],
      [key(true)],
      [turn('CT2', 0.5)],
      [turn('CT2', healthyRig('osmund-27f', 1).positions.CT2!)],
      [key(false)],
    ],
  }
  it.each(LESSONS.map(l => [l.title, l] as const))(
    '%s can be done as it says, step by step',
    (_title, lesson) => {
      let s = lesson.prepare()
      const entries: Logged[] = []
      let done = 0
      lesson.steps.forEach((step, i) => {
        const look = () => ({ state: s, truth: truthOf(s), log: entries })
        if (i > 0) expect([i, step.done(look())]).toEqual([i, false])
        if (/warm-up/.test(step.say)) s = advance(s, 1300)
        for (const action of hands[lesson.id]![i]!) {
          s = advance(act(s, action).state, 0.5)
          entries.push({ atS: s.memory.timeS, atMs: 0, action, motion: null })
        }
        done = lessonProgress(lesson, done, look())
        expect([lesson.id, i, done]).toEqual([lesson.id, i, i + 1])
      })
      expect(s.damage).toEqual([])
    },
  )
})

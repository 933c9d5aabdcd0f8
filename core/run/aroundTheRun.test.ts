import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ruleSet } from '../rules'
import type { SetKind } from '../sheet'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import { forecast } from './forecast'
import { requirementOf } from './judgeReading'
import type { JobEvent } from './jobEvent'
import { NOT_KEYED, keyDownStep, keyDownView } from './keyDown'
import { compareMatrix, matrixState } from './matrixState'
import { runState } from './runState'
import { rowTaken, turned } from '../../test/fixtures/jobEvents'
import { jobState } from '../work'

const RULES = ruleSet('R-UK27')
const step = (id: string) => OSMUND_27F.procedure.find(s => s.id === id)!
const question = (id: string) =>
  requirementOf(OSMUND_27F, RULES, step(id).points[0]!.wants[0]!, step(id).points[0]!.state)
const matrices = (events: readonly JobEvent[]) => {
  const run = runState(OSMUND_27F, RULES, events)
  return {
    run,
    before: matrixState(OSMUND_27F, RULES, run.history, 'as-found'),
    after: matrixState(OSMUND_27F, RULES, run.history, 'as-left'),
  }
}

describe('before keying', () => {
  it('says that the meter leaves no zone', () => {
    expect(forecast(question('A1.10'), { ofFullScale: 0.05, fullScale: 20 })).toMatchObject({
      zone: null,
      resolves: false,
    })
    expect(forecast(question('A1.10'), { ofReading: 0.03 })).toMatchObject({
      zone: { low: 3.6, high: 4 / 1.03 },
      resolves: true,
    })
  })
  it('names the accuracy that would do: 4.0 / 3.6 with only the legal side guarded', () => {
    expect(forecast(question('A1.10'), { ofFullScale: 0.05, fullScale: 20 })!.neededOfReading).toBeCloseTo(
      4 / 3.6 - 1,
      12,
    )
  })
  it('says that a 1 ppm counter cannot resolve 0 to +20 Hz and a 0.2 ppm counter can', () => {
    expect(forecast(question('A1.5'), { ofReading: 1e-6 })).toMatchObject({ resolves: false })
    expect(forecast(question('A1.5'), { ofReading: 2e-7 })).toMatchObject({ resolves: true })
  })
  it('has nothing to say where nothing is asked', () => {
    expect(forecast({ window: null, nominalHz: null, limit: null }, { ofReading: 0.1 })).toBeNull()
  })
})

describe('key-down clock', () => {
  it('counts, warns, says to unkey, and then to rest twice as long', () => {
    const keyed = keyDownStep(NOT_KEYED, true, 1000)
    expect([2000, 17_500, 21_500].map(now => keyDownView(keyed, 20, now).phase)).toEqual([
      'keyed',
      'warn',
      'over',
    ])
    expect(keyDownView(keyed, null, 90_000)).toMatchObject({ phase: 'keyed', seconds: 89 })
    const released = keyDownStep(keyDownStep(keyed, true, 5000), false, 11_000)
    expect(released).toMatchObject({ lastLengthMs: 10_000, totalMs: 10_000 })
    expect(keyDownView(released, 20, 16_000)).toMatchObject({ phase: 'rest', seconds: 15 })
    expect(keyDownView(released, 20, 32_000).phase).toBe('idle')
  })
  it('never counts more than the time that passed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 0, max: 5000 })), { maxLength: 30 }),
        moves => {
          let now = 0
          let clock = NOT_KEYED
          for (const [keyed, afterMs] of moves) clock = keyDownStep(clock, keyed, (now += afterMs))
          expect(clock.totalMs).toBeLessThanOrEqual(now)
          expect(clock.totalMs).toBeGreaterThanOrEqual(0)
        },
      ),
    )
  })
})

describe('as found and as left', () => {
  const found = [
    rowTaken('as-found', null, 'high-20', {
      carrierHz: 27_791_182,
      powerW: 2.8,
      supplyV: 13.8,
      supplyA: 0.9,
    }),
  ]
  const left = (conditions = {}) =>
    rowTaken(
      'as-left',
      null,
      'high-20',
      { carrierHz: 27_791_260, powerW: 3.8, supplyV: 13.8, supplyA: 1 },
      conditions,
    )
  const cell = (events: readonly JobEvent[], quantity: string) => {
    const { before, after } = matrices(events)
    return compareMatrix({ now: OSMUND_27F, found: OSMUND_27F }, before, after).find(
      c => c.point.id === 'high-20' && c.want.quantity === quantity,
    )!
  }
  it('judges both and compares them', () => {
    const c = cell([...found, left()], 'powerW')
    expect([c.before.judgement!.verdict, c.after.judgement!.verdict, c.differences]).toEqual([
      'below',
      'inside',
      [],
    ])
  })
  // Thresholds: 0.1 V of supply, 20 min of warm-up or 5 min apart (common practice; chosen so that the
  // condition alone moves little).
  it.each([
    [{ supplyV: 13.2 }, 'supply'],
    [{ supplyV: null }, 'unknown'],
    [{ toneHz: 1000 }, 'tone'],
    [{ load: 'antenna' }, 'load'],
    [{ lowPower: true }, 'power-switch'],
    [{ channel: 1 }, 'channel'],
  ])('%j is not comparable', (conditions, kind) => {
    expect(cell([...found, left(conditions)], 'powerW').differences!.map(d => d.kind)).toContain(kind)
  })
  it('tolerates 0.1 V and minds the warm-up for frequencies only', () => {
    expect(cell([...found, left({ supplyV: 13.9 })], 'powerW').differences).toEqual([])
    expect(cell([...found, left({ onTimeS: 300 })], 'powerW').differences).toEqual([])
    expect(cell([...found, left({ onTimeS: 300 })], 'carrierHz').differences).toMatchObject([
      { kind: 'warm-up' },
    ])
  })
  it('a set that takes 30 min to warm up is not warm after 22', () => {
    const of = (kind: SetKind) => {
      const early = rowTaken('as-found', null, 'high-20', { carrierHz: 27_791_182 }, { onTimeS: 22 * 60 })
      const { before, after } = matrices([early, left({ onTimeS: 50 * 60 })])
      const cells = compareMatrix({ now: { kind, planId: 'uk27' }, found: OSMUND_27F }, before, after)
      return cells.find(c => c.point.id === 'high-20' && c.want.quantity === 'carrierHz')!.differences
    }
    expect(of('fm-mobile')).toEqual([])
    expect(of('hybrid-valve')).toMatchObject([{ kind: 'warm-up', beforeS: 1320 }])
    expect(of('multimode')).toMatchObject([{ kind: 'warm-up' }])
  })
  it('an as-left row goes stale when something is turned after it, an as-found row does not', () => {
    const { before, after } = matrices([...found, left(), turned('L6')])
    expect(before.find(r => r.point.id === 'high-20')!.stale).toBe(false)
    expect(after.find(r => r.point.id === 'high-20')!.stale).toBe(true)
  })
  it('is not complete without the receiver', () => {
    const all = OSMUND_27F.matrix
      .filter(p => p.id !== 'receiver')
      .map(p => rowTaken('as-found', null, p.id, Object.fromEntries(p.wants.map(w => [w.quantity, 1]))))
    expect(
      matrices(all)
        .before.filter(r => !r.complete)
        .map(r => r.point.id),
    ).toEqual(['receiver'])
    const done = (events: readonly JobEvent[]) =>
      jobState(OSMUND_27F, ruleSet('R-UK27'), events).done['as-found']
    expect(done(all)).toBe(false)
    expect(done([...all, rowTaken('as-found', null, 'receiver', { sensitivityV: 0.4e-6 })])).toBe(true)
  })
})

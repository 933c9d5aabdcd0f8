import { describe, expect, it } from 'vitest'
import { BARE_INSTRUMENT } from '#shared/instrumentSetup'
import type { Logged, Review, TracePoint } from '#core/practice'
import { STEPPED_PRESETS, stepValues, steppedPoint } from '#core/instrument'
import { motionWords, pointWords } from './practiceHands'
import { actionWords, clock, momentOf, outsideWords, verdictWords } from './practiceReview'
import { readersOf, settersOf, steppedCsv, summaryWords } from '~/features/instruments/logic/steppedWords'

const review = (change: Partial<Review>): Review => ({
  faults: [],
  wronglyNamed: [],
  order: [],
  outside: [],
  keyDown: { totalS: 0, longestS: 0, limitS: 20, timesOver: 0 },
  hottestC: 25,
  damage: [],
  powered: [],
  plateV: null,
  workedS: 0,
  turns: 0,
  measuredFirst: null,
  ...change,
})
const fault = (cured: boolean, named: boolean) => ({ id: 'X04', name: 'x', shows: 'y', cured, named })

describe('the verdict of a review', () => {
  it.each([
    [true, true, 'Fault found and repaired.'],
    [true, false, 'Repaired without being identified: would you find it again?'],
    [false, true, 'Fault found, but not repaired.'],
    [false, false, 'Fault not found.'],
  ])('cured %s, named %s: %s', (cured, named, words) =>
    expect(verdictWords(review({ faults: [fault(cured, named)] }))).toBe(words),
  )
  it('of two faults half put right is not put right', () =>
    expect(verdictWords(review({ faults: [fault(true, true), fault(false, false)] }))).toBe(
      'Fault found, but not repaired.',
    ))
  it('of a lesson speaks of damage only', () => {
    expect(verdictWords(review({}))).toBe('Lesson finished, nothing destroyed.')
    expect(verdictWords(review({ damage: [{ timeS: 1, what: 'L4', why: 'forced' }] }))).toContain('destroyed')
  })
})

describe('looking back', () => {
  const log: Logged[] = [1, 2, 3, 4, 5].map(atS => ({
    atS,
    atMs: 0,
    motion: null,
    action: { kind: 'turn', designator: `L${atS}`, position: 0.123456 },
  }))
  const trace: TracePoint[] = [0, 2, 4].map(atS => ({
    atS,
    powerW: atS,
    keyed: false,
    junctionC: 25,
    supplyA: 0.3,
    errorHz: null,
  }))
  it('a moment is the last point before it and the last three hands', () => {
    expect(momentOf(trace, log, 3.5).point!.atS).toBe(2)
    expect(momentOf(trace, log, 4.5).done.map(l => l.atS)).toEqual([2, 3, 4])
    expect(momentOf(trace, log, -1).point!.atS).toBe(0)
    expect(momentOf([], [], 0)).toEqual({ point: null, done: [] })
  })
  it('hands have words', () => {
    expect(actionWords(log[0]!.action)).toBe('L1 to 0.123')
    expect(
      actionWords({ kind: 'turn', designator: 'L4', position: 1, forced: true, tool: 'steel screwdriver' }),
    ).toBe('L4 to 1, forced, steel screwdriver')
    expect(actionWords({ kind: 'replace', group: 'final' })).toBe('output device replaced')
    expect(actionWords({ kind: 'replace', group: 'stages', designator: 'L6' })).toBe('L6 replaced')
    expect(actionWords({ kind: 'control', controls: { keyed: false } })).toBe('key released')
    expect(actionWords({ kind: 'pass', seconds: 1200 })).toBe('20 min passed')
    expect(clock(1208)).toBe('20:08')
  })
  it('what is outside stands with its window', () => {
    expect(outsideWords({ rowId: 'a', row: 'a', quantity: 'powerW', value: 2.8, low: 3.6, high: 4 })).toMatch(
      /2\.8.*3\.6.*to.*4/,
    )
    expect(
      outsideWords({ rowId: 'a', row: 'a', quantity: 'imd3Db', value: 12, low: 25, high: null }),
    ).toContain('at least')
    expect(
      outsideWords({ rowId: 'a', row: 'a', quantity: 'audibleV', value: 4e-6, low: null, high: 1e-6 }),
    ).toContain('at most')
  })
})

describe('hands and probe', () => {
  it('a core that cannot move says why', () => {
    expect(motionWords('stuck')).toContain('waxed')
    expect(motionWords('broke')).toContain('split')
    expect([motionWords(null), motionWords('turned')]).toEqual(['', ''])
  })
  it.each([
    [{ value: 10_239_590.4, unit: 'Hz' }, '10.239\u2009590 MHz'],
    [{ value: 0, unit: 'ohm' }, '0.0 \u03a9'],
    [{ value: 55_000, unit: 'ohm' }, '55 k\u03a9'],
    [{ value: 7.876, unit: 'V' }, '7.88 V'],
    [{ value: null, unit: 'V' }, '\u2013'],
    [{ value: 81.4, unit: 'degC' }, '81 \u00b0C'],
  ])('%j reads %s', (p, words) => expect(pointWords({ name: 'x', ...p })).toBe(words))
})

describe('stepped measurements', () => {
  const plan = (id: string) => STEPPED_PRESETS.find(p => p.id === id)!.plan
  const run = (id: string, law: (x: number) => number) =>
    stepValues(plan(id)).map(x => steppedPoint(x, [{ value: law(x), standardUncertainty: 0.1 }]))
  it('say what they found in words', () => {
    expect(
      summaryWords(
        plan('power'),
        run('power', v => (v * v) / 47),
      ),
    ).toContain('directly on the supply')
    expect(
      summaryWords(
        plan('power'),
        run('power', () => 3.9),
      ),
    ).toContain('regulated')
    expect(
      summaryWords(
        plan('depth'),
        run('depth', v => 40 * v),
      ),
    ).toContain('the limiter does nothing')
    expect(
      summaryWords(
        plan('depth'),
        run('depth', () => 0.9),
      ),
    ).toContain('the limiter holds')
    expect(summaryWords(plan('sinad'), [])).toBe('')
  })
  it('go into a spreadsheet in the units of the bench', () => {
    const [head, first, empty] = steppedCsv(plan('sinad'), [
      steppedPoint(1e-6, [{ value: 12, standardUncertainty: 0.5 }]),
      steppedPoint(2e-6, []),
    ])
    expect(head).toEqual(['Generator level [\u00b5V]', 'SINAD [dB]', 'standard uncertainty [dB]'])
    expect(first).toEqual([1, 12, 0.5])
    expect(empty).toEqual([2, '', ''])
  })
  it('find instruments that can be set and those that read; one that does not talk is neither', () => {
    const instrument = (profileId: string, port: number | null) => ({
      ...BARE_INSTRUMENT,
      id: profileId,
      version: 1,
      name: profileId,
      profileId,
      host: '127.0.0.1',
      port,
    })
    const items = [
      instrument('scpi-test-set', 1),
      instrument('scpi-supply', 2),
      instrument('eye-test-set', null),
    ]
    expect(settersOf(items, 'inputV').map(i => i.id)).toEqual(['scpi-test-set'])
    expect(settersOf(items, 'supplyV').map(i => i.id)).toEqual(['scpi-supply'])
    expect(readersOf(items, 'sinadDb').map(i => i.id)).toEqual(['scpi-test-set'])
  })
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { healthy, type Truth } from '../../../test/fixtures/faults/truth'
import { readMatrix } from '../../../test/fixtures/faults/readMatrix'
import { rowTaken, struck } from '../../../test/fixtures/jobEvents'
import { ruleSet } from '../../rules'
import { matrixState, runState, type JobEvent, type RowState } from '../../run'
import { modelSheet, type ModelSheet } from '../../sheet'
import { OSMUND_27F } from '../../sheet/osmund27f/sheet'
import { OSMUND_40A } from '../../sheet/osmund40a/sheet'
import { diagnose } from './diagnose'
import type { Domain, OutcomeProbabilities, TestMade } from './observable'
import { OBSERVABLES } from './observables'
import { still, finding, first, made } from '../../../test/fixtures/faults/finding'

const LX8 = modelSheet('larkfield-lx8')

const HB150 = modelSheet('quillon-hb150')

const TALLIS = modelSheet('brantwick-tallis60')

const P5 = modelSheet('quillon-p5')

/** The finding of another kind of set, with what differs from one in order. */
const leads = (
  sheet: ModelSheet,
  kind: Parameters<typeof healthy>[0],
  truth: Partial<Truth>,
  domain: Domain,
  tests: TestMade[] = [],
) =>
  diagnose(sheet, readMatrix(sheet, { ...healthy(kind), ...truth }, still()), tests, () => true).domains.find(
    d => d.domain === domain,
  )!.ranked[0]?.cause?.id ?? null

const ssb = (change: Partial<Truth['ssb']>) => ({ ssb: { ...healthy().ssb, ...change } })

describe('other kinds of sets', () => {
  it.each([
    ['multimode', LX8, 'multimode'],
    ['hybrid', HB150, 'valve'],
    ['kit', P5, 'kit'],
    ['high power', TALLIS, 'high'],
  ] as const)('%s in order: no symptom', (_name, sheet, kind) => {
    for (const { domain, symptoms } of diagnose(
      sheet,
      readMatrix(sheet, healthy(kind), still()),
      [],
      () => true,
    ).domains)
      expect([domain, symptoms]).toEqual([domain, []])
  })
  it(
    'F07: AM far too high, SSB right, control dead: the ' +
      'regulator; SSB low while AM is right: its own path (F09)',
    () => {
      const runaway = { powerW: () => 19, keyedA: 3, depthAt: () => 0.03 }
      expect(leads(LX8, 'multimode', runaway, 'power', [made('travel', 'nothing')])).toBe('regulator-shorted')
      expect(leads(LX8, 'multimode', { powerW: () => 5.5 }, 'power', [made('travel', 'acts')])).toBe(
        'carrier-high-set',
      )
      expect(leads(LX8, 'multimode', ssb({ pepW: 3 }), 'power')).toBe('ssb-path')
    },
  )
  it(
    'F12, F80: mean above half the PEP with poor products is ' +
      'flat-topping; below half with clean ones the meters',
    () => {
      expect(leads(LX8, 'multimode', ssb({ meanRatio: 0.62, imd3Db: 16 }), 'modulation')).toBe(
        'ssb-flat-topping',
      )
      expect(leads(LX8, 'multimode', ssb({ imd3Db: 16 }), 'modulation', [made('drop-6db', 'stays')])).toBe(
        'no-idle-current',
      )
      expect(leads(LX8, 'multimode', ssb({ meanRatio: 0.4 }), 'modulation')).toBe('average-meter')
    },
  )
  it.each([
    [0.405, 'average'],
    [0.3, 'below'],
    [0.5, 'half'],
  ])(
    'mean of %d of the PEP with two tones is taken for "%s": a ' +
      'correct average-responding meter is not "clearly below"',
    (meanRatio, outcome) => {
      const source = OBSERVABLES.find(o => o.id === 'two-tone')!.source
      const rows = readMatrix(LX8, { ...healthy('multimode'), ...ssb({ meanRatio }) }, still())
      const soft: OutcomeProbabilities = source.kind === 'readings' ? source.see(rows, LX8)!.soft : {}
      expect(Object.entries(soft).sort((x, y) => y[1] - x[1])[0]![0]).toBe(outcome)
    },
  )
  it('F50, F37, F16, F49: the control left up, the menu value, the claim, the antenna', () => {
    expect(leads(LX8, 'multimode', { powerW: () => 8 }, 'power', [made('control-at', 'up')])).toBe(
      'control-left-up',
    )
    expect(
      leads(LX8, 'multimode', { powerW: () => 8 }, 'power', [
        made('control-at', 'mark'),
        made('travel', 'acts'),
      ]),
    ).not.toBe('control-left-up')
    expect(
      leads(P5, 'kit', { referencePpm: -4.2, txErrorHz: () => -60 }, 'frequency', [
        made('standard-beat', 'below'),
      ]),
    ).toBe('reference-value')
    expect(leads(TALLIS, 'high', {}, 'power', [made('claimed-pep', 'beyond')])).toBe('inflated-claim')
    expect(leads(LX8, 'multimode', {}, 'power', [made('dummy-swr', 'antenna')])).toBe('antenna-mismatch')
  })
  it('F33, F75, F35, F78: one sideband off, one block off, VCO at its end, carrier leak', () => {
    expect(leads(LX8, 'multimode', ssb({ errorHz: { USB: 700, LSB: 4 } }), 'frequency')).toBe(
      'mode-offset-off',
    )
    expect(leads(LX8, 'multimode', { txErrorHz: c => (c > 40 && c <= 80 ? 10_010 : 10) }, 'frequency')).toBe(
      'sister-model',
    )
    expect(leads(LX8, 'multimode', { vcoV: c => (c < 10 ? 0.7 : 6.5) }, 'frequency')).toBe('vco-off')
    expect(leads(LX8, 'multimode', ssb({ leakDb: 25 }), 'modulation')).toBe('carrier-leak')
  })
  it('F17, F68, F18: a third of the output at full plate current: valves; a re-dip that helps: the tank', () => {
    expect(
      leads(HB150, 'valve', { powerW: () => 35, stageIdleA: 0.045 }, 'power', [made('new-pair', 'rises')]),
    ).toBe('worn-valves')
    expect(leads(HB150, 'valve', { powerW: () => 60, plateA: 0.3 }, 'power', [made('re-dip', 'rises')])).toBe(
      'tank-off',
    )
    expect(
      leads(HB150, 'valve', { powerW: () => 50, plateA: 0.14 }, 'power', [made('drive-up', 'nothing')]),
    ).toBe('valve-drive-low')
  })
  it('F45: 5 V on the gate of the kit; 2.4 V is its window', () => {
    expect(leads(P5, 'kit', { gateV: 5 }, 'power')).toBe('gate-high')
    expect(leads(P5, 'kit', { gateV: 1.6, powerW: () => 2, keyedA: 0.5 }, 'power')).toBe('gate-low')
  })
  it('F15: PEP/mean of 6.5 on voice; 2.6 is balanced', () => {
    expect(leads(TALLIS, 'high', { voiceRatio: 6.5 }, 'modulation')).toBe('voice-unbalanced')
    expect(leads(TALLIS, 'high', {}, 'modulation')).toBeNull()
  })
  it('F81, F73, F79, F82, F83, F77, F08: what only a spectrum, hands or ears show', () => {
    expect(leads(LX8, 'multimode', { harmonicDbc: -45 }, 'power')).toBe('trap-off')
    expect(leads(LX8, 'multimode', {}, 'frequency', [made('humid', 'moves')])).toBe('glue-leak')
    expect(leads(LX8, 'multimode', {}, 'receiver', [made('sideband-audio', 'uneven')])).toBe(
      'sidebands-uneven',
    )
    expect(first(OSMUND_27F, {}, 'modulation', [made('tone-off', 'hums')])).toBe('hum')
    expect(first(OSMUND_27F, {}, 'power', [made('tap', 'jumps')])).toBe('intermittent')
    expect(first(OSMUND_27F, {}, 'supply', [made('trace', 'burnt')])).toBe('reversed-supply')
    expect(first(OSMUND_40A, {}, 'power', [made('travel', 'nothing')])).toBe('control-miswired')
  })
})

describe('a set in order', () => {
  it.each([
    ['FM', OSMUND_27F],
    ['AM', OSMUND_40A],
  ])('%s: has no symptom and no cause', (_name, sheet) => {
    for (const { symptoms, ranked, next } of diagnose(
      sheet,
      readMatrix(sheet, healthy(), still()),
      [],
      () => true,
    ).domains)
      expect([symptoms, ranked, next]).toEqual([[], [], []])
  })
  it('an empty matrix says nothing', () => {
    for (const { symptoms } of diagnose(OSMUND_27F, [], [], () => true).domains) expect(symptoms).toEqual([])
  })
})

describe('the next test', () => {
  it('is the one that splits what remains, and is gone once it is answered', () => {
    const weak = { powerW: () => 0.9, lowPowerW: 0.09, keyedA: 1.3 }
    const { next } = finding(OSMUND_27F, weak, 'power')
    const [best] = next
    expect(best!.gainBits).toBeGreaterThan(0.3)
    const after = finding(OSMUND_27F, weak, 'power', [
      made(best!.observable.id, Object.keys(best!.observable.outcomes)[0]!),
    ])
    expect(after.next.map(n => n.observable.id)).not.toContain(best!.observable.id)
  })
  it('takes only what the bench can read: without a reference counter it says so and asks something else', () => {
    const low = { txErrorHz: () => -120 }
    const noReference = (rows: RowState[]) => rows.filter(r => r.point.id !== 'reference')
    const ask = (canRead: (q: string) => boolean) =>
      diagnose(
        OSMUND_27F,
        noReference(readMatrix(OSMUND_27F, { ...healthy(), ...low }, still())),
        [],
        canRead,
      ).domains.find(d => d.domain === 'frequency')!
    const withCounter = ask(() => true)
    const without = ask(q => q !== 'referenceHz')
    expect(withCounter.next.map(n => n.observable.id)).toContain('reference')
    expect(without.next.map(n => n.observable.id)).not.toContain('reference')
    expect(without.cannotAsk.map(o => o.id)).toEqual(['reference'])
  })
})

describe('whatever the order', () => {
  const answers = OBSERVABLES.filter(o => o.source.kind === 'test').flatMap(o =>
    Object.keys(o.outcomes).map(outcome => made(o.id, outcome)),
  )
  it('the same tests give the same probabilities', () => {
    const arbitrary = fc
      .uniqueArray(fc.constantFrom(...answers), { maxLength: 6, selector: a => a.observableId })
      .chain(list => fc.tuple(fc.constant(list), fc.shuffledSubarray(list, { minLength: list.length })))
    fc.assert(
      fc.property(arbitrary, ([a, b]) => {
        const look = (tests: TestMade[]) =>
          finding(OSMUND_40A, { powerW: () => 2 }, 'power', tests)
            .ranked.map(r => [r.cause?.id, r.probability.toFixed(9)])
            .sort()
        expect(look(a)).toEqual(look(b))
      }),
      { numRuns: 40 },
    )
  })
  it('striking a reading out undoes what followed from it', () => {
    const rules = ruleSet('R-UK27')
    const look = (events: JobEvent[]) =>
      diagnose(
        OSMUND_27F,
        matrixState(OSMUND_27F, rules, runState(OSMUND_27F, rules, events).history, 'as-found'),
        [],
        () => true,
      )
    const good = rowTaken('as-found', null, 'low-20', { powerW: 0.37 }, { lowPower: true })
    const high = rowTaken('as-found', null, 'high-20', { powerW: 3.8, carrierHz: 27_791_260 })
    const slip = rowTaken('as-found', null, 'low-20', { powerW: 3.7 }, { lowPower: true }) as Extract<
      JobEvent,
      { kind: 'row-taken' }
    >
    expect(look([high, good, slip])).not.toEqual(look([high, good]))
    expect(look([high, good, slip, struck(slip.readings[0]!.id)])).toEqual(look([high, good]))
  })
})

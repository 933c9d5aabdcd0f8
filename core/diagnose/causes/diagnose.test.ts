import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { healthy, type Truth } from '../../../test/fixtures/faults/truth'
import { readMatrix } from '../../../test/fixtures/faults/readMatrix'
import { randomFrom } from '../../../test/fixtures/faults/random'
import { rowTaken, struck } from '../../../test/fixtures/jobEvents'
import { ruleSet } from '../../rules'
import { matrixState, runState, type JobEvent, type RowState } from '../../run'
import { modelSheet, type ModelSheet } from '../../sheet'
import { OSMUND_27F } from '../../sheet/osmund27f/sheet'
import { OSMUND_40A } from '../../sheet/osmund40a/sheet'
import { CAUSES } from './catalogue'
import { diagnose } from './diagnose'
import type { Domain, OutcomeProbabilities, TestMade } from './observable'
import { OBSERVABLES } from './observables'

/** A whole matrix without luck: no error, no row missing. */
const still = () => ({ ...randomFrom(1), within: (a: number, b: number) => (a + b) / 2, chance: () => false })
const finding = (
  sheet: ModelSheet,
  truth: Partial<Truth>,
  domain: Domain,
  tests: TestMade[] = [],
  canRead = (_q: string) => true,
) =>
  diagnose(sheet, readMatrix(sheet, { ...healthy(), ...truth }, still()), tests, canRead).domains.find(
    d => d.domain === domain,
  )!
const first = (...args: Parameters<typeof finding>) => finding(...args).ranked[0]?.cause?.id ?? null
const made = (observableId: string, outcome: string): TestMade => ({ observableId, outcome })

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

/**
 * Worked patterns of the fault catalogue: numbers, then the cause that must lead, and the same with its
 * witness turned round.
 */
describe('patterns of the catalogue', () => {
  it('F53: middle right, one end weak: coils; a core without effect makes it F71', () => {
    const tilted = {
      powerW: (c: number) => {
        if (c < 10) return 2.1
        return c > 30 ? 4.1 : 3.6
      },
      lowPowerW: 0.35,
    }
    expect(first(OSMUND_27F, tilted, 'power')).toBe('coils-off')
    expect(
      first(OSMUND_27F, { ...tilted, powerW: c => tilted.powerW(c) * 0.4 }, 'power', [made('cores', 'dead')]),
    ).toBe('broken-core')
  })
  it('F20: a third of the power at full current, falling while keyed: the final; steady and cool: not', () => {
    const third = { powerW: () => 0.9, lowPowerW: 0.09, keyedA: 1.4 }
    expect(first(OSMUND_27F, third, 'power', [made('holds', 'falls'), made('final-heat', 'hot')])).toBe(
      'counterfeit-final',
    )
    expect(
      first(OSMUND_27F, third, 'power', [
        made('holds', 'steady'),
        made('final-heat', 'cool'),
        made('cores', 'off'),
      ]),
    ).not.toBe('counterfeit-final')
  })
  it('F07: AM carrier of 20 W, no depth, a dead control: the regulator; a control that acts: not', () => {
    const runaway = { powerW: () => 20, keyedA: 2.5, depthAt: () => 0.02 }
    expect(first(OSMUND_40A, runaway, 'power', [made('travel', 'nothing')])).toBe('regulator-shorted')
    expect(first(OSMUND_40A, { powerW: () => 5.5, keyedA: 1.5 }, 'power', [made('travel', 'acts')])).toBe(
      'carrier-high-set',
    )
  })
  it('C39: 12.0 V at the set explains 2.9 W; with 13.8 V it does not', () => {
    expect(first(OSMUND_27F, { powerW: () => 2.9, lowPowerW: 0.28, supplyV: 12 }, 'power')).toBe('supply-low')
    expect(first(OSMUND_27F, { powerW: () => 2.9, lowPowerW: 0.28 }, 'power')).not.toBe('supply-low')
  })
  it('F21: a low position of 1.2 W is the preset; one that equals high power is the switch', () => {
    expect(first(OSMUND_27F, { lowPowerW: 1.2 }, 'power')).toBe('low-preset-off')
    expect(first(OSMUND_27F, { lowPowerW: 3.8 }, 'power')).toBe('low-switch-dead')
  })
  it(
    'F23: panel at half while the bench is right: its calibration; bench ' +
      'low with full current and panel right: the bench meter',
    () => {
      expect(first(OSMUND_27F, { panelRatio: 0.5 }, 'power')).toBe('panel-meter')
      expect(first(OSMUND_27F, { meterRatio: 0.5 }, 'power')).toBe('bench-meter')
    },
  )
  it(
    'F32: reference 40 ppm low while channel 20 is exact: hidden; ' +
      'transmit low and reference right: the transmit crystal',
    () => {
      const slope = (c: number) => (c - 20) * 10_000 * -40e-6
      expect(first(OSMUND_27F, { referencePpm: -40, txErrorHz: slope }, 'frequency')).toBe('reference-hidden')
      expect(first(OSMUND_27F, { txErrorHz: () => -300 }, 'frequency', [made('trimmer', 'reaches')])).toBe(
        'tx-trimmer-off',
      )
      expect(first(OSMUND_27F, { txErrorHz: () => -391 }, 'frequency', [made('trimmer', 'stops')])).toBe(
        'crystal-out-of-reach',
      )
    },
  )
  it('F04: depth that follows the drive is a missing limiter, depth that stays high a preset at its end', () => {
    expect(first(OSMUND_40A, { depthAt: db => 1.25 * 10 ** (db / 20) }, 'modulation')).toBe('limiter-missing')
    expect(first(OSMUND_40A, { depthAt: () => 1.3 }, 'modulation')).toBe('modulation-preset-end')
  })
  it('F02: crest flattened by 0.8 dB at 90 %: no headroom', () => {
    expect(first(OSMUND_40A, { pepMostW: 11 }, 'modulation')).toBe('no-headroom')
  })
  it('F55, F54: deviation above its target, and a dirty preset', () => {
    expect(first(OSMUND_27F, { deviationHz: { up: 3100, down: 3050 } }, 'modulation')).toBe(
      'deviation-preset-high',
    )
    expect(
      first(OSMUND_27F, { deviationHz: { up: 600, down: 600 } }, 'modulation', [
        made('preset-feel', 'jumps'),
      ]),
    ).toBe('dirty-preset')
  })
  it('F03: held by the limiter and yet past full depth, the meter alone rising: audio or limiter down', () => {
    const over = { depthAt: (db: number) => 1.15 * Math.min(1.03, 10 ** (db / 20)) }
    expect(
      first(OSMUND_40A, over, 'modulation', [
        made('past-full', 'meter-alone'),
        made('limiter-parts', 'there'),
      ]),
    ).toBe('audio-too-high')
    expect(
      first(OSMUND_40A, { depthAt: (db: number) => 1.15 * 10 ** (db / 20) }, 'modulation', [
        made('limiter-parts', 'missing'),
      ]),
    ).not.toBe('audio-too-high')
  })
  it('F38: threshold eight times too high with the meter low: the front end; the meter alone: its preset', () => {
    expect(
      first(
        OSMUND_40A,
        { thresholdRatio: 8, sMeterUnits: 5.8, sinadDb: { high: 0.5, low: 0.1 } },
        'receiver',
      ),
    ).toBe('front-end')
    expect(first(OSMUND_40A, { sMeterUnits: 6 }, 'receiver')).toBe('s-preset')
    expect(
      first(OSMUND_40A, { thresholdRatio: 5, sMeterUnits: 9, sinadDb: { high: 2, low: 0.3 } }, 'receiver'),
    ).toBe('compensated-meter')
  })
  it('F39: SINAD that hardly falls with the level is leakage', () => {
    expect(first(OSMUND_40A, { sinadDb: { high: 19, low: 18 } }, 'receiver')).toBe('leakage')
  })
  it('F44: the device that lets the current fall when it is taken out was the short', () => {
    const at = (...more: TestMade[]) => first(OSMUND_27F, {}, 'supply', [made('idle', 'at-limit'), ...more])
    expect(at(made('lift-final', 'falls'))).toBe('shorted-final')
    expect(at(made('lift-final', 'stays'), made('lift-driver', 'falls'))).toBe('shorted-driver')
    expect(
      at(made('lift-final', 'stays'), made('lift-driver', 'stays'), made('input-ohms', 'short-both')),
    ).toBe('polarity-diode')
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

describe('the catalogue', () => {
  it('asks only questions that exist, with outcomes that they have, and probabilities that can be', () => {
    for (const cause of CAUSES) {
      for (const [id, shows] of Object.entries(cause.shows)) {
        const observable = OBSERVABLES.find(o => o.id === id)
        expect(observable, `${cause.id}: ${id}`).toBeDefined()
        for (const outcome of Object.keys(shows))
          expect(Object.keys(observable!.outcomes), `${cause.id}: ${id}`).toContain(outcome)
        expect(
          Object.values(shows).reduce((a, b) => a + b, 0),
          `${cause.id}: ${id}`,
        ).toBeLessThanOrEqual(1.000001)
      }
    }
    expect(new Set(CAUSES.map(c => c.id)).size).toBe(CAUSES.length)
    expect(new Set(OBSERVABLES.map(o => o.id)).size).toBe(OBSERVABLES.length)
    for (const o of OBSERVABLES) expect(Object.keys(o.outcomes)).toContain(o.healthy)
  })
})

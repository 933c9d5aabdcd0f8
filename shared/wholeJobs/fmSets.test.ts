import { describe, expect, it } from 'vitest'
import { told } from '../../test/fixtures/wholeJob/told'
import { job, writer } from '../../test/fixtures/wholeJob/wholeJob'
import { parseTyped } from '#core/quantity'
import { typedReading } from '~/features/align/logic/typedInstrument'
import { modelSheet, type ModelSheet } from '#core/sheet'

const FM = modelSheet('osmund-27f')
const TX_20_HZ = 27_791_250

describe('7: FM base station, a sheet that was wrong', () => {
  // The workshop's own sheet of the same scheme: CT2 and CT3 look alike, and it names the wrong one.
  const BASE: ModelSheet = {
    ...FM,
    id: 'osmund-b27',
    model: 'Osmund B27',
    kind: 'fm-mobile',
  }
  const w = writer(BASE)
  const typed = parseTyped('10.239', 'referenceHz')
  const aloud = typedReading(typed.value, 'referenceHz', null, typed.halfDigit)
  it('says: "10.239" is known to 500 Hz: read all digits before judging, it is no -1000 Hz', () => {
    const t = told(
      job(
        BASE,
        'R-UK27',
        [],
        [w.found('reference', { referenceHz: [aloud.value, aloud.standardUncertainty! * Math.sqrt(3)] })],
      ),
    )
    expect(t.challenges.find(c => c.rule === 'P40')!.words).toMatch(/±500 Hz only.*Read all digits/)
  })
  const asFound = [
    w.found('reference', { referenceHz: [10_239_780, 1] }),
    w.found('high-20', { carrierHz: [TX_20_HZ + 160, 3], powerW: [2.8, 0.084] }),
    w.found('tone-20', { deviationPositiveHz: [1600, 48], deviationNegativeHz: [1600, 48] }),
  ]
  it('says: -220 Hz is outside; +160 Hz is outside', () => {
    const t = told(job(BASE, 'R-UK27', [], asFound))
    expect([
      t.verdict('as-found', 'reference', 'referenceHz'),
      t.verdict('as-found', 'high-20', 'carrierHz'),
    ]).toEqual(['below', 'above'])
  })
  it('says: after CT1 the transmitter and the receiver are stale and to be read again', () => {
    const t = told(
      job(
        BASE,
        'R-UK27',
        [],
        [
          ...asFound,
          w.step('A1.5', 'ch20', { carrierHz: [TX_20_HZ + 160, 3] }),
          w.confirmed('A1.5'),
          w.turned('CT1'),
        ],
      ),
    )
    expect(t.state.run.steps.find(s => s.step.id === 'A1.5')!.status).toBe('stale')
  })
  const work = [
    w.turned('CT1'),
    w.turned('CT3'),
    w.turned('CT2'),
    w.turned('L4', 'L5', 'L6', 'L7'),
    w.turned('RV2'),
  ]
  const asLeft = [
    w.left('reference', { referenceHz: [10_239_935, 1] }),
    w.left('high-20', { carrierHz: [TX_20_HZ + 15, 3], powerW: [4, 0.12] }),
    w.left('high-1', { carrierHz: [27_601_250 + 15, 3], powerW: [3.8, 0.114] }),
    w.left('high-40', { carrierHz: [27_991_250 + 15, 3], powerW: [3.8, 0.114] }),
    w.left('low-20', { powerW: [0.5, 0.015] }),
    w.left('panel', { panelPowerW: [4, 0.1] }),
    w.left('tone-20', { deviationPositiveHz: [2400, 72], deviationNegativeHz: [2350, 70] }),
  ]
  const t = told(job(BASE, 'R-UK27', [], [...asFound, ...work, ...asLeft]), 'as-left')
  it('says: +15 Hz inside, 3.8 W inside, 2.4 kHz inside 2.5, 4.00 W with 3 % cannot tell', () => {
    expect(['high-20', 'high-1'].map(row => t.verdict('as-left', row, 'carrierHz'))).toEqual([
      'inside',
      'inside',
    ])
    expect([
      t.verdict('as-left', 'high-1', 'powerW'),
      t.verdict('as-left', 'high-20', 'powerW'),
      t.verdict('as-left', 'tone-20', 'deviationPositiveHz'),
    ]).toEqual(['inside', 'cannot-tell', 'inside'])
  })
  it('says: the reference is still outside: a finding, listed', () => {
    expect(t.verdict('as-left', 'reference', 'referenceHz')).toBe('below')
    expect(t.paper.join('\n')).toMatch(/Reference, buffered pin: below/)
  })
  it('must not say: 1 kHz low, the transmitter 176 Hz off, modulator faulty, receiver aligned', () => {
    expect(t.all).not.toMatch(/1000 Hz|176 Hz|modulator|receiver (was )?aligned|on frequency/i)
    expect(t.paper.join('\n')).toMatch(/Receiver, channel 20: not measured at the end/)
  })
  it('says that CT3 was moved: never silently', () =>
    expect(t.paper.join('\n')).toMatch(/Adjusted: [^\n]*CT3/))
})

describe('10: one FM set out of two', () => {
  const w = writer(FM)
  const dead = [
    w.found('high-20', { powerW: [0.02, 0.001, 'at-most'], supplyA: [0.38, 0.01] }),
    w.work({
      kind: 'item-inspected',
      itemId: 'I35',
      state: 'treated',
      text: 'driver Q21 of a wrong type, replaced',
    }),
    w.work({ kind: 'item-inspected', itemId: 'I36', state: 'treated', text: 'all 14 replaced' }),
    w.work({
      kind: 'part-changed',
      designator: 'Q21',
      partOut: 'a much larger type',
      partIn: 'as listed',
      isFinal: true,
      text: '',
    }),
    w.work({ kind: 'treated', what: 'preset cleaned, end to end ten times', where: 'RV2', text: '' }),
  ]
  it('says: below 20 mW is a bound, not zero, and what it rests on', () => {
    const t = told(job(FM, 'R-UK27', [], dead))
    const cell = t.state.asFound
      .find(r => r.point.id === 'high-20')!
      .cells.find(c => c.want.quantity === 'powerW')!
    expect(cell.latest!.reading.bound).toBe('at-most')
    expect(t.verdict('as-found', 'high-20', 'powerW')).toBe('below')
    expect(t.causes('power')[0]).not.toBe('panel-meter')
  })
  it('says: +113 Hz of the reference is outside, TX within +3 Hz is not the end of it', () => {
    const t = told(
      job(
        FM,
        'R-UK27',
        [],
        [
          w.found('reference', { referenceHz: [10_240_113, 1] }),
          w.found('high-20', { carrierHz: [TX_20_HZ + 3, 3], powerW: [3.9, 0.117] }),
        ],
      ),
    )
    expect(t.verdict('as-found', 'reference', 'referenceHz')).toBe('above')
    expect(t.causes('frequency').slice(0, 3)).toEqual(
      expect.arrayContaining([expect.stringMatching(/reference/)]),
    )
  })
  it('says: no deviation over the whole preset: dirty preset or open path first', () => {
    const t = told(
      job(
        FM,
        'R-UK27',
        [],
        [
          w.found('high-20', { powerW: [3.9, 0.117] }),
          w.found('tone-20', { deviationPositiveHz: [5, 2], deviationNegativeHz: [5, 2] }),
          w.work({ kind: 'test-made', observableId: 'preset-feel', outcome: 'jumps', text: '' }),
        ],
      ),
    )
    expect(t.causes('modulation')[0]).toBe('dirty-preset')
  })
  const asLeft = [
    w.turned('CT1'),
    w.turned('CT2'),
    w.turned('RV1', 'RV2', 'RV3'),
    w.left('reference', { referenceHz: [10_240_000, 1] }),
    w.left('high-20', {
      carrierHz: [TX_20_HZ + 12, 3],
      powerW: [3.8, 0.114],
      supplyA: [1.02, 0.01],
      supplyV: [13.8, 0.05],
    }),
    w.left('low-20', { powerW: [0.39, 0.012], supplyA: [0.5, 0.01] }),
    w.left('tone-20', { deviationPositiveHz: [2300, 69], deviationNegativeHz: [2280, 68] }),
  ]
  const t = told(job(FM, 'R-UK27', [], [...dead, ...asLeft]), 'as-left')
  it(
    'says: +12 Hz and 2.3 kHz are inside, 0.39 W with 3 % is too ' +
      'near 0.4 W to tell; 27 % of the input is plausible',
    () => {
      expect([
        t.verdict('as-left', 'high-20', 'carrierHz'),
        t.verdict('as-left', 'low-20', 'powerW'),
        t.verdict('as-left', 'tone-20', 'deviationPositiveHz'),
      ]).toEqual(['inside', 'cannot-tell', 'inside'])
      expect(t.challenges.filter(c => c.phase === 'as-left')).toEqual([])
    },
  )
  it('says: the receiver is owed, compliance is not shown while limits were not measured', () => {
    expect(t.paper.join('\n')).toMatch(/Receiver, channel 20: not measured at the end/)
    expect(t.paper.join('\n')).toMatch(/has not been demonstrated/)
    expect(t.paper.join('\n')).toMatch(/second harmonic/)
  })
  it('must not say: CT1 caused a fault, modulator or microphone faulty, two resistors, limiter', () => {
    expect(t.all).not.toMatch(
      /CT1 (caused|is at fault)|microphone (is )?faulty|modulator|two resistors|leave the limiter/i,
    )
  })
})

import { describe, expect, it } from 'vitest'
import type { PartTested } from '#core/run'
import { lotWords, partTestWords, partVerdictWords } from './partWords'

const tested = (change: Partial<PartTested>): PartTested => ({
  kind: 'part-tested',
  id: 'p',
  atMs: 1,
  part: 'D14',
  boughtAt: '',
  dcGain: null,
  rfPowerW: null,
  rfReferenceW: null,
  fallsWhileKeyed: null,
  heat: null,
  text: '',
  ...change,
})
const drop = { figure: 'forward-drop', value: 0.31, low: 0.2, high: 0.4 } as const
const plain = (words: string) => words.replace(/\u2009/g, ' ')

describe('what the test of a part proves, in words', () => {
  it('a meter diode is not asked for RF; what is still to be read is named', () => {
    const diode = tested({ partKind: 'diode', dcResult: 'good', figures: [drop] })
    expect(partVerdictWords(diode)).toBe('accepted: within the figures of its type')
    expect(partVerdictWords(tested({ partKind: 'diode' }))).toBe(
      'not proven, still to do: Forward drop with the range of its type, DC test',
    )
    expect(partVerdictWords({ ...diode, figures: [{ ...drop, low: null, high: null }] })).toContain(
      'with the range of its type',
    )
    expect(partVerdictWords(tested({ partKind: 'other', dcResult: 'good' }))).not.toContain('RF')
  })
  it('a figure stands with the range of its type, and what lies outside says so', () => {
    const mosfet = tested({
      partKind: 'mosfet',
      figures: [{ figure: 'gate-threshold', value: 5.2, low: 2, high: 4 }],
    })
    expect(partVerdictWords(mosfet)).toBe("doubtful: Gate threshold outside its type's range")
    expect(plain(partTestWords(mosfet))).toBe('Gate threshold 5.2 V (type 2 V to 4 V)')
  })
  it('a needle below a tenth of its scale is a bound, with all that it was tried with', () => {
    const rf = tested({
      partKind: 'transistor',
      rfPowerW: 0.1,
      rfReferenceW: 4,
      testSet: 'jig',
      scale: '20 W',
      supplyV: 13.8,
      supplyA: 0.5,
      keyedS: 5,
      boughtAt: 'market stall',
      lot: '88A',
    })
    expect(partVerdictWords(rf)).toBe('doubtful: at most 50 % of the reference power')
    expect(partTestWords(rf)).toBe(
      'RF at most 2 W of 4 W, in jig, scale 20 W, 13.8 V, 0.50 A, 5 s keyed, from market stall, lot 88A',
    )
  })
  it('what is known of a lot is told only where something speaks against it', () => {
    expect(lotWords({ tested: 3, rejected: 0, doubtful: 0 })).toBe('')
    expect(lotWords({ tested: 3, rejected: 2, doubtful: 0 })).toContain(
      '3 earlier tests of this type from this seller: 2 rejected, 0 doubtful',
    )
  })
})

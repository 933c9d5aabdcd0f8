import { describe, expect, it } from 'vitest'
import { told } from '../../test/fixtures/wholeJob/told'
import { job, writer } from '../../test/fixtures/wholeJob/wholeJob'
import { hzToPpm } from '#core/quantity'
import { modelSheet } from '#core/sheet'

const P5 = modelSheet('quillon-p5')

describe('5: first setting of a small CW kit', () => {
  const w = writer(P5)
  const found = [
    w.found('receive', { supplyV: [12, 0.05], supplyA: [0.11, 0.01] }),
    w.found('reference', { referenceHz: [9_999_959, 1] }),
  ]
  const left = [
    w.turned('R36'),
    w.left('reference', { referenceHz: [10_000_000, 0.3] }),
    w.left('gate', { gateV: [2.15, 0.03] }),
    w.left('carrier', { powerW: [4, 0.5], supplyA: [0.62, 0.01] }),
  ]
  const t = told(job(P5, 'R-AM', [], [...found, ...left]), 'as-left')
  it('says: 41 Hz at 10 MHz are -4.1 ppm, below', () => {
    expect(hzToPpm(-41, 10e6)).toBeCloseTo(-4.1, 6)
    expect(t.verdict('as-found', 'reference', 'referenceHz')).toBe('below')
  })
  it('says: 4.0 W of 12.0 V x 0.62 A is 54 %: plausible', () => {
    expect(t.challenges.filter(c => c.pointId === 'carrier' && c.rule === 'P06')).toEqual([])
  })
  it('says: the rules of amateurs, no CB limit of 4 W', () => {
    expect(t.paper.join('\n')).not.toMatch(/4 W max|does not comply/)
    expect(
      told(job(P5, 'R-AM', [], [w.left('carrier', { powerW: [4.4, 0.5] })])).paper.join('\n'),
    ).not.toMatch(/does not comply/)
  })
  it('must not say: exact, good sensitivity; the receiver was not measured', () => {
    expect(t.all).not.toMatch(/\bexact\b|sensitivity[^\n]*(good|within)/i)
    expect(t.paper.join('\n')).toMatch(/Receiver, 10 dB[^\n]*not measured at the end/)
  })
  it('says: the crystal is assumed too high when the beat is below the standard: the entry goes down', () => {
    // Worked by hand: 25 003 200 Hz x (1 - 4.1 ppm) = 25 003 097.5.
    expect(25_003_200 * (1 + hzToPpm(-41, 10e6) / 1e6)).toBeCloseTo(25_003_097.5, 1)
    expect(P5.procedure.find(s => s.id === 'A8.1')!.cautions.join(' ')).toContain(
      'below the standard means that the value is too high: lower it',
    )
  })
  it('says: what was turned is on the paper', () => expect(t.paper.join('\n')).toMatch(/Adjusted: R36/))
})

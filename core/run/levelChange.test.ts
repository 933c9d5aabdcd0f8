import { describe, expect, it } from 'vitest'
import { rowTaken, turned } from '../../test/fixtures/jobEvents'
import type { Quantity } from '../quantity'
import { ruleSet } from '../rules'
import { modelSheet, operatingPoint, pointOf } from '../sheet'
import { jobState } from '../work'
import { levelChange } from './index'
import type { JobEvent, Phase } from './jobEvent'

const SHEET = modelSheet('osmund-27f')
const row = (phase: Phase, pointId: string, values: Partial<Record<Quantity, number>>, change: object = {}) =>
  rowTaken(phase, null, pointId, values, {
    ...operatingPoint(pointOf(SHEET, null, pointId).state),
    load: SHEET.load,
    ...change,
  })
const changeOf = (pointId: string, quantity: Quantity, events: readonly JobEvent[]) => {
  const { compared } = jobState(SHEET, ruleSet('R-UK27'), events)
  const cell = compared.find(c => c.point.id === pointId && c.want.quantity === quantity)!
  return levelChange(cell)
}
const power = (before: number, after: number) => [
  row('as-found', 'high-20', { powerW: before }),
  row('as-left', 'high-20', { powerW: after }),
]

describe('change of a level between as found and as left', () => {
  it.each([
    // By hand: 10 log10(4 / 2.8), 10 log10(7.2 / 3.36); what 3 % on both cannot tell is 10 log10(1.0424).
    [2.8, 4, 1.55, 0.18],
    [3.36, 7.2, 3.31, 0.18],
    [4.7, 3.9, -0.81, 0.18],
  ])('of carrier power, %d to %d W, is %d dB', (before, after, db, boundDb) => {
    const change = changeOf('high-20', 'powerW', power(before, after))!
    expect(change.db).toBeCloseTo(db, 2)
    expect(change.boundDb).toBeCloseTo(boundDb, 2)
  })
  it('of deviation is told as of a voltage: 1.6 to 2.4 kHz is 3.5 dB', () => {
    const id = SHEET.matrix.find(p => p.wants.some(w => w.quantity === 'deviationPositiveHz'))!.id
    const change = changeOf(id, 'deviationPositiveHz', [
      row('as-found', id, { deviationPositiveHz: 1600 }),
      row('as-left', id, { deviationPositiveHz: 2400 }),
    ])
    expect(change!.db).toBeCloseTo(3.52, 2)
  })
  it('of a sensitivity is what the receiver gained: 3.2 to 0.6 uV is 14.5 dB', () => {
    const id = SHEET.matrix.find(p => p.wants.some(w => w.quantity === 'sensitivityV'))!.id
    const change = changeOf(id, 'sensitivityV', [
      row('as-found', id, { sensitivityV: 3.2e-6 }),
      row('as-left', id, { sensitivityV: 0.6e-6 }),
    ])
    expect(change!.db).toBeCloseTo(14.54, 2)
  })
})

describe('no change of a level is told', () => {
  it('where one of the two is missing', () => {
    expect(changeOf('high-20', 'powerW', power(2.8, 4).slice(0, 1))).toBeNull()
  })
  it('where something stood differently', () => {
    const [before] = power(2.8, 4)
    const after = row('as-left', 'high-20', { powerW: 4 }, { supplyV: 12 })
    expect(changeOf('high-20', 'powerW', [before!, after])).toBeNull()
  })
  it('of a reading that something was turned after', () => {
    expect(changeOf('high-20', 'powerW', [...power(2.8, 4), turned('L7')])).toBeNull()
  })
  it('of a needle beyond its scale, or of nothing', () => {
    const [before, after] = power(2.8, 4)
    if (before?.kind !== 'row-taken') throw new Error('a row')
    const beyond: JobEvent = {
      ...before,
      readings: before.readings.map(r => ({ ...r, bound: 'at-least' })),
    }
    expect(changeOf('high-20', 'powerW', [beyond, after!])).toBeNull()
    expect(changeOf('high-20', 'powerW', power(0, 4))).toBeNull()
  })
  it('of a frequency', () => {
    const events = (['as-found', 'as-left'] as const).map(p => row(p, 'high-20', { carrierHz: 27_791_250 }))
    expect(changeOf('high-20', 'carrierHz', events)).toBeNull()
  })
})

import { describe, expect, it } from 'vitest'
import { rowTaken, struck } from '../../test/fixtures/jobEvents'
import { VARIABLE } from '../../test/fixtures/variablePower'
import { ruleSet } from '../rules'
import type { JobEvent, RowConditions } from './jobEvent'
import { matrixState } from './matrixState'
import { powerRanges } from './powerRange'
import { runState } from './runState'

const RULES = ruleSet('R-UK27')
const LEAST = { powerPosition: 'rear control at its left end' }
const least = (powerW: number, at: Partial<RowConditions> = {}) =>
  rowTaken('as-found', null, 'least', { powerW }, { ...LEAST, ...at })
const full = (powerW: number) => rowTaken('as-found', null, 'high-20', { powerW })

function range(...events: JobEvent[]) {
  const rows = matrixState(VARIABLE, RULES, runState(VARIABLE, RULES, events).history, 'as-found')
  return powerRanges(
    VARIABLE,
    id => rows.find(r => r.point.id === id)!.cells.find(c => c.want.quantity === 'powerW')!.latest,
  )
}
/** The same rows, read in another way. */
const withReading = (event: JobEvent, change: object): JobEvent =>
  event.kind === 'row-taken' ? { ...event, readings: event.readings.map(r => ({ ...r, ...change })) } : event

describe('the range of a power control', () => {
  it('is what its two ends were read at', () => {
    expect(range(least(0.8), full(9.4))).toMatchObject([
      { name: 'Rear power control', lowest: { value: 0.8 }, highest: { value: 9.4 }, effect: 'works' },
    ])
    // 10 log(9.4 / 0.8)
    expect(range(least(0.8), full(9.4))[0]!.spanDb).toBeCloseTo(10.7, 1)
  })
  it('is not known from one end, and nothing is said of a control that nobody tried', () => {
    expect(range(full(3.9))).toMatchObject([{ lowest: null, spanDb: null, effect: null }])
    expect(range(least(0.8))).toMatchObject([{ highest: null, effect: null }])
    expect(range()).toEqual([])
    expect(range(rowTaken('as-found', null, 'medium', { powerW: 1.5 }, { powerPosition: '1.5 W' }))).toEqual(
      [],
    )
  })
  it('a reading that was struck out is none', () => {
    const row = least(0.8)
    const id = row.kind === 'row-taken' ? row.readings[0]!.id : ''
    expect(range(row, full(3.9), struck(id))).toMatchObject([{ lowest: null, effect: null }])
  })
  it('a control that moves nothing is told from one that moves little, and from one that works backwards', () => {
    expect(range(least(27.5), full(27.5))).toMatchObject([{ effect: 'none', spanDb: 0 }])
    expect(range(least(27.1), full(27.5))).toMatchObject([{ effect: 'none' }])
    expect(range(least(26.5), full(27.5))).toMatchObject([{ effect: 'works' }])
    expect(range(least(9.4), full(0.8))).toMatchObject([{ effect: 'reversed' }])
  })
  it('beyond a scale nothing is said of it, nor where there is no power', () => {
    const off = (e: JobEvent) => withReading(e, { bound: 'at-least' })
    expect(range(off(least(25)), off(full(25)))).toMatchObject([{ effect: null, spanDb: null }])
    expect(range(least(0), full(0))).toMatchObject([{ effect: null }])
  })
  it('two meters, a meter that nobody named, another supply: the ends stand, no more is said', () => {
    expect(range(withReading(least(3.9), { instrument: 'Other' }), full(3.9))).toMatchObject([
      { effect: null },
    ])
    const unnamed = (e: JobEvent) => withReading(e, { instrument: null })
    expect(range(unnamed(least(3.9)), unnamed(full(3.9)))).toMatchObject([{ effect: null }])
    expect(range(least(3.9, { supplyV: 12 }), full(3.9))).toMatchObject([{ effect: null, spanDb: null }])
  })
})

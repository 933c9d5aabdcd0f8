import { describe, expect, it } from 'vitest'
import { boundToStandard, type Quantity } from '../quantity'
import { ruleSet } from '../rules'
import { modelSheet } from '../sheet'
import { rowTaken } from '../../test/fixtures/jobEvents'
import type { JobEvent, RowTaken } from './jobEvent'
import { history } from './history'
import { matrixState } from './matrixState'
import { plateInputs } from './plateInput'

const HB150 = modelSheet('quillon-hb150')
const BAND = { mode: 'CW', channel: 2, setting: 'tuned: preselector, plate dip, load' } as const

function read(values: Partial<Record<Quantity, number>>, change: (row: RowTaken) => JobEvent = row => row) {
  const row = change(rowTaken('as-found', null, 'band-2', values, BAND) as RowTaken)
  return matrixState(HB150, ruleSet('R-AM'), history(HB150, [row]), 'as-found')
}

describe('what a valve stage takes', () => {
  it('is plate voltage times current, with what comes out of it and how well that is known', () => {
    const exact = (row: RowTaken): JobEvent => ({
      ...row,
      readings: row.readings.map(r => ({
        ...r,
        standardUncertainty: boundToStandard(r.quantity === 'plateA' ? 0.0125 : 10),
      })),
    })
    // 800 V x 225 mA = 180 W; 118 W of it is 65.6 %.
    expect(plateInputs(HB150, read({ plateA: 0.225, powerW: 118 }, exact))).toMatchObject([
      {
        inputW: 180,
        inputBoundW: expect.closeTo(10, 1),
        outputRatio: expect.closeTo(0.656, 3),
        ratioBound: expect.closeTo(0.656 * Math.hypot(12.5 / 225, 10 / 118), 3),
      },
    ])
  })
  it('is not told where it cannot be true, or one of the two is missing or a bound', () => {
    expect(plateInputs(HB150, read({ plateA: 0.225, powerW: 176 }))).toEqual([])
    expect(plateInputs(HB150, read({ plateA: 0.225 }))).toEqual([])
    const atLeast = (row: RowTaken): JobEvent => ({
      ...row,
      readings: row.readings.map(r => (r.quantity === 'powerW' ? { ...r, bound: 'at-least' } : r)),
    })
    expect(plateInputs(HB150, read({ plateA: 0.225, powerW: 60 }, atLeast))).toEqual([])
  })
  it('is not told of a set whose plate voltage the sheet does not know', () => {
    expect(plateInputs(modelSheet('osmund-40a'), read({ plateA: 0.225, powerW: 118 }))).toEqual([])
  })
})

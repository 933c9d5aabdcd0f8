import { describe, expect, it } from 'vitest'
import { modelSheet } from '../../sheet'
import { rowTaken } from '../../../test/fixtures/jobEvents'
import { history } from '../history'
import { menuReadings, menuState } from './menuState'

const M6 = modelSheet('corvid-m6')
const row = (menuCode: number, powerW: number) =>
  rowTaken('adjusting', 'A4.4a', 'power', { powerW, menuCode }, { mode: 'AM', channel: 19 })
const GOAL = { limit: 4, boundRatio: 0.02, maxCode: 255 }

describe('menu values of a run', () => {
  const past = history(M6, [row(0x5e, 3.02), row(0x66, 3.94), row(0x6e, 5)])
  const readings = menuReadings(past, 'A4.4a', 'power', 'powerW')
  it('belong to the readings of their row', () =>
    expect(readings).toEqual([
      { code: 0x5e, value: 3.02 },
      { code: 0x66, value: 3.94 },
      { code: 0x6e, value: 5 },
    ]))
  it('propose the value under the limit, bound counted (C46)', () =>
    expect(menuState(readings, GOAL, null).proposal).toMatchObject({ code: 0x65, why: 'within' }))
  it('say what a typed one would make, and warn before it passes the limit', () => {
    expect(menuState(readings, GOAL, 0x6e)).toMatchObject({ expected: 5, tooHigh: true })
    const between = menuState(readings, GOAL, 0x62)
    expect(between.expected).toBeGreaterThan(3.02)
    expect(between.expected).toBeLessThan(3.94)
    expect(between.tooHigh).toBe(false)
    expect(menuState(readings, GOAL, 0x80)).toMatchObject({ tooHigh: true })
    expect(menuState(readings.slice(0, 1), GOAL, 0x80)).toMatchObject({ expected: null, tooHigh: false })
  })
})

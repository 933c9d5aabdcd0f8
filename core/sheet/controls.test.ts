import { describe, expect, it } from 'vitest'
import { VARIABLE } from '../../test/fixtures/variablePower'
import { isFullPower, isLeastPower, sameControls, samePower } from './controls'
import { modelSheet, operatingPoint, pointOf, sameConditions, topicOf } from './index'

const state = (id: string) => pointOf(VARIABLE, null, id).state
const [full, low, medium] = [state('high-20'), state('low-20'), state('medium')]

describe('where the power control stands', () => {
  it('a position between is neither end', () => {
    expect([full, low, medium].map(isFullPower)).toEqual([true, false, false])
    expect([full, low, medium].map(isLeastPower)).toEqual([false, true, false])
  })
  it('each position is itself only', () => {
    for (const a of [full, low, medium])
      for (const b of [full, low, medium]) {
        expect(samePower(a, b)).toBe(a === b)
        expect(sameControls(a, b)).toBe(a === b)
        expect(sameConditions(operatingPoint(a), operatingPoint(b))).toBe(a === b)
      }
    expect(samePower({ ...full, powerPosition: undefined }, full)).toBe(true)
  })
  it('what moves the carrier of the highest position is no verdict on the others', () => {
    expect(topicOf('powerW', full)).toBe('power')
    expect(topicOf('powerW', medium)).toBe('low-power')
  })
  it('no shipped sheet has one', () =>
    expect(modelSheet('osmund-27f').matrix.some(p => p.state.powerPosition)).toBe(false))
})

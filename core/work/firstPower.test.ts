import { describe, expect, it } from 'vitest'
import { kindInfo, modelSheet } from '../sheet'
import { firstPowerPlan, powerVerdict } from './firstPower'

const FM = modelSheet('osmund-27f')
const hungry = { ...FM, idleA: { low: 2, high: 3 } }

describe('first power', () => {
  it('has the limit of its kind, or room above what a set draws that idles higher', () => {
    expect(firstPowerPlan(FM).limitA).toBe(kindInfo(FM.kind).firstLimitA)
    const { limitA, idleA } = firstPowerPlan(hungry)
    expect(limitA).toBeCloseTo(3 * 1.3 * 1.2, 9)
    expect(limitA).toBeGreaterThan(idleA.high)
  })
  it('goes on within 30 % of what the sheet says', () => {
    const tried = (idleA: number | null) => powerVerdict(FM, { seen: 'normal', idleA })
    expect([tried(FM.idleA.low * 0.71), tried(FM.idleA.high * 1.29), tried(null)]).toEqual([
      'go-on',
      'go-on',
      'go-on',
    ])
    expect([tried(FM.idleA.low * 0.69), tried(FM.idleA.high * 1.31)]).toEqual(['below', 'above'])
  })
  it('stops at the limit, rising or with smoke, whatever it draws', () => {
    for (const seen of ['limit', 'rising', 'smoke'] as const)
      expect(powerVerdict(FM, { seen, idleA: FM.idleA.low })).toBe('stop')
  })
})

import { describe, expect, it } from 'vitest'
import { act, type RigState } from '../index'
import { dB, does, healthy, faulty, at, look, value } from '../../../test/fixtures/faults/simulatedSet'

/**
 * One test per symptom of the table of faults (bench facts 7.8, invented sets, computed from the formulas
 * where one applies).
 */
describe('X04 one stage mistuned', () => {
  const s = faulty('X04')
  const peaked = does(s, at('L6', 0))
  const lossDb = (c: number) =>
    dB(value(s, { channel: c, keyed: true }, 'powerW') / value(peaked, { channel: c, keyed: true }, 'powerW'))
  // The peaked coil itself loses 0.7 dB at both ends (Q 30), which belongs to the row's figures.
  const bareDb = (c: number) => lossDb(c) + (c === 20 ? 0 : dB(1 / (1 + ((2 * 30 * 195) / 27_796) ** 2)))
  it.each([
    [1, -3.2],
    [20, -1.5],
    [40, -0.2],
  ])('(a) channel %d %d dB', (c, db) => expect(bareDb(c)).toBeCloseTo(db, 0.7))
  it('(b) supply current falls there', () =>
    expect(value(s, { channel: 1, keyed: true }, 'supplyA')).toBeLessThan(
      value(s, { channel: 40, keyed: true }, 'supplyA') - 0.03,
    ))
})

describe('X05, X06 cores', () => {
  const s = faulty('X05')
  const power = (state: RigState) => value(state, { keyed: true, channel: 20 }, 'powerW')
  const stageDb = (state: RigState, coil: string) => {
    const points = look(state, { keyed: true, channel: 20 }).testPoints
    return 2 * dB(points[`RF behind ${coil}`]!.value! / points['RF behind L3']!.value!)
  }
  it('X05 (a) a whole turn changes less than 0.05 dB', () =>
    expect(Math.abs(dB(power(does(s, at('L4', 1))) / power(does(s, at('L4', 0)))))).toBeLessThan(0.05))
  it('X05 (b) the stage is 3 to 10 dB low', () => {
    const lowDb = stageDb(healthy('osmund-27f'), 'L4') - stageDb(s, 'L4')
    expect(lowDb).toBeGreaterThan(3)
    expect(lowDb).toBeLessThan(10)
  })
  const waxed = faulty('X06')
  it('X06 (a) does not move until softened', () => {
    expect(act(waxed, at('L4', 0)).motion).toBe('stuck')
    const soft = act(does(waxed, { kind: 'soften', designator: 'L4' }), at('L4', 0))
    expect(soft.motion).toBe('turned')
    expect(power(soft.state)).toBeGreaterThan(power(waxed))
  })
  it('X06 (b) forced it becomes X05', () => {
    const forced = act(waxed, { kind: 'turn', designator: 'L4', position: 0, forced: true })
    expect(forced.motion).toBe('broke')
    expect(
      Math.abs(dB(power(does(forced.state, at('L4', 1))) / power(does(forced.state, at('L4', 0))))),
    ).toBeLessThan(0.05)
    expect(forced.state.damage).toHaveLength(1)
  })
})

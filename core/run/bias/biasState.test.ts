import { describe, expect, it } from 'vitest'
import { ruleSet } from '../../rules'
import { modelSheet } from '../../sheet'
import { rowTaken } from '../../../test/fixtures/jobEvents'
import { runState, ticksToAmperes, type JobEvent } from '../index'

const step = (sheetId: string, stepId: string, ...events: JobEvent[]) => {
  const sheet = modelSheet(sheetId)
  return runState(sheet, ruleSet(sheet.defaultRuleSetId), events).steps.find(s => s.step.id === stepId)!
}
const lx8 = (first: number, second: number) =>
  step(
    'larkfield-lx8',
    'A3.7',
    rowTaken('adjusting', 'A3.7', 'final-1', { stageIdleA: first }, { mode: 'USB', channel: 139 }),
    rowTaken('adjusting', 'A3.7', 'final-2', { stageIdleA: second }, { mode: 'USB', channel: 139 }),
  )
const p7 = (...rows: [string, number][]) =>
  step(
    'quillon-p7',
    'A9.3',
    ...rows.map(([id, supplyA]) =>
      rowTaken('adjusting', 'A9.3', id, { supplyA }, { mode: 'USB', channel: 3 }),
    ),
  )

describe('bias', () => {
  it('two devices are compared: alike within a tenth, or the step is not done', () => {
    expect(lx8(0.05, 0.051)).toMatchObject({ status: 'inside', bias: { alike: true } })
    const unlike = lx8(0.046, 0.054)
    expect(unlike).toMatchObject({ status: 'above', bias: { alike: false } })
    expect(unlike.bias!.ratio).toBeCloseTo(0.054 / 0.046, 3)
  })
  it('one that is not read yet is told, not guessed', () => {
    const half = step(
      'larkfield-lx8',
      'A3.7',
      rowTaken('adjusting', 'A3.7', 'final-1', { stageIdleA: 0.05 }, { mode: 'USB', channel: 139 }),
    )
    expect(half.bias).toMatchObject({ ratio: null, alike: null })
    expect(half.bias!.devices.map(d => d.idleA)).toEqual([0.05, null])
  })
  it('by the rise over zero bias: 350 mA and 500 more', () => {
    expect(p7(['zero', 0.35]).bias!.devices[0]).toMatchObject({ idleA: null })
    const set = p7(['zero', 0.35], ['idle', 0.85])
    expect(set.bias!.devices[0]!.idleA).toBeCloseTo(0.5, 9)
    expect(set.bias!.devices[0]!.burnsW).toBeCloseTo(0.5 * 13.8, 6)
    expect(set.wants[1]!.requirement.window).toMatchObject({
      low: expect.closeTo(0.82, 9) as number,
      high: expect.closeTo(0.88, 9) as number,
    })
    expect(set.status).not.toBe('above')
    expect(p7(['zero', 0.35], ['idle', 0.95]).status).toBe('above')
  })
  it('three divisions of 20 mA are 60 mA, and 800 V of them 48 W', () => {
    const hb = step(
      'quillon-hb150',
      'A6.1',
      rowTaken('adjusting', 'A6.1', 'idle', { stageIdleA: 0.06 }, { mode: 'USB', channel: 3 }),
    )
    expect(hb.bias!.devices[0]!.ticks).toBeCloseTo(3, 9)
    expect(hb.bias!.devices[0]!.burnsW).toBeCloseTo(48, 9)
  })
  it('what burns more than its device may is above, whatever the window says', () => {
    const sheet = modelSheet('larkfield-lx8m')
    const wide = {
      ...sheet,
      procedure: sheet.procedure.map(s => (s.bias ? { ...s, bias: { ...s.bias, mostW: 1 } } : s)),
    }
    const s = runState(wide, ruleSet('R-SHOP'), [
      rowTaken('adjusting', 'A12.5', 'idle', { stageIdleA: 0.1 }, { mode: 'USB', channel: 139 }),
    ]).steps.find(x => x.step.id === 'A12.5')!
    expect(s.bias!.devices[0]!.tooHot).toBe(true)
    expect(s.status).toBe('above')
  })
})

describe('ticks of a panel meter', () => {
  it.each([
    ['3 t', 0.06],
    ['2.5 ticks', 0.05],
    ['3 div', 0.06],
    ['2,5 divisions', 0.05],
    ['1,5t', 0.03],
    ['60', null],
    ['3 V', null],
  ])('"%s"', (text, a) => {
    const read = ticksToAmperes(text, 0.02)
    if (a === null) expect(read).toBeNull()
    else expect(read).toBeCloseTo(a, 12)
  })
  it('of no size are refused', () => expect(() => ticksToAmperes('3 t', 0)).toThrowSaying('0 A'))
})

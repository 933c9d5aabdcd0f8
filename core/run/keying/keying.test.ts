import { describe, expect, it } from 'vitest'
import { SHEETS, modelSheet, stepOf, type MeasurePoint } from '../../sheet'
import { NO_SIGNS, isReadable, keyedBy, rowObstacle, sensesKey } from './index'

const LX8 = modelSheet('larkfield-lx8')
const point = (sheetId: string, stepId: string): MeasurePoint =>
  stepOf(modelSheet(sheetId), stepId).points[0]!
const silent = { rfW: 0, keyedBy: null }

describe('what shows that the set is keyed', () => {
  it.each([
    [{ rfW: 3.9 }, 'rf'],
    [{ rfW: 0.01 }, null],
    [{ supplyA: 1.6 }, 'supply-current'],
    [{ supplyA: 0.6 }, null],
    [{ stageA: 0.061 }, 'stage-current'],
    [{ stageA: 0 }, null],
    [{ keyLine: true }, 'key-line'],
    [{ keyLine: false }, null],
    [{ byHand: true, rfW: 0 }, 'hand'],
  ] as const)('%j: %s', (signs, by) => expect(keyedBy({ ...NO_SIGNS, ...signs }, LX8)).toBe(by))
  it('is not the supply current of a set whose idle and keyed currents overlap, or of no set', () => {
    expect(
      keyedBy({ ...NO_SIGNS, supplyA: 2 }, { idleA: { low: 1, high: 1.5 }, keyedA: { low: 1.4, high: 2 } }),
    ).toBeNull()
    expect(keyedBy({ ...NO_SIGNS, supplyA: 2 }, null)).toBeNull()
  })
})

describe('what would show it', () => {
  const overlapping = { idleA: { low: 1, high: 1.5 }, keyedA: { low: 1.4, high: 2 } }
  it.each([
    [{}, LX8, false],
    [{ byHand: true }, LX8, false],
    [{ rfW: 0 }, null, true],
    [{ stageA: 0 }, null, true],
    [{ keyLine: false }, null, true],
    [{ supplyA: 0.6 }, LX8, true],
    [{ supplyA: 0.6 }, null, false],
    [{ supplyA: 0.6 }, overlapping, false],
  ])('%j: %#', (signs, currents, sensed) =>
    expect(sensesKey({ ...NO_SIGNS, ...signs }, currents)).toBe(sensed),
  )
})

describe('taking a row', () => {
  it.each([
    ['quillon-hb150', 'A6.1'],
    ['larkfield-lx8', 'A3.7'],
    ['larkfield-lx8', 'A3.9'],
    ['larkfield-lx8m', 'A12.5'],
    ['quillon-p7', 'A9.3'],
  ])('%s %s has no RF and needs none once it is keyed', (sheet, step) => {
    expect(rowObstacle(point(sheet, step), { rfW: 0, keyedBy: 'key-line' })).toBeNull()
    expect(rowObstacle(point(sheet, step), { rfW: 0, keyedBy: 'hand' })).toBeNull()
  })
  it('asks for the key where a row needs it and nothing shows it', () => {
    expect(rowObstacle(point('quillon-hb150', 'A6.1'), silent)).toBe('not-keyed')
    expect(rowObstacle(point('larkfield-lx8', 'A3.11'), silent)).toBe('not-keyed')
  })
  it('tells a keyed set without output from one that is not keyed', () => {
    expect(rowObstacle(point('larkfield-lx8', 'A3.11'), { rfW: 0, keyedBy: 'supply-current' })).toBe('no-rf')
  })
  it('never asks for the key in a row of the receiver or of the menu', () => {
    const unkeyed = SHEETS.flatMap(s => [...s.matrix, ...s.procedure.flatMap(p => p.points)]).filter(
      p => !p.state.keyed,
    )
    expect(unkeyed.filter(p => rowObstacle(p, silent) !== null)).toEqual([])
  })
  it('says nothing where no power meter is live', () => {
    expect(rowObstacle(point('larkfield-lx8', 'A3.11'), { rfW: null, keyedBy: null })).toBeNull()
  })
  it('an unkeyed plate current is not readable, a keyed one is', () => {
    expect(isReadable('plateA', { keyed: true }, silent)).toBe(false)
    expect(isReadable('plateA', { keyed: true }, { rfW: 0, keyedBy: 'hand' })).toBe(true)
    expect(isReadable('vcoV', { keyed: false }, silent)).toBe(true)
  })
})

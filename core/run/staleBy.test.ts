import { describe, expect, it } from 'vitest'
import { ruleSet } from '../rules'
import { modelSheet, type ModelSheet } from '../sheet'
import { rowTaken, turned, confirmed, stepRow } from '../../test/fixtures/jobEvents'
import { leavesAlone, runState, type JobEvent } from './index'

const P7 = modelSheet('quillon-p7')
const HB = modelSheet('quillon-hb150')
const LX8 = modelSheet('larkfield-lx8')
const FM = modelSheet('osmund-27f')
const state = (sheet: ModelSheet, events: readonly JobEvent[]) =>
  runState(sheet, ruleSet(sheet.defaultRuleSetId), events)
const step = (sheet: ModelSheet, id: string, ...events: JobEvent[]) =>
  state(sheet, events).steps.find(s => s.step.id === id)!
const turnedIn = (stepId: string, ...designators: string[]) =>
  ({ ...turned(...designators), stepId }) as JobEvent

describe('a reference reading is stale only by what changes it', () => {
  const zero = (mode: 'USB' | 'CW', supplyA: number) =>
    rowTaken(
      'adjusting',
      mode === 'USB' ? 'A9.3' : 'A9.4',
      'zero',
      { supplyA },
      { mode, channel: 3, setting: 'no drive' },
    )
  const idle = (mode: 'USB' | 'CW', supplyA: number) =>
    rowTaken(
      'adjusting',
      mode === 'USB' ? 'A9.3' : 'A9.4',
      'idle',
      { supplyA },
      { mode, channel: 3, setting: 'no drive' },
    )
  it('the current at bias zero stays, however often the bias is marked as turned', () => {
    const events = [
      zero('USB', 0.26),
      turnedIn('A9.3', 'BIAS'),
      idle('USB', 0.6),
      turnedIn('A9.3', 'BIAS'),
      idle('USB', 0.76),
    ]
    const s = step(P7, 'A9.3', ...events, turnedIn('A9.3', 'BIAS'))
    expect(s.wants[1]!.requirement.window!.aim).toBeCloseTo(0.76, 9)
    expect(s.wants[0]!.latest!.staleBy).toEqual([])
    expect(s.bias!.zeroA).toBeCloseTo(0.26, 9)
  })
  it('CW has a start of its own: 380 to 880 mA is inside, its heat from the rise', () => {
    const s = step(
      P7,
      'A9.4',
      zero('USB', 0.26),
      zero('CW', 0.38),
      turnedIn('A9.4', 'BIAS-CW'),
      idle('CW', 0.88),
    )
    expect(s.status).toBe('inside')
    expect(s.bias!.devices[0]!.burnsW).toBeCloseTo(0.5 * 13.8, 6)
  })
  it('each mode goes stale by its own number', () => {
    const usb = [zero('USB', 0.26), idle('USB', 0.76)]
    expect(step(P7, 'A9.3', ...usb, turnedIn('A9.4', 'BIAS-CW')).status).toBe('inside')
    expect(step(P7, 'A9.3', ...usb, turnedIn('A9.3', 'BIAS')).status).toBe('stale')
  })
})

describe('controls that a step prescribes', () => {
  const idle = rowTaken(
    'adjusting',
    'A6.1',
    'idle',
    { stageIdleA: 0.06 },
    { mode: 'USB', channel: 3, setting: 'no drive' },
  )
  const rx = rowTaken('adjusting', 'A6.2', 'rx', { sensitivityV: 3e-7 }, { mode: 'USB', channel: 3 })
  const dip = rowTaken(
    'adjusting',
    'A6.3',
    'dip',
    { plateA: 0.1 },
    { mode: 'CW', channel: 3, setting: 'half carrier' },
  )
  const full = rowTaken(
    'adjusting',
    'A6.7',
    'full',
    { plateA: 0.25, powerW: 120 },
    { mode: 'CW', channel: 3, setting: 'tuned: preselector, plate dip, load' },
  )
  const run = [
    idle,
    rx,
    turnedIn('A6.3', 'CARRIER', 'PRESELECTOR', 'PLATE'),
    dip,
    turnedIn('A6.7', 'LOAD', 'PLATE', 'CARRIER'),
    full,
    turnedIn('A6.9', 'CARRIER'),
  ]
  it.each(['A6.1', 'A6.2', 'A6.3', 'A6.7'])('do not undo %s', id =>
    expect(step(HB, id, ...run).staleBy).toEqual([]),
  )
  it('turned elsewhere they do', () => {
    expect(step(HB, 'A6.7', ...run, turnedIn('A6.3', 'PLATE')).status).toBe('stale')
    expect(step(HB, 'A6.2', ...run, turned('PRESELECTOR')).status).toBe('stale')
  })
  it('a bias preset is no control', () =>
    expect(step(HB, 'A6.7', ...run, turnedIn('A6.1', 'VR3')).status).toBe('stale'))
})

describe('a coil of one mode', () => {
  it('leaves the readings of the others', () => {
    const usb = rowTaken(
      'adjusting',
      'A3.5',
      'USB',
      { carrierHz: 27_186_000 },
      { mode: 'USB', channel: 139, toneHz: 1000 },
    )
    const lsb = rowTaken(
      'adjusting',
      'A3.5',
      'LSB',
      { carrierHz: 27_184_000 },
      { mode: 'LSB', channel: 139, toneHz: 1000 },
    )
    const wants = step(LX8, 'A3.5', usb, lsb, turnedIn('A3.5', 'L22')).wants
    expect(wants.map(w => [w.point.id, w.latest!.staleBy.length])).toEqual([
      ['USB', 0],
      ['LSB', 1],
    ])
  })
})

describe('4.00 W with 3 % against 4 W', () => {
  const rows = (w: number) => [1, 20, 40].map(c => stepRow('A1.7', `ch${c}`, { powerW: w }))
  const before = [
    stepRow('A1.0', 'warm', { onTimeS: 1500 }),
    confirmed('A1.0'),
    stepRow('A1.3', 'pin', { referenceHz: 10_240_001 }),
    confirmed('A1.3'),
  ]
  it('cannot be told, and the coils may be left: what follows is not blocked', () => {
    const left = [...before, ...rows(4), confirmed('A1.7', 'done')]
    const deciding = step(FM, 'A1.7', ...left)
    expect([deciding.status, deciding.satisfied, leavesAlone(deciding)]).toEqual(['cannot-tell', true, true])
    expect(step(FM, 'A1.8', ...left, confirmed('A1.8', 'skipped')).satisfied).toBe(true)
  })
  it('work on them lapses that', () => {
    const worked = [...before, ...rows(4), confirmed('A1.7', 'as-is')]
    expect(step(FM, 'A1.8', ...worked, confirmed('A1.8', 'skipped')).satisfied).toBe(false)
  })
  it('what is above is no reason to leave them', () =>
    expect(step(FM, 'A1.7', ...before, ...rows(5), confirmed('A1.7', 'done')).satisfied).toBe(false))
})

describe('a pass that loses', () => {
  const passes = (...powersW: number[]) =>
    step(FM, 'A1.8', ...powersW.map(powerW => stepRow('A1.8', 'ch20', { powerW }))).criterion!.met
  it('is not done, nor is one that stays below the best', () => {
    expect(passes(3, 4.1, 4.02)).toBe(false)
    expect(passes(4.1, 4.0, 4.0)).toBe(false)
    expect(passes(3, 4.1, 4.09)).toBe(true)
  })
})

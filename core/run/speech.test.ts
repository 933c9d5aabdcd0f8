import { describe, expect, it } from 'vitest'
import { rowTaken, turned } from '../../test/fixtures/jobEvents'
import { boundToStandard, expandedUncertainty, type Quantity } from '../quantity'
import { ruleSet } from '../rules'
import { modelSheet, operatingPoint, pointOf, type ModelSheet } from '../sheet'
import type { JobEvent, Phase } from './jobEvent'
import { matrixState } from './matrixState'
import { runState } from './runState'
import { speechReadings } from './speech'

const SHEET = modelSheet('osmund-40a')
const RULES = ruleSet('R-EU')
type Bounds = Partial<Record<Quantity, readonly [value: number, bound: number]>>
function row(
  pointId: string,
  values: Bounds,
  phase: Phase = 'as-found',
  sheet: ModelSheet = SHEET,
): JobEvent {
  const plain = Object.fromEntries(Object.entries(values).map(([q, [value]]) => [q, value]))
  const event = rowTaken(phase, null, pointId, plain, operatingPoint(pointOf(sheet, null, pointId).state))
  if (event.kind !== 'row-taken') return event
  const readings = event.readings.map(r => ({
    ...r,
    standardUncertainty: boundToStandard(values[r.quantity]![1]),
  }))
  return { ...event, readings }
}
const seen = (events: readonly JobEvent[], phase: Phase = 'as-found', sheet: ModelSheet = SHEET) =>
  speechReadings(matrixState(sheet, RULES, runState(sheet, RULES, events).history, phase))
const CARRIER = row('carrier-19', { powerW: [7.2, 0.5] })

describe('readings while somebody speaks', () => {
  it('a PEP would stand for a depth, and is none: 38 W over 7.2 W would be 130 %', () => {
    const [read] = seen([CARRIER, row('voice', { pepW: [38, 2.5] })])
    expect(read!.byPep!.value).toBeCloseTo(1.297, 3)
    // (1 + m) / 2 of 2.5 W in 38 and 0.5 W in 7.2.
    expect(expandedUncertainty(read!.byPep!)).toBeCloseTo(0.155, 3)
    expect(read!.tone).toBeNull()
  })
  it('stand beside the tone, where one was read: 104 % against 92 %', () => {
    const [read] = seen([
      row('carrier-19', { powerW: [4.7, 0.2] }),
      row('tone-19', { depthNegativeRatio: [0.92, 0.03] }),
      row('voice', { pepW: [19.5, 1.2] }),
    ])
    expect(read!.byPep!.value).toBeCloseTo(1.037, 3)
    expect(read!.tone!.value).toBe(0.92)
  })
  it('an average stands for nothing', () => {
    const [read] = seen([CARRIER, row('voice', { powerW: [9, 0.5] })])
    expect(read).toMatchObject({ pep: null, byPep: null, mean: { value: 9 } })
  })
  it('a PEP that is not above the carrier beyond both meters stands for no depth', () => {
    expect(seen([CARRIER, row('voice', { pepW: [6, 0.5] })])[0]!.byPep).toBeNull()
    expect(seen([CARRIER, row('voice', { pepW: [7.6, 0.5] })])[0]!.byPep).toBeNull()
  })
  it('of several tones the deepest counts: one at less drive says nothing of full drive', () => {
    const [read] = seen([
      CARRIER,
      row('level-down', { depthNegativeRatio: [0.5, 0.02] }),
      row('level-top', { depthNegativeRatio: [0.96, 0.02] }),
      row('voice', { pepW: [38, 2.5] }),
    ])
    expect(read!.tone!.value).toBe(0.96)
  })
  it('without the carrier of the same controls, on another channel or once it is stale, nothing is told', () => {
    expect(seen([row('voice', { pepW: [38, 2.5] })])).toEqual([])
    expect(seen([row('carrier-1', { powerW: [7, 0.5] }), row('voice', { pepW: [38, 2.5] })])).toEqual([])
    const left = [
      row('carrier-19', { powerW: [4, 0.2] }, 'as-left'),
      row('voice', { pepW: [15, 1] }, 'as-left'),
    ]
    expect(seen(left, 'as-left')).toHaveLength(1)
    expect(seen([...left, turned('RV4')], 'as-left')).toEqual([])
  })
  it('are those of a set whose sheet tells speech apart in its controls, too', () => {
    const sheet = modelSheet('brantwick-tallis60')
    const read = seen(
      [
        row('mark', { powerW: [12, 0.6] }, 'as-found', sheet),
        row('mark-voice', { pepW: [45, 3] }, 'as-found', sheet),
      ],
      'as-found',
      sheet,
    )
    expect(read[0]!.byPep!.value).toBeCloseTo(Math.sqrt(45 / 12) - 1, 9)
  })
})

describe('a row that is worth reading and that nobody owes', () => {
  const rowOf = (events: readonly JobEvent[], phase: Phase) =>
    matrixState(SHEET, RULES, runState(SHEET, RULES, events).history, phase).find(
      r => r.point.id === 'voice',
    )!
  it('is not open while it is empty or half filled', () => {
    expect(rowOf([], 'as-found')).toMatchObject({ complete: false, isOpen: false })
    expect(rowOf([row('voice', { pepW: [38, 2] })], 'as-found').isOpen).toBe(false)
  })
  it('is open once what was read there is stale', () => {
    const read = row('voice', { pepW: [15, 1] }, 'as-left')
    expect(rowOf([read], 'as-left').isOpen).toBe(false)
    expect(rowOf([read, turned('RV4')], 'as-left')).toMatchObject({ stale: true, isOpen: true })
  })
})

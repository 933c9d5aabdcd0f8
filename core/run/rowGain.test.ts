import { describe, expect, it } from 'vitest'
import { boundToStandard, type Bound, type Quantity } from '../quantity'
import { ruleSet } from '../rules'
import { modelSheet, operatingPoint, pointOf } from '../sheet'
import type { JobEvent } from './jobEvent'
import { matrixState } from './matrixState'
import { rowGains } from './rowGain'
import { runState } from './runState'

const DUO = modelSheet('brantwick-duo')
let count = 0
const id = () => `00000000-0000-4000-8000-${String(++count).padStart(12, '0')}`

function read(pointId: string, values: Partial<Record<Quantity, number>>, bound?: Bound): JobEvent {
  return {
    kind: 'row-taken',
    id: id(),
    atMs: 1_795_000_000_000 + count * 1000,
    phase: 'as-found',
    stepId: null,
    pointId,
    conditions: {
      ...operatingPoint(pointOf(DUO, null, pointId).state),
      supplyV: 13.8,
      load: DUO.load,
      onTimeS: null,
    },
    readings: Object.entries(values).map(([quantity, value]) => ({
      id: id(),
      quantity: quantity as Quantity,
      value,
      standardUncertainty: boundToStandard(0.03 * value),
      source: 'typed',
      instrument: 'Meter',
      ...(bound ? { bound } : {}),
    })),
  }
}
const gains = (...events: JobEvent[]) => {
  const { history } = runState(DUO, ruleSet('R-AM'), events)
  return rowGains(matrixState(DUO, ruleSet('R-AM'), history, 'as-found'))
}

describe('the gain of a row', () => {
  it('is output over drive, with what both meters may be off by', () => {
    const [half, full] = gains(
      read('half', { drivePowerW: 1.2, powerW: 24 }),
      read('full', { drivePowerW: 2.5, powerW: 44 }),
    )
    expect(half!.db).toBeCloseTo(13.01, 2)
    expect(full!.db).toBeCloseTo(12.46, 2)
    expect(half!.boundDb).toBeCloseTo(10 * Math.log10(1 + 0.03 * Math.SQRT2), 6)
  })
  it('is none of a half-read row, and none of a needle at its stop', () => {
    expect(gains(read('half', { powerW: 24 }))).toEqual([])
    expect(gains(read('half', { drivePowerW: 1.2, powerW: 20 }, 'at-least'))).toEqual([])
  })
})

import { randomUUID } from 'node:crypto'
import { boundToStandard, type Quantity } from '#core/quantity'
import { channelHz, planOf } from '#core/rules'
import { operatingPoint, type MeasurePoint, type ModelSheet } from '#core/sheet'
import { lookedAt, type NewEvent } from './lookedAt'

/** Bounds of the typed instruments [ratio of reading, then absolute]. */
const BOUNDS: Partial<Record<Quantity, readonly [number, number]>> = {
  carrierHz: [1e-7, 1],
  powerW: [0.05, 0],
  pepW: [0.05, 0],
  supplyV: [0.005, 0.01],
  supplyA: [0.02, 0.01],
  depthPositiveRatio: [0, 0.02],
  depthNegativeRatio: [0, 0.02],
  deviationPositiveHz: [0.03, 0],
  deviationNegativeHz: [0.03, 0],
  adjacentDbc: [0, 2],
  harmonicDbc: [0, 2],
  imd3Db: [0, 2],
  carrierLeakDb: [0, 2],
  stageIdleA: [0.02, 0],
  vcoV: [0.01, 0],
  audibleV: [0.41, 0],
  sensitivityV: [0.19, 0],
  sMeter: [0, 0.5],
}

/** A tone of 1 kHz stands beside its suppressed carrier [Hz]. */
const TONE_OFFSET_HZ: Partial<Record<MeasurePoint['state']['mode'], number>> = { USB: 1000, LSB: -1000 }

/**
 * A multimode whose AM regulator is shorted: AM and FM far too high and without modulation, SSB as it should
 * be (invented for the demo).
 */
function readAt(sheet: ModelSheet, { state }: MeasurePoint, quantity: Quantity): number | null {
  const sideband = state.mode === 'USB' || state.mode === 'LSB'
  switch (quantity) {
    case 'carrierHz':
      return channelHz(planOf(sheet), state.channel!) + 9 + (TONE_OFFSET_HZ[state.mode] ?? 0)
    case 'powerW':
      return sideband ? 5.8 : 19 + (state.channel! % 40) * 0.01
    case 'pepW':
      return sideband ? 11.6 : 19.6
    case 'depthPositiveRatio':
    case 'depthNegativeRatio':
      return 0.03
    case 'deviationPositiveHz':
    case 'deviationNegativeHz':
      return 1850
    default:
      return (
        (
          {
            supplyV: 13.78,
            supplyA: 3.2,
            stageIdleA: 0.05,
            vcoV: state.channel! < 100 ? 2.1 : 5.7,
            imd3Db: 28,
            carrierLeakDb: 44,
            adjacentDbc: -57,
            harmonicDbc: -64,
            audibleV: 0.6e-6,
            sensitivityV: 0.22e-6,
            sMeter: 9,
          } as Partial<Record<Quantity, number>>
        )[quantity] ?? null
      )
  }
}

/** Nobody spoke into it. */
const isOwed = (point: MeasurePoint) => !point.isOptional

export function multimodeJobEvents(sheet: ModelSheet, atMs: number): NewEvent[] {
  return [
    ...lookedAt(sheet, atMs, { I34: ['seen', 'resistor bridged beside the AM regulator'] }),
    ...sheet.matrix.filter(isOwed).map((point, i): NewEvent => ({
      kind: 'row-taken',
      atMs: atMs + 900_000 + i * 40_000,
      phase: 'as-found',
      stepId: null,
      pointId: point.id,
      conditions: {
        ...operatingPoint(point.state),
        supplyV: 13.78,
        load: sheet.load,
        onTimeS: 1900 + i * 40,
      },
      readings: point.wants.flatMap(({ quantity }) => {
        const value = readAt(sheet, point, quantity)
        const [ratio, absolute] = BOUNDS[quantity]!
        return value === null
          ? []
          : [
              {
                id: randomUUID(),
                quantity,
                value,
                standardUncertainty: boundToStandard(Math.abs(value) * ratio + absolute),
                source: 'typed' as const,
                instrument: 'Communications test set',
              },
            ]
      }),
    })),
  ]
}

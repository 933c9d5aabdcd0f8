import { randomUUID } from 'node:crypto'
import { boundToStandard, type Quantity } from '#core/quantity'
import { operatingPoint, type MeasurePoint, type ModelSheet } from '#core/sheet'
import { lookedAt, type NewEvent } from './lookedAt'

/**
 * Readings of an AM mobile with clipped limiter parts and a deaf receiver, invented for the demo; typed,
 * since no AM set is simulated.
 */
const READ: Readonly<Record<string, Partial<Record<Quantity, number>>>> = {
  'vco': { vcoV: 2.21 },
  'carrier-1': { carrierHz: 26_964_757, powerW: 3.78, supplyV: 13.81, supplyA: 1.16 },
  'carrier-19': { carrierHz: 27_184_755, powerW: 3.9, supplyV: 13.81, supplyA: 1.18 },
  'carrier-40': { carrierHz: 27_404_753, powerW: 3.85, supplyV: 13.81, supplyA: 1.17 },
  'tone-1': { depthPositiveRatio: 1.24, depthNegativeRatio: 1, pepW: 18.9, powerW: 6.6 },
  'tone-19': { depthPositiveRatio: 1.25, depthNegativeRatio: 1, pepW: 19.7, powerW: 6.8 },
  'tone-40': { depthPositiveRatio: 1.24, depthNegativeRatio: 1, pepW: 19.3, powerW: 6.7 },
  'level-down': { depthNegativeRatio: 0.63 },
  'level-up': { depthNegativeRatio: 1 },
  'level-top': { depthNegativeRatio: 1 },
  'purity': { adjacentDbc: -31, harmonicDbc: -64 },
  'panel': { panelPowerW: 2.8 },
  'threshold': { audibleV: 4e-6 },
  'sinad': { sinadDb: 3 },
  'sinad-lower': { sinadDb: 0.4 },
  's9': { sMeter: 5.5 },
}
/** Bounds of the typed instruments [ratio of reading, then absolute]. */
const BOUNDS: Partial<Record<Quantity, readonly [number, number]>> = {
  carrierHz: [1e-7, 1],
  powerW: [0.05, 0],
  pepW: [0.05, 0],
  supplyV: [0.005, 0.01],
  supplyA: [0.02, 0.01],
  depthPositiveRatio: [0, 0.02],
  depthNegativeRatio: [0, 0.02],
  adjacentDbc: [0, 2],
  harmonicDbc: [0, 2],
  vcoV: [0.01, 0],
  panelPowerW: [0, 0.1],
  audibleV: [0.41, 0],
  sinadDb: [0, 1],
  sMeter: [0, 0.5],
}

const isRead = ({ id }: MeasurePoint) => READ[id] !== undefined

export function amJobEvents(sheet: ModelSheet, atMs: number): NewEvent[] {
  return [
    ...lookedAt(sheet, atMs, {
      I33: ['seen', 'limiter transistor clipped out'],
      I39: ['seen', 'fixed capacitor C31 in the place of the trimmer'],
    }),
    {
      kind: 'reminder-set',
      atMs: atMs + 600_000,
      condition: 'spectrum',
      text: 'look at the spread turns of L8',
    },
    ...sheet.matrix.filter(isRead).map((point, i): NewEvent => {
      return {
        kind: 'row-taken',
        atMs: atMs + 900_000 + i * 45_000,
        phase: 'as-found',
        stepId: null,
        pointId: point.id,
        conditions: {
          ...operatingPoint(point.state),
          supplyV: 13.81,
          load: sheet.load,
          onTimeS: 1500 + i * 45,
        },
        readings: Object.entries(READ[point.id]!).map(([name, value]) => {
          const quantity = name as Quantity
          const [ratio, absolute] = BOUNDS[quantity]!
          return {
            id: randomUUID(),
            quantity,
            value,
            standardUncertainty: boundToStandard(Math.abs(value) * ratio + absolute),
            source: 'typed',
            instrument: 'Communications test set',
          }
        }),
      }
    }),
  ]
}

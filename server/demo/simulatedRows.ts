import { randomUUID } from 'node:crypto'
import { INSTRUMENT_PROFILES, instrumentProfile, profileQuantity } from '#core/instrument'
import { putFor } from '#core/practice'
import { boundToStandard, errorBound, type Quantity } from '#core/quantity'
import { act, advance, deliver, preparedScenario, truthOf, type RigState, type RigTruth } from '#core/rig'
import { modelSheet, operatingPoint, type MeasurePoint } from '#core/sheet'
import type { NewEvent } from './lookedAt'

/** Rows of demo jobs, read from the simulated set by the instruments of the demo bench. */

export const SHEET = modelSheet('osmund-27f')

/** The simulated Osmund 27F as it comes in, its adjusters turned on where wanted. */
export const neglected = (seed: number) => deliver(preparedScenario('osmund-27f', seed))
export const turned = (set: RigState, positions: Readonly<Record<string, number>>) =>
  Object.entries(positions).reduce(
    (s, [designator, position]) => act(s, { kind: 'turn', designator, position }).state,
    set,
  )

export function asFoundRows(
  set: RigState,
  onTimeS: number,
  atMs: number,
  phase: 'as-found' | 'as-left',
): NewEvent[] {
  return SHEET.matrix.map((point, i) => row(set, point, onTimeS + i * 45, atMs + i * 45_000, phase, null))
}

export function row(
  set: RigState,
  point: MeasurePoint,
  onTimeS: number,
  atMs: number,
  phase: 'as-found' | 'adjusting' | 'as-left',
  stepId: string | null,
): NewEvent {
  const state = putFor(advance(set, onTimeS), point)
  const truth = truthOf(state)
  const readings = point.wants.flatMap(({ quantity }) => {
    const value = valueOf(truth, quantity)
    return value === null ? [] : [{ id: randomUUID(), quantity, value, ...instrumentOf(quantity, value) }]
  })
  return {
    kind: 'row-taken',
    atMs,
    phase,
    stepId,
    pointId: point.id,
    readings,
    conditions: {
      ...operatingPoint(point.state),
      supplyV: state.surroundings.supplyV,
      load: SHEET.load,
      onTimeS: state.memory.onS,
    },
  }
}

function valueOf(truth: RigTruth, quantity: Quantity): number | null {
  const round = (v: number, digits: number) => Number(v.toPrecision(digits))
  const value = truth.values[quantity] ?? null
  const digits = ({ panelPowerW: 2, sensitivityV: 2, lockS: 1 } as Partial<Record<Quantity, number>>)[
    quantity
  ]
  return value === null || digits === undefined ? value : round(value, digits)
}

/** The instrument of the demo bench that reads a quantity: a talking one if there is one. */
function instrumentOf(quantity: Quantity, value: number) {
  const NAMES: Record<string, string> = {
    'scpi-power-meter': 'Power meter',
    'scpi-counter': 'Counter',
    'scpi-modulation-meter': 'Modulation meter',
    'scpi-supply': 'Bench supply',
    'eye-generator': 'RF generator',
    'eye-panel': 'The set itself',
  }
  const profile = INSTRUMENT_PROFILES.find(p => NAMES[p.id] && profileQuantity(p, quantity))!
  const { accuracy } = profileQuantity(instrumentProfile(profile.id), quantity)!
  return {
    source: profile.talks ? ('instrument' as const) : ('typed' as const),
    instrument: NAMES[profile.id]!,
    standardUncertainty: boundToStandard(errorBound(value, accuracy)),
  }
}

import type { BiasRule } from '../../sheet'
import type { MeasurandState } from '../measurandState'

/** Two devices are alike within this (K04). */
const ALIKE_RATIO = 1.1

/** One device of the stage as it was read. */
export interface BiasDevice {
  readonly name: string
  /**
   * idle current [A], the rise over zero bias where that is the rule; null = not read, or told by its gate
   * voltage
   */
  readonly idleA: number | null
  readonly gateV: number | null
  /** idle power it burns [W] */
  readonly burnsW: number | null
  readonly tooHot: boolean
  /** on a meter with ticks */
  readonly ticks: number | null
}

export interface BiasState {
  readonly devices: readonly BiasDevice[]
  /** current without bias [A], where the rise is what counts */
  readonly zeroA: number | null
  /** largest over smallest; null = one device, or not all read */
  readonly ratio: number | null
  readonly alike: boolean | null
}

/**
 * Where the bias of a stage stands: device by device, compared, and held against what one may burn.
 * @param wants of the step: with 'rise' the first row is the current without bias; with several devices one
 * row each
 */
export function biasState(rule: BiasRule, wants: readonly MeasurandState[]): BiasState {
  const latest = wants.map(w => ({
    quantity: w.want.quantity,
    value: w.latest && w.latest.staleBy.length === 0 ? w.latest.reading.value : null,
  }))
  const currents = latest
    .filter(l => l.quantity === 'stageIdleA' || l.quantity === 'supplyA')
    .map(l => l.value)
  const zeroA = rule.by === 'rise' && currents.length > 1 ? currents[0]! : null
  const read =
    rule.by === 'rise'
      ? (currents.length > 1 ? currents.slice(1) : currents).map(a =>
          a === null || (currents.length > 1 && zeroA === null) ? null : a - (zeroA ?? 0),
        )
      : currents
  const gates = latest.filter(l => l.quantity === 'gateV').map(l => l.value)
  const devices = rule.devices.map((name, i): BiasDevice => {
    const idleA = rule.by === 'gate-voltage' ? null : (read[i] ?? null)
    const burnsW = idleA === null ? null : idleA * rule.stageV
    return {
      name,
      idleA,
      gateV: gates[i] ?? null,
      burnsW,
      tooHot: burnsW !== null && burnsW > rule.mostW,
      ticks: idleA === null || rule.tickA === null ? null : idleA / rule.tickA,
    }
  })
  const known = devices.map(d => d.idleA ?? d.gateV)
  const ratio =
    known.length > 1 && known.every(k => k !== null && k > 0)
      ? Math.max(...(known as number[])) / Math.min(...(known as number[]))
      : null
  return { devices, zeroA, ratio, alike: ratio === null ? null : ratio <= ALIKE_RATIO }
}

import { between, memoryless } from '../part'
import { softLimit } from './softLimit'

/** An output transistor, or a pair, with its load. */
export interface OutputStage {
  /** far in saturation at the nominal supply [W] */
  readonly saturatedW: number
  readonly nominalV: number
  readonly sharpness: number
  /** RF over DC of the stage in saturation, 0..0.8 */
  readonly efficiency: number
  /**
   * drive that is lost before it conducts at all, without idle current [ratio of the drive that saturates it]
   */
  readonly cutoffRatio: number
  /** idle current at which nothing is lost any more [A]; 0 = a class-C stage, which has none */
  readonly idleA: number
  /** DC gain as a component tester shows it */
  readonly dcGain: number
  /** part of its power that it loses per kelvin above fadeFromC */
  readonly fadePerK: number
  readonly fadeFromC: number
  /** resistance across the supply when shorted [ohm]; null = sound */
  readonly shortOhm: number | null
  /** no longer amplifies */
  readonly dead: boolean
}

export interface OutputInput {
  readonly supplyV: number
  readonly idleA: number
  readonly junctionC: number
}

/** Peak envelope voltage [sqrt W] as a function of drive. */
export interface AmplitudeLaw {
  readonly saturationV: number
  readonly threshold: number
  readonly sharpness: number
}

/** A little too little idle current hardly shows, none at all does (a shape, not fitted to a device). */
const LACKING_POWER = 4

/**
 * What an output stage makes of drive as it is biased, supplied and heated now. Source: P ~ V^2 / R with a
 * rail-limited swing (C39).
 */
export const outputStage = memoryless(
  'output stage',
  (p: OutputStage, { supplyV, idleA, junctionC }: OutputInput): AmplitudeLaw => {
    const fade = between(0.02, 1, 1 - p.fadePerK * Math.max(0, junctionC - p.fadeFromC))
    const powerW = p.dead || p.shortOhm !== null ? 0 : p.saturatedW * (supplyV / p.nominalV) ** 2 * fade
    const lacking = p.idleA > 0 ? between(0, 1, 1 - idleA / p.idleA) : 0
    return {
      saturationV: Math.sqrt(powerW),
      threshold: p.cutoffRatio * lacking ** LACKING_POWER,
      sharpness: p.sharpness,
    }
  },
)

/** Envelope [sqrt W] for a drive relative to the one that saturates. */
export function amplitudeOf(law: AmplitudeLaw, drive: number): number {
  return law.saturationV * softLimit(drive - law.threshold, law.sharpness)
}

/**
 * Saturated output follows the square of the supply. Source: P ~ V^2 / R with a rail-limited collector swing.
 */
export function atSupply(powerW: number, supplyV: number, nominalV: number): number {
  return powerW * (supplyV / nominalV) ** 2
}

import { between, memoryless } from '../part'

/** A series regulator that feeds the output stage and carries the audio. */
export interface SeriesModulator {
  /** least it drops at full drive [V] */
  readonly dropV: number
  /** collector shorted to emitter: the rail is the supply */
  readonly shorted: boolean
  /** output stage as the regulator sees it [ohm] */
  readonly loadOhm: number
}

export interface ModulatorInput {
  readonly supplyV: number
  readonly wantedV: number
}
export interface ModulatorRail {
  /** on the output stage without modulation [V] */
  readonly railV: number
  /** highest it reaches on a crest [V] */
  readonly crestV: number
  readonly currentA: number
  readonly heatW: number
}

/**
 * Rail, headroom and heat. Source: C40, the output stage as a resistor: I = Vc/R, regulator heat (Vs - Vc) I.
 */
export const seriesModulator = memoryless(
  'series modulator',
  ({ dropV, shorted, loadOhm }: SeriesModulator, { supplyV, wantedV }: ModulatorInput): ModulatorRail => {
    const crestV = shorted ? supplyV : Math.max(0, supplyV - dropV)
    const railV = shorted ? supplyV : between(0, crestV, wantedV)
    const currentA = railV / loadOhm
    return { railV, crestV, currentA, heatW: (supplyV - railV) * currentA }
  },
)

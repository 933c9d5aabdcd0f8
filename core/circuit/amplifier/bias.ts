import { between, memoryless } from '../part'

/** Bias network of a bipolar pair: the clamp part follows the heat and holds the base. */
export interface BipolarBias {
  readonly clampFitted: boolean
  /** preset at its upper end [A] */
  readonly fullA: number
}

/** Idle current [A] of a bipolar stage for a preset 0..1. Without its clamp part there is none. */
export const bipolarBias = memoryless(
  'bipolar bias',
  ({ clampFitted, fullA }: BipolarBias, { position }: { position: number }) =>
    clampFitted ? fullA * between(0, 1, position) ** 2 : 0,
)

/** Gate bias of a MOSFET. */
export interface GateBias {
  readonly clampFitted: boolean
  /** preset 0..1 covers 0 to this [V] */
  readonly fullV: number
  /** threshold of this very device [V] */
  readonly thresholdV: number
  /** square law [A/V^2] */
  readonly gainAPerV2: number
}

/**
 * Gate volts and idle current [A] for a preset 0..1. Source: Id = k (Vg - Vth)^2 above threshold (textbook
 * square law, from memory).
 */
export const gateBias = memoryless(
  'gate bias',
  ({ clampFitted, fullV, thresholdV, gainAPerV2 }: GateBias, { position }: { position: number }) => {
    const gateV = clampFitted ? fullV * between(0, 1, position) : 0
    return { gateV, idleA: gainAPerV2 * Math.max(0, gateV - thresholdV) ** 2 }
  },
)

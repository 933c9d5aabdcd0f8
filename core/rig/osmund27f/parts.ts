import type { CrystalOscillator } from '../../circuit/crystal'
import type { TunedStage } from '../../circuit/tunedStage'

const PF = 1e-12

/** Constants of the simulated Osmund 27F: invented, but of the size that such a set has. */
const TRIMMER = { fixedF: 12 * PF, trimmerF: { min: 2 * PF, max: 20 * PF }, designF: 22 * PF }

export const REFERENCE: CrystalOscillator = { ...TRIMMER, nominalHz: 10_240_000, cut: { motionalF: 8e-15, shuntF: 5 * PF }, ageingPpm: -6 }
export const TX_CRYSTAL: CrystalOscillator = { ...TRIMMER, nominalHz: 13_045_625, cut: { motionalF: 6e-15, shuntF: 5 * PF }, ageingPpm: -3 }
export const RX_CRYSTAL: CrystalOscillator = { ...TRIMMER, nominalHz: 15_396_250, cut: { motionalF: 6e-15, shuntF: 5 * PF }, ageingPpm: -2 }

const BAND_CENTRE_HZ = 27_796_250
const stage = (q: number, inductancePerTurn = 0.03): TunedStage => ({ centreHz: BAND_CENTRE_HZ, q, inductancePerTurn })

/** Stages that bring the drive to the final, in circuit order. */
export const DRIVE_STAGES: Readonly<Record<string, TunedStage>> = { L1: stage(18), L2: stage(18), L3: stage(20), L4: stage(20), L5: stage(15) }
/** Stages behind the final: they act on its power directly. L7 is broad and sets the loading. */
export const OUTPUT_STAGES: Readonly<Record<string, TunedStage>> = { L6: stage(12), L7: stage(4, 0.09) }

/** Drive with all stages peaked, relative to the one that just saturates the final (7 dB). */
export const PEAKED_DRIVE_RATIO = 5
/** Final far in saturation at the nominal supply [W]. */
export const SATURATED_W = 4.3
export const NOMINAL_SUPPLY_V = 13.8

/** Low position of the power switch: share of high power at the ends of its preset. */
export const LOW_POWER_RATIO = { min: 0.02, max: 0.3 }
/** Full limiting, preset at its end [Hz]. */
export const MAX_DEVIATION_HZ = 4000
/** Tone level at which the limiter begins to hold [V rms]. */
export const LIMITER_V = 0.01
/** Positive deviation exceeds negative by this much either way [ratio]. */
export const DEVIATION_ASYMMETRY = 0.015
export const RESIDUAL_FM_HZ = 40

export const IDLE_A = 0.32
export const EXCITER_A = 0.22
export const FINAL_EFFICIENCY = 0.55

/** Warm-up: where the crystals start and how fast they settle. */
export const WARM_UP = { referencePpm: -2, crystalPpm: -1.2, timeConstantS: 480 }

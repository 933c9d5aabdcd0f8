import { memoryless } from '../part'

/** A synthesiser chip that believes its crystal is what it was told. */
export interface ClockGenerator {
  readonly crystalHz: number
  readonly ageingPpm: number
}

/**
 * Output [Hz] of a clock generator asked for targetHz.
 * Source: a chip told f_assumed makes f_target x f_true / f_assumed (C22): an output below the standard wants
 * a lower assumed value.
 */
export const clockGenerator = memoryless(
  'clock generator',
  (
    { crystalHz, ageingPpm }: ClockGenerator,
    { targetHz, assumedHz, driftPpm }: { targetHz: number; assumedHz: number; driftPpm: number },
  ) => (targetHz * crystalHz * (1 + (ageingPpm + driftPpm) * 1e-6)) / assumedHz,
)

import { voltageDb } from '../../quantity'
import { memoryless } from '../part'

/** A meter in S-units. */
export interface SMeter {
  /** level for S9 with the preset in its middle [V pd] */
  readonly s9V: number
  /** per S-unit [dB] */
  readonly unitDb: number
  /** preset from end to end [dB] */
  readonly presetDb: number
}

/**
 * Reading in S-units, S9 + 6 dB = 10. Source: S9 at 100 uV (CB) or 50 uV (amateur HF), 6 dB per unit (C25).
 */
export const sMeter = memoryless(
  'S-meter',
  (
    { s9V, unitDb, presetDb }: SMeter,
    { levelV, lossDb, preset }: { levelV: number; lossDb: number; preset: number },
  ) =>
    levelV > 0 ? Math.max(0, 9 + (voltageDb(levelV / s9V) - lossDb + presetDb * (preset - 0.5)) / unitDb) : 0,
)

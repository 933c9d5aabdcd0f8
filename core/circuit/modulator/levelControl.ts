import { dbToVoltageRatio } from '../../quantity'
import { memoryless } from '../part'

/**
 * Automatic level control of a sideband transmitter: holds the crest at a limit as long as it has gain to
 * take away [dB].
 */
export interface LevelControl {
  readonly rangeDb: number
}

/**
 * Drive [relative to saturation] after the control has acted.
 * @param input the drive it is offered, and the drive at which the output stage gives the limit
 */
export const levelControl = memoryless(
  'level control',
  (
    { rangeDb }: LevelControl,
    { driveOffered, driveAtLimit }: { driveOffered: number; driveAtLimit: number },
  ) => Math.max(Math.min(driveOffered, driveAtLimit), driveOffered * dbToVoltageRatio(-rangeDb)),
)

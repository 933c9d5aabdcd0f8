import { memoryless } from '../part'

/** Automatic level control of a sideband transmitter: holds the crest at a limit as long as it has gain to take away. */
export interface LevelControl { readonly fullPepW: number }

/**
 * Drive [relative to saturation] after the control has acted.
 * @param input the drive it is offered, and the drive at which the output stage gives the limit
 */
export const levelControl = memoryless('level control', (_p: LevelControl, { driveOffered, driveAtLimit }: { driveOffered: number, driveAtLimit: number }) => Math.min(driveOffered, driveAtLimit))

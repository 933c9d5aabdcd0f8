import { memoryless } from '../part'
import { hashOf } from '../noise'

/** The track of a preset, 270 degrees. */
export interface PresetTrack {
  readonly dirty: boolean
  readonly seed: number
}

/** A dirty track changes its mind about every degree and a half. */
const CELLS = 180
const OPEN_SHARE = 0.15

/**
 * Where the wiper electrically stands [0..1]: its place on a clean track, jumps and open spots on a dirty
 * one.
 */
export const presetTrack = memoryless(
  'preset track',
  ({ dirty, seed }: PresetTrack, { position }: { position: number }) => {
    const clean = Math.min(1, Math.max(0, position))
    if (!dirty) return clean
    const cell = Math.floor(clean * CELLS)
    const share = (hashOf(seed, 77, cell) + 1) / 2
    return share < OPEN_SHARE ? 0 : clean * (0.72 + 0.5 * share)
  },
)

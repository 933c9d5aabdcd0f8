/**
 * One of 2^32 values for three integers, in -1..1. Source: integer hash with avalanche (two multiply-xorshift
 * rounds).
 */
export function hashOf(seed: number, stream: number, slot: number): number {
  let h = (seed ^ Math.imul(stream + 1, 0x9e3779b1) ^ Math.imul(slot, 0x85ebca77)) | 0
  h = Math.imul(h ^ (h >>> 16), 0x7feb352d)
  h = Math.imul(h ^ (h >>> 15), 0x846ca68b)
  return ((h ^ (h >>> 16)) >>> 0) / 0x80000000 - 1
}

/**
 * Noise that is the same for the same seed, channel of noise and time slot: a simulation can be repeated
 * exactly.
 *
 * @param seed integer of the simulated set
 * @param stream which quantity it is for, so that quantities do not move together
 * @param timeS time, passed in [s]; a new value every 50 ms
 * @returns roughly uniform in -1..1
 */
export function deterministicNoise(seed: number, stream: number, timeS: number): number {
  return hashOf(seed, stream, Math.floor(timeS * 20))
}

/** A slow wander, -1..1: three sines without common period, so that it looks like nothing regular. */
export function slowWander(seed: number, timeS: number): number {
  return [13, 37, 91].reduce(
    (sum, periodS, i) => sum + Math.sin((2 * Math.PI * timeS) / periodS + 3 * hashOf(seed, 200 + i, 0)) / 3,
    0,
  )
}

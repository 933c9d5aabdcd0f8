import { v4 } from 'uuid'

/** A generator of numbers from 0 to 1 that gives the same ones for the same seed (mulberry32). */
export function seeded(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
}

/** An id out of such numbers. */
export const uuidOf = random => v4({ random: Uint8Array.from({ length: 16 }, () => 256 * random()) })

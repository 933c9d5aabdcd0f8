import FFT from 'fft.js'

/**
 * A transform of one size with its own buffers: interleaved in, interleaved out. Not to be shared across
 * awaits.
 */
export interface Transform {
  readonly size: number
  readonly input: Float64Array
  readonly output: Float64Array
  readonly run: () => void
}

const kept = new Map<number, Transform>()

/** @param size a power of two, from 2 */
export function transformOf(size: number): Transform {
  const there = kept.get(size)
  if (there) return there
  const fft = new FFT(size)
  const input = new Float64Array(2 * size)
  const output = new Float64Array(2 * size)
  const made = { size, input, output, run: () => fft.transform(output, input) }
  kept.set(size, made)
  return made
}

/** The largest power of two that is not above n. */
export const powerOfTwoTo = (n: number) => 2 ** Math.floor(Math.log2(Math.max(2, n)))

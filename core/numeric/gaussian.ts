/**
 * Gaussian noise of unit variance from a seed; a stream of its own. Source: xorshift32 and Box-Muller
 * (textbook).
 */
export function gaussianFrom(seed: number): () => number {
  let x = seed | 0 || 0x1234567
  const uniform = () => {
    x ^= x << 13
    x ^= x >>> 17
    x ^= x << 5
    return ((x >>> 0) + 0.5) / 0x100000000
  }
  let spare: number | null = null
  return () => {
    if (spare !== null) {
      const value = spare
      spare = null
      return value
    }
    const size = Math.sqrt(-2 * Math.log(uniform()))
    const angle = 2 * Math.PI * uniform()
    spare = size * Math.sin(angle)
    return size * Math.cos(angle)
  }
}

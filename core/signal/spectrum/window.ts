/** A taper with what it does to lines and noise. */
export interface Taper { readonly name: string, readonly values: Float64Array, /** equivalent noise bandwidth [bins] */ readonly enbwBins: number, readonly sum: number, readonly sumSquares: number }

function taper(name: string, n: number, value: (x: number) => number): Taper {
  const values = Float64Array.from({ length: n }, (_, i) => value((i + 0.5) / n))
  const sum = values.reduce((a, b) => a + b, 0)
  const sumSquares = values.reduce((a, b) => a + b * b, 0)
  return { name, values, sum, sumSquares, enbwBins: n * sumSquares / (sum * sum) }
}

/** Tapers that were made lately: many figures look through windows of one length. Nobody writes into them. */
const MOST_KEPT = 6
const kept = new Map<string, Taper>()

function lately(name: string, n: number, make: () => Taper): Taper {
  const key = `${name} ${n}`
  const made = kept.get(key) ?? make()
  kept.delete(key)
  kept.set(key, made)
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!)
  return made
}

/** Four-term Blackman-Harris: side lobes 92 dB down (Harris 1978, coefficients from memory; the side lobes are tested). */
export function blackmanHarris(n: number): Taper {
  return lately('Blackman-Harris', n, () => taper('Blackman-Harris', n, x => 0.35875 - 0.48829 * Math.cos(2 * Math.PI * x) + 0.14128 * Math.cos(4 * Math.PI * x) - 0.01168 * Math.cos(6 * Math.PI * x)))
}

export function hann(n: number): Taper {
  return lately('Hann', n, () => taper('Hann', n, x => 0.5 - 0.5 * Math.cos(2 * Math.PI * x)))
}

/** Modified Bessel function of order zero, by its series. */
function besselI0(x: number): number {
  let sum = 1
  for (let k = 1, term = 1; term > 1e-17 * sum; k++) {
    term *= (x / (2 * k)) ** 2
    sum += term
  }
  return sum
}

/**
 * Low-pass filter by the Kaiser window, 90 dB down in its stop band, unity at 0 Hz.
 * @param cutoff middle of the transition [cycles per sample] @param transition its width [cycles per sample]
 * Source: Kaiser 1974: beta = 0.1102 (A - 8.7), length (A - 8)/(2.285 x 2 pi transition).
 */
export function kaiserLowpass(cutoff: number, transition: number): Float64Array {
  const attenuationDb = 90
  const half = Math.ceil((attenuationDb - 8) / (2.285 * 2 * Math.PI * transition) / 2)
  const beta = 0.1102 * (attenuationDb - 8.7)
  const taps = Float64Array.from({ length: 2 * half + 1 }, (_, i) => {
    const n = i - half
    const ideal = n === 0 ? 2 * cutoff : Math.sin(2 * Math.PI * cutoff * n) / (Math.PI * n)
    return ideal * besselI0(beta * Math.sqrt(1 - (n / (half + 1)) ** 2)) / besselI0(beta)
  })
  const sum = taps.reduce((a, b) => a + b, 0)
  return taps.map(t => t / sum)
}

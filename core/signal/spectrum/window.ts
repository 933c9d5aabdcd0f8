/** A taper with what it does to lines and noise. */
export interface Taper {
  readonly name: string
  readonly values: Float64Array
  /** equivalent noise bandwidth [bins] */
  readonly enbwBins: number
  readonly sum: number
  readonly sumSquares: number
}

/** A rotating pointer is set right after so many steps: its error stays that of rounding. */
const SET_RIGHT_AFTER = 256

/**
 * A symmetrical taper of n points.
 * @param value of the cosine of the angle, which goes round once over the taper
 */
function taper(name: string, n: number, value: (cosine: number) => number): Taper {
  const values = new Float64Array(n)
  const step = (2 * Math.PI) / n
  const [stepC, stepS] = [Math.cos(step), Math.sin(step)]
  const half = Math.ceil(n / 2)
  let [c, s, sum, sumSquares] = [0, 0, 0, 0]
  for (let k = 0; k < half; k++) {
    if (k % SET_RIGHT_AFTER === 0) {
      c = Math.cos(step * (k + 0.5))
      s = Math.sin(step * (k + 0.5))
    }
    const v = value(c)
    const times = 2 * k + 1 === n ? 1 : 2
    values[k] = v
    values[n - 1 - k] = v
    sum += times * v
    sumSquares += times * v * v
    const next = c * stepC - s * stepS
    s = c * stepS + s * stepC
    c = next
  }
  return { name, values, sum, sumSquares, enbwBins: (n * sumSquares) / (sum * sum) }
}

/** Tapers that were made lately: many figures look through windows of one length. Nobody writes into them. */
const MAX_KEPT = 8
const kept = new Map<string, Taper>()

function lately(name: string, n: number, make: () => Taper): Taper {
  const key = `${name} ${n}`
  const made = kept.get(key) ?? make()
  kept.delete(key)
  kept.set(key, made)
  if (kept.size > MAX_KEPT) kept.delete(kept.keys().next().value!)
  return made
}

/** Four terms, minimum: 92 dB down beside its main lobe (Harris 1978). */
export function blackmanHarris(n: number): Taper {
  // cos 2x and cos 3x by the cosine of x.
  const value = (c: number) =>
    0.35875 - 0.48829 * c + 0.14128 * (2 * c * c - 1) - 0.01168 * (4 * c * c - 3) * c
  return lately('Blackman-Harris', n, () => taper('Blackman-Harris', n, value))
}

export function hann(n: number): Taper {
  return lately('Hann', n, () => taper('Hann', n, c => 0.5 - 0.5 * c))
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
 * @param cutoff middle of the transition [cycles per sample]
 * @param transition its width [cycles per sample]
 * Source: Kaiser 1974: beta = 0.1102 (A - 8.7), length (A - 8)/(2.285 x 2 pi transition).
 */
export function kaiserLowpass(cutoff: number, transition: number): Float64Array {
  const attenuationDb = 90
  const half = Math.ceil((attenuationDb - 8) / (2.285 * 2 * Math.PI * transition) / 2)
  const beta = 0.1102 * (attenuationDb - 8.7)
  const taps = Float64Array.from({ length: 2 * half + 1 }, (_, i) => {
    const n = i - half
    const ideal = n === 0 ? 2 * cutoff : Math.sin(2 * Math.PI * cutoff * n) / (Math.PI * n)
    return (ideal * besselI0(beta * Math.sqrt(1 - (n / (half + 1)) ** 2))) / besselI0(beta)
  })
  const sum = taps.reduce((a, b) => a + b, 0)
  return taps.map(t => t / sum)
}

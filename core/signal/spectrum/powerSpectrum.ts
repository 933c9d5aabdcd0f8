import { transformOf } from './fft'
import { blackmanHarris, type Taper } from './window'

/** Mean power per bin: the bins of a band add up to the power inside it. */
export interface PowerSpectrum {
  readonly binHz: number
  /** frequency of the first bin [Hz] */
  readonly fromHz: number
  readonly power: Float64Array
  readonly segments: number
  /**
   * Spectral kurtosis per bin: 1 for steady Gaussian noise, near 0 for a steady line, above 1 for what comes and goes (Nita and Gary
   * 2010, from memory); NaN with a single segment.
   */
  readonly kurtosis: Float64Array
  readonly window: string
  /** noise bandwidth of one bin [Hz] */
  readonly rbwHz: number
}

/**
 * Welch's averaged periodogram, fed piece by piece: one long taper over a short, changing signal would misjudge
 * adjacent channels by some tenths of a dB.
 */
export class SpectrumAverager {
  private readonly taper: Taper
  private readonly held: { i: Float64Array, q: Float64Array }
  private readonly sum: Float64Array
  private readonly squares: Float64Array
  private filled = 0
  private segments = 0

  /** @param size bins, a power of two @param hop samples from one segment to the next, at most size */
  constructor(private readonly size: number, private readonly hop: number) {
    this.taper = blackmanHarris(size)
    this.held = { i: new Float64Array(size), q: new Float64Array(size) }
    this.sum = new Float64Array(size)
    this.squares = new Float64Array(size)
  }

  add(i: ArrayLike<number>, q: ArrayLike<number>): void {
    for (let n = 0; n < i.length;) {
      const taken = Math.min(this.size - this.filled, i.length - n)
      for (let k = 0; k < taken; k++) {
        this.held.i[this.filled + k] = i[n + k]!
        this.held.q[this.filled + k] = q[n + k] ?? 0
      }
      n += taken
      this.filled += taken
      if (this.filled === this.size) this.take()
    }
  }

  private take(): void {
    const { input, output, run } = transformOf(this.size)
    const { values } = this.taper
    for (let k = 0; k < this.size; k++) {
      input[2 * k] = this.held.i[k]! * values[k]!
      input[2 * k + 1] = this.held.q[k]! * values[k]!
    }
    run()
    for (let k = 0; k < this.size; k++) {
      const power = output[2 * k]! ** 2 + output[2 * k + 1]! ** 2
      this.sum[k]! += power
      this.squares[k]! += power * power
    }
    this.segments++
    this.held.i.copyWithin(0, this.hop)
    this.held.q.copyWithin(0, this.hop)
    this.filled = this.size - this.hop
  }

  /** @returns the spectrum from minus to plus half the sample rate; what was too short for one segment is filled up with zeros */
  result(sampleRateHz: number): PowerSpectrum {
    if (this.segments === 0) this.takeShort()
    const power = new Float64Array(this.size)
    const scale = 1 / (this.segments * this.size * this.taper.sumSquares)
    const kurtosis = new Float64Array(this.size)
    const m = this.segments
    for (let k = 0; k < this.size; k++) {
      const at = (k + this.size / 2) % this.size
      power[at] = this.sum[k]! * scale
      kurtosis[at] = m < 2 ? NaN : (m + 1) / (m - 1) * (m * this.squares[k]! / Math.max(this.sum[k]! ** 2, 1e-300) - 1)
    }
    const binHz = sampleRateHz / this.size
    return { binHz, fromHz: -sampleRateHz / 2, power, kurtosis, segments: this.segments, window: this.taper.name, rbwHz: binHz * this.taper.enbwBins }
  }

  private takeShort(): void {
    this.held.i.fill(0, this.filled)
    this.held.q.fill(0, this.filled)
    this.take()
  }
}

/** Power between two frequencies; bins that an edge cuts count by the part inside. */
export function bandPower(s: PowerSpectrum, lowHz: number, highHz: number): number {
  const at = (hz: number) => (hz - s.fromHz) / s.binHz + 0.5
  const [from, to] = [Math.max(0, at(lowHz)), Math.min(s.power.length, at(highHz))]
  let sum = 0
  for (let k = Math.floor(from); k < to; k++) sum += s.power[k]! * Math.max(0, Math.min(to, k + 1) - Math.max(from, k))
  return sum
}

/** Whether a band lies inside the spectrum. */
export function holds(s: PowerSpectrum, lowHz: number, highHz: number): boolean {
  return lowHz >= s.fromHz && highHz <= s.fromHz + s.power.length * s.binHz
}

/**
 * Noise power per bin: a low quantile of the bins, put right for what that quantile of averaged noise is (chi-square with
 * two degrees of freedom a segment; Wilson and Hilferty 1931, from memory). Lines and skirts fill less than most bins.
 */
export function noiseFloor(s: PowerSpectrum, keep: (hz: number) => boolean = () => true): number {
  const bins = Array.from(s.power).filter((_, k) => keep(s.fromHz + k * s.binHz) && k > s.power.length * 0.05 && k < s.power.length * 0.95).sort((a, b) => a - b)
  if (bins.length === 0) return 0
  const variance = 1 / (9 * s.segments)
  const quantile = (1 - variance - 0.8416 * Math.sqrt(variance)) ** 3
  return bins[Math.floor(bins.length * 0.2)]! / Math.max(quantile, 0.2)
}

/** Width of an even band that would hold as many independent values: of noise through a receiver, what the receiver lets through [Hz]. */
export function effectiveBandwidth(s: PowerSpectrum): number {
  let [sum, squares] = [0, 0]
  for (const p of s.power) {
    sum += p
    squares += p * p
  }
  return squares > 0 ? sum * sum / squares * s.binHz : 0
}

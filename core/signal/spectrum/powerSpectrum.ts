import { fastTransformOf, type FastTransform, type Samples } from './fastFft'
import { blackmanHarris, type Taper } from './window'

/** Mean power per bin: the bins of a band add up to the power inside it. */
export interface PowerSpectrum {
  readonly binHz: number
  /** frequency of the first bin [Hz] */
  readonly fromHz: number
  readonly power: Float64Array
  readonly segments: number
  /**
   * Spectral kurtosis per bin: 1 for steady Gaussian noise, near 0 for a steady line, above 1 for what comes
   * and goes (Nita and Gary 2010, from memory); NaN with a single segment.
   */
  readonly kurtosis: Float64Array
  readonly window: string
  /** noise bandwidth of one bin [Hz] */
  readonly rbwHz: number
}

/**
 * Welch's averaged periodogram, fed piece by piece: one long taper over a short, changing signal would
 * misjudge adjacent channels by some tenths of a dB. Of a real signal two segments are transformed at once,
 * as the two parts of one pointer.
 */
export class SpectrumAverager {
  private readonly taper: Taper
  private readonly transform: FastTransform
  /** what the segment holds so far, as precise as it comes */
  private held: { readonly i: Samples; readonly q: Samples | null } | null = null
  /** the first segment of a pair */
  private first: Samples | null = null
  private readonly sum: Float64Array
  private readonly squares: Float64Array
  private filled = 0
  private segments = 0

  /**
   * @param size bins, a power of two from 16
   * @param hop samples from one segment to the next, at most size
   */
  constructor(
    private readonly size: number,
    private readonly hop: number,
    private readonly isReal: boolean,
  ) {
    this.taper = blackmanHarris(size)
    this.transform = fastTransformOf(size)
    this.sum = new Float64Array(size)
    this.squares = new Float64Array(size)
  }

  /** @param q as long as i; not looked at where the signal is real */
  add(i: Samples, q: Samples | null = null): void {
    const room = () => (i instanceof Float32Array ? new Float32Array(this.size) : new Float64Array(this.size))
    this.held ??= { i: room(), q: this.isReal ? null : room() }
    for (let n = 0; n < i.length;) {
      const taken = Math.min(this.size - this.filled, i.length - n)
      this.held.i.set(i.subarray(n, n + taken), this.filled)
      this.held.q?.set(q!.subarray(n, n + taken), this.filled)
      n += taken
      this.filled += taken
      if (this.filled === this.size) this.take(this.held)
    }
  }

  private take({ i, q }: { readonly i: Samples; readonly q: Samples | null }): void {
    if (q) this.takePair(i, q)
    else this.takeReal(i)
    i.copyWithin(0, this.hop)
    q?.copyWithin(0, this.hop)
    this.filled = this.size - this.hop
  }

  private takePair(i: Samples, q: Samples | null): void {
    const output = this.transformed(i, q)
    const { sum, squares, size } = this
    for (let k = 0; k < size; k++) {
      const x = output[2 * k]!
      const y = output[2 * k + 1]!
      const power = x * x + y * y
      sum[k]! += power
      squares[k]! += power * power
    }
    this.segments++
  }

  private takeReal(x: Samples): void {
    if (!this.first) {
      this.first = x.slice()
      return
    }
    this.addBoth(this.transformed(this.first, x))
    this.first = null
    this.segments += 2
  }

  private transformed(i: Samples, q: Samples | null): Samples {
    const { values } = this.taper
    const input = this.transform.input()
    const { size } = this
    for (let k = 0; k < size; k++) {
      input[2 * k] = i[k]! * values[k]!
      input[2 * k + 1] = q ? q[k]! * values[k]! : 0
    }
    this.transform.forward()
    return this.transform.output()
  }

  /**
   * What is even about 0 Hz in a transform of two real signals is of the first, what is odd of the second.
   */
  private addBoth(output: Samples): void {
    const { size, sum, squares } = this
    for (let k = 0; k <= size / 2; k++) {
      const m = (size - k) % size
      const a = output[2 * k]!
      const b = output[2 * k + 1]!
      const c = output[2 * m]!
      const d = output[2 * m + 1]!
      const one = ((a + c) * (a + c) + (b - d) * (b - d)) / 4
      const two = ((a - c) * (a - c) + (b + d) * (b + d)) / 4
      sum[k]! += one + two
      squares[k]! += one * one + two * two
      sum[m] = sum[k]!
      squares[m] = squares[k]!
    }
  }

  /**
   * @returns the spectrum from minus to plus half the sample rate; what was too short for one segment is
   * filled up with zeros
   */
  result(sampleRateHz: number): PowerSpectrum {
    this.takeWhatIsLeft()
    const power = new Float64Array(this.size)
    const scale = 1 / (this.segments * this.size * this.taper.sumSquares)
    const kurtosis = new Float64Array(this.size)
    const m = this.segments
    for (let k = 0; k < this.size; k++) {
      const at = (k + this.size / 2) % this.size
      power[at] = this.sum[k]! * scale
      kurtosis[at] =
        m < 2 ? NaN : ((m + 1) / (m - 1)) * ((m * this.squares[k]!) / Math.max(this.sum[k]! ** 2, 1e-300) - 1)
    }
    const binHz = sampleRateHz / this.size
    return {
      binHz,
      fromHz: -sampleRateHz / 2,
      power,
      kurtosis,
      segments: this.segments,
      window: this.taper.name,
      rbwHz: binHz * this.taper.enbwBins,
    }
  }

  /** A first segment without a second, and a signal shorter than one segment. */
  private takeWhatIsLeft(): void {
    const { held, first } = this
    if (first) this.takePair(first, null)
    else if (held && this.segments === 0) {
      held.i.fill(0, this.filled)
      held.q?.fill(0, this.filled)
      this.takePair(held.i, held.q)
    }
    this.first = null
  }
}

/**
 * The averaged spectrum of samples that are in memory.
 * @param q null = real
 * @param hop samples from one segment to the next
 */
export function spectrumOfSamples(
  i: Samples,
  q: Samples | null,
  rateHz: number,
  size: number,
  hop = size / 2,
): PowerSpectrum {
  const averager = new SpectrumAverager(size, hop, q === null)
  averager.add(i, q)
  return averager.result(rateHz)
}

/** Power between two frequencies; bins that an edge cuts count by the part inside. */
export function bandPower(s: PowerSpectrum, lowHz: number, highHz: number): number {
  const at = (hz: number) => (hz - s.fromHz) / s.binHz + 0.5
  const [from, to] = [Math.max(0, at(lowHz)), Math.min(s.power.length, at(highHz))]
  let sum = 0
  for (let k = Math.floor(from); k < to; k++)
    sum += s.power[k]! * Math.max(0, Math.min(to, k + 1) - Math.max(from, k))
  return sum
}

/** Whether a band lies inside the spectrum. */
export function holds(s: PowerSpectrum, lowHz: number, highHz: number): boolean {
  return lowHz >= s.fromHz && highHz <= s.fromHz + s.power.length * s.binHz
}

/**
 * Noise power per bin: a low quantile of the bins, put right for what that quantile of averaged noise is
 * (chi-square with two degrees of freedom a segment; Wilson and Hilferty 1931, from memory). Lines and skirts
 * fill less than most bins.
 */
export function noiseFloor(s: PowerSpectrum, keep: (hz: number) => boolean = () => true): number {
  const bins = Array.from(s.power)
    .filter((_, k) => keep(s.fromHz + k * s.binHz) && k > s.power.length * 0.05 && k < s.power.length * 0.95)
    .sort((a, b) => a - b)
  if (bins.length === 0) return 0
  const variance = 1 / (9 * s.segments)
  const quantile = (1 - variance - 0.8416 * Math.sqrt(variance)) ** 3
  return bins[Math.floor(bins.length * 0.2)]! / Math.max(quantile, 0.2)
}

/**
 * Width of an even band that would hold as many independent values: of noise through a receiver, what the
 * receiver lets through [Hz].
 */
export function effectiveBandwidth(s: PowerSpectrum): number {
  let [sum, squares] = [0, 0]
  for (const p of s.power) {
    sum += p
    squares += p * p
  }
  return squares > 0 ? ((sum * sum) / squares) * s.binHz : 0
}

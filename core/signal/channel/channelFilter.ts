import type { Series } from '../series'
import { fastTransformOf, type FastTransform } from '../spectrum/fastFft'
import type { ChannelPlan } from './channelPlan'

/** A block is at least this many times as long as the filter, so that little of it is taken twice. */
const TIMES_FILTER = 8
const MIN_NARROW = 64

/**
 * One bin of the wide transform that passes: where it comes to lie in the narrow one, and what the filter
 * makes of it.
 */
interface PassingBins {
  readonly wide: Int32Array
  readonly narrow: Int32Array
  readonly re: Float64Array
  readonly im: Float64Array
}

/**
 * Filters by transforms (overlap and save): a block goes to its spectrum, the bins of the channel are
 * weighted by the filter and folded onto as many as the narrow rate has, and come back as samples of the
 * channel. Flat to 0.001 dB where the plan says it passes; what the filter stops, 90 dB down, is left out.
 */
export class ChannelFilter {
  private readonly wide: FastTransform
  private readonly narrow: FastTransform
  private readonly bins: PassingBins
  /**
   * samples of the block before that a block begins with: a multiple of the factor that the filter fits into
   */
  private readonly overlap: number
  /** interleaved samples of the block that is being filled */
  private readonly block: Float32Array
  private filled = 0
  private readonly outRe: Float32Array
  private readonly outIm: Float32Array
  private written = 0

  constructor(
    private readonly plan: ChannelPlan,
    taps: Float64Array,
    private readonly sampleRateHz: number,
    sampleCount: number,
    private readonly isReal: boolean,
  ) {
    const { factor } = plan
    let narrowSize = MIN_NARROW
    while (narrowSize * factor < TIMES_FILTER * taps.length) narrowSize *= 2
    this.wide = fastTransformOf(narrowSize * factor)
    this.narrow = fastTransformOf(narrowSize)
    this.overlap = Math.ceil((taps.length - 1) / factor) * factor
    this.block = new Float32Array(2 * narrowSize * factor)
    this.bins = passingBins(plan, taps, sampleRateHz, this.wide, narrowSize)
    const room = Math.ceil(sampleCount / factor)
    this.outRe = new Float32Array(room)
    this.outIm = new Float32Array(room)
  }

  add(i: Float32Array, q: Float32Array): void {
    const room = this.wide.size - this.overlap
    for (let n = 0; n < i.length;) {
      const taken = Math.min(room - this.filled, i.length - n)
      this.put(i, q, n, taken)
      n += taken
      this.filled += taken
      if (this.filled === room) this.take()
    }
  }

  private put(i: Float32Array, q: Float32Array, from: number, count: number): void {
    const { block, isReal } = this
    const to = from + count
    let at = 2 * (this.overlap + this.filled)
    // A real signal is the sum of a pointer and its mirror: the one that is kept comes out at full size.
    if (isReal) for (let n = from; n < to; n++, at += 2) block[at] = 2 * i[n]!
    else {
      for (let n = from; n < to; n++, at += 2) {
        block[at] = i[n]!
        block[at + 1] = q[n]!
      }
    }
  }

  private take(): void {
    const { wide, narrow, overlap, block } = this
    wide.input().set(block)
    wide.forward()
    this.fold()
    narrow.backward()
    this.keep()
    block.copyWithin(0, 2 * (wide.size - overlap))
    this.filled = 0
  }

  private fold(): void {
    const { wide, narrow, re, im } = this.bins
    const [from, to] = [this.wide.output(), this.narrow.input()]
    to.fill(0)
    for (let k = 0; k < wide.length; k++) {
      const at = 2 * wide[k]!
      const x = from[at]!
      const y = from[at + 1]!
      const a = re[k]!
      const b = im[k]!
      const there = 2 * narrow[k]!
      to[there]! += x * a - y * b
      to[there + 1]! += x * b + y * a
    }
  }

  /** What the block told, turned so that the centre stands still. */
  private keep(): void {
    const { factor, centreHz } = this.plan
    const output = this.narrow.output()
    const step = ((-2 * Math.PI * centreHz) / this.sampleRateHz) * factor
    const [stepC, stepS] = [Math.cos(step), Math.sin(step)]
    let [c, s] = [Math.cos(step * this.written), Math.sin(step * this.written)]
    const count = Math.min(Math.ceil(this.filled / factor), this.outRe.length - this.written)
    for (let n = 0, at = (2 * this.overlap) / factor; n < count; n++, at += 2) {
      const x = output[at]!
      const y = output[at + 1]!
      this.outRe[this.written + n] = x * c - y * s
      this.outIm[this.written + n] = x * s + y * c
      const next = c * stepC - s * stepS
      s = c * stepS + s * stepC
      c = next
    }
    this.written += count
  }

  result(): Series {
    this.block.fill(0, 2 * (this.overlap + this.filled))
    this.take()
    const from = Math.min(this.overlap / this.plan.factor, this.written)
    const { outRe, outIm, written } = this
    return {
      re: outRe.subarray(from, written),
      im: outIm.subarray(from, written),
      rateHz: this.sampleRateHz / this.plan.factor,
    }
  }
}

/** The spectrum of the filter, moved to the centre of the channel, where it lets something through. */
function passingBins(
  { centreHz, stopHz }: ChannelPlan,
  taps: Float64Array,
  sampleRateHz: number,
  transform: FastTransform,
  narrowSize: number,
): PassingBins {
  const { size } = transform
  const input = transform.input().fill(0)
  const turn = (2 * Math.PI * centreHz) / sampleRateHz
  taps.forEach((tap, n) => {
    input[2 * n] = tap * Math.cos(turn * n)
    input[2 * n + 1] = tap * Math.sin(turn * n)
  })
  transform.forward()
  const output = transform.output()
  const binHz = sampleRateHz / size
  const middle = Math.round(centreHz / binHz)
  const half = Math.min(Math.ceil(stopHz / binHz) + 1, size / 2 - 1)
  const count = 2 * half + 1
  const wide = Int32Array.from({ length: count }, (_, k) => (middle - half + k + 2 * size) % size)
  return {
    wide,
    narrow: wide.map(k => k % narrowSize),
    re: Float64Array.from(wide, k => output[2 * k]! / size),
    im: Float64Array.from(wide, k => output[2 * k + 1]! / size),
  }
}

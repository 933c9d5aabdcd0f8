import { kaiserLowpass } from '../spectrum/window'
import type { Series } from '../series'

/** What is put right sample by sample before anything else. */
export interface Correction { readonly dcI: number, readonly dcQ: number, /** Q over I, and how far Q leads the right angle [rad] */ readonly gain: number, readonly phaseRad: number }
export const NO_CORRECTION: Correction = { dcI: 0, dcQ: 0, gain: 1, phaseRad: 0 }

/** Share of the narrow rate that passes flat on either side, and where the stop band begins. */
const PASS = 0.36
const STOP = 0.64

/** How a wide recording becomes the channel that is measured. */
export interface ChannelPlan { readonly centreHz: number, readonly factor: number, /** flat to this far from the centre [Hz] */ readonly passHz: number, readonly taps: Float64Array | null }

/**
 * @param leastRateHz narrow rate that is wanted
 * @param widestHz flat half-width that is allowed, e.g. to keep the mirror of a real signal out; null = as the rate gives
 */
export function planChannel(sampleRateHz: number, centreHz: number, leastRateHz: number, widestHz: number | null = null): ChannelPlan {
  const factor = Math.max(1, Math.floor(sampleRateHz / leastRateHz))
  const narrowHz = sampleRateHz / factor
  if (factor === 1 && widestHz === null) return { centreHz, factor, passHz: sampleRateHz / 2, taps: null }
  const passHz = Math.min(PASS * narrowHz, widestHz ?? Infinity)
  const stopHz = widestHz === null || passHz < widestHz ? STOP * narrowHz : passHz * 1.3
  return { centreHz, factor, passHz, taps: kaiserLowpass((passHz + stopHz) / 2 / sampleRateHz, (stopHz - passHz) / sampleRateHz) }
}

/**
 * Mixes to the centre, filters flat to within 0.001 dB and 90 dB deep, and keeps every n-th sample: fed block by block,
 * memory is that of the narrow channel alone.
 */
export class Channeliser {
  private readonly outRe: Float32Array
  private readonly outIm: Float32Array
  private readonly tailRe: Float64Array
  private readonly tailIm: Float64Array
  private phase: [number, number] = [1, 0]
  private written = 0
  private seen = 0

  constructor(private readonly plan: ChannelPlan, private readonly sampleRateHz: number, sampleCount: number, private readonly correction: Correction, private readonly isReal: boolean) {
    const room = Math.ceil(sampleCount / plan.factor)
    this.outRe = new Float32Array(room)
    this.outIm = new Float32Array(room)
    const taps = plan.taps?.length ?? 1
    this.tailRe = new Float64Array(taps - 1)
    this.tailIm = new Float64Array(taps - 1)
  }

  add(i: Float32Array, q: Float32Array): void {
    const tail = this.tailRe.length
    const re = new Float64Array(tail + i.length)
    const im = new Float64Array(tail + i.length)
    re.set(this.tailRe)
    im.set(this.tailIm)
    this.mix(i, q, re, im, tail)
    if (this.plan.taps) this.filter(re, im, tail, this.plan.taps)
    else this.keep(re, im)
    this.tailRe.set(re.subarray(re.length - tail))
    this.tailIm.set(im.subarray(im.length - tail))
    this.seen += i.length
  }

  private mix(i: Float32Array, q: Float32Array, re: Float64Array, im: Float64Array, at: number): void {
    const { dcI, dcQ, gain, phaseRad } = this.correction
    const [sinP, cosP] = [Math.sin(phaseRad), Math.cos(phaseRad)]
    const angle = -2 * Math.PI * this.plan.centreHz / this.sampleRateHz
    const [stepC, stepS] = [Math.cos(angle), Math.sin(angle)]
    let [c, s] = this.phase
    const scale = this.isReal ? 2 : 1
    for (let n = 0; n < i.length; n++) {
      const x = (i[n]! - dcI) * scale
      const y = this.isReal ? 0 : ((q[n]! - dcQ) / gain - (i[n]! - dcI) * sinP) / cosP
      re[at + n] = x * c - y * s
      im[at + n] = x * s + y * c
      const next = c * stepC - s * stepS
      s = c * stepS + s * stepC
      c = next
    }
    const norm = 1 / Math.hypot(c, s)
    this.phase = [c * norm, s * norm]
  }

  private keep(re: Float64Array, im: Float64Array): void {
    this.outRe.set(re, this.written)
    this.outIm.set(im, this.written)
    this.written += re.length
  }

  /** Symmetrical taps: an output stands for the sample in the middle of them. */
  private filter(re: Float64Array, im: Float64Array, tail: number, taps: Float64Array): void {
    const { factor } = this.plan
    const half = tail / 2
    let first = (factor - this.seen % factor) % factor
    for (; first + tail < re.length; first += factor) {
      let sumRe = taps[half]! * re[first + half]!
      let sumIm = taps[half]! * im[first + half]!
      for (let k = 0, a = first, b = first + tail; k < half; k++, a++, b--) {
        const tap = taps[k]!
        sumRe += tap * (re[a]! + re[b]!)
        sumIm += tap * (im[a]! + im[b]!)
      }
      if (this.written >= this.outRe.length) return
      this.outRe[this.written] = sumRe
      this.outIm[this.written++] = sumIm
    }
  }

  /** The channel, without what the filter took to fill. */
  result(): Series {
    const settle = Math.ceil(this.tailRe.length / this.plan.factor)
    const from = Math.min(settle, this.written)
    return { re: this.outRe.subarray(from, this.written), im: this.outIm.subarray(from, this.written), rateHz: this.sampleRateHz / this.plan.factor }
  }
}

/** A narrower part of a channel that is in memory already. */
export function narrowed(series: Series, leastRateHz: number, passHz: number): Series {
  const plan = planChannel(series.rateHz, 0, Math.max(leastRateHz, 2.9 * passHz), passHz < series.rateHz * 0.36 ? passHz : null)
  if (!plan.taps) return series
  const channel = new Channeliser(plan, series.rateHz, series.re.length, NO_CORRECTION, false)
  channel.add(series.re, series.im)
  return channel.result()
}

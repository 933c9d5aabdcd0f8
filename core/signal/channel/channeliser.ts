import type { Series } from '../series'
import { ChannelFilter } from './channelFilter'
import { planChannel, type ChannelPlan } from './channelPlan'

/** Makes a channel from blocks of a recording; memory is that of the narrow channel alone. */
export interface Channeliser {
  /** @param q as long as i; not looked at where the recording is real */
  readonly add: (i: Float32Array, q: Float32Array) => void
  /** the channel, without what the filter took to fill; nothing can be added after it */
  readonly result: () => Series
}

/** Mixes to the centre of a plan and, where it filters, keeps every n-th sample of what passes. */
export function channeliserOf(
  plan: ChannelPlan,
  sampleRateHz: number,
  sampleCount: number,
  isReal: boolean,
): Channeliser {
  return plan.taps
    ? new ChannelFilter(plan, plan.taps, sampleRateHz, sampleCount, isReal)
    : new Mixer(plan.centreHz, sampleRateHz, sampleCount)
}

/** A recording that is narrow enough as it is, seen from the centre. */
class Mixer implements Channeliser {
  private readonly re: Float32Array
  private readonly im: Float32Array
  private written = 0

  constructor(
    private readonly centreHz: number,
    private readonly rateHz: number,
    sampleCount: number,
  ) {
    this.re = new Float32Array(sampleCount)
    this.im = new Float32Array(sampleCount)
  }

  add(i: Float32Array, q: Float32Array): void {
    const step = (-2 * Math.PI * this.centreHz) / this.rateHz
    const [stepC, stepS] = [Math.cos(step), Math.sin(step)]
    let [c, s] = [Math.cos(step * this.written), Math.sin(step * this.written)]
    for (let n = 0, at = this.written; n < i.length; n++, at++) {
      const x = i[n]!
      const y = q[n]!
      this.re[at] = x * c - y * s
      this.im[at] = x * s + y * c
      const next = c * stepC - s * stepS
      s = c * stepS + s * stepC
      c = next
    }
    this.written += i.length
  }

  result(): Series {
    return {
      re: this.re.subarray(0, this.written),
      im: this.im.subarray(0, this.written),
      rateHz: this.rateHz,
    }
  }
}

/**
 * A narrower part of a channel that is in memory already; one so short that the filter would take most of it
 * stays as it is.
 */
export function narrowed(series: Series, minRateHz: number, passHz: number): Series {
  const plan = planChannel(
    series.rateHz,
    0,
    Math.max(minRateHz, 2.9 * passHz),
    passHz < series.rateHz * 0.36 ? passHz : null,
  )
  if (!plan.taps || plan.taps.length > series.re.length / 2) return series
  const channel = channeliserOf(plan, series.rateHz, series.re.length, false)
  channel.add(series.re, series.im)
  return channel.result()
}

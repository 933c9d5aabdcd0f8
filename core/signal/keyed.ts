import { longest, stretchesOf, type Stretch } from './channel/stretches'
import type { ModeInput } from './modeInput'
import { middlePart, part, shifted, type Series } from './series'
import { peakFrequency } from './tone/lines'

const MAX_PEAK_SAMPLES = 131_072

/** The part in which something is sent, without gaps. */
export function keyedPart(channel: Series, noisePower: number): { series: Series; from: number } {
  const stretches = stretchesOf(channel, noisePower)
  let best = { from: 0, to: channel.re.length, length: 0 }
  for (let k = 0, from = -1; k <= stretches.length; k++) {
    const s = stretches[k]
    if (s && s.doing !== 'off') from = from < 0 ? s.from : from
    else if (from >= 0) {
      const to = stretches[k - 1]!.to
      if (to - from > best.length) best = { from, to, length: to - from }
      from = -1
    }
  }
  const trim = Math.floor(0.02 * channel.rateHz)
  const from = best.from === 0 ? 0 : Math.min(best.from + trim, best.to)
  const to = best.to === channel.re.length ? best.to : Math.max(from, best.to - trim)
  return { series: part(channel, from, to), from }
}

/**
 * From the first moment that something is sent to the last: a voice on one sideband sends nothing in its
 * pauses.
 */
export function sentPart(channel: Series, noisePower: number): Series {
  const sent = stretchesOf(channel, noisePower).filter(s => s.doing !== 'off')
  return sent.length === 0 ? channel : part(channel, sent[0]!.from, sent.at(-1)!.to)
}

/** The middle of a series, as much as one line is looked for in. */
export function exactPeak(series: Series, startHz: number): number {
  const { re, im, rateHz } = middlePart(series, MAX_PEAK_SAMPLES)
  return peakFrequency(re, im, rateHz, startHz)
}

/** The part in which something is sent, its strongest line at 0 Hz: a copy of its own. */
export interface OnPeak {
  readonly series: Series
  /** its first sample in the channel */
  readonly from: number
  /** where the line lies in the channel */
  readonly hz: number
}

export function onPeak({ channel, noisePower }: ModeInput): OnPeak {
  const { series, from } = keyedPart(channel, noisePower)
  const hz = exactPeak(series, 0)
  return { series: shifted(series, hz), from, hz }
}

/** What was sent with and without modulation; the whole of it where nothing tells them apart. */
export function modulatedPart(sent: Series, noisePower: number): { stretch: Series; bare: Stretch | null } {
  const stretches = stretchesOf(sent, noisePower)
  const modulated = longest(stretches, 'modulated', sent.rateHz, sent.re.length)
  if (!modulated) return { stretch: sent, bare: null }
  return {
    stretch: part(sent, modulated.from, modulated.to),
    bare: longest(stretches, 'steady', sent.rateHz, sent.re.length),
  }
}

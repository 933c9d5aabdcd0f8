import { message } from '../message'
import type { AmResult } from './am/amInput'
import type { PhaseTrack } from './carrier/phaseTrack'
import type { FmResult } from './fm/fmInput'
import type { SignalPictures } from './measurement'
import { ratioToDb } from './result'
import type { Series } from './series'
import { bandPower, holds, type PowerSpectrum } from './spectrum/powerSpectrum'
import type { SsbResult } from './ssb/ssbInput'

export const NO_PICTURES: SignalPictures = {
  spectrum: null,
  channels: [],
  cycle: null,
  histogram: null,
  drift: null,
  products: [],
}
/** Points that a picture has at most. */
const MAX_POINTS = 2000
const DRIFT_POINTS = 300
const CLASSES = 80
const HISTOGRAM_SAMPLES = 100_000
/** The picture of the channels reaches this far [Hz]. */
const SPAN_HZ = 60_000

/** The spectrum about the own channel, the largest bin of each point: a splatter line is never lost. */
export function spectrumPicture(
  s: PowerSpectrum,
  ownHz: number,
  carrierPower: number,
  floor: number,
): SignalPictures['spectrum'] {
  const [from, to] = [
    Math.max(0, Math.round((ownHz - SPAN_HZ - s.fromHz) / s.binHz)),
    Math.min(s.power.length, Math.round((ownHz + SPAN_HZ - s.fromHz) / s.binHz)),
  ]
  const group = Math.max(1, Math.ceil((to - from) / MAX_POINTS))
  const count = Math.floor((to - from) / group)
  const offsetHz = Float64Array.from(
    { length: count },
    (_, n) => s.fromHz + (from + n * group + (group - 1) / 2) * s.binHz - ownHz,
  )
  const dbc = Float64Array.from({ length: count }, (_, n) =>
    ratioToDb(
      Math.max(...s.power.subarray(from + n * group, from + (n + 1) * group)) / Math.max(carrierPower, 1e-30),
    ),
  )
  return { offsetHz, dbc, floorDbc: ratioToDb(floor / Math.max(carrierPower, 1e-30)) }
}

/** Channels to either side that are looked at. */
const MAX_CHANNELS = 44

/** Where the power lands, channel by channel. */
export function channelPicture(
  s: PowerSpectrum,
  ownHz: number,
  spacingHz: number,
): SignalPictures['channels'] {
  const half = spacingHz / 2
  const own = Math.max(bandPower(s, ownHz - half, ownHz + half), 1e-30)
  return Array.from({ length: 2 * MAX_CHANNELS + 1 }, (_, k) => (k - MAX_CHANNELS) * spacingHz)
    .filter(o => holds(s, ownHz + o - half, ownHz + o + half))
    .map(offsetHz => ({
      offsetHz,
      dbc: ratioToDb(bandPower(s, ownHz + offsetHz - half, ownHz + offsetHz + half) / own),
    }))
}

export function amPictures(result: AmResult, series: Series, track: PhaseTrack | null): SignalPictures {
  const mean = Math.max(result.meanEnvelope, 1e-15)
  const carrier = result.values.unmodulated ? 1 / (1 + result.values.unmodulated.carrierShift) : 1
  const { cycle, values } = result
  return {
    ...NO_PICTURES,
    cycle:
      cycle && values.audioHz !== null
        ? {
            kind: 'envelope',
            toneHz: values.audioHz,
            values: (values.depthSynchronous === null ? cycle.envelope : cycle.inPhase).map(y => y / mean),
            carrier,
          }
        : null,
    histogram: histogram('envelope', thinEnvelope(series, mean)),
    drift: track && driftPicture(track),
  }
}

export function fmPictures(result: FmResult, hz: Float64Array, rateHz: number): SignalPictures {
  const step = Math.max(1, Math.floor(hz.length / DRIFT_POINTS))
  const means = Float64Array.from(
    { length: Math.floor(hz.length / step) },
    (_, k) => hz.subarray(k * step, (k + 1) * step).reduce((a, b) => a + b, 0) / step,
  )
  const mean = means.reduce((a, b) => a + b, 0) / Math.max(1, means.length)
  const { cycle, values } = result
  return {
    ...NO_PICTURES,
    cycle:
      cycle && values.audioHz !== null
        ? { kind: 'deviation', toneHz: values.audioHz, values: cycle, carrier: null }
        : null,
    histogram: histogram('deviation', thin(hz, HISTOGRAM_SAMPLES)),
    drift:
      step > rateHz * 0.02
        ? { timeS: means.map((_, k) => ((k + 0.5) * step) / rateHz), hz: means.map(f => f - mean) }
        : null,
  }
}

export function ssbPictures(result: SsbResult): SignalPictures {
  const spacing =
    result.values.tonesHz.length === 2 ? result.values.tonesHz[1]! - result.values.tonesHz[0]! : null
  const peak = result.cycle ? Math.max(...result.cycle) : 1
  return {
    ...NO_PICTURES,
    cycle:
      result.cycle && spacing !== null
        ? {
            kind: 'two-tone',
            toneHz: Math.abs(spacing),
            values: result.cycle.map(y => y / peak),
            carrier: null,
          }
        : null,
    products: result.products.map(p => ({
      name: message(p.offsetHz < 0 ? 'note.orderBelow' : 'note.orderAbove', { order: p.order }),
      db: -p.dbBelowTone,
    })),
  }
}

function driftPicture({ timeS, phaseRad, hopS }: PhaseTrack): SignalPictures['drift'] {
  if (timeS.length < 3) return null
  const group = Math.max(1, Math.ceil(timeS.length / DRIFT_POINTS))
  const count = Math.floor((timeS.length - 1) / group)
  const hz = Float64Array.from(
    { length: count },
    (_, k) => (phaseRad[(k + 1) * group]! - phaseRad[k * group]!) / (2 * Math.PI * hopS * group),
  )
  const mean = hz.reduce((a, b) => a + b, 0) / Math.max(1, count)
  return {
    timeS: Float64Array.from({ length: count }, (_, k) => (timeS[k * group]! + timeS[(k + 1) * group]!) / 2),
    hz: hz.map(f => f - mean),
  }
}

function thinEnvelope({ re, im }: Series, mean: number): Float64Array {
  const step = Math.max(1, Math.floor(re.length / HISTOGRAM_SAMPLES))
  return Float64Array.from(
    { length: Math.floor(re.length / step) },
    (_, k) => Math.sqrt(re[k * step]! ** 2 + im[k * step]! ** 2) / mean,
  )
}

function thin(x: Float64Array, most: number): Float64Array {
  const step = Math.max(1, Math.floor(x.length / most))
  return step === 1 ? x : x.filter((_, n) => n % step === 0)
}

function histogram(kind: 'envelope' | 'deviation', values: Float64Array): SignalPictures['histogram'] {
  if (values.length === 0) return null
  const sorted = Float64Array.from(values).sort()
  const [low, high] = [
    kind === 'envelope' ? 0 : sorted[Math.floor(0.0005 * sorted.length)]!,
    sorted[Math.floor(0.9995 * (sorted.length - 1))]!,
  ]
  const step = (high - low) / CLASSES || 1
  const share = new Float64Array(CLASSES)
  for (const v of values)
    share[Math.max(0, Math.min(CLASSES - 1, Math.floor((v - low) / step)))]! += 1 / values.length
  return { kind, from: low, step, share }
}

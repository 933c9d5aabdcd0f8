import { hann } from '../spectrum/window'
import { lineAmplitude, lineAt, linesAt, type Line } from './lines'

/** Points of a drawn cycle. */
export const CYCLE_POINTS = 1024
/** A cycle is described by this many harmonics at most, and by those that fit into the channel. */
const MAX_HARMONICS = 60
/** Samples that are averaged over: enough to bring noise far down, and a bound on the time it takes. */
const MAX_SAMPLES = 131_072
/** With fewer cycles the lines of the window run into each other. */
export const MIN_CYCLES = 6

/**
 * A signal that repeats with a tone, averaged over all its cycles: lines at every harmonic, and the cycle
 * that they make.
 */
export interface Cycle {
  readonly toneHz: number
  /** lines from -harmonics to +harmonics; of a real signal from 0 on, as peak values */
  readonly lines: readonly Line[]
  readonly harmonics: number
  readonly samples: number
  /** variance of noise on a point of the cycle per unit of noise power in a sample */
  readonly noiseGain: number
}

/**
 * Averages a complex signal over the cycles of a tone. Crests between samples are found, noise goes down with
 * the number of cycles, and what does not repeat (hum, voice, noise) averages out.
 * @param widestHz lines are taken to this far from the middle
 */
export function complexCycle(
  re: Float32Array,
  im: Float32Array,
  rateHz: number,
  toneHz: number,
  widestHz: number,
): Cycle {
  const { from, to } = middle(re.length)
  const harmonics = Math.max(1, Math.min(MAX_HARMONICS, Math.floor(widestHz / toneHz)))
  const window = hann(to - from)
  const [x, y] = [re.subarray(from, to), im.subarray(from, to)]
  const pairs = Array.from({ length: harmonics + 1 }, (_, k) =>
    linesAt(x, y, window.values, window.sum, (k * toneHz) / rateHz),
  )
  const lines = [
    ...pairs
      .slice(1)
      .reverse()
      .map(p => p.below),
    ...pairs.map(p => p.above),
  ]
  return {
    toneHz,
    lines,
    harmonics,
    samples: to - from,
    noiseGain: (lines.length * window.enbwBins) / (to - from),
  }
}

/** A line this many times above its own noise is kept. */
const KEPT_ABOVE = 3.5

/**
 * The cycle without the harmonics that are nothing but noise: what a clean tone is described by gets fewer,
 * and surer.
 * @param noiseOf standard deviation of the amplitude of the line of a harmonic
 */
export function withoutNoiseLines(
  cycle: Cycle,
  isComplex: boolean,
  noiseOf: (harmonic: number) => number,
): Cycle {
  const order = (k: number) => (isComplex ? Math.abs(k - cycle.harmonics) : k)
  const keeps = cycle.lines.map((l, k) => order(k) <= 1 || lineAmplitude(l) > KEPT_ABOVE * noiseOf(order(k)))
  const kept = keeps.filter(Boolean).length
  return {
    ...cycle,
    lines: cycle.lines.map((l, k) => (keeps[k] ? l : { re: 0, im: 0 })),
    noiseGain: (cycle.noiseGain * kept) / cycle.lines.length,
  }
}

/** The same of a real series: lines at 0, 1, 2 times the tone. */
export function realCycle(x: Float64Array, rateHz: number, toneHz: number, widestHz: number): Cycle {
  const { from, to } = middle(x.length)
  const harmonics = Math.max(
    1,
    Math.min(MAX_HARMONICS, Math.floor(Math.min(widestHz, 0.48 * rateHz) / toneHz)),
  )
  const window = hann(to - from)
  const lines = Array.from({ length: harmonics + 1 }, (_, k) =>
    lineAt(x.subarray(from, to), null, window.values, window.sum, (k * toneHz) / rateHz),
  )
  return {
    toneHz,
    lines,
    harmonics,
    samples: to - from,
    noiseGain: (2 * lines.length * window.enbwBins) / (to - from),
  }
}

function middle(length: number): { from: number; to: number } {
  const taken = Math.min(length, MAX_SAMPLES)
  const from = Math.floor((length - taken) / 2)
  return { from, to: from + taken }
}

/** The cycle that complex lines make, point by point. */
export function drawComplex({ lines, harmonics }: Cycle): { re: Float64Array; im: Float64Array } {
  const out = { re: new Float64Array(CYCLE_POINTS), im: new Float64Array(CYCLE_POINTS) }
  for (let n = 0; n < CYCLE_POINTS; n++) {
    for (let k = -harmonics; k <= harmonics; k++) {
      const { re, im } = lines[k + harmonics]!
      const angle = (2 * Math.PI * k * n) / CYCLE_POINTS
      const [c, s] = [Math.cos(angle), Math.sin(angle)]
      out.re[n]! += re * c - im * s
      out.im[n]! += re * s + im * c
    }
  }
  return out
}

export function drawReal({ lines }: Cycle): Float64Array {
  return Float64Array.from({ length: CYCLE_POINTS }, (_, n) =>
    lines.reduce(
      (sum, { re, im }, k) =>
        sum +
        re * Math.cos((2 * Math.PI * k * n) / CYCLE_POINTS) -
        im * Math.sin((2 * Math.PI * k * n) / CYCLE_POINTS),
      0,
    ),
  )
}

/** Crest, trough and mean of a drawn cycle, the extremes between its points by parabola. */
export function extremes(cycle: Float64Array): { max: number; min: number; mean: number; rms: number } {
  let [high, low, sum, squares] = [0, 0, 0, 0]
  for (let n = 0; n < cycle.length; n++) {
    if (cycle[n]! > cycle[high]!) high = n
    if (cycle[n]! < cycle[low]!) low = n
    sum += cycle[n]!
    squares += cycle[n]! ** 2
  }
  const mean = sum / cycle.length
  return {
    max: vertex(cycle, high),
    min: vertex(cycle, low),
    mean,
    rms: Math.sqrt(Math.max(0, squares / cycle.length - mean * mean)),
  }
}

function vertex(cycle: Float64Array, at: number): number {
  const n = cycle.length
  const [a, b, c] = [cycle[(at + n - 1) % n]!, cycle[at]!, cycle[(at + 1) % n]!]
  const bend = a - 2 * b + c
  return Math.abs(bend) < 1e-15 ? b : b - (a - c) ** 2 / (8 * bend)
}

/** Distortion of the tone against its fundamental (THD-F), from the lines of a real cycle. */
export function distortionOf(lines: readonly Line[]): number | null {
  const fundamental = lineAmplitude(lines[1] ?? { re: 0, im: 0 })
  if (fundamental <= 0) return null
  return Math.sqrt(lines.slice(2).reduce((sum, l) => sum + lineAmplitude(l) ** 2, 0)) / fundamental
}

/** Lines of a drawn real cycle: for a quantity that is no linear part of the signal, like its envelope. */
export function linesOfCycle(cycle: Float64Array, harmonics: number): Line[] {
  return Array.from({ length: harmonics + 1 }, (_, k) => {
    let [re, im] = [0, 0]
    for (let n = 0; n < cycle.length; n++) {
      re += cycle[n]! * Math.cos((2 * Math.PI * k * n) / cycle.length)
      im -= cycle[n]! * Math.sin((2 * Math.PI * k * n) / cycle.length)
    }
    const scale = (k === 0 ? 1 : 2) / cycle.length
    return { re: re * scale, im: im * scale }
  })
}

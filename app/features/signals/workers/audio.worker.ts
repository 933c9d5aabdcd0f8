import { audioFigures, beatOf } from '#core/signal'
import type { AudioAnalysis, ToListener } from '../logic/listening'

/** Length of sound that is judged, and how often [s]. */
const WINDOW_S = 2
const EVERY_S = 0.25

let rateHz = 48_000
let ring = new Float64Array(0)
let seen = 0
let lastAt = 0

function begin(rate: number) {
  rateHz = rate
  ring = new Float64Array(Math.round(WINDOW_S * rate))
  seen = lastAt = 0
}

function add(block: Float32Array) {
  ring.copyWithin(0, block.length)
  ring.set(block, ring.length - block.length)
  seen += block.length
  if (seen - lastAt >= EVERY_S * rateHz && seen >= 0.5 * rateHz) {
    lastAt = seen
    tell()
  }
}

function tell() {
  const x = ring.subarray(Math.max(0, ring.length - seen)).slice()
  const { values, signalPresent } = audioFigures(x, rateHz)
  const heard: AudioAnalysis = {
    figures: values,
    present: signalPresent,
    beat: beatOf(x, rateHz),
    peak: x.reduce((a, b) => Math.max(a, Math.abs(b)), 0),
    seconds: x.length / rateHz,
  }
  self.postMessage(heard)
}

self.onmessage = ({ data }: MessageEvent<ToListener>) =>
  data.kind === 'start' ? begin(data.rateHz) : add(data.block)

import { audioSnr } from '../../circuit'
import { CoreError } from '../../errors'
import { detectionOf, receive } from '../assembly/receive'
import { work } from '../assembly/truth'
import type { RigState } from '../rigState'
import { gaussianFrom } from '../../numeric/gaussian'

/** Audio band of the receiver [Hz], and the tone that the generator carries. */
const BAND_HZ = 3000
const TONE_HZ = 1000
const TONE_SIZE = 0.3
const TAPS = 255

/**
 * Loudspeaker audio of the receiver with the generator at its socket.
 *
 * @returns samples, shape (n), 1 = full scale: the generator's tone with its distortion and the noise that is
 * left at this level
 * @throws {CoreError} out-of-range
 * Source: signal to noise by {@link audioSnr}, distortion as second harmonic; noise flat to 3 kHz.
 */
export function renderAudio(state: RigState, rateHz: number, seconds: number): Float32Array {
  if (!(rateHz >= 4 * BAND_HZ && seconds > 0))
    throw new CoreError('out-of-range', `${seconds} s, ${rateHz} Hz`)
  const w = work(state)
  const { lossDb } = receive(w.design, state, w.at, w.f)
  const { frontEnd } = state.parts
  const snr = audioSnr(
    frontEnd.noiseFigureDb,
    lossDb + frontEnd.faultLossDb,
    detectionOf(w.design, state.controls.mode),
    state.stimulus.inputV,
  )
  const out = bandNoise(Math.round(rateHz * seconds), rateHz, state.seed)
  const toneRms = TONE_SIZE / Math.SQRT2
  // Without a signal the noise is as loud as the tone would be: the automatic gain sees to it.
  const noiseRms = snr > 0 ? toneRms / Math.sqrt(snr) : toneRms
  const loud = Math.min(1, TONE_SIZE / (noiseRms + TONE_SIZE))
  for (let k = 0; k < out.length; k++) {
    const t = (2 * Math.PI * TONE_HZ * k) / rateHz
    const tone = snr > 0 ? TONE_SIZE * (Math.sin(t) + frontEnd.distortionRatio * Math.sin(2 * t)) : 0
    out[k] = loud * (tone + noiseRms * out[k]!)
  }
  return out
}

/** Noise of unit power inside the audio band. */
function bandNoise(n: number, rateHz: number, seed: number): Float32Array {
  const gauss = gaussianFrom(seed * 104_729 + 7)
  const white = Float64Array.from({ length: n + TAPS }, () => gauss())
  const taps = lowPassTaps(BAND_HZ / rateHz)
  const gain = 1 / Math.sqrt(taps.reduce((sum, h) => sum + h * h, 0))
  return Float32Array.from({ length: n }, (_, k) => {
    let sum = 0
    for (let j = 0; j < TAPS; j++) sum += taps[j]! * white[k + j]!
    return sum * gain
  })
}

/** Windowed sinc, Blackman. @param cut over the sampling rate */
function lowPassTaps(cut: number): Float64Array {
  const middle = (TAPS - 1) / 2
  return Float64Array.from({ length: TAPS }, (_, j) => {
    const x = j - middle
    const window =
      0.42 - 0.5 * Math.cos((2 * Math.PI * j) / (TAPS - 1)) + 0.08 * Math.cos((4 * Math.PI * j) / (TAPS - 1))
    return (x === 0 ? 2 * cut : Math.sin(2 * Math.PI * cut * x) / (Math.PI * x)) * window
  })
}

import { dbToPowerRatio } from '../../quantity'
import { CoreError } from '../../errors'
import { advance } from '../assembly/advance'
import { truthOf } from '../assembly/truth'
import type { RigState } from '../rigState'
import { gaussianFrom } from '../../numeric/gaussian'
import { waveform } from './waveform'

export interface IqSettings {
  readonly rateHz: number
  readonly seconds: number
  /** where the channel lies from the centre of the recording [Hz] */
  readonly offsetHz: number
  /** noise of the receiver that records, in its whole bandwidth, below fullScaleW [dB]; Infinity = none */
  readonly noiseDb: number
  /** power that would reach full scale [W] */
  readonly fullScaleW: number
}

export interface RenderedIq {
  readonly i: Float32Array
  readonly q: Float32Array
  readonly rateHz: number
  /** the set afterwards: it drifts and warms while it is recorded */
  readonly state: RigState
}

/** The set is looked at anew this often; between, its frequency stands still [s]. */
const LOOK_S = 0.1

/**
 * What a receiver records of a simulated set, from whatever it stands at.
 *
 * @returns I and Q, shapes (n), 1 = full scale; phase runs on without jumps over the whole recording
 * @throws {CoreError} out-of-range (rate or length that is none, offset outside the recording)
 */
export function renderIq(state: RigState, settings: IqSettings): RenderedIq {
  const { rateHz, seconds, offsetHz, fullScaleW } = settings
  if (!(rateHz > 0 && seconds > 0 && fullScaleW > 0 && Math.abs(offsetHz) < rateHz / 2))
    throw new CoreError('out-of-range', `${seconds} s, ${rateHz} Hz, ${offsetHz} Hz`)
  const n = Math.round(rateHz * seconds)
  const i = new Float32Array(n)
  const q = new Float32Array(n)
  const block = Math.max(1, Math.round(LOOK_S * rateHz))
  let now = state
  let angle = 0
  for (let from = 0; from < n; from += block) {
    const to = Math.min(n, from + block)
    angle = renderBlock(now, settings, { i, q, from, to }, angle)
    now = advance(now, (to - from) / rateHz)
  }
  addNoise(i, q, Math.sqrt(dbToPowerRatio(-settings.noiseDb) / 2), state.seed)
  return { i, q, rateHz, state: now }
}

function renderBlock(
  state: RigState,
  { rateHz, offsetHz, fullScaleW }: IqSettings,
  { i, q, from, to }: { i: Float32Array; q: Float32Array; from: number; to: number },
  startAngle: number,
): number {
  const { emission } = truthOf(state)
  const wave = waveform(emission)
  const scale = 1 / Math.sqrt(fullScaleW)
  const hz = offsetHz + (emission.kind === 'none' ? 0 : emission.offsetHz)
  const stepAngle = (2 * Math.PI * hz) / rateHz
  const out = { re: 0, im: 0 }
  // A rotating phasor instead of a sine and cosine each: its size is exact again at every block.
  let c = Math.cos(startAngle)
  let s = Math.sin(startAngle)
  const dc = Math.cos(stepAngle)
  const ds = Math.sin(stepAngle)
  for (let k = from; k < to; k++) {
    wave(k / rateHz, out)
    i[k] = (out.re * c - out.im * s) * scale
    q[k] = (out.re * s + out.im * c) * scale
    const next = c * dc - s * ds
    s = c * ds + s * dc
    c = next
  }
  return (startAngle + stepAngle * (to - from)) % (2 * Math.PI)
}

function addNoise(i: Float32Array, q: Float32Array, sigma: number, seed: number): void {
  if (!(sigma > 0)) return
  const gauss = gaussianFrom(seed * 7919 + 13)
  for (let k = 0; k < i.length; k++) {
    i[k]! += sigma * gauss()
    q[k]! += sigma * gauss()
  }
}

import type { Recording } from '../../core/recording'
import { recordingOf, type MadeSignal } from '../fixtures/signals'
import { shaped, shapedNoise } from './sources'

/** Transmitters and receivers: from a modulating waveform to a recording. Carriers are 0.3 of full scale. */

export const CENTRE_HZ = 27_180_000
const SIZE = 0.3

/** What keeps an envelope from going below nothing, and the carrier that a phase moves. */
export interface AmSent {
  readonly offsetHz: number
  readonly size?: number
  /** phase beside the carrier [rad] at a sample */
  readonly phase?: (n: number) => number
}

/** @param m modulating waveform, 1 = 100 %; below -1 the carrier is pinched off */
export function am(
  m: Float64Array,
  rateHz: number,
  { offsetHz, size = SIZE, phase = () => 0 }: AmSent,
): MadeSignal {
  return pointer(
    m.length,
    rateHz,
    n => size * Math.max(0, 1 + m[n]!),
    n => (2 * Math.PI * offsetHz * n) / rateHz + phase(n),
  )
}

/**
 * @param m instantaneous deviation [Hz]; between two samples it is the cubic through four of them that turns
 * the phase
 */
export function fm(m: Float64Array, rateHz: number, offsetHz: number, size = SIZE): MadeSignal {
  let turned = 0
  const at = (n: number) => m[Math.max(0, Math.min(m.length - 1, n))]!
  return pointer(
    m.length,
    rateHz,
    () => size,
    n => {
      const between = n === 0 ? 0 : (13 * (at(n - 1) + at(n)) - at(n - 2) - at(n + 1)) / 24
      turned += (2 * Math.PI * (n === 0 ? 0 : offsetHz + between)) / rateHz
      return turned
    },
  )
}

function pointer(
  count: number,
  rateHz: number,
  size: (n: number) => number,
  angle: (n: number) => number,
): MadeSignal {
  const [i, q] = [new Float64Array(count), new Float64Array(count)]
  for (let n = 0; n < count; n++) {
    const [a, r] = [angle(n), size(n)]
    i[n] = r * Math.cos(a)
    q[n] = r * Math.sin(a)
  }
  return { i, q, rateHz }
}

export function together(...parts: readonly MadeSignal[]): MadeSignal {
  const [first, ...rest] = parts
  return rest.reduce(
    (a, b) => ({ i: a.i.map((x, n) => x + b.i[n]!), q: a.q.map((x, n) => x + b.q[n]!), rateHz: a.rateHz }),
    first!,
  )
}

/** Noise so far below a carrier of 0.3, in the whole rate or as a receiver shapes it. */
export function noisy(
  made: MadeSignal,
  carrierToNoiseDb: number,
  seed: number,
  shape: (hz: number) => number = () => 1,
): MadeSignal {
  const { re, im } = shapedNoise(made.rateHz, made.i.length, seed, shape)
  const scale = SIZE * 10 ** (-carrierToNoiseDb / 20)
  return { ...made, i: made.i.map((x, n) => x + scale * re[n]!), q: made.q.map((x, n) => x + scale * im[n]!) }
}

/** A receiver that lets a part of the band through. */
export function received(made: MadeSignal, shape: (hz: number) => number): MadeSignal {
  const { re, im } = shaped({ re: made.i, im: made.q }, made.rateHz, shape)
  return { ...made, i: re, q: im }
}

export const bandpass =
  (lowHz: number, highHz: number, steepness = 12) =>
  (hz: number) =>
    1 / Math.sqrt(1 + (Math.abs(2 * hz - lowHz - highHz) / (highHz - lowHz)) ** (2 * steepness))

export function recording(made: MadeSignal, change: Partial<Recording> = {}): Recording {
  return recordingOf(made, { centreHz: CENTRE_HZ, ...change })
}

/** As a converter of so many steps gives it. */
export function quantised(made: MadeSignal, steps: number): Recording {
  const of = (x: Float64Array) => x.map(v => Math.max(-steps, Math.min(steps, Math.round(v * steps))) / steps)
  return recording({ ...made, i: of(made.i), q: of(made.q) }, { steps, datatype: 'cu8' })
}

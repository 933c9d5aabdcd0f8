import { powerDb } from '../../quantity'
import { fft } from './lines'
import type { Emission, SsbEmission, Tone } from './emission'
import type { Cycle } from './cycle'
import { waveform } from './waveform'

export interface EnvelopeFigures {
  readonly meanW: number
  readonly pepW: number
  readonly highV: number
  readonly lowV: number
  readonly meanV: number
}

/** Samples a second of the sampled period: lines up to +/-64 kHz. */
const RATE = 131_072
const MAX = 16_384

/** @returns one period: that of the greatest common divisor of the tones, in whole hertz */
export function cycleOf(emission: Emission): Cycle {
  const tones: readonly Tone[] = emission.kind === 'none' ? [] : emission.tones
  const step = tones.reduce((g, { hz }) => gcd(g, Math.max(1, Math.round(hz))), 0) || 1000
  const n = Math.min(MAX, 2 ** Math.ceil(Math.log2(Math.max(256, RATE / step))))
  const re = new Float64Array(n)
  const im = new Float64Array(n)
  const wave = waveform(emission)
  const out = { re: 0, im: 0 }
  for (let k = 0; k < n; k++) {
    wave(k / n / step, out)
    re[k] = out.re
    im[k] = out.im
  }
  return { re, im, periodS: 1 / step }
}

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b)
}

/** Powers and extremes of the envelope over one period. */
export function envelopeFigures({ re, im }: Cycle): EnvelopeFigures {
  let power = 0
  let sum = 0
  let high = 0
  let low = Infinity
  for (let k = 0; k < re.length; k++) {
    const size = Math.hypot(re[k]!, im[k]!)
    power += size * size
    sum += size
    if (size > high) high = size
    if (size < low) low = size
  }
  return { meanW: power / re.length, pepW: high * high, highV: high, lowV: low, meanV: sum / re.length }
}

export interface SpectralFigures {
  /** worst of both neighbours, +/-10 kHz +/-4 kHz, against the carrier line (AM) or all power [dBc] */
  readonly adjacentDbc: number
  /** weaker tone over stronger third-order product [dB]; null without two tones */
  readonly imd3Db: number | null
  /** carrier line below the PEP of the tones alone [dB]; null where the carrier is wanted */
  readonly carrierBelowPepDb: number | null
  /** strongest line from the carrier [Hz] */
  readonly strongestHz: number
}

const NEIGHBOUR_HZ = 10_000
const NEIGHBOUR_HALF_HZ = 4000
const NOTHING = 1e-15

/** Figures from the lines of one period. */
export function spectralFigures(emission: Emission, cycle: Cycle, offsetHz: number): SpectralFigures {
  const power = fft(cycle)
  const n = power.length
  const at = (hz: number) => power[((Math.round(hz * cycle.periodS) % n) + n) % n]!
  const neighbour = (side: 1 | -1) => {
    let sum = 0
    const [from, to] = [side * NEIGHBOUR_HZ - NEIGHBOUR_HALF_HZ, side * NEIGHBOUR_HZ + NEIGHBOUR_HALF_HZ]
    for (
      let k = Math.ceil((from - offsetHz) * cycle.periodS);
      k <= Math.floor((to - offsetHz) * cycle.periodS);
      k++
    )
      sum += power[((k % n) + n) % n]!
    return sum
  }
  const total = power.reduce((a, b) => a + b, 0)
  const reference = emission.kind === 'am' ? at(0) : total
  let strongest = 0
  for (let k = 0; k < n; k++) if (power[k]! > power[strongest]!) strongest = k
  return {
    adjacentDbc: powerDb(Math.max(neighbour(1), neighbour(-1), NOTHING) / Math.max(reference, NOTHING)),
    imd3Db:
      emission.kind === 'ssb' && emission.tones.length === 2
        ? products(emission.tones, emission.side, at)
        : null,
    carrierBelowPepDb:
      emission.kind === 'ssb'
        ? powerDb(Math.max(tonesPepW(emission, at), NOTHING) / Math.max(at(0), NOTHING))
        : null,
    strongestHz: (strongest > n / 2 ? strongest - n : strongest) / cycle.periodS,
  }
}

/** Crest of the tones without what leaks beside them: their amplitudes added. */
function tonesPepW({ tones, side }: SsbEmission, at: (hz: number) => number): number {
  return tones.reduce((sum, t) => sum + Math.sqrt(at(side * t.hz)), 0) ** 2
}

function products([first, second]: readonly Tone[], side: 1 | -1, at: (hz: number) => number): number {
  const tones = [at(side * first!.hz), at(side * second!.hz)]
  const third = [at(side * (2 * first!.hz - second!.hz)), at(side * (2 * second!.hz - first!.hz))]
  return powerDb(Math.max(Math.min(...tones), NOTHING) / Math.max(...third, NOTHING))
}

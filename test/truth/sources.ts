import { transformOf } from '../../core/signal/spectrum/fft'
import { randomFrom, type Random } from '../fixtures/faults/random'

/** What modulates, as a waveform at a sample rate, and noise of any shape. Everything from a seed. */

export function gaussFrom(random: Random): () => number {
  return () => Math.sqrt(-2 * Math.log(random.within(1e-12, 1))) * Math.cos(2 * Math.PI * random.next())
}

/** A vowel or voiced consonant: where its formants lie [Hz], and how loud each is. */
const FORMANTS = [
  [700, 1220, 2600],
  [530, 1840, 2480],
  [270, 2290, 2800],
  [570, 840, 2410],
  [300, 870, 2240],
  [440, 1020, 2240],
] as const
const FORMANT_WIDTH_HZ = [110, 140, 200] as const
const FORMANT_LEVEL = [1, 0.6, 0.3] as const
/** Speech as a transmitter lets it through [Hz] (common practice: 300 to 3000). */
const SPEECH_HZ = [250, 3000] as const

interface Syllable {
  readonly fromS: number
  readonly toS: number
  readonly pitchHz: number
  readonly glide: number
  readonly vowel: (typeof FORMANTS)[number]
  readonly loudness: number
}

function syllables(random: Random, seconds: number): Syllable[] {
  const base = random.within(90, 220)
  const out: Syllable[] = []
  for (let t = random.within(0.02, 0.1); t < seconds;) {
    const length = random.within(0.09, 0.3)
    out.push({
      fromS: t,
      toS: Math.min(seconds, t + length),
      pitchHz: base * random.within(0.85, 1.25),
      glide: random.within(-0.25, 0.2),
      vowel: random.pick(FORMANTS),
      loudness: random.within(0.35, 1),
    })
    // Between words there are pauses, between syllables gaps.
    t += length + (random.chance(0.2) ? random.within(0.12, 0.35) : random.within(0.01, 0.06))
  }
  return out
}

/**
 * A voice: syllables of a gliding pitch whose harmonics follow three formants, with gaps and pauses.
 * @returns waveform without unit, its larger extreme at 1 on either side
 */
export function voice(rateHz: number, seconds: number, seed: number): Float64Array {
  const random = randomFrom(seed)
  const x = new Float64Array(Math.round(rateHz * seconds))
  // Pulses of a throat are one-sided: crest and trough of a voice differ.
  const skew = random.within(0, 1.2)
  for (const s of syllables(random, seconds)) addSyllable(x, rateHz, s, skew)
  const most = x.reduce((m, v) => Math.max(m, Math.abs(v)), 0)
  return x.map(v => v / most)
}

/** A throat changes little in this time [s]: formants are looked up anew so often. */
const STEADY_S = 0.002

function addSyllable(x: Float64Array, rateHz: number, s: Syllable, skew: number): void {
  const length = s.toS - s.fromS
  const orders = Math.ceil((SPEECH_HZ[1] * 1.2) / (s.pitchHz * 0.7))
  const gains = new Float64Array(orders + 1)
  const hop = Math.round(STEADY_S * rateHz)
  for (let n = Math.ceil(s.fromS * rateHz), steps = 0; n < Math.min(x.length, s.toS * rateHz); n++, steps++) {
    const u = (n / rateHz - s.fromS) / length
    if (steps % hop === 0)
      for (let k = 1; k <= orders; k++) gains[k] = formantGain(k * s.pitchHz * (1 + s.glide * u), s.vowel)
    const angle = 2 * Math.PI * s.pitchHz * length * (u + (s.glide * u * u) / 2) + skew
    const twice = 2 * Math.cos(angle)
    let [before, now, sum] = [1, twice / 2, 0]
    for (let k = 1; k <= orders; k++) {
      sum += gains[k]! * now
      const next = twice * now - before
      before = now
      now = next
    }
    x[n]! += s.loudness * Math.sin(Math.PI * u) ** 2 * sum
  }
}

function formantGain(hz: number, vowel: Syllable['vowel']): number {
  const edge = 1 / (1 + (SPEECH_HZ[0] / hz) ** 8) / (1 + (hz / SPEECH_HZ[1]) ** 16)
  return (
    edge *
    vowel.reduce<number>(
      (sum, f, k) => sum + FORMANT_LEVEL[k]! / (1 + ((hz - f) / FORMANT_WIDTH_HZ[k]!) ** 2),
      0.03,
    )
  )
}

/** Audio noise between two frequencies, its larger extreme at 1. */
export function audioNoise(
  rateHz: number,
  seconds: number,
  seed: number,
  lowHz = 300,
  highHz = 3000,
): Float64Array {
  const { re } = shapedNoise(rateHz, Math.round(rateHz * seconds), seed, hz =>
    Math.abs(hz) >= lowHz && Math.abs(hz) <= highHz ? 1 : 0,
  )
  const most = re.reduce((m, v) => Math.max(m, Math.abs(v)), 0)
  return re.map(v => v / most)
}

export function tones(
  rateHz: number,
  seconds: number,
  parts: readonly (readonly [hz: number, size: number, phase?: number])[],
): Float64Array {
  return Float64Array.from({ length: Math.round(rateHz * seconds) }, (_, n) =>
    parts.reduce(
      (sum, [hz, size, phase = 0]) => sum + size * Math.sin((2 * Math.PI * hz * n) / rateHz + phase),
      0,
    ),
  )
}

/** Complex Gaussian noise whose amplitude follows a shape over frequency; mean power 1. */
export function shapedNoise(
  rateHz: number,
  count: number,
  seed: number,
  shape: (hz: number) => number,
): { re: Float64Array; im: Float64Array } {
  const gauss = gaussFrom(randomFrom(seed))
  const size = 2 ** Math.ceil(Math.log2(count))
  const { input, output, run } = transformOf(size)
  for (let k = 0; k < size; k++) {
    const gain = shape(((k < size / 2 ? k : k - size) * rateHz) / size)
    input[2 * k] = gain * gauss()
    input[2 * k + 1] = gain * gauss()
  }
  run()
  const re = Float64Array.from({ length: count }, (_, n) => output[2 * n]!)
  // The transform turns the other way: its mirror has the shape that was asked for.
  const im = Float64Array.from({ length: count }, (_, n) => -output[2 * n + 1]!)
  const power = re.reduce((sum, x, n) => sum + x * x + im[n]! ** 2, 0) / count
  const scale = 1 / Math.sqrt(power)
  return { re: re.map(x => x * scale), im: im.map(x => x * scale) }
}

/** A waveform run through a filter of any shape, whole at once (its ends run into each other). */
export function shaped(
  { re, im }: { re: Float64Array; im: Float64Array },
  rateHz: number,
  shape: (hz: number) => number,
): { re: Float64Array; im: Float64Array } {
  const size = 2 ** Math.ceil(Math.log2(re.length))
  const { input, output, run } = transformOf(size)
  input.fill(0)
  for (let n = 0; n < re.length; n++) [input[2 * n], input[2 * n + 1]] = [re[n]!, im[n]!]
  run()
  // Back by the same transform: with I and Q exchanged it turns the other way.
  for (let k = 0; k < size; k++) {
    const gain = shape(((k < size / 2 ? k : k - size) * rateHz) / size)
    const [x, y] = [output[2 * k]! * gain, output[2 * k + 1]! * gain]
    input[2 * k] = y
    input[2 * k + 1] = x
  }
  run()
  return {
    re: Float64Array.from(re, (_, n) => output[2 * n + 1]! / size),
    im: Float64Array.from(re, (_, n) => output[2 * n]! / size),
  }
}

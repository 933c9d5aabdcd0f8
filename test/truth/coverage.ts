import { DEFAULT_OPTIONS, measureRecording, type Measurement } from '../../core/signal'
import { audioRecording, fmSignal, lineSignal } from '../fixtures/signals'
import { randomFrom, type Random } from '../fixtures/faults/random'
import { CENTRE_HZ, am, noisy, recording } from './sent'
import { shapedNoise, tones } from './sources'

/** One figure of one drawn recording: how many of its stated uncertainties it lies from the truth. */
export interface Deviation {
  readonly figure: string
  readonly z: number
  readonly of: string
}
/** How well stated uncertainties of a figure hold over many recordings. */
export interface Coverage {
  readonly figure: string
  readonly count: number
  readonly rmsZ: number
  readonly within1: number
  readonly within2: number
  readonly median: number
}

type Expected = readonly [
  figure: string,
  value: number | null | undefined,
  truth: number,
  uncertainty: number | null | undefined,
]

const RATE_HZ = 48_000
/** Shapes of noise in the recording, by where the carrier lies in it. */
const NOISES: readonly (readonly [name: string, shape: (carrierHz: number) => (hz: number) => number])[] = [
  ['white', () => () => 1],
  ['white', () => () => 1],
  ['falling', () => hz => 1 / Math.sqrt(1 + Math.abs(hz) / 12_000)],
  ['receiver', () => hz => 1 / Math.sqrt(1 + (hz / 18_000) ** 24)],
  // Falls by 3 dB an octave from the carrier on, as that of an oscillator may.
  [
    'pink about the carrier',
    carrierHz => hz => 1 / Math.sqrt(Math.max(Math.abs(hz - carrierHz), 100) / 1000),
  ],
  ['audio band', carrierHz => hz => 1 / Math.sqrt(1 + ((hz - carrierHz) / 7000) ** 16)],
]

const between = (random: Random, low: number, high: number) => low * (high / low) ** random.next()

interface Draw {
  readonly seconds: number
  readonly toneHz: number
  readonly offsetHz: number
  readonly noiseDb: number
  readonly noise: string
  readonly shape: (hz: number) => number
  readonly seed: number
  readonly random: Random
}

function draw(seed: number): Draw {
  const random = randomFrom(seed)
  const offsetHz = random.within(-9000, 9000)
  const [noise, shape] = random.pick(NOISES)
  return {
    seconds: between(random, 0.05, 10),
    toneHz: between(random, 350, 2800),
    offsetHz,
    noiseDb: random.within(22, 60),
    noise,
    shape: shape(offsetHz),
    seed,
    random,
  }
}

async function ofAm(d: Draw): Promise<Expected[]> {
  const depth = d.random.within(0.15, 0.95)
  const { measurement: m } = await measureRecording(
    recording(
      noisy(
        am(tones(RATE_HZ, d.seconds, [[d.toneHz, depth, d.random.within(0, 6)]]), RATE_HZ, {
          offsetHz: d.offsetHz,
        }),
        d.noiseDb,
        d.seed,
        d.shape,
      ),
    ),
    { ...DEFAULT_OPTIONS, as: 'am' },
  )
  const {
    am: f,
    uncertainty: { am: u, carrier: c },
  } = m
  return [
    ['AM crest', f?.depthPositive, depth, u?.depthPositive],
    ['AM trough', f?.depthNegative, depth, u?.depthNegative],
    ['AM depth of the tone', f?.depthFundamental, depth, u?.depthFundamental],
    ['AM PEP', f?.pepDbfs, 20 * Math.log10(0.3 * (1 + depth)), u?.pepDbfs],
    ['AM mean power', f?.meanPowerDbfs, 10 * Math.log10(0.09 * (1 + depth ** 2 / 2)), u?.meanPowerDbfs],
    ['AM tone', f?.audioHz, d.toneHz, u?.audioHz],
    ...carrierOf(m, d.offsetHz, c?.frequencyHz),
  ]
}

async function ofFm(d: Draw): Promise<Expected[]> {
  const deviation = between(d.random, 200, 2500)
  const { measurement: m } = await measureRecording(
    recording(
      noisy(fmSignal(deviation, d.toneHz, d.offsetHz, RATE_HZ, d.seconds), d.noiseDb, d.seed, d.shape),
    ),
    { ...DEFAULT_OPTIONS, as: 'fm' },
  )
  const {
    fm: f,
    uncertainty: { fm: u, carrier: c },
  } = m
  return [
    ['FM up', f?.deviationPositiveHz, deviation, u?.deviationPositiveHz],
    ['FM down', f?.deviationNegativeHz, deviation, u?.deviationNegativeHz],
    ['FM deviation of the tone', f?.deviationFundamentalHz, deviation, u?.deviationFundamentalHz],
    ['FM deviation, rms', f?.deviationRmsHz, deviation / Math.SQRT2, u?.deviationRmsHz],
    ['FM tone', f?.audioHz, d.toneHz, u?.audioHz],
    ...carrierOf(m, d.offsetHz, c?.frequencyHz, 'FM'),
  ]
}

function carrierOf(m: Measurement, offsetHz: number, u: number | null | undefined, kind = 'AM'): Expected[] {
  return [
    [`${kind} frequency`, m.carrier?.frequencyHz, CENTRE_HZ + offsetHz, u],
    [`${kind} level`, m.carrier?.levelDbfs, 20 * Math.log10(0.3), m.uncertainty.carrier?.levelDbfs],
  ]
}

async function ofSsb(d: Draw): Promise<Expected[]> {
  const [imd, leak, image] = [d.random.within(22, 36), d.random.within(30, 45), d.random.within(30, 48)]
  const a = 0.15
  const c = d.offsetHz / 3
  const made = lineSignal(
    [
      [c + 700, a],
      [c + 1900, a],
      [c - 500, a * 10 ** (-imd / 20)],
      [c, a * 10 ** (-leak / 20)],
      [c - 700, a * 10 ** (-image / 20)],
    ],
    RATE_HZ,
    Math.max(0.5, d.seconds),
  )
  const { measurement: m } = await measureRecording(recording(noisy(made, d.noiseDb, d.seed, d.shape)), {
    ...DEFAULT_OPTIONS,
    as: 'ssb',
    nominalHz: CENTRE_HZ + c + d.random.within(-60, 60),
  })
  const {
    ssb: f,
    uncertainty: { ssb: u },
  } = m
  const seen = (figure: 'imd3DbBelowTone' | 'carrierDbBelowTone' | 'oppositeSidebandDb') =>
    f && !f.bounds.includes(figure) ? f[figure] : null
  return [
    ['SSB third order', seen('imd3DbBelowTone'), imd, u?.imd3DbBelowTone],
    ['SSB carrier', seen('carrierDbBelowTone'), leak, u?.carrierDbBelowTone],
    ['SSB opposite sideband', seen('oppositeSidebandDb'), image, u?.oppositeSidebandDb],
    ['SSB lower tone', f?.tonesHz[0], 700, u?.tonesHz?.[0]],
    ['SSB upper tone', f?.tonesHz[1], 1900, u?.tonesHz?.[1]],
    [
      'SSB suppressed carrier',
      f && !f.bounds.includes('carrierDbBelowTone') ? f.suppressedCarrierHz : null,
      CENTRE_HZ + c,
      u?.suppressedCarrierHz,
    ],
  ]
}

async function ofSound(d: Draw): Promise<Expected[]> {
  const [size, second] = [0.25, d.random.within(0.002, 0.03)]
  const seconds = Math.max(0.2, d.seconds)
  const snr = d.random.within(12, 50)
  const noise = shapedNoise(RATE_HZ, Math.round(RATE_HZ * seconds), d.seed, d.shape).re
  // Only the real part of unit complex power: half of it.
  const sigma = (size / Math.SQRT2) * 10 ** (-snr / 20) * Math.SQRT2
  const x = tones(RATE_HZ, seconds, [
    [d.toneHz, size, d.random.within(0, 6)],
    [2 * d.toneHz, size * second, d.random.within(0, 6)],
  ])
  const {
    measurement: {
      audio: f,
      uncertainty: { audio: u },
    },
  } = await measureRecording(
    audioRecording(
      x.map((v, n) => v + sigma * noise[n]!),
      RATE_HZ,
    ),
    { ...DEFAULT_OPTIONS, as: 'audio' },
  )
  const [tone, harmonic, rest] = [size ** 2 / 2, (size * second) ** 2 / 2, sigma ** 2 / 2]
  const isWhite = d.shape(20_000) === 1
  return [
    ['sound, tone', f?.fundamentalHz, d.toneHz, u?.fundamentalHz],
    [
      'sound, second harmonic',
      second > (8 * sigma) / size / Math.sqrt((RATE_HZ * seconds) / 2) ? f?.harmonicsDbc[0] : null,
      20 * Math.log10(second),
      u?.harmonicsDbc?.[0],
    ],
    ['sound, level', f?.levelDbfs, 10 * Math.log10(2 * (tone + harmonic + rest)), u?.levelDbfs],
    ...(isWhite
      ? [
          [
            'sound, SINAD',
            f?.sinadDb,
            10 * Math.log10((tone + harmonic + rest) / (harmonic + rest)),
            u?.sinadDb,
          ] as const,
          ['sound, signal to noise', f?.snrDb, 10 * Math.log10(tone / rest), u?.snrDb] as const,
        ]
      : []),
  ]
}

const KINDS = [ofAm, ofFm, ofSsb, ofSound] as const

/** Draws recordings and measures them. @param each recordings of each kind */
export async function deviations(each: number, seed: number): Promise<Deviation[]> {
  const out: Deviation[] = []
  for (const kind of KINDS) {
    for (let k = 0; k < each; k++) {
      const d = draw(seed + k)
      const of = `${d.seconds.toFixed(2)} s, ${d.toneHz.toFixed(0)} Hz, ${d.noiseDb.toFixed(0)} dB, ${d.noise}`
      for (const [figure, value, truth, u] of await kind(d)) {
        if (typeof value === 'number' && typeof u === 'number')
          out.push({ figure, z: (value - truth) / u, of })
      }
    }
  }
  return out
}

export function coverageOf(list: readonly Deviation[]): Coverage[] {
  return [...new Set(list.map(d => d.figure))].map(figure => {
    const z = list
      .filter(d => d.figure === figure)
      .map(d => Math.abs(d.z))
      .sort((a, b) => a - b)
    const within = (k: number) => z.filter(v => v <= k).length / z.length
    return {
      figure,
      count: z.length,
      rmsZ: Math.sqrt(z.reduce((s, v) => s + v * v, 0) / z.length),
      within1: within(1),
      within2: within(2),
      median: z[Math.floor(z.length / 2)]!,
    }
  })
}

import { CENTRE_HZ, noisy, recording } from '../sent'
import { lineSignal } from '../../fixtures/signals'
import { shaped, voice } from '../sources'
import { near, type Case } from '../cases'

const RATE_HZ = 48_000
const SECONDS = 3

interface Sent {
  readonly name: string
  readonly carrierHz: number
  readonly side: 1 | -1
  readonly tonesHz: readonly number[]
  readonly sizes: readonly number[]
  readonly leakDb: number | null
  readonly imageDb: number | null
  readonly nominalHz: number | null
  readonly noiseDb: number
}

/** Lines below one tone [dB] as they are put in; a figure that cannot be told apart must be a bound. */
const SENT: readonly Sent[] = [
  {
    name: 'LSB 35 Hz off, leak at -38 dB',
    carrierHz: 35,
    side: -1,
    tonesHz: [700, 1900],
    sizes: [0.2, 0.2],
    leakDb: 38,
    imageDb: 45,
    nominalHz: 0,
    noiseDb: 60,
  },
  {
    name: 'USB 35 Hz off, leak at -38 dB',
    carrierHz: -35,
    side: 1,
    tonesHz: [700, 1900],
    sizes: [0.2, 0.2],
    leakDb: 38,
    imageDb: 45,
    nominalHz: 0,
    noiseDb: 60,
  },
  {
    name: 'LSB on its frequency',
    carrierHz: 0.4,
    side: -1,
    tonesHz: [700, 1900],
    sizes: [0.2, 0.2],
    leakDb: 50,
    imageDb: 55,
    nominalHz: 0,
    noiseDb: 70,
  },
  {
    name: 'USB 120 Hz off',
    carrierHz: 120,
    side: 1,
    tonesHz: [700, 1900],
    sizes: [0.2, 0.2],
    leakDb: 42,
    imageDb: 40,
    nominalHz: 0,
    noiseDb: 60,
  },
  {
    name: 'unequal tones, 6 dB apart',
    carrierHz: 20,
    side: 1,
    tonesHz: [700, 1900],
    sizes: [0.2, 0.1],
    leakDb: 40,
    imageDb: 50,
    nominalHz: 0,
    noiseDb: 65,
  },
  {
    name: 'unequal tones, 10 dB apart',
    carrierHz: -10,
    side: -1,
    tonesHz: [800, 2100],
    sizes: [0.08, 0.25],
    leakDb: 45,
    imageDb: 52,
    nominalHz: 0,
    noiseDb: 65,
  },
  {
    name: 'one tone',
    carrierHz: 15,
    side: 1,
    tonesHz: [1500],
    sizes: [0.3],
    leakDb: 41,
    imageDb: 47,
    nominalHz: 0,
    noiseDb: 60,
  },
  {
    name: 'one tone, LSB',
    carrierHz: -25,
    side: -1,
    tonesHz: [1200],
    sizes: [0.3],
    leakDb: 36,
    imageDb: 44,
    nominalHz: 0,
    noiseDb: 60,
  },
  {
    name: 'no leak above the noise',
    carrierHz: 10,
    side: 1,
    tonesHz: [700, 1900],
    sizes: [0.2, 0.2],
    leakDb: null,
    imageDb: null,
    nominalHz: 0,
    noiseDb: 55,
  },
  {
    name: 'no nominal frequency, other tones, LSB 35 Hz off',
    carrierHz: 35,
    side: -1,
    tonesHz: [800, 1800],
    sizes: [0.2, 0.2],
    leakDb: 38,
    imageDb: 45,
    nominalHz: null,
    noiseDb: 60,
  },
  {
    name: 'no nominal frequency, LSB 35 Hz off',
    carrierHz: 35,
    side: -1,
    tonesHz: [700, 1900],
    sizes: [0.2, 0.2],
    leakDb: 38,
    imageDb: 45,
    nominalHz: null,
    noiseDb: 50,
  },
  {
    name: 'no nominal frequency, other tones, USB',
    carrierHz: -60,
    side: 1,
    tonesHz: [500, 2300],
    sizes: [0.2, 0.15],
    leakDb: 44,
    imageDb: 50,
    nominalHz: null,
    noiseDb: 60,
  },
  {
    name: 'no nominal frequency, leak found by the usual tones',
    carrierHz: 310,
    side: 1,
    tonesHz: [700, 1900],
    sizes: [0.2, 0.2],
    leakDb: 35,
    imageDb: 48,
    nominalHz: null,
    noiseDb: 60,
  },
]

function sideband(s: Sent, k: number): Case {
  const largest = Math.max(...s.sizes)
  const pep = s.sizes.reduce((a, b) => a + b, 0)
  const lines: [number, number][] = s.tonesHz.map((f, n) => [s.carrierHz + s.side * f, s.sizes[n]!])
  if (s.leakDb !== null) lines.push([s.carrierHz, largest * 10 ** (-s.leakDb / 20)])
  if (s.imageDb !== null)
    s.tonesHz.forEach((f, n) =>
      lines.push([s.carrierHz - s.side * f, s.sizes[n]! * 10 ** (-s.imageDb! / 20)]),
    )
  const { leakDb, imageDb } = s
  return {
    name: `SSB, ${s.name}`,
    options: { as: 'ssb', nominalHz: s.nominalHz === null ? null : CENTRE_HZ + s.nominalHz },
    rules: 'R-US',
    make: () => recording(noisy(lineSignal(lines, RATE_HZ, SECONDS), s.noiseDb, 400 + k)),
    truths: [
      near('sideband', m => (m.ssb?.sideband === (s.side > 0 ? 'USB' : 'LSB') ? 1 : 0), 1, 0, 0),
      near(
        'PEP',
        m => m.ssb?.pepDbfs,
        20 * Math.log10(pep),
        0.1,
        0.3,
        m => m.uncertainty.ssb?.pepDbfs,
      ),
      near(
        'PEP over average',
        m => m.ssb?.pepToMeanDb,
        20 * Math.log10(pep) - 10 * Math.log10(s.sizes.reduce((a, b) => a + b * b, 0)),
        0.1,
        0.3,
        m => m.uncertainty.ssb?.pepToMeanDb,
      ),
      ...(leakDb === null
        ? [near('carrier is a bound', m => (m.ssb?.bounds.includes('carrierDbBelowTone') ? 1 : 0), 1, 0, 0)]
        : [
            near(
              'suppressed carrier',
              m => m.ssb?.suppressedCarrierHz,
              CENTRE_HZ + s.carrierHz,
              0.05,
              5,
              m => m.uncertainty.ssb?.suppressedCarrierHz,
            ),
            near(
              'carrier below the stronger tone',
              m => m.ssb?.carrierDbBelowTone,
              leakDb,
              0.05,
              1,
              m => m.uncertainty.ssb?.carrierDbBelowTone,
            ),
            near(
              'carrier below PEP',
              m => m.ssb?.carrierDbBelowPep,
              leakDb + 20 * Math.log10(pep / largest),
              0.1,
              1,
              m => m.uncertainty.ssb?.carrierDbBelowPep,
            ),
            ...s.tonesHz.map((f, n) =>
              near(
                `tone ${n + 1}`,
                m => m.ssb?.tonesHz[n],
                f,
                0.05,
                5,
                m => m.uncertainty.ssb?.tonesHz?.[n],
              ),
            ),
          ]),
      ...(imageDb === null
        ? [
            near(
              'opposite sideband is a bound',
              m => (m.ssb?.bounds.includes('oppositeSidebandDb') ? 1 : 0),
              1,
              0,
              0,
            ),
          ]
        : [
            near(
              'opposite sideband',
              m => m.ssb?.oppositeSidebandDb,
              imageDb,
              0.05,
              1,
              m => m.uncertainty.ssb?.oppositeSidebandDb,
            ),
          ]),
    ],
    neverSays: ['outside'],
  }
}

/** A voice on one sideband: what is told of it is its crest and its mean. */
function spoken(k: number): Case {
  const raw = voice(RATE_HZ, SECONDS, 850 + k)
  const { re, im } = shaped({ re: raw, im: new Float64Array(raw.length) }, RATE_HZ, hz =>
    hz * (k % 2 ? -1 : 1) > 0 ? 1 : 0,
  )
  const peak = re.reduce((m, x, n) => Math.max(m, Math.hypot(x, im[n]!)), 0)
  const size = 0.4 / peak
  // Silence before the first syllable and after the last one is no part of what is sent.
  const sent = (n: number) => Math.hypot(re[n]!, im[n]!) > 0.02 * peak
  const [from, to] = [re.findIndex((_, n) => sent(n)), re.findLastIndex((_, n) => sent(n))]
  const power =
    re.subarray(from, to + 1).reduce((s, x, n) => s + size ** 2 * (x * x + im[from + n]! ** 2), 0) /
    (to + 1 - from)
  const shift = (hz: number) => ({
    rateHz: RATE_HZ,
    i: re.map(
      (x, n) =>
        size *
        (x * Math.cos((2 * Math.PI * hz * n) / RATE_HZ) -
          im[n]! * Math.sin((2 * Math.PI * hz * n) / RATE_HZ)),
    ),
    q: re.map(
      (x, n) =>
        size *
        (x * Math.sin((2 * Math.PI * hz * n) / RATE_HZ) +
          im[n]! * Math.cos((2 * Math.PI * hz * n) / RATE_HZ)),
    ),
  })
  return {
    name: `SSB, voice ${k}${k >= 2 ? ', mode not said' : ''}`,
    options: { as: k >= 2 ? 'auto' : 'ssb', nominalHz: CENTRE_HZ + 5000 },
    rules: 'R-US',
    make: () => recording(noisy(shift(5000), 50, 850 + k)),
    truths: [
      near('mode', m => (m.mode === 'ssb' ? 1 : 0), 1, 0, 0),
      near(
        'PEP',
        m => m.ssb?.pepDbfs,
        20 * Math.log10(0.4),
        0.05,
        0.3,
        m => m.uncertainty.ssb?.pepDbfs,
      ),
      near(
        'mean',
        m => m.ssb?.meanPowerDbfs,
        10 * Math.log10(power),
        0.25,
        0.3,
        m => m.uncertainty.ssb?.meanPowerDbfs,
      ),
    ],
    neverSays: ['outside'],
  }
}

export const SIDEBAND: readonly Case[] = [
  ...SENT.map(sideband),
  ...Array.from({ length: 4 }, (_, k) => spoken(k)),
]

import { CENTRE_HZ, am, fm, noisy, recording, together } from '../sent'
import { tones } from '../sources'
import { audioRecording, carrierOf, lineSignal } from '../../fixtures/signals'
import { near, type Case } from '../cases'

const RATE_HZ = 48_000
const SECONDS = 2

/** A second harmonic bends a crest; it does not cut it off. */
function secondHarmonic(k: number): Case {
  const [h, depth] = (
    [
      [0.025, 0.8],
      [0.03, 0.7],
      [0.04, 0.9],
      [0.035, 0.6],
      [0.04, 0.5],
      [0.025, 0.95],
    ] as const
  )[k]!
  const m = tones(RATE_HZ, SECONDS, [
    [1000, depth],
    [2000, depth * h, k % 2 ? Math.PI / 2 : -Math.PI / 2],
  ])
  const fine = tones(10_000_000, 0.001, [
    [1000, depth],
    [2000, depth * h, k % 2 ? Math.PI / 2 : -Math.PI / 2],
  ])
  return {
    name: `AM ${depth} with ${h} of second harmonic`,
    options: { as: 'am' },
    rules: 'R-US',
    make: () => recording(noisy(am(m, RATE_HZ, { offsetHz: 4000 }), 50, 600 + k)),
    truths: [
      near(
        'crest',
        r => r.am?.depthPositive,
        fine.reduce((a, b) => Math.max(a, b), 0),
        1e-4,
        0.01,
        r => r.uncertainty.am?.depthPositive,
      ),
      near(
        'trough',
        r => r.am?.depthNegative,
        -fine.reduce((a, b) => Math.min(a, b), 0),
        1e-4,
        0.01,
        r => r.uncertainty.am?.depthNegative,
      ),
      near(
        'distortion',
        r => r.am?.thd,
        h,
        1e-5,
        0.01,
        r => r.uncertainty.am?.thd,
      ),
    ],
    neverSays: ['flat-topped', 'pinched'],
  }
}

/** Hum and noise of the frequency are read under a distorted tone as well. */
function residual(k: number): Case {
  const [rms, h] = (
    [
      [4, 0.03],
      [8, 0.05],
      [4, 0],
      [12, 0.02],
    ] as const
  )[k]!
  return {
    name: `FM residual of ${rms} Hz under ${h} of distortion`,
    options: { as: 'fm' },
    make: () =>
      recording(
        noisy(
          fm(
            tones(RATE_HZ, SECONDS, [
              [1000, 1500],
              [2000, 1500 * h],
              [100, rms * Math.SQRT2],
            ]),
            RATE_HZ,
            4000,
          ),
          75,
          620 + k,
        ),
      ),
    truths: [
      near(
        'residual',
        m => m.fm?.residualHz,
        rms,
        0.05,
        1,
        m => m.uncertainty.fm?.residualHz,
      ),
    ],
  }
}

/** A recording that begins with its bare carrier: crest and depth are told against it. */
function againstCarrier(k: number): Case {
  const [shift, depth] = (
    [
      [1.08, 0.9],
      [0.92, 0.9],
      [1.0, 0.7],
    ] as const
  )[k]!
  const made = carrierOf(
    RATE_HZ,
    SECONDS,
    s => (s < 0.5 ? 1 : shift * (1 + depth * Math.sin(2 * Math.PI * 1000 * s))),
    s => 4000 * s,
  )
  return {
    name: `AM ${depth} with its carrier shifted to ${shift}`,
    options: { as: 'am' },
    rules: 'R-US',
    make: () => recording(noisy(made, 55, 640 + k)),
    truths: [
      near(
        'crest against the carrier',
        m => m.am?.unmodulated?.depthPositive,
        shift * (1 + depth) - 1,
        1e-3,
        0.01,
        m => m.uncertainty.am?.unmodulated?.depthPositive,
      ),
      near(
        'shift',
        m => m.am?.unmodulated?.carrierShift,
        shift - 1,
        1e-3,
        0.01,
        m => m.uncertainty.am?.unmodulated?.carrierShift,
      ),
    ],
  }
}

/** A drift begins where the recording begins, not 30 ms later. */
function drifting(k: number): Case {
  const tau = [0.5, 0.8][k]!
  const made = carrierOf(
    RATE_HZ,
    4,
    s => 1 + 0.5 * Math.sin(2 * Math.PI * 1000 * s),
    s => 4000 * s - 60 * tau * Math.exp(-s / tau),
  )
  return {
    name: `a carrier that settles in ${tau} s`,
    options: { as: 'am' },
    make: () => recording(noisy(made, 55, 660 + k)),
    truths: [
      near(
        'start',
        m => m.carrier?.drift?.startHz,
        CENTRE_HZ + 4060,
        0.05,
        2,
        m => m.uncertainty.carrier?.drift?.startHz,
      ),
      near(
        'end',
        m => m.carrier?.drift?.endHz,
        CENTRE_HZ + 4000 + 60 * Math.exp(-4 / tau),
        0.05,
        2,
        m => m.uncertainty.carrier?.drift?.endHz,
      ),
    ],
  }
}

/**
 * An offset of the receiver that falls on a multiple of the tone is named: what it changes cannot be told
 * from the depth.
 */
const SPUR: Case = {
  name: 'an offset of the receiver on the second harmonic of the tone',
  options: { as: 'am' },
  make: () =>
    recording(
      noisy(
        together(
          am(tones(RATE_HZ, SECONDS, [[1000, 0.8]]), RATE_HZ, { offsetHz: 2000 }),
          lineSignal([[0, 0.01]], RATE_HZ, SECONDS),
        ),
        55,
        670,
      ),
    ),
  notes: ['spur-on-tone'],
  truths: [
    near(
      'trough',
      m => m.am?.depthNegative,
      0.8,
      0.005,
      0.06,
      m => m.uncertainty.am?.depthNegative,
    ),
  ],
}

/** Sound of a tone in hum: the tone that was said is the tone. */
function hummed(k: number): Case {
  const [hum, tone, size] = (
    [
      [50, 1000, 0.3],
      [100, 1000, 0.25],
      [60, 400, 0.3],
    ] as const
  )[k]!
  const rate = 48_000
  return {
    name: `sound of ${tone} Hz under ${hum} Hz of hum`,
    options: { as: 'audio', toneHz: tone },
    make: () =>
      audioRecording(
        tones(rate, 2, [
          [tone, 0.2],
          [hum, size],
        ]),
        rate,
      ),
    truths: [
      near('tone', m => m.audio?.fundamentalHz, tone, 0.01, 0),
      near(
        'SINAD, whole band',
        m => m.audio?.sinadDb,
        10 * Math.log10((0.2 ** 2 + size ** 2) / size ** 2),
        0.05,
        0.3,
        m => m.uncertainty.audio?.sinadDb,
      ),
    ],
  }
}

export const DETAILS: readonly Case[] = [
  ...Array.from({ length: 6 }, (_, k) => secondHarmonic(k)),
  ...Array.from({ length: 4 }, (_, k) => residual(k)),
  ...Array.from({ length: 3 }, (_, k) => againstCarrier(k)),
  ...Array.from({ length: 2 }, (_, k) => drifting(k)),
  SPUR,
  ...Array.from({ length: 3 }, (_, k) => hummed(k)),
]

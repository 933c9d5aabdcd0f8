import { am, fm, noisy, recording } from '../sent'
import { tones } from '../sources'
import { near, type Case } from '../cases'

const RATE_HZ = 48_000
const SECONDS = 2

/** Two tones without a common measure reach the sum of their sizes within a thousandth in two seconds. */
const MEETS = 0.003

function twoToneAm(k: number): Case {
  const [f1, f2, a, b] = (
    [
      [700, 1900, 0.4, 0.4],
      [440, 1130, 0.4, 0.4],
      [700, 1900, 0.3, 0.6],
      [1000, 1300, 0.45, 0.45],
      [500, 2700, 0.2, 0.7],
      [610, 1730, 0.6, 0.6],
    ] as const
  )[k]!
  const crest = a + b
  return {
    name: `AM, two tones ${f1} and ${f2} Hz, ${a} + ${b}`,
    options: { as: 'am' },
    rules: 'R-US',
    make: () =>
      recording(
        noisy(
          am(
            tones(RATE_HZ, SECONDS, [
              [f1 + 0.37, a],
              [f2 + 0.71, b],
            ]),
            RATE_HZ,
            { offsetHz: 4000 },
          ),
          50,
          40 + k,
        ),
      ),
    truths: [
      ...(crest <= 1
        ? [
            near(
              'crest',
              m => m.am?.depthPositive,
              crest,
              MEETS,
              0.01,
              m => m.uncertainty.am?.depthPositive,
            ),
            near(
              'trough',
              m => m.am?.depthNegative,
              crest,
              MEETS,
              0.01,
              m => m.uncertainty.am?.depthNegative,
            ),
          ]
        : []),
      near('lower tone', m => m.am?.tonesHz[0], f1 + 0.37, 0.05, 0),
      near('upper tone', m => m.am?.tonesHz[1], f2 + 0.71, 0.05, 0),
    ],
    ...(crest > 1.05
      ? { says: ['pinched' as const] }
      : { neverSays: ['pinched' as const, 'flat-topped' as const] }),
  }
}

function twoToneFm(k: number): Case {
  const [f1, f2, a, b] = (
    [
      [700, 1900, 800, 800],
      [440, 1130, 600, 900],
      [1000, 1300, 900, 900],
      [610, 1730, 1200, 1200],
    ] as const
  )[k]!
  return {
    name: `FM, two tones ${f1} and ${f2} Hz, ${a} + ${b} Hz`,
    options: { as: 'fm' },
    rules: 'R-EU',
    make: () =>
      recording(
        noisy(
          fm(
            tones(RATE_HZ, SECONDS, [
              [f1 + 0.37, a],
              [f2 + 0.71, b],
            ]),
            RATE_HZ,
            4000,
          ),
          50,
          60 + k,
        ),
      ),
    truths: [
      near(
        'up',
        m => m.fm?.deviationPositiveHz,
        a + b,
        MEETS * (a + b),
        25,
        m => m.uncertainty.fm?.deviationPositiveHz,
      ),
      near(
        'down',
        m => m.fm?.deviationNegativeHz,
        a + b,
        MEETS * (a + b),
        25,
        m => m.uncertainty.fm?.deviationNegativeHz,
      ),
      near('lower tone', m => m.fm?.tonesHz[0], f1 + 0.37, 0.05, 0),
      near('upper tone', m => m.fm?.tonesHz[1], f2 + 0.71, 0.05, 0),
    ],
    neverSays: a + b > 2100 ? ['clean'] : [],
  }
}

/** A tone with hum beside it in the envelope: crest and trough are those of both. */
function humAm(k: number): Case {
  const [hum, size, depth] = (
    [
      [50, 0.05, 0.8],
      [100, 0.1, 0.7],
      [120, 0.03, 0.9],
      [60, 0.15, 0.6],
    ] as const
  )[k]!
  return {
    name: `AM, tone ${depth} with hum of ${hum} Hz, ${size}`,
    options: { as: 'am' },
    rules: 'R-US',
    make: () =>
      recording(
        noisy(
          am(
            tones(RATE_HZ, SECONDS, [
              [1000.13, depth],
              [hum, size],
            ]),
            RATE_HZ,
            { offsetHz: 4000 },
          ),
          50,
          80 + k,
        ),
      ),
    truths: [
      near(
        'crest',
        m => m.am?.depthPositive,
        depth + size,
        0.004,
        0.01,
        m => m.uncertainty.am?.depthPositive,
      ),
      near(
        'trough',
        m => m.am?.depthNegative,
        depth + size,
        0.004,
        0.01,
        m => m.uncertainty.am?.depthNegative,
      ),
      near(
        'PEP',
        m => m.am?.pepDbfs,
        20 * Math.log10(0.3 * (1 + depth + size)),
        0.03,
        0.1,
        m => m.uncertainty.am?.pepDbfs,
      ),
    ],
  }
}

/** Hum that moves the frequency of the carrier does not move its size. */
function humFm(k: number): Case {
  const [hum, deviation, depth] = (
    [
      [50, 30, 0.8],
      [50, 50, 0.5],
      [100, 40, 0.9],
      [100, 50, 0.3],
      [60, 45, 0.7],
      [120, 30, 0.6],
    ] as const
  )[k]!
  return {
    name: `AM ${depth} on a carrier with ${deviation} Hz of hum FM at ${hum} Hz`,
    options: { as: 'am' },
    rules: 'R-US',
    make: () =>
      recording(
        noisy(
          am(tones(RATE_HZ, SECONDS, [[1000.13, depth]]), RATE_HZ, {
            offsetHz: 4000,
            phase: n => (deviation / hum) * Math.sin((2 * Math.PI * hum * n) / RATE_HZ),
          }),
          50,
          90 + k,
        ),
      ),
    truths: [
      near(
        'crest',
        m => m.am?.depthPositive,
        depth,
        0.003,
        0.01,
        m => m.uncertainty.am?.depthPositive,
      ),
      near(
        'trough',
        m => m.am?.depthNegative,
        depth,
        0.003,
        0.01,
        m => m.uncertainty.am?.depthNegative,
      ),
      near(
        'PEP',
        m => m.am?.pepDbfs,
        20 * Math.log10(0.3 * (1 + depth)),
        0.03,
        0.1,
        m => m.uncertainty.am?.pepDbfs,
      ),
      near(
        'level',
        m => m.carrier?.levelDbfs,
        20 * Math.log10(0.3),
        0.03,
        0.1,
        m => m.uncertainty.carrier?.levelDbfs,
      ),
      near(
        'mean over carrier',
        m => m.am?.meanToCarrier,
        1 + depth ** 2 / 2,
        0.01,
        0.05,
        m => m.uncertainty.am?.meanToCarrier,
      ),
    ],
    neverSays: ['pinched', 'flat-topped', 'reversed'],
  }
}

export const SEVERAL_TONES: readonly Case[] = [
  ...Array.from({ length: 6 }, (_, k) => twoToneAm(k)),
  ...Array.from({ length: 4 }, (_, k) => twoToneFm(k)),
  ...Array.from({ length: 4 }, (_, k) => humAm(k)),
  ...Array.from({ length: 6 }, (_, k) => humFm(k)),
]

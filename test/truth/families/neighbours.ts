import { CENTRE_HZ, am, fm, noisy, recording, together } from '../sent'
import { tones, voice } from '../sources'
import { near, type Case } from '../cases'

const RATE_HZ = 96_000
const SECONDS = 2
const OWN_HZ = 5000

/** Another station beside the wanted one, up to ten times its power; the nominal frequency is given. */
function besideAm(k: number): Case {
  const offset = [10_000, -10_000, 20_000, -20_000, 10_000, -10_000, 10_000, 20_000][k]!
  const db = [-10, 0, 0, 10, 10, 3, -20, -6][k]!
  const depth = [0.8, 0.5, 0.9, 0.6, 0.7, 0.85, 0.4, 0.95][k]!
  const size = 0.1 * 10 ** (db / 20)
  const other =
    k % 2 ? voice(RATE_HZ, SECONDS, 900 + k).map(x => 0.8 * x) : tones(RATE_HZ, SECONDS, [[1370, 0.7]])
  return {
    name: `AM beside a neighbour ${offset / 1000} kHz off at ${db} dB`,
    options: { as: 'am', nominalHz: CENTRE_HZ + OWN_HZ },
    rules: 'R-US',
    make: () =>
      recording(
        noisy(
          together(
            am(tones(RATE_HZ, SECONDS, [[1000.2, depth]]), RATE_HZ, { offsetHz: OWN_HZ + 37, size: 0.1 }),
            am(other, RATE_HZ, { offsetHz: OWN_HZ + offset + 12, size }),
          ),
          60,
          900 + k,
        ),
      ),
    truths: [
      near(
        'frequency',
        m => m.carrier?.offsetHz,
        37,
        0.01,
        2,
        m => m.uncertainty.carrier?.offsetHz,
      ),
      near(
        'level',
        m => m.carrier?.levelDbfs,
        -20,
        0.05,
        0.3,
        m => m.uncertainty.carrier?.levelDbfs,
      ),
      near(
        'crest',
        m => m.am?.depthPositive,
        depth,
        0.005,
        0.05,
        m => m.uncertainty.am?.depthPositive,
      ),
      near(
        'trough',
        m => m.am?.depthNegative,
        depth,
        0.005,
        0.05,
        m => m.uncertainty.am?.depthNegative,
      ),
      near('tone', m => m.am?.audioHz, 1000.2, 0.05, 0),
    ],
    notes: ['neighbour-beside'],
    neverSays: ['outside', 'pinched', 'flat-topped', 'adjacent-power', 'mask', 'neighbours'],
  }
}

function besideFm(k: number): Case {
  const offset = [10_000, -10_000, 20_000, 10_000, -10_000, 20_000][k]!
  const db = [-10, 0, 6, 3, -6, 10][k]!
  const deviation = [1200, 1500, 1800, 1000, 1400, 1700][k]!
  const other =
    k % 2 ? voice(RATE_HZ, SECONDS, 930 + k).map(x => 1800 * x) : tones(RATE_HZ, SECONDS, [[1370, 1500]])
  return {
    name: `FM beside a neighbour ${offset / 1000} kHz off at ${db} dB`,
    options: { as: 'fm', nominalHz: CENTRE_HZ + OWN_HZ },
    rules: 'R-EU',
    make: () =>
      recording(
        noisy(
          together(
            fm(tones(RATE_HZ, SECONDS, [[1000.2, deviation]]), RATE_HZ, OWN_HZ + 37, 0.1),
            fm(other, RATE_HZ, OWN_HZ + offset + 12, 0.1 * 10 ** (db / 20)),
          ),
          60,
          930 + k,
        ),
      ),
    truths: [
      near(
        'frequency',
        m => m.carrier?.offsetHz,
        37,
        0.1,
        5,
        m => m.uncertainty.carrier?.offsetHz,
      ),
      near(
        'up',
        m => m.fm?.deviationPositiveHz,
        deviation + 37,
        8,
        60,
        m => m.uncertainty.fm?.deviationPositiveHz,
      ),
      near(
        'down',
        m => m.fm?.deviationNegativeHz,
        deviation - 37,
        8,
        60,
        m => m.uncertainty.fm?.deviationNegativeHz,
      ),
      // What leaks in of a strong voice or of a wide neighbour is no part of a tone: the modulation is then
      // read as a waveform.
      ...(k % 2 || k === 4 ? [] : [near('tone', m => m.fm?.audioHz, 1000.2, 0.05, 0)]),
    ],
    notes: ['neighbour-beside'],
    neverSays: ['outside', 'adjacent-power', 'mask', 'neighbours'],
  }
}

/** Nobody told the frequency: the stronger one is measured, and the other is named. */
const UNTOLD: Case = {
  name: 'two carriers 15 kHz apart, no nominal frequency',
  options: { as: 'am' },
  rules: 'R-US',
  make: () =>
    recording(
      noisy(
        together(
          am(tones(RATE_HZ, SECONDS, [[1000.2, 0.6]]), RATE_HZ, { offsetHz: 6000, size: 0.11 }),
          am(tones(RATE_HZ, SECONDS, [[700, 0.5]]), RATE_HZ, { offsetHz: -9000, size: 0.1 }),
        ),
        60,
        950,
      ),
    ),
  truths: [
    near(
      'frequency',
      m => m.carrier?.frequencyHz,
      CENTRE_HZ + 6000,
      0.05,
      2,
      m => m.uncertainty.carrier?.frequencyHz,
    ),
    near(
      'crest',
      m => m.am?.depthPositive,
      0.6,
      0.005,
      0.05,
      m => m.uncertainty.am?.depthPositive,
    ),
  ],
  notes: ['neighbour-beside'],
  neverSays: ['neighbours'],
}

/**
 * A sideband 7 kHz off its carrier is no carrier: the nominal frequency is 8 kHz off, the recording holds one
 * station.
 */
const FAR_OFF: Case = {
  name: 'a carrier 8 kHz off its channel, with a tone of 7 kHz',
  options: { as: 'am', nominalHz: CENTRE_HZ + OWN_HZ },
  make: () =>
    recording(
      noisy(
        am(tones(RATE_HZ, SECONDS, [[7000, 0.5]]), RATE_HZ, { offsetHz: OWN_HZ + 8000, size: 0.2 }),
        60,
        951,
      ),
    ),
  truths: [
    near(
      'frequency',
      m => m.carrier?.offsetHz,
      8000,
      0.05,
      2,
      m => m.uncertainty.carrier?.offsetHz,
    ),
  ],
  notes: ['off-nominal'],
}

export const NEIGHBOURS: readonly Case[] = [
  ...Array.from({ length: 8 }, (_, k) => besideAm(k)),
  ...Array.from({ length: 6 }, (_, k) => besideFm(k)),
  UNTOLD,
  FAR_OFF,
]

import { am, bandpass, fm, noisy, quantised, received, recording } from '../sent'
import { tones } from '../sources'
import { near, type Case } from '../cases'

const RATE_HZ = 96_000
const SECONDS = 1.5
/** The middle of a channel of the usual plan. */
const OWN_HZ = 5000

/** Clean FM in the noise of a receiver: the next channels hold the noise, and nothing of the set. */
function noiseLimited(k: number): Case {
  const cnr = [30, 33, 36, 39, 42, 45, 35, 40][k]!
  const band = k % 2 ? bandpass(-20_000, 28_000) : () => 1
  return {
    name: `FM in noise ${cnr} dB below${k % 2 ? ', a receiver 48 kHz wide' : ''}`,
    options: { as: 'fm', carrierW: 4 },
    rules: k % 3 ? 'R-EU' : 'R-UK27',
    carrierW: 4,
    make: () =>
      recording(noisy(fm(tones(RATE_HZ, SECONDS, [[1000, 1500]]), RATE_HZ, OWN_HZ, 0.3), cnr, 200 + k, band)),
    says: ['adjacent-untold'],
    neverSays: ['adjacent-power', 'mask', 'neighbours', 'outside', 'clean'],
    truths: [
      near(
        'up',
        m => m.fm?.deviationPositiveHz,
        1500,
        2,
        60,
        m => m.uncertainty.fm?.deviationPositiveHz,
      ),
    ],
  }
}

/** Splatter that is truly there is found in spite of the noise. */
const GUILTY: Case = {
  name: 'AM pinched off at 150 %, quiet receiver',
  options: { as: 'am', carrierW: 4 },
  rules: 'R-EU',
  carrierW: 4,
  make: () =>
    recording(noisy(am(tones(RATE_HZ, SECONDS, [[2500, 1.5]]), RATE_HZ, { offsetHz: OWN_HZ }), 70, 220)),
  says: ['pinched', 'adjacent-power', 'neighbours'],
}

function eightBit(k: number): Case {
  const size = [0.2, 0.5, 0.8, 0.93, 0.3, 0.6][k]!
  const depth = size > 0.4 ? 0 : 0.7
  return {
    name: `eight bits, ${size} of full scale`,
    options: { as: k % 2 ? 'fm' : 'am' },
    rules: 'R-EU',
    make: () =>
      quantised(
        noisy(
          k % 2
            ? fm(tones(RATE_HZ, SECONDS, [[1000, 1500]]), RATE_HZ, OWN_HZ, size)
            : am(tones(RATE_HZ, SECONDS, [[1000, depth]]), RATE_HZ, { offsetHz: OWN_HZ, size }),
          45,
          240 + k,
        ),
        127.5,
      ),
    neverSays: ['overload'],
    truths: [
      near(
        'level',
        m => m.carrier?.levelDbfs,
        20 * Math.log10(size),
        0.03,
        0.1,
        m => m.uncertainty.carrier?.levelDbfs,
      ),
    ],
  }
}

/** A receiver narrower than the recording: the noise lies in its pass band, nothing in the rest. */
function narrowReceiver(k: number): Case {
  const depth = [0.5, 0.8, 0.9, 0.7][k]!
  return {
    name: `AM ${depth} through a receiver ${[12, 16, 20, 30][k]} kHz wide`,
    options: { as: 'am' },
    rules: 'R-US',
    make: () =>
      recording(
        received(
          noisy(
            am(tones(RATE_HZ, SECONDS, [[1000.1, depth]]), RATE_HZ, { offsetHz: OWN_HZ }),
            [35, 45, 55, 40][k]!,
            260 + k,
          ),
          bandpass(OWN_HZ - [6000, 8000, 10_000, 15_000][k]!, OWN_HZ + [6000, 8000, 10_000, 15_000][k]!),
        ),
      ),
    truths: [
      near(
        'crest',
        m => m.am?.depthPositive,
        depth,
        0.004,
        0.02,
        m => m.uncertainty.am?.depthPositive,
      ),
      near(
        'trough',
        m => m.am?.depthNegative,
        depth,
        0.004,
        0.02,
        m => m.uncertainty.am?.depthNegative,
      ),
    ],
    neverSays: ['pinched', 'flat-topped', 'outside', 'adjacent-power', 'mask'],
  }
}

/** A weak carrier near the middle is weak, not absent. */
function weak(k: number): Case {
  const [offset, dbfs] = (
    [
      [30, -70],
      [120, -65],
      [-60, -75],
    ] as const
  )[k]!
  const size = 10 ** (dbfs / 20)
  return {
    name: `a carrier of ${dbfs} dBFS ${offset} Hz from the middle`,
    options: { as: 'am' },
    make: () =>
      recording(
        noisy(
          am(tones(RATE_HZ, SECONDS, [[1000, 0.5]]), RATE_HZ, { offsetHz: offset, size }),
          -dbfs + 20 * Math.log10(0.3) + 30,
          280 + k,
        ),
      ),
    truths: [
      near('present', m => (m.signalPresent ? 1 : 0), 1, 0, 0),
      near(
        'depth',
        m => m.am?.depthPositive,
        0.5,
        0.005,
        0.05,
        m => m.uncertainty.am?.depthPositive,
      ),
    ],
  }
}

export const RECEIVERS: readonly Case[] = [
  ...Array.from({ length: 8 }, (_, k) => noiseLimited(k)),
  GUILTY,
  ...Array.from({ length: 6 }, (_, k) => eightBit(k)),
  ...Array.from({ length: 4 }, (_, k) => narrowReceiver(k)),
  ...Array.from({ length: 3 }, (_, k) => weak(k)),
]

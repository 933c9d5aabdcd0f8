import { am, fm, noisy, recording } from '../sent'
import { audioNoise, voice } from '../sources'
import { largest, mean, near, quantile, smallest, type Case, type Truth } from '../cases'

const RATE_HZ = 48_000
const SECONDS = 2
/**
 * Between two samples a waveform of 3 kHz rises by 1 - cos(pi 3/48) of its topmost part at most: a tenth of
 * that is met.
 */
const SAMPLING = 0.004

/** Depths of an envelope that was made, against its mean, or against the carrier where that is told apart. */
function amTruths(m: Float64Array): Truth[] {
  const envelope = m.map(x => Math.max(0, 1 + x))
  const carrier = mean(envelope)
  const over = (y: number) => y / carrier - 1
  const pinched = m.reduce((n, x) => n + (x < -1 ? 1 : 0), 0) / m.length
  return [
    near(
      'crest',
      r => r.am?.depthPositive,
      over(largest(envelope)),
      SAMPLING,
      0.06,
      r => r.uncertainty.am?.depthPositive,
    ),
    near(
      'trough',
      r => r.am?.depthNegative,
      -over(smallest(envelope)),
      SAMPLING,
      0.06,
      r => r.uncertainty.am?.depthNegative,
    ),
    near(
      'crest that 0.1 % of the time passes',
      r => r.am?.peaks?.crest999,
      over(quantile(envelope, 0.999)),
      SAMPLING,
      0.06,
      r => r.uncertainty.am?.peaks?.crest999,
    ),
    near(
      'crest that 1 % passes',
      r => r.am?.peaks?.crest99,
      over(quantile(envelope, 0.99)),
      SAMPLING,
      0.06,
      r => r.uncertainty.am?.peaks?.crest99,
    ),
    near(
      'trough that 1 % passes',
      r => r.am?.peaks?.trough99,
      -over(quantile(envelope, 0.01)),
      SAMPLING,
      0.06,
      r => r.uncertainty.am?.peaks?.trough99,
    ),
    near(
      'PEP',
      r => r.am?.pepDbfs,
      20 * Math.log10(0.3 * largest(envelope)),
      0.05,
      0.5,
      r => r.uncertainty.am?.pepDbfs,
    ),
    near(
      'pinched off',
      r => r.am?.pinchedRatio,
      pinched,
      0.004 + 0.1 * pinched,
      0.03,
      r => r.uncertainty.am?.pinchedRatio,
    ),
    near('no tone', r => (r.am?.audioHz === null ? 1 : 0), 1, 0, 0),
  ]
}

function amVoice(k: number): Case {
  const depth = [0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 1, 1.2, 0.75, 0.85][k % 10]!
  const seed = 100 + k
  const raw = voice(RATE_HZ, SECONDS, seed)
  const m = raw.map(x => depth * x)
  const over = smallest(m) < -1
  return {
    name: `AM, voice ${k}, ${Math.round(100 * depth)} %`,
    options: { as: 'am' },
    rules: 'R-US',
    make: () => recording(noisy(am(m, RATE_HZ, { offsetHz: 4321 }), k % 2 ? 50 : 40, seed)),
    truths: amTruths(m),
    neverSays: over ? ['clean'] : ['pinched', 'flat-topped', 'reversed'],
    ...(over ? { says: [] } : {}),
  }
}

/** A voice that goes up and down alike would not show what a one-sided one does: +118 / -95 %. */
function lopsided(k: number): Case {
  const raw = voice(RATE_HZ, SECONDS, 300 + k)
  const [high, low] = [largest(raw), -smallest(raw)]
  const m = raw.map(x => (x > 0 ? (1.18 * x) / high : (0.95 * x) / low))
  return {
    name: `AM, voice ${k} at +118/-95 %`,
    options: { as: 'am' },
    rules: 'R-US',
    make: () => recording(noisy(am(m, RATE_HZ, { offsetHz: -3210 }), 45, 300 + k)),
    truths: amTruths(m),
  }
}

function noiseAm(k: number): Case {
  // Gaussian noise below -1 for 7.7 % of the time: 1.426 standard deviations (tables of the normal
  // distribution).
  const raw = audioNoise(RATE_HZ, SECONDS, 500 + k)
  const rms = Math.sqrt(raw.reduce((s, x) => s + x * x, 0) / raw.length)
  const m = raw.map(x => x / rms / (k === 0 ? 1.426 : 4.2))
  return {
    name: `AM, noise ${k}`,
    options: { as: 'am' },
    rules: 'R-US',
    make: () => recording(noisy(am(m, RATE_HZ, { offsetHz: 2222 }), 45, 500 + k)),
    truths: amTruths(m),
    ...(k === 0 ? { says: ['pinched' as const], neverSays: ['clean' as const] } : {}),
  }
}

function fmVoice(k: number): Case {
  const seed = 700 + k
  const deviation = [1000, 1200, 1500, 1800, 2000, 2300, 1600, 1400, 1700, 1900][k % 10]!
  const raw = k % 5 === 4 ? audioNoise(RATE_HZ, SECONDS, seed) : voice(RATE_HZ, SECONDS, seed)
  const m = raw.map(x => deviation * x)
  const middle = mean(m)
  const centred = m.map(x => x - middle)
  const u = (name: 'deviationPositiveHz' | 'deviationNegativeHz') => (r: Parameters<Truth['of']>[0]) =>
    r.uncertainty.fm?.[name]
  return {
    name: `FM, ${k % 5 === 4 ? 'noise' : 'voice'} ${k}, ${deviation} Hz`,
    options: { as: 'fm' },
    rules: 'R-EU',
    make: () => recording(noisy(fm(m, RATE_HZ, 3456), k % 2 ? 50 : 40, seed)),
    truths: [
      near(
        'up',
        r => r.fm?.deviationPositiveHz,
        largest(centred),
        SAMPLING * deviation,
        60,
        u('deviationPositiveHz'),
      ),
      near(
        'down',
        r => r.fm?.deviationNegativeHz,
        -smallest(centred),
        SAMPLING * deviation,
        60,
        u('deviationNegativeHz'),
      ),
      near(
        'up that 0.1 % passes',
        r => r.fm?.peaks?.positive999Hz,
        quantile(centred, 0.999),
        SAMPLING * deviation,
        100,
        r => r.uncertainty.fm?.peaks?.positive999Hz,
      ),
      near(
        'down that 1 % passes',
        r => r.fm?.peaks?.negative99Hz,
        -quantile(centred, 0.01),
        SAMPLING * deviation,
        60,
        r => r.uncertainty.fm?.peaks?.negative99Hz,
      ),
    ],
    neverSays: Math.max(largest(centred), -smallest(centred)) > 2100 ? ['clean'] : [],
  }
}

/** Nobody told the mode. */
const untold = (c: Case, mode: 'am' | 'fm'): Case => ({
  ...c,
  name: `${c.name}, mode not said`,
  options: {},
  truths: [near('mode', m => (m.mode === mode ? 1 : 0), 1, 0, 0), ...(c.truths ?? [])],
})

export const VOICES: readonly Case[] = [
  ...Array.from({ length: 20 }, (_, k) => amVoice(k)),
  ...Array.from({ length: 4 }, (_, k) => lopsided(k)),
  ...Array.from({ length: 4 }, (_, k) => noiseAm(k)),
  ...Array.from({ length: 16 }, (_, k) => fmVoice(k)),
  ...[20, 21, 22, 23].map(k => untold(amVoice(k), 'am')),
  ...[20, 21, 22, 24].map(k => untold(fmVoice(k), 'fm')),
]

import { CENTRE_HZ, noisy, recording } from '../sent'
import { lineSignal } from '../../fixtures/signals'
import { shaped, voice } from '../sources'
import { near, type Case } from '../cases'
import { SENT, type Sent } from './sidebandSent'

const RATE_HZ = 48_000
const SECONDS = 3

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

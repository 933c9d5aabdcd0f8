import { describe, expect, it } from 'vitest'
import { challengeWords } from './challengeWords'
import type { Challenge } from '#core/diagnose'

const plain = (s: string) => s.replace(/[\u2009\u202f]/g, ' ').replace(/\u2212/g, '-')

describe('words for doubtful readings', () => {
  it.each<[Challenge, RegExp]>([
    [
      { rule: 'P01', quantity: 'sinadDb', readDb: 14, maxDb: 7.1, inputV: 0.0446e-6 },
      /^14\.0 dB SINAD at 0\.045 \u00b5V is better than thermal noise allows \(7\.1 dB\)/,
    ],
    [
      { rule: 'P03', quantity: 'depthNegativeRatio', readRatio: 0.92, byPepRatio: 1.28 },
      /^Depth 92 % on the meter, 128 % from PEP and carrier/,
    ],
    [
      { rule: 'P05', quantity: 'powerW', meanW: 7.4, carrierW: 4, maxW: 5.8 },
      /^Average 7\.4 W on a carrier of 4 W: .* 5\.8 W at most\. The meter is probably not true-average/,
    ],
    [
      { rule: 'P41', quantity: 'depthPositiveRatio', readRatio: 0.0085 },
      /^Depth 0\.85 % with a tone: was 85 % meant/,
    ],
    [{ rule: 'P16', quantity: 'depthNegativeRatio', readRatio: 1.45 }, /^A negative peak of 145 %/],
    [
      { rule: 'P24', quantity: 'pepW', pepW: 24, carrierW: 4.2, byPepRatio: 1.39 },
      /^PEP 24 W on a carrier of 4\.2 W is 139 %/,
    ],
    [{ rule: 'P04', quantity: 'pepW', meanW: 9, pepW: 8.2 }, /^Average 9 W exceeds PEP 8\.2 W: impossible/],
    [
      { rule: 'P06', quantity: 'powerW', meanW: 3.9, inputW: 4.14, maxRatio: 0.7, isUnusual: false },
      /^3\.9 W of RF from 4\.1 W of DC is 94 %\. Above 70 %/,
    ],
    [{ rule: 'P10', quantity: 'powerW', readW: 40, factor: 10, likelyW: 4 }, /^40 W is 10 times 4\.0 W/],
    [
      {
        rule: 'P11',
        quantity: 'referenceHz',
        readHz: 10_420_100,
        nominalHz: 10_240_000,
        likelyHz: [10_240_100],
      },
      /^10\.420 1 MHz is off by \+17 588 ppm: no crystal is that far off\. Meant 10\.240 1 MHz\?$/,
    ],
    [
      { rule: 'P11', quantity: 'carrierHz', readHz: 27_801_250, nominalHz: 27_791_250, likelyHz: [] },
      /off by \+10\.0 kHz: no crystal is that far off\.$/,
    ],
    [
      {
        rule: 'P12',
        quantity: 'carrierHz',
        readHz: 27_205_000,
        channel: 20,
        planName: 'US / CEPT, 40 channels',
        nominalHz: 27_791_250,
      },
      /channel 20 of the plan US \/ CEPT.*On this set it is 27\.791 25 MHz/,
    ],
    [
      {
        rule: 'P33',
        quantity: 'sensitivityV',
        readV: 0.03e-6,
        minV: 0.0845e-6,
        test: { modulation: { kind: 'none' }, criterion: 'sinad-12', bandwidthHz: 2400 },
      },
      /^0\.03 \u00b5V for 12 dB SINAD, unmodulated carrier, is better than thermal noise allows \(0\.08/,
    ],
    [{ rule: 'P37', quantity: 'deviationPositiveHz', readHz: 200 }, /^0\.2 kHz of deviation without a tone/],
  ])('%#', (challenge, words) => {
    expect(plain(challengeWords(challenge))).toMatch(words)
  })
})

import { MASK_END_HZ } from '../emissionMask'
import type { Mode } from '../mode'
import type { MaskPart, RuleSet } from '../ruleSet'

/** 25 dB, then 35 dB, then 53 + 10 log P dB, from the three edges on. */
function maskOf(modes: readonly Mode[], [a, b, c]: readonly [number, number, number]): MaskPart[] {
  return [
    { modes, fromHz: a, toHz: b, belowDb: 25, addsPowerDb: false },
    { modes, fromHz: b, toHz: c, belowDb: 35, addsPowerDb: false },
    { modes, fromHz: c, toHz: MASK_END_HZ, belowDb: 53, addsPowerDb: true },
  ]
}

export const RULES_US: RuleSet = {
  id: 'R-US',
  name: 'US CB Radio Service',
  kind: 'legal',
  region: 'United States',
  planId: 'forty',
  source: '47 CFR Part 95 Subpart D',
  asOf: '2026-11-25',
  fromMemory: true,
  limits: [
    {
      id: 'R-US2',
      quantity: 'powerW',
      bound: { high: 4 },
      modes: ['AM', 'FM'],
      words: 'carrier (average) power AM, FM 4 W max.',
      source: '47 CFR 95.967',
      confidence: 'M',
    },
    {
      id: 'R-US3',
      quantity: 'pepW',
      bound: { high: 12 },
      modes: ['USB', 'LSB'],
      words: 'SSB 12 W PEP max.',
      source: '47 CFR 95.967',
      confidence: 'H',
    },
    {
      id: 'R-US4',
      quantity: 'carrierHz',
      bound: { errorPpm: 50 },
      words: 'frequency within 50 ppm of the channel centre',
      source: '47 CFR 95.965',
      confidence: 'M-H',
    },
    {
      id: 'R-US8+',
      quantity: 'deviationPositiveHz',
      bound: { high: 2000 },
      modes: ['FM'],
      words: 'deviation 2 kHz max., peak',
      source: '47 CFR 95.975',
      confidence: 'M',
    },
    {
      id: 'R-US8-',
      quantity: 'deviationNegativeHz',
      bound: { high: 2000 },
      modes: ['FM'],
      words: 'deviation 2 kHz max., peak',
      source: '47 CFR 95.975',
      confidence: 'M',
    },
    {
      id: 'R-US7+',
      quantity: 'depthPositiveRatio',
      bound: { high: 1 },
      modes: ['AM'],
      words: 'AM depth 100 % max.',
      source: '47 CFR 95.975',
      confidence: 'M',
    },
    {
      id: 'R-US7-',
      quantity: 'depthNegativeRatio',
      bound: { high: 1 },
      modes: ['AM'],
      words: 'AM depth 100 % max.',
      source: '47 CFR 95.975',
      confidence: 'M',
    },
    {
      id: 'R-US11',
      quantity: 'harmonicDbc',
      bound: { high: -60 },
      words: 'harmonics at least 60 dB down',
      source: '47 CFR 95.979',
      confidence: 'M',
    },
  ],
  // 47 CFR 95.979
  mask: [...maskOf(['AM', 'FM'], [4000, 8000, 20_000]), ...maskOf(['USB', 'LSB'], [2000, 6000, 10_000])],
  adjacent: null,
  spurious: null,
  alsoSays: [
    'R-US7: AM depth more than 85 %, over-modulation prevented automatically (47 CFR 95.975)',
    'R-US13: no external RF amplifier; internal transmitter work by or under a qualified person',
  ],
}

import type { RuleSet } from '../ruleSet'

const PRACTICE = 'common practice'

/** Workshop targets, tighter than law. Judged by plain acceptance; no set is illegal for missing them. */
export const RULES_SHOP: RuleSet = {
  id: 'R-SHOP',
  name: 'Workshop targets',
  kind: 'workshop',
  region: 'this workshop',
  planId: null,
  source: 'common practice; tolerances are defaults to be edited',
  asOf: '2026-11-25',
  fromMemory: false,
  limits: [
    {
      id: 'R-SHOP-P',
      quantity: 'powerW',
      lowPower: false,
      bound: { low: 3.6, high: 4 },
      modes: ['AM', 'FM'],
      words: 'carrier 4.0 W, +0 / -10 %',
      source: PRACTICE,
      confidence: 'practice',
    },
    {
      id: 'R-SHOP-L',
      quantity: 'powerW',
      lowPower: true,
      bound: { low: 0.4 * 10 ** -0.1, high: 0.4 },
      words: 'low power 0.4 W, -1 dB / +0',
      source: PRACTICE,
      confidence: 'practice',
    },
    {
      id: 'R-SHOP-F',
      quantity: 'carrierHz',
      bound: { errorHz: 50 },
      words: 'transmit frequency within 50 Hz',
      source: PRACTICE,
      confidence: 'practice',
    },
    {
      id: 'R-SHOP-R',
      quantity: 'referenceHz',
      bound: { low: 10_240_000 * (1 - 2e-6), high: 10_240_000 * (1 + 2e-6) },
      words: 'reference within 2 ppm',
      source: PRACTICE,
      confidence: 'practice',
    },
    {
      id: 'R-SHOP-D+',
      quantity: 'deviationPositiveHz',
      bound: { low: 2300, high: 2500 },
      words: 'deviation up to 2.5 kHz, -0.2 kHz',
      source: PRACTICE,
      confidence: 'practice',
    },
    {
      id: 'R-SHOP-D-',
      quantity: 'deviationNegativeHz',
      bound: { low: 2300, high: 2500 },
      words: 'deviation up to 2.5 kHz, -0.2 kHz',
      source: PRACTICE,
      confidence: 'practice',
    },
    {
      id: 'R-SHOP-M',
      quantity: 'depthNegativeRatio',
      bound: { low: 0.85, high: 0.95 },
      modes: ['AM'],
      words: 'AM depth 90 % -5 / +5 points, of the unmodulated carrier',
      source: PRACTICE,
      confidence: 'practice',
    },
  ],
  alsoSays: ['power over the band equal at low, middle and high channel: spread 0.5 dB'],
}

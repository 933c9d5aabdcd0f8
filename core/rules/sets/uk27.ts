import type { RuleSet } from '../ruleSet'

const SOURCE = 'MPT 1320'

export const RULES_UK27: RuleSet = {
  id: 'R-UK27',
  name: 'UK 27 MHz FM',
  kind: 'legal',
  region: 'United Kingdom, 27.60125 to 27.99125 MHz',
  planId: 'uk27',
  source: SOURCE,
  asOf: '2026-11-25',
  fromMemory: true,
  limits: [
    {
      id: 'R-UK2',
      quantity: 'powerW',
      lowPower: false,
      bound: { high: 4 },
      words: 'carrier 4 W max. at the antenna socket',
      source: SOURCE,
      confidence: 'M-H',
    },
    {
      id: 'R-UK3',
      quantity: 'powerW',
      lowPower: true,
      bound: { high: 0.4 },
      words: 'low power 10 dB less: 0.4 W max.',
      source: SOURCE,
      confidence: 'M',
    },
    {
      id: 'R-UK4',
      quantity: 'carrierHz',
      bound: { errorHz: 1500 },
      words: 'frequency error 1.5 kHz max.',
      source: SOURCE,
      confidence: 'L-M',
    },
    {
      id: 'R-UK5+',
      quantity: 'deviationPositiveHz',
      bound: { high: 2500 },
      words: 'deviation 2.5 kHz max., absolute',
      source: SOURCE,
      confidence: 'M',
    },
    {
      id: 'R-UK5-',
      quantity: 'deviationNegativeHz',
      bound: { high: 2500 },
      words: 'deviation 2.5 kHz max., absolute',
      source: SOURCE,
      confidence: 'M',
    },
  ],
  mask: [],
  adjacent: { id: 'R-UK6', maxW: 10e-6, confidence: 'M' },
  spurious: {
    id: 'R-UK7',
    protectedMaxW: 50e-9,
    otherMaxW: 0.25e-6,
    words: 'spurious 0.25 µW general, 50 nW in broadcast and some other bands',
    confidence: 'L-M',
  },
  alsoSays: [
    'R-UK6: adjacent channel, or 60 dB down instead (a hint from memory)',
    'R-UK8: AM 4 W and SSB 12 W PEP belong to the CEPT channels, not to this plan',
  ],
}

import type { RuleSet } from '../ruleSet'

export const RULES_EU: RuleSet = {
  id: 'R-EU',
  name: 'CEPT 27 MHz',
  kind: 'legal',
  region: 'CEPT countries',
  planId: 'forty',
  source: 'ETSI EN 300 433, ECC/DEC/(11)03',
  asOf: '2026-11-25',
  fromMemory: true,
  limits: [
    { id: 'R-EU2', quantity: 'powerW', bound: { high: 4 }, modes: ['AM', 'FM'], words: 'FM and AM carrier at most 4 W', source: 'ECC/DEC/(11)03', confidence: 'M-H' },
    { id: 'R-EU3', quantity: 'pepW', bound: { high: 12 }, modes: ['USB', 'LSB'], words: 'SSB at most 12 W PEP', source: 'ECC/DEC/(11)03', confidence: 'M-H' },
    { id: 'R-EU4', quantity: 'carrierHz', bound: { errorHz: 600 }, words: 'frequency error at most 600 Hz', source: 'ETSI EN 300 433', confidence: 'M' },
    { id: 'R-EU5+', quantity: 'deviationPositiveHz', bound: { high: 2000 }, modes: ['FM'], words: 'FM deviation at most 2.0 kHz', source: 'ETSI EN 300 433', confidence: 'M-H' },
    { id: 'R-EU5-', quantity: 'deviationNegativeHz', bound: { high: 2000 }, modes: ['FM'], words: 'FM deviation at most 2.0 kHz', source: 'ETSI EN 300 433', confidence: 'M-H' },
    { id: 'R-EU10', quantity: 'depthNegativeRatio', bound: { high: 1 }, modes: ['AM'], words: 'AM depth below 100 %', source: 'common practice', confidence: 'practice' },
  ],
  alsoSays: [
    'R-EU7: adjacent-channel power at most 20 µW',
    'R-EU8: spurious 4 nW in 47-74, 87.5-118, 174-230, 470-862 MHz, 0.25 µW elsewhere below 1 GHz',
  ],
}

import type { RuleSet } from '../ruleSet'

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
    { id: 'R-US2', quantity: 'powerW', bound: { high: 4 }, modes: ['AM', 'FM'], words: 'carrier (mean) power AM, FM at most 4 W', source: '47 CFR 95.967', confidence: 'M' },
    { id: 'R-US3', quantity: 'pepW', bound: { high: 12 }, modes: ['USB', 'LSB'], words: 'SSB at most 12 W PEP', source: '47 CFR 95.967', confidence: 'H' },
    { id: 'R-US4', quantity: 'carrierHz', bound: { errorPpm: 50 }, words: 'frequency within 50 ppm of the channel centre', source: '47 CFR 95.965', confidence: 'M-H' },
    { id: 'R-US8+', quantity: 'deviationPositiveHz', bound: { high: 2000 }, modes: ['FM'], words: 'deviation at most 2 kHz peak', source: '47 CFR 95.975', confidence: 'M' },
    { id: 'R-US8-', quantity: 'deviationNegativeHz', bound: { high: 2000 }, modes: ['FM'], words: 'deviation at most 2 kHz peak', source: '47 CFR 95.975', confidence: 'M' },
    { id: 'R-US7+', quantity: 'depthPositiveRatio', bound: { high: 1 }, modes: ['AM'], words: 'AM depth not above 100 %', source: '47 CFR 95.975', confidence: 'M' },
    { id: 'R-US7-', quantity: 'depthNegativeRatio', bound: { high: 1 }, modes: ['AM'], words: 'AM depth not above 100 %', source: '47 CFR 95.975', confidence: 'M' },
    { id: 'R-US11', quantity: 'harmonicDbc', bound: { high: -60 }, words: 'harmonics at least 60 dB down', source: '47 CFR 95.979', confidence: 'M' },
  ],
  alsoSays: [
    'R-US7: AM depth more than 85 %, over-modulation prevented automatically (47 CFR 95.975)',
    'R-US9: unwanted emissions 25 dB at 4-8 kHz, 35 dB at 8-20 kHz, 53 + 10 log P beyond (47 CFR 95.979)',
    'R-US13: no external RF amplifier; internal transmitter work by or under a qualified person',
  ],
}

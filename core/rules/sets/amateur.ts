import type { RuleSet } from '../ruleSet'

/**
 * What holds for amateur sets wherever they are; power is a matter of the licence and belongs into a rule set
 * of one's own.
 */
export const RULES_AMATEUR: RuleSet = {
  id: 'R-AM',
  name: 'Amateur, general',
  kind: 'legal',
  region: 'amateur bands; power by national licence',
  planId: null,
  source: 'ITU Radio Regulations Article 5 and Appendix 3; 47 CFR 97.307',
  asOf: '2026-11-25',
  fromMemory: true,
  limits: [
    {
      id: 'R-AM3',
      quantity: 'harmonicDbc',
      bound: { high: -43 },
      words: 'spurious below 30 MHz at least 43 dB below the average power',
      source: '47 CFR 97.307',
      confidence: 'M',
    },
  ],
  mask: [],
  adjacent: null,
  spurious: null,
  alsoSays: [
    'R-AM2: 43 + 10 log PEP or 50 dB below PEP, whichever is less stringent (ITU RR Appendix 3)',
    'R-AM4: FM below 29 MHz in the US: modulation index 1 max.',
    'R-AM5: power by licence class: enter it as a rule set of your own',
    'R-AM6: external amplifiers must not amplify 26 to 28 MHz in the US',
  ],
}

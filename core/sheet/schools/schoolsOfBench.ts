import type { School } from './school'

/** Where practices differ in receivers, bias, the search for faults, and what is owed to an owner. */
export const BENCH_SCHOOLS: readonly School[] = [
  {
    id: 'S15',
    question: 'Placing the preselector',
    defaultId: 'c',
    acts: false,
    because: 'where a marker is fitted, else the S-meter',
    options: [
      { id: 'a', words: 'largest S-meter on noise or signal' },
      { id: 'b', words: 'by ear' },
      { id: 'c', words: 'built-in marker' },
    ],
  },
  {
    id: 'S16',
    question: 'MOSFET bias',
    defaultId: 'b',
    acts: false,
    because: 'where the sheet gives a current; a voltage only for that set; never by heat',
    options: [
      { id: 'a', words: 'gate voltage' },
      { id: 'b', words: 'current step' },
      { id: 'c', words: 'by sound and heat' },
    ],
  },
  {
    id: 'S17',
    question: 'Dead transmit stage',
    defaultId: 'c',
    acts: false,
    because: 'for over-current; probe if one is at hand, else coils',
    options: [
      { id: 'a', words: 'coils for supply current' },
      { id: 'b', words: 'RF probe forward' },
      { id: 'c', words: 'for a short: devices out from the output backwards' },
    ],
  },
  {
    id: 'S18',
    question: 'Test of a part',
    defaultId: 'c',
    acts: false,
    because: 'DC rejects, RF accepts',
    options: [
      { id: 'a', words: 'substitute one by one' },
      { id: 'b', words: 'a component tester is proof' },
      { id: 'c', words: 'only RF proves' },
    ],
  },
  {
    id: 'S19',
    question: 'Measuring deviation',
    defaultId: 'a',
    acts: false,
    because: 'always for a verdict',
    options: [
      { id: 'a', words: 'tone generator' },
      { id: 'b', words: 'whistle or shout as a cross-check' },
      { id: 'c', words: 'the menu value' },
    ],
  },
  {
    id: 'S20',
    question: 'Deviation target of a CB set',
    defaultId: 's',
    acts: true,
    because: 'the limit of the rule set is judged all the same; by ear is not a measurement',
    options: [
      { id: 's', words: 'as the sheet asks' },
      { id: 'a', words: '2.4 kHz: just below the 2.5 kHz of the older UK plan' },
      { id: 'b', words: '1.9 kHz, for rule sets of 2 kHz' },
    ],
  },
  {
    id: 'S21',
    question: 'Adjusting what is within tolerance',
    defaultId: 'a',
    acts: false,
    because: 'to the sheet on request, on frequency-wide sets or after a main part',
    options: [
      { id: 'a', words: 'leave what is in specification: cores break' },
      { id: 'b', words: 'full alignment, even if nothing changes' },
    ],
  },
  {
    id: 'S22',
    question: 'Preventive work',
    defaultId: 'b',
    acts: false,
    because: 'for customers\u2019 sets; resistors as part of the repair',
    options: [
      { id: 'a', words: 'renew electrolytics and glue unasked' },
      { id: 'b', words: 'ask before glue' },
      { id: 'c', words: 'renew all heat-stressed resistors with two burnt' },
    ],
  },
  {
    id: 'S23',
    question: 'Limit of modification',
    defaultId: 'a',
    acts: false,
    because: 'not unless asked in writing and legal; restored and measured again',
    options: [
      { id: 'a', words: 'stock only' },
      { id: 'b', words: 'expand, then restore' },
      { id: 'c', words: 'conversion as improvement' },
    ],
  },
  {
    id: 'S24',
    question: 'What S9 is',
    defaultId: 'a',
    acts: true,
    because: 'by kind of set; the level is always shown',
    options: [
      { id: 'a', words: '100 \u00b5V, CB practice' },
      { id: 'b', words: '50 \u00b5V, amateur HF' },
    ],
  },
  {
    id: 'S25',
    question: 'Proof to the owner',
    defaultId: 'a',
    acts: false,
    because: 'the handover with its figures',
    options: [
      { id: 'a', words: 'pictures and figures addressed to him' },
      { id: 'b', words: 'nothing' },
      { id: 'c', words: 'a written note' },
    ],
  },
  {
    id: 'S26',
    question: 'Spread or waxed coils that look odd',
    defaultId: 'a',
    acts: false,
    because: 'as a reminder that returns by itself',
    options: [
      { id: 'a', words: 'leave, look again if something shows' },
      { id: 'b', words: 'fix at once' },
    ],
  },
  {
    id: 'S27',
    question: 'Microphone level',
    defaultId: 'a',
    acts: false,
    because: 'AM by the first, SSB by the second',
    options: [
      { id: 'a', words: '30 mV single tone, gain full' },
      { id: 'b', words: '30 mV peak, two tones' },
    ],
  },
]

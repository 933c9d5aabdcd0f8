import type { School } from './school'

/** Where practices differ in setting a transmitter. */
export const TRANSMITTER_SCHOOLS: readonly School[] = [
  {
    id: 'S01',
    question: 'Where to leave the transmit frequency',
    defaultId: 'b',
    acts: true,
    because:
      'on old crystal sets with FM or AM; on SSB, stable ' +
      'references and menu-adjusted sets the sheet asks for exact',
    options: [
      { id: 'a', words: 'exactly on nominal: nothing less is proper' },
      { id: 'b', words: '10 to 20 Hz above: crystals fall with age, so it passes through nominal' },
      { id: 'c', words: 'anywhere within 200 Hz, the usual service tolerance: inaudible on AM' },
    ],
  },
  {
    id: 'S02',
    question: 'Exact or near-enough reference',
    defaultId: 'a',
    acts: false,
    because: 'near enough only if transmit and receive trimmers are each set and the residual is shown',
    options: [
      { id: 'a', words: 'exact, or the receiver is off centre' },
      { id: 'b', words: '10 ppm of error is left rather than order a crystal' },
    ],
  },
  {
    id: 'S03',
    question: 'When to start measuring',
    defaultId: 'a',
    acts: true,
    because: 'the warm-up hold may be passed and stays in the log',
    options: [
      { id: 'a', words: 'after 20 to 30 minutes, with the drift watched' },
      { id: 'b', words: 'at once' },
      { id: 'c', words: 'when the set has been used a while' },
    ],
  },
  {
    id: 'S04',
    question: 'AM carrier',
    defaultId: 'a',
    acts: false,
    because: 'the lower of rule set and a quarter of the PEP; a low carrier is allowed',
    options: [
      { id: 'a', words: 'a quarter of the PEP: the only linear full modulation' },
      { id: 'b', words: 'low carrier with great swing: cool, and impressive on meters' },
      { id: 'c', words: 'the legal figure, whatever the set could do' },
      { id: 'd', words: '5 W, at most 7 W on a 20 W set' },
    ],
  },
  {
    id: 'S05',
    question: 'Whether more indicated power is good',
    defaultId: 'a',
    acts: false,
    because: 'balance on high-power sets',
    options: [
      { id: 'a', words: 'no: often splatter; only power in the channel counts' },
      { id: 'b', words: 'show the owner the largest clean peak' },
      { id: 'c', words: 'balance average and peak, check with supply current' },
    ],
  },
  {
    id: 'S06',
    question: 'Modulation limiter',
    defaultId: 'a',
    acts: false,
    because: 'found without it is a finding',
    options: [
      { id: 'a', words: 'must be there' },
      { id: 'b', words: 'removed by owners for loudness' },
      { id: 'c', words: 'removed for an experiment only' },
    ],
  },
  {
    id: 'S07',
    question: 'Peak or average reading',
    defaultId: 'a',
    acts: false,
    because: 'kind of meter is stored with the reading; verdicts need a true one',
    options: [
      { id: 'a', words: 'both: peak tells modulation, average what ordinary meters show' },
      { id: 'b', words: 'only a true-reading test set counts' },
      { id: 'c', words: 'a panel bar will do for before and after' },
    ],
  },
  {
    id: 'S08',
    question: 'Whose meter is right',
    defaultId: 'a',
    acts: false,
    because: 'weighted by uncertainty and calibration date',
    options: [
      { id: 'a', words: 'the calibrated one, even against two others' },
      { id: 'b', words: 'the owner\u2019s cheap meter is presumed wrong' },
      { id: 'c', words: 'the panel meter is a witness' },
    ],
  },
  {
    id: 'S09',
    question: 'Criterion for tuning a valve output stage',
    defaultId: 'a',
    acts: true,
    because: 'where both meters exist, else power',
    options: [
      { id: 'a', words: 'dip for plate, maximum plate current for preselector, then power outside' },
      { id: 'b', words: 'largest output power; the plate current stays the limit' },
    ],
  },
  {
    id: 'S10',
    question: 'Order of valve controls',
    defaultId: 'c',
    acts: false,
    because: 'repeated; every change of load is dipped again',
    options: [
      { id: 'a', words: 'preselector, load, plate' },
      { id: 'b', words: 'plate, preselector, load' },
      { id: 'c', words: 'preselector, dip, then load and plate' },
    ],
  },
  {
    id: 'S11',
    question: 'Carrier while tuning',
    defaultId: 'b',
    acts: false,
    because: 'into a dummy load; half into an antenna',
    options: [
      { id: 'a', words: 'half, match the antenna, then full' },
      { id: 'b', words: 'about 100 mA, then part, then full' },
      { id: 'c', words: 'full at once: a dummy load is safe' },
    ],
  },
  {
    id: 'S12',
    question: 'Into what',
    defaultId: 'b',
    acts: false,
    because: 'rig first, antenna second',
    options: [
      { id: 'a', words: 'antenna through the tuner' },
      { id: 'b', words: 'dummy load first, tuner after at a lower level' },
    ],
  },
  {
    id: 'S13',
    question: 'Key-down limit of a valve set',
    defaultId: 'c',
    acts: true,
    because: 'the first off-resonance steps are the critical ones',
    options: [
      { id: 'a', words: '10 s' },
      { id: 'b', words: '20 s' },
      { id: 'c', words: '10 s until dipped, 20 s after' },
    ],
  },
  {
    id: 'S14',
    question: 'Keying while hands are busy',
    defaultId: 'a',
    acts: false,
    because: 'for anything hot',
    options: [
      { id: 'a', words: 'microphone button: letting go is instinctive' },
      { id: 'b', words: 'tune position' },
      { id: 'c', words: 'tune button' },
    ],
  },
  {
    id: 'S28',
    question: 'Where to leave a carrier of 4 W',
    defaultId: 's',
    acts: true,
    because: 'the tolerance of the sheet stays; 3.9 W leaves room for the wattmeter',
    options: [
      { id: 's', words: 'as the sheet asks' },
      { id: 'b', words: '3.9 W: below the limit with a good wattmeter' },
      { id: 'c', words: '4.0 W: what the rules allow' },
    ],
  },
  {
    id: 'S29',
    question: 'Order of an alignment',
    defaultId: 's',
    acts: true,
    because: 'a step never comes before one that it needs',
    options: [
      { id: 's', words: 'as the sheet has it' },
      { id: 'b', words: 'receiver last: it stays as it is until the transmitter is right' },
      { id: 'c', words: 'carrier power before frequency: the set is warm by then' },
    ],
  },
]

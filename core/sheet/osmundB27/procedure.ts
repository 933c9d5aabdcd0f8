import type { Step } from '../modelSheet'
import { OSMUND_27F_PROCEDURE } from '../osmund27f/procedure'
import { DEVIATION, HIGH_POWER, TONE_HZ, keyed, point, receiving, want } from '../osmund27f/targets'
import { DUMMY_LOAD, RF_BURN, STEP, UNKEYED_STEP, WAX } from '../stepBase'
import { REFERENCE } from './targets'

/** Steps in which the two sets do not differ. */
const asOn27f = (id: string): Step => OSMUND_27F_PROCEDURE.find(s => s.id === id)!

const power = (channel: number, isJudged = true) =>
  point(`ch${channel}`, `Channel ${channel}`, keyed(channel), [
    want('powerW', isJudged ? HIGH_POWER : null, isJudged),
  ])

/** The order of work for a base set of the three-crystal family, without a preset for its low power. */
export const OSMUND_B27_PROCEDURE: readonly Step[] = [
  asOn27f('A1.0'),
  {
    ...UNKEYED_STEP,
    id: 'A1.3',
    title: 'Reference 10.240 MHz',
    needs: ['A1.0'],
    adjusters: ['CT1'],
    cautions: ['Buffered pin only: a probe on the crystal itself pulls it by tens of ppm.'],
    instruction:
      'Counter on pin 6 of IC3, solder side. Read every digit before turning: CT1 to 10.240 000 MHz.',
    why: 'First: transmit, receive and lock all follow it.',
    points: [
      point('pin', 'IC3 pin 6', receiving(null, 'counter on the reference pin'), [
        want('referenceHz', REFERENCE),
      ]),
    ],
  },
  asOn27f('A1.4'),
  {
    ...asOn27f('A1.5'),
    instruction: 'Channel 20, keyed, no tone. Adjust until the counter reads a little above the channel.',
  },
  asOn27f('A1.7'),
  {
    ...STEP,
    id: 'A1.8',
    title: 'Peak the power coils',
    needs: ['A1.7'],
    skipIf: 'A1.7',
    cautions: [DUMMY_LOAD, RF_BURN, WAX],
    adjusters: ['L11', 'L12', 'L13', 'L14'],
    criterion: { kind: 'peak', quantity: 'powerW', gainDb: 0.1 },
    instruction:
      'Channel 20, power control at its highest end. Peak the cores in order. Take ' +
      'a reading after each pass. Stop when a pass gains less than 0.1 dB.',
    why: 'From the driver towards the antenna, since every stage needs the drive of the one before.',
    points: [power(20, false)],
  },
  {
    ...STEP,
    id: 'A1.9',
    title: 'Balance 1, 20, 40',
    needs: ['A1.8'],
    skipIf: 'A1.7',
    cautions: [DUMMY_LOAD, RF_BURN, WAX],
    adjusters: ['L12', 'L14'],
    criterion: { kind: 'spread', quantity: 'powerW', maxDb: 0.5 },
    instruction:
      'Offset one coil towards the weak end and its neighbour towards the other until the three agree.',
    why: 'An over-peaked set transmits at one end of the band only.',
    points: [1, 20, 40].map(channel => power(channel, false)),
  },
  {
    ...STEP,
    id: 'A1.10',
    title: 'Full power',
    needs: ['A1.9'],
    adjusters: ['L14'],
    cautions: [DUMMY_LOAD, RF_BURN, WAX],
    instruction:
      'Channel 20, power control at its highest end. This set has no power preset: ' +
      'above the limit, set the power with the last coil and measure the balance again.',
    why: 'Not beyond: more than the rated power shortens life and spreads into adjacent channels.',
    points: [power(20)],
  },
  {
    ...STEP,
    id: 'A1.13',
    title: 'Deviation',
    needs: ['A1.5'],
    adjusters: ['RV8'],
    instruction:
      'Channel 20, 1 kHz tone at the microphone socket. Raise its ' +
      'level until the deviation no longer grows, then set the preset.',
    why: 'Full limiting, both polarities, absolute maximum 2.5 kHz. A whistle is only a cross-check.',
    points: [
      point('tone', 'Channel 20, 1 kHz', keyed(20, { toneHz: TONE_HZ }), [
        want('deviationPositiveHz', DEVIATION),
        want('deviationNegativeHz', DEVIATION),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A1.15',
    title: 'Panel meter',
    needs: ['A1.10'],
    adjusters: ['RV6'],
    instruction: 'Channel 20, power control at its highest end: the panel meter agrees with the power meter.',
    why: 'The owner judges the set by this meter for years.',
    points: [
      point('panel', 'Panel meter', keyed(20), [
        want('panelPowerW', {
          kind: 'like-reading',
          stepId: 'A1.10',
          quantity: 'powerW',
          lowRatio: 0.9,
          highRatio: 1.1,
        }),
      ]),
    ],
  },
]

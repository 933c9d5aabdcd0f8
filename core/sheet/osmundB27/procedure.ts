import type { Step } from '../modelSheet'
import { OSMUND_27F_PROCEDURE } from '../osmund27f/procedure'
import { HIGH_POWER, keyed, point, receiving, want } from '../osmund27f/targets'
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
  { ...asOn27f('A1.9'), cautions: [DUMMY_LOAD, RF_BURN, WAX], adjusters: ['L12', 'L14'] },
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
  { ...asOn27f('A1.13'), adjusters: ['RV8'] },
  {
    ...asOn27f('A1.15'),
    adjusters: ['RV6'],
    instruction: 'Channel 20, power control at its highest end: the panel meter agrees with the power meter.',
  },
]

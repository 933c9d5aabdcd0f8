import { point, want, within } from '../build'
import type { Step, StepAction } from '../modelSheet'
import { DUMMY_LOAD, NEVER_KEY_GENERATOR, STEP, UNKEYED_STEP } from '../stepBase'
import {
  CHANNEL,
  DEPTH_HIGH,
  DEPTH_LOW,
  DEVIATION,
  DRIVE_V,
  HIGH,
  LOW,
  S9,
  S9_V,
  TONE_HZ,
  am,
  fm,
} from './targets'

const tone = { toneHz: TONE_HZ, toneV: DRIVE_V }
/** The number that stood in the menu while it was read: without it the reading cannot be set again. */
const CODE = want('menuCode')
const MENU = 'Three keys within 5 s: use both hands. A value may be lost silently: note each one.'
/** Invented for this set; the sheet of another says its own. */
const KEYS: StepAction = {
  kind: 'keys',
  words: 'Switch on with FUNC and MENU held, then:',
  keys: ['FUNC', 'CH up', 'FUNC'],
  withinS: 5,
}
const powerStep = (id: string, mode: 'AM' | 'FM', lowPower: boolean, entry: string): Step => ({
  ...STEP,
  id,
  title: `${mode} power, ${lowPower ? 'low' : 'high'}`,
  needs: ['A4.2'],
  adjusters: [entry],
  cautions: [DUMMY_LOAD, 'Never hunt for the ceiling above the rule set.'],
  instruction:
    `Entry ${entry}, key with the transmit button: the value ` +
    'shown is active while keyed. Step it, read the power.',
  why: 'Power goes about as the square of the code: a step near 4 W is 0.15 to 0.2 W.',
  points: [
    point(
      'power',
      `${mode}, ${lowPower ? 'low' : 'high'} power`,
      (mode === 'AM' ? am : fm).keyed(CHANNEL, { lowPower }),
      [want('powerW', lowPower ? LOW : HIGH), CODE],
    ),
  ],
})

/** A menu set: nothing is opened, and the way back is what was written down. */
export const CORVID_M6_PROCEDURE: readonly Step[] = [
  {
    ...UNKEYED_STEP,
    id: 'A4.1',
    title: 'Warm-up',
    cautions: ['First power with the current limit at 1.5 A. Check fuse and polarity first.'],
    instruction:
      'Leave the set on for 20 minutes. As found must be ' +
      'complete in every mode, power level and country state.',
    why: 'Once a value is changed, its original is lost.',
    points: [point('warm', 'Time since power-on', am.receiving(null), [want('onTimeS', within(1200, null))])],
  },
  {
    ...UNKEYED_STEP,
    id: 'A4.2',
    title: 'Into the menu',
    needs: ['A4.1'],
    actions: [KEYS],
    cautions: [MENU],
    instruction:
      'Hold the two keys of the sheet while switching on. Complete the sequence ' +
      'within 5 s. All original values are in as found: read entry 01 again.',
    why: 'The list of original values is the only way to restore it.',
    points: [point('first', 'Entry 01', am.receiving(null), [want('menuCode')])],
  },
  powerStep('A4.4a', 'AM', false, '01'),
  powerStep('A4.4b', 'AM', true, '02'),
  powerStep('A4.4c', 'FM', false, '03'),
  powerStep('A4.4d', 'FM', true, '04'),
  {
    ...STEP,
    id: 'A4.5',
    title: 'AM depth',
    needs: ['A4.4a', 'A4.4b'],
    adjusters: ['05', '06'],
    instruction: '1 kHz at 30 mV: entry 05 at high power, 06 at low power.',
    why: 'Depth follows the carrier, so power comes first.',
    points: [
      point('high', 'High power', am.keyed(CHANNEL, tone), [want('depthNegativeRatio', DEPTH_HIGH), CODE]),
      point('low', 'Low power', am.keyed(CHANNEL, { ...tone, lowPower: true }), [
        want('depthNegativeRatio', DEPTH_LOW),
        CODE,
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A4.6',
    title: 'FM deviation',
    needs: ['A4.4c'],
    adjusters: ['07'],
    cautions: [DUMMY_LOAD, 'Only with a deviation meter. At FF there is no higher value.'],
    instruction: 'FM, 1 kHz at 30 mV: entry 07.',
    why: 'A menu value is not a measurement.',
    points: [
      point('tone', 'FM, 1 kHz', fm.keyed(CHANNEL, tone), [
        want('deviationPositiveHz', DEVIATION),
        want('deviationNegativeHz', DEVIATION),
        CODE,
      ]),
    ],
  },
  {
    ...UNKEYED_STEP,
    id: 'A4.7',
    title: 'S-meter',
    needs: ['A4.2'],
    adjusters: ['08'],
    cautions: [NEVER_KEY_GENERATOR],
    instruction: 'Generator at 100 \u00b5V: entry 08 to S9.',
    why: 'An S-meter reading needs its level beside it.',
    points: [
      point('s9', 'S-meter at 100 \u00b5V', am.receiving(CHANNEL, null, { inputV: S9_V }), [
        want('sMeter', S9),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A4.8',
    title: 'Power cycle, standard state, repeat',
    actions: [
      {
        kind: 'power-cycle',
        words: 'Off, wait, on; then back to the standard country state.',
        reread: ['01', '03'],
      },
    ],
    needs: ['A4.4a', 'A4.4c', 'A4.5', 'A4.6'],
    instruction: 'Switch off and on, return to the standard country state, repeat AM and FM.',
    why: 'States keep separate values, and one may be lost silently.',
    points: [
      point('am', 'AM, standard', am.keyed(CHANNEL), [want('powerW', HIGH)]),
      point('fm', 'FM, standard', fm.keyed(CHANNEL), [want('powerW', HIGH)]),
    ],
  },
]

import { point, want, within } from '../build'
import type { Coverage, Step, StepAction } from '../modelSheet'
import { DUMMY_LOAD, NEVER_KEY_GENERATOR, STEP, UNKEYED_STEP } from '../stepBase'
import { DEPTH, DEVIATION, EXPANDED, HOME, POWER, S9, S9_V, TONE, TWENTY, UK_TWENTY, am, fm } from './targets'

/** The number that stood in the menu while it was read: without it the reading cannot be set again. */
const CODE = want('menuCode')
/** Invented for this set; the sheet of another says its own. */
const KEYS: StepAction = {
  kind: 'keys',
  words: 'Switch on with FUNC held, then:',
  keys: ['FUNC', 'CH up', 'FUNC'],
  withinS: 6,
}

interface PowerStep {
  readonly id: string
  readonly title: string
  readonly mode: 'AM' | 'FM'
  readonly entry: string
  readonly coverage: Coverage
}

const powerStep = ({ id, title, mode, entry, coverage }: PowerStep): Step => ({
  ...STEP,
  id,
  title,
  needs: ['M9.2'],
  adjusters: [entry],
  cautions: [DUMMY_LOAD, 'Never hunt for the ceiling above the rule set.'],
  instruction: `Entry ${entry} in this state: key with the transmit button, step the value, read the power.`,
  why: 'Each state keeps its own value: what is set in one does not carry over to the other.',
  points: [
    point('power', title, (mode === 'AM' ? am : fm).keyed(TWENTY, { coverage }), [
      want('powerW', POWER),
      CODE,
    ]),
  ],
})

/** A menu set with two country states and three modes: nothing is opened, the way back is written down. */
export const CORVID_M9_PROCEDURE: readonly Step[] = [
  {
    ...UNKEYED_STEP,
    id: 'M9.1',
    title: 'Warm-up',
    cautions: ['First power with the current limit at 1.5 A. Check fuse and polarity first.'],
    instruction: 'Leave the set on for 20 minutes. As found must hold every menu value of both states.',
    why: 'Once a value is changed, its original is lost.',
    points: [point('warm', 'Time since power-on', am.receiving(null), [want('onTimeS', within(1200, null))])],
  },
  {
    ...UNKEYED_STEP,
    id: 'M9.2',
    title: 'Into the menu',
    needs: ['M9.1'],
    actions: [KEYS],
    cautions: ['A value is shown while the transmit button is held: the set radiates. Dummy load first.'],
    instruction: 'Complete the keys within 6 s, then read entry P1 again.',
    why: 'The list of original values is the only way to restore it.',
    points: [point('first', 'Entry P1', am.receiving(null), [want('menuCode')])],
  },
  powerStep({ id: 'M9.3', title: 'FM power, home state', mode: 'FM', entry: 'P1', coverage: HOME }),
  powerStep({ id: 'M9.4', title: 'AM power, home state', mode: 'AM', entry: 'P2', coverage: HOME }),
  powerStep({ id: 'M9.5', title: 'FM power, expanded state', mode: 'FM', entry: 'P1', coverage: EXPANDED }),
  powerStep({ id: 'M9.6', title: 'AM power, expanded state', mode: 'AM', entry: 'P2', coverage: EXPANDED }),
  {
    ...STEP,
    id: 'M9.7',
    title: 'FM deviation',
    needs: ['M9.3'],
    adjusters: ['D1'],
    cautions: [DUMMY_LOAD, 'Only with a deviation meter. At FF there is no higher value.'],
    instruction: 'FM, 1 kHz at 30 mV: entry D1.',
    why: 'A menu value is not a measurement.',
    points: [
      point('tone', 'FM, 1 kHz', fm.keyed(TWENTY, TONE), [
        want('deviationPositiveHz', DEVIATION),
        want('deviationNegativeHz', DEVIATION),
        CODE,
      ]),
    ],
  },
  {
    ...STEP,
    id: 'M9.8',
    title: 'AM depth',
    needs: ['M9.4'],
    adjusters: ['A1'],
    instruction: '1 kHz at 30 mV: entry A1.',
    why: 'Depth follows the carrier, so power comes first.',
    points: [point('tone', 'AM, 1 kHz', am.keyed(TWENTY, TONE), [want('depthNegativeRatio', DEPTH), CODE])],
  },
  {
    ...UNKEYED_STEP,
    id: 'M9.9',
    title: 'S-meter',
    needs: ['M9.2'],
    adjusters: ['S1'],
    cautions: [NEVER_KEY_GENERATOR],
    instruction: 'Generator at 100 \u00b5V: entry S1 to S9.',
    why: 'An S-meter reading needs its level beside it.',
    points: [
      point('s9', 'S-meter at 100 \u00b5V', am.receiving(TWENTY, null, { inputV: S9_V }), [
        want('sMeter', S9),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'M9.10',
    title: 'Power cycle, home state, repeat',
    actions: [{ kind: 'power-cycle', words: 'Off, wait, on; then the home state.', reread: ['P1', 'P2'] }],
    needs: ['M9.3', 'M9.4'],
    instruction: 'Switch off and on, return to the home state, repeat AM, FM and FM-UK.',
    why: 'A value may be lost silently, and the expanded state is not for use where it is not allowed.',
    points: [
      point('am', 'AM, home state', am.keyed(TWENTY), [want('powerW', POWER)]),
      point('fm', 'FM, home state', fm.keyed(TWENTY), [want('powerW', POWER)]),
      point('fm-uk', 'FM-UK, home state', fm.keyed(UK_TWENTY), [want('powerW')]),
    ],
  },
]

import { point, want, within } from '../build'
import type { Step } from '../modelSheet'
import { DUMMY_LOAD, NEVER_KEY_GENERATOR, STEP, UNKEYED_STEP } from '../stepBase'
import { FREQUENCY, GATE, OUTPUT, REFERENCE, SENSITIVITY, TWENTY, cw } from './targets'

/** Small finals without heat sink: 3 to 5 s (common practice). */
const BURST_S = 5

/** A small kit: reference by zero beat, IF by ear, gate before power. */
export const QUILLON_P5_PROCEDURE: readonly Step[] = [
  {
    ...UNKEYED_STEP,
    id: 'A8.0',
    title: 'Warm-up',
    cautions: [
      'Before power, check supply-to-ground resistance against ' +
        'the manual and look for solder bridges. Limit 0.5 A.',
    ],
    instruction: 'Leave it on for 20 minutes.',
    why: 'A reference set cold is wrong warm.',
    points: [point('warm', 'Time since power-on', cw.receiving(null), [want('onTimeS', within(1200, null))])],
  },
  {
    ...UNKEYED_STEP,
    id: 'A8.1',
    title: '10 MHz reference',
    needs: ['A8.0'],
    adjusters: ['REF'],
    actions: [
      { kind: 'hold', words: 'Hold the save key until the set confirms.', holdS: 2 },
      { kind: 'power-cycle', words: 'Off, wait, on.', reread: ['REF'] },
    ],
    cautions: ['Sign: a beat output below the standard means that the value is too high: lower it.'],
    instruction:
      'Zero beat against a standard or a known receiver, coarse 100 ' +
      'Hz, then fine 1 Hz. Note the value, power-cycle, read again.',
    why: 'All frequencies derive from it.',
    points: [point('ref', '10 MHz output', cw.receiving(null), [want('referenceHz', REFERENCE)])],
  },
  {
    ...UNKEYED_STEP,
    id: 'A8.2',
    title: 'IF offset',
    needs: ['A8.1'],
    adjusters: ['IF'],
    cautions: [NEVER_KEY_GENERATOR],
    instruction:
      'Generator on 14.060 MHz at −90 dBm: find the most ' + 'sensitive RIT offset, enter it, RIT back to 0.',
    why: 'A few tens of hertz cost up to an S-unit.',
    points: [
      point('rx', '10 dB (S+N)/N at RIT 0', cw.receiving(TWENTY), [want('sensitivityV', SENSITIVITY)]),
    ],
  },
  {
    ...STEP,
    id: 'A8.4',
    title: 'Gate bias',
    needs: ['A8.0'],
    adjusters: ['R36'],
    keyDownLimitS: BURST_S,
    bias: { by: 'gate-voltage', devices: ['IRF510'], stageV: 12, mostW: 5, tickA: null },
    actions: [
      {
        kind: 'reverts',
        words: 'Set PA oscillator to disabled in the menu: it is enabled again at every start.',
      },
    ],
    cautions: [
      DUMMY_LOAD,
      'Both presets at their lowest end first. PA oscillator ' +
        'disabled, straight key. Meter clipped on, removed before RF.',
    ],
    instruction: 'Key with the PA oscillator disabled: gate voltage of the final to 2.4 V.',
    why: 'Bias before power: 5 V on the gate kills it.',
    points: [
      point('gate', 'Gate voltage', cw.keyed(TWENTY, { setting: 'PA oscillator disabled' }), [
        want('gateV', GATE),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A8.5',
    title: 'Power',
    needs: ['A8.4', 'A8.1'],
    adjusters: ['R41'],
    keyDownLimitS: BURST_S,
    cautions: [DUMMY_LOAD, 'No heat sink: bursts of 3 to 5 s, rest 30 to 60 s.'],
    instruction: 'PA oscillator enabled (it reverts to enabled at each start): power preset.',
    why: 'More power is heat.',
    points: [
      point('power', '14.060 MHz', cw.keyed(TWENTY), [want('powerW', OUTPUT), want('carrierHz', FREQUENCY)]),
    ],
  },
]

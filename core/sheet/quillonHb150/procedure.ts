import { point, want, within } from '../build'
import type { Step } from '../modelSheet'
import { DUMMY_LOAD, NEVER_KEY_GENERATOR, STEP, UNKEYED_STEP } from '../stepBase'
import {
  AM_CARRIER,
  AM_PEP,
  IDLE,
  OUTPUT,
  PLATE,
  S9,
  S9_V,
  SENSITIVITY,
  TUNED,
  TWENTY,
  am,
  cw,
  usb,
} from './targets'

const HIGH_VOLTAGE =
  'Several hundred volts inside: competent persons only. Unplug, wait, ' +
  'discharge through a resistor, check for less than 30 V, one hand.'
/** Off resonance seconds count; once dipped the valves take more (common practice). */
const UNTIL_DIPPED_S = 10
const DIPPED_S = 20
const valve = { ...STEP, cautions: [DUMMY_LOAD], keyDownLimitS: UNTIL_DIPPED_S } satisfies Partial<Step>

/** Tune-up of a hybrid transceiver into a dummy load: preselector, plate dip, load and plate, repeated. */
export const QUILLON_HB150_PROCEDURE: readonly Step[] = [
  {
    ...UNKEYED_STEP,
    id: 'A6.0',
    title: 'Heaters and positions',
    cautions: [HIGH_VOLTAGE],
    instruction:
      'Heaters on 5 minutes (30 for frequency). Carrier and microphone fully down, noise blanker and ' +
      'attenuator off, clarifier off, preselector and plate on the band marks, load at mid scale.',
    why: 'Cold valves draw an undefined current.',
    points: [point('warm', 'Time since power-on', cw.receiving(null), [want('onTimeS', within(300, null))])],
  },
  {
    ...valve,
    id: 'A6.1',
    title: 'Idle current',
    needs: ['A6.0'],
    adjusters: ['VR3'],
    bias: { by: 'stage-current', devices: ['both valves together'], stageV: 800, mostW: 60, tickA: 0.02 },
    cautions: [DUMMY_LOAD, HIGH_VOLTAGE],
    instruction: 'Key with carrier and microphone at zero: 60 mA, three divisions of 20 mA.',
    why: 'A fall over the years means weak emission. Adjusting masks it, so note the value found.',
    points: [point('idle', '20 m', usb.keyed(TWENTY, { setting: 'no drive' }), [want('stageIdleA', IDLE)])],
  },
  {
    ...UNKEYED_STEP,
    id: 'A6.2',
    title: 'Preselector on receive',
    needs: ['A6.0'],
    adjusters: ['PRESELECTOR'],
    cautions: [NEVER_KEY_GENERATOR],
    instruction: 'Adjust for maximum marker or signal: that also sets the driver.',
    why: 'Receive tuning and drive run on one control.',
    points: [point('rx', '20 m, 10 dB (S+N)/N', usb.receiving(TWENTY), [want('sensitivityV', SENSITIVITY)])],
  },
  {
    ...valve,
    id: 'A6.3',
    title: 'Dip at half carrier',
    needs: ['A6.1', 'A6.2'],
    adjusters: ['CARRIER', 'PRESELECTOR', 'PLATE'],
    cautions: [DUMMY_LOAD, '10 s at most: off resonance all input becomes heat in the valves.'],
    instruction: 'Carrier up to about 100 mA, preselector for maximum, plate for minimum plate current.',
    why: 'The first steps are the critical ones.',
    points: [
      point('dip', '20 m, half carrier', cw.keyed(TWENTY, { setting: 'half carrier' }), [
        want('plateA', within(null, 0.13)),
      ]),
    ],
  },
  {
    ...valve,
    id: 'A6.7',
    title: 'Load for output at full carrier',
    needs: ['A6.3'],
    adjusters: ['LOAD', 'PLATE', 'PRESELECTOR', 'CARRIER'],
    keyDownLimitS: DIPPED_S,
    cautions: [DUMMY_LOAD, 'Rest 30 to 60 s between tries. External meter on the right range.'],
    instruction:
      'Increase loading a little, re-dip the plate, correct the preselector. ' +
      'Repeat until the output is highest at the allowed plate current.',
    why:
      'Every change of load moves the dip. With the external ' +
      'meter the panel meter stays on plate current.',
    points: [
      point('full', '20 m, full carrier', cw.keyed(TWENTY, { setting: TUNED }), [
        want('plateA', PLATE),
        want('powerW', OUTPUT),
      ]),
    ],
  },
  {
    ...valve,
    id: 'A6.9',
    title: 'AM carrier',
    needs: ['A6.7'],
    adjusters: ['CARRIER'],
    keyDownLimitS: DIPPED_S,
    cautions: [DUMMY_LOAD, 'Excess AM carrier and long key-down kill valves: cathode current 200 mA max.'],
    instruction: 'AM: carrier down to 25 to 30 W, then tone: peaks about 120 W.',
    why: 'A carrier of a quarter leaves room for the positive peak.',
    points: [
      point('carrier', 'AM carrier', am.keyed(TWENTY, { setting: 'carrier at the AM mark' }), [
        want('powerW', AM_CARRIER),
        want('plateA', within(null, 0.2)),
      ]),
      point('tone', 'AM with tone', am.keyed(TWENTY, { toneHz: 1000, setting: 'carrier at the AM mark' }), [
        want('pepW', AM_PEP),
      ]),
    ],
  },
  {
    ...valve,
    id: 'A6.11',
    title: 'Panel output meter',
    needs: ['A6.7'],
    adjusters: ['VR5'],
    keyDownLimitS: DIPPED_S,
    instruction: 'Set the preset until the panel agrees with the external meter. Check at half power too.',
    why: 'The same factor at all levels is calibration; a shortfall at low level is the meter diode.',
    points: [
      point('panel', '20 m, panel', cw.keyed(TWENTY, { setting: TUNED }), [
        want('panelPowerW', {
          kind: 'like-reading',
          stepId: 'A6.7',
          quantity: 'powerW',
          lowRatio: 0.9,
          highRatio: 1.1,
        }),
      ]),
    ],
  },
  {
    ...UNKEYED_STEP,
    id: 'A6.12',
    title: 'S-meter',
    needs: ['A6.2'],
    adjusters: ['VR4'],
    cautions: [NEVER_KEY_GENERATOR],
    instruction: 'Generator at 50 \u00b5V: S9.',
    why: 'S9 is 50 µV on amateur HF.',
    points: [point('s9', 'S-meter', usb.receiving(TWENTY, null, { inputV: S9_V }), [want('sMeter', S9)])],
  },
]

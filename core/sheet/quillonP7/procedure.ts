import { channelName, channelPlan } from '../../rules'
import { point, want, within } from '../build'
import type { Step } from '../modelSheet'
import { DUMMY_LOAD, NEVER_KEY_GENERATOR, STEP, UNKEYED_STEP } from '../stepBase'
import {
  BANDS,
  FREQUENCY,
  NO_DRIVE,
  OUTPUT,
  POWER_NUMBERS,
  REFERENCE,
  RISE,
  RISE_CW,
  SENSITIVITY,
  TWENTY,
  cw,
  usb,
} from './targets'

/** A small final on a small sink: short bursts (common practice). */
const BURST_S = 8
const keyed = { ...STEP, keyDownLimitS: BURST_S } satisfies Partial<Step>
const LOST = 'Hold to save until the set confirms: values are lost silently otherwise.'

/** An SDR set with menus: translation, bias by current, power by band, save, read again (A9). */
export const QUILLON_P7_PROCEDURE: readonly Step[] = [
  {
    ...UNKEYED_STEP,
    id: 'A9.0',
    title: 'Warm-up',
    cautions: ['Limit 2 A; ammeter in the positive lead; output number at its lowest.'],
    instruction: 'Leave it on for 20 minutes in use.',
    why: 'A reference set cold is wrong warm.',
    points: [point('warm', 'Time since power-on', cw.receiving(null), [want('onTimeS', within(1200, null))])],
  },
  {
    ...UNKEYED_STEP,
    id: 'A9.1',
    title: 'Receive translation',
    needs: ['A9.0'],
    adjusters: ['TRANS'],
    cautions: [NEVER_KEY_GENERATOR],
    instruction: 'Generator on 14.200 MHz: find the most sensitive offset, centred.',
    why: 'Beside the filter the receiver is deaf although nothing is broken.',
    points: [point('rx', '20 m, 10 dB (S+N)/N', usb.receiving(TWENTY), [want('sensitivityV', SENSITIVITY)])],
  },
  {
    ...keyed,
    id: 'A9.3',
    title: 'PA bias, USB',
    needs: ['A9.0'],
    adjusters: ['BIAS'],
    bias: { by: 'rise', devices: ['final'], stageV: 13.8, mostW: 15, tickA: null },
    cautions: [DUMMY_LOAD, 'Wrong bias overheats the final: no power step before bias is within tolerance.'],
    instruction:
      'USB, key with the key input, no drive: read the current ' +
      'at bias 0, then raise the number until it is 500 mA more.',
    why: 'The rise is what counts: every device has its own threshold.',
    points: [
      point('zero', 'Current at bias 0', usb.keyed(TWENTY, { setting: NO_DRIVE, also: 'bias number 0' }), [
        want('supplyA', null, false),
      ]),
      point('idle', 'Current, USB, no drive', usb.keyed(TWENTY, { setting: NO_DRIVE }), [
        want('supplyA', RISE),
      ]),
    ],
  },
  {
    ...keyed,
    id: 'A9.4',
    title: 'PA bias, CW',
    needs: ['A9.3'],
    adjusters: ['BIAS-CW'],
    cautions: [DUMMY_LOAD],
    bias: { by: 'rise', devices: ['final'], stageV: 13.8, mostW: 15, tickA: null },
    instruction:
      'CW, key with the key input, no drive: read the current ' +
      'at bias 0, then raise the number until it is 500 mA more.',
    why: 'Each mode has its own value.',
    points: [
      point('zero', 'Current at bias 0, CW', cw.keyed(TWENTY, { setting: NO_DRIVE, also: 'bias number 0' }), [
        want('supplyA', null, false),
      ]),
      point('idle', 'Current, CW, no drive', cw.keyed(TWENTY, { setting: NO_DRIVE }), [
        want('supplyA', RISE_CW),
      ]),
    ],
  },
  {
    ...keyed,
    id: 'A9.5',
    title: 'Power per band',
    needs: ['A9.4'],
    adjusters: [...POWER_NUMBERS],
    cautions: [DUMMY_LOAD, LOST],
    instruction: 'Tune button on each band: its number to 5 W.',
    why: 'Gain falls towards 10 m: one number does not fit all bands.',
    points: BANDS.map(band =>
      point(`band-${band}`, channelName(channelPlan('hf-five'), band), cw.keyed(band), [
        want('powerW', OUTPUT),
      ]),
    ),
  },
  {
    ...keyed,
    id: 'A9.6',
    title: 'Saved: power cycle, repeat',
    needs: ['A9.5'],
    cautions: [DUMMY_LOAD, LOST],
    actions: [
      { kind: 'hold', words: 'Hold the menu key until the set confirms the save.', holdS: 2 },
      { kind: 'power-cycle', words: 'Off, wait, on.', reread: ['BIAS', 'P20'] },
    ],
    instruction: 'Hold to save, switch off and on, measure 20 m again.',
    why: 'A value that was not saved returns to its old one.',
    points: [point('again', '20 m after the power cycle', cw.keyed(TWENTY), [want('powerW', OUTPUT)])],
  },
  {
    ...UNKEYED_STEP,
    id: 'A9.7',
    title: 'Frequency',
    needs: ['A9.6'],
    adjusters: ['REF'],
    cautions: ['Sign: an output below the standard means that the value is too high: lower it.'],
    instruction: 'Warm, after use: compare the 10 MHz output with a standard.',
    why: 'After the power work it is as warm as it gets.',
    points: [point('ref', '10 MHz output', cw.receiving(null), [want('referenceHz', REFERENCE)])],
  },
  {
    ...keyed,
    id: 'A9.8',
    title: 'Transmit frequency',
    needs: ['A9.7'],
    instruction: '20 m, tune button: the counter.',
    why: 'It confirms the reference.',
    points: [point('f', '20 m', cw.keyed(TWENTY), [want('carrierHz', FREQUENCY)])],
  },
]

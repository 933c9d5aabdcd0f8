import { channelName, channelPlan } from '../../rules'
import { point, want, wantMenu } from '../build'
import type { MeasurePoint } from '../modelSheet'
import { QUILLON_P7_ADJUSTERS, menuFormat } from './adjusters'
import {
  BANDS,
  BIASED,
  FREQUENCY,
  IMD3,
  NO_DRIVE,
  OUTPUT,
  REFERENCE,
  S9,
  S9_V,
  SENSITIVITY,
  TWENTY,
  TWO_TONES,
  cw,
  usb,
} from './targets'

/** Currents and every band from outside, then every number of the menu before the first is changed. */
export const QUILLON_P7_MATRIX: readonly MeasurePoint[] = [
  point('receive', 'Receiving', cw.receiving(TWENTY), [want('supplyV'), want('supplyA')]),
  point('reference', '10 MHz output', cw.receiving(null, 'connector on the rear'), [
    want('referenceHz', REFERENCE),
  ]),
  point(
    'bias',
    'Current keyed without drive, USB',
    usb.keyed(TWENTY, { setting: NO_DRIVE, also: 'key with the key input' }),
    [want('supplyA', BIASED)],
  ),
  point(
    'bias-cw',
    'Current keyed without drive, CW',
    cw.keyed(TWENTY, { setting: NO_DRIVE, also: 'key with the key input' }),
    [want('supplyA', BIASED)],
  ),
  ...BANDS.map(band =>
    point(`band-${band}`, `${channelName(channelPlan('hf-five'), band)}, tune button`, cw.keyed(band), [
      want('powerW', OUTPUT),
      want('supplyA'),
      ...(band === TWENTY ? [want('carrierHz', FREQUENCY)] : []),
    ]),
  ),
  point('two', 'USB 20 m, two tones', usb.keyed(TWENTY, { setting: TWO_TONES, audio: 'two-tones' }), [
    want('pepW'),
    want('powerW', null, false),
    want('imd3Db', IMD3),
  ]),
  ...BANDS.map(band =>
    point(
      `rx-${band}`,
      `Receiver ${channelName(channelPlan('hf-five'), band)}, 10 dB (S+N)/N`,
      usb.receiving(band, 'generator on the frequency'),
      [want('sensitivityV', SENSITIVITY)],
    ),
  ),
  point(
    's9',
    'Receiver, S-meter at 50 \u00b5V, 20 m',
    usb.receiving(TWENTY, 'S9 on amateur HF is 50 \u00b5V', { inputV: S9_V }),
    [want('sMeter', S9)],
  ),
  ...QUILLON_P7_ADJUSTERS.map(a =>
    point(
      `menu-${a.designator}`,
      `Menu ${a.designator}: ${a.name}`,
      cw.receiving(null, 'as the set shows it'),
      [wantMenu(menuFormat(a.designator))],
    ),
  ),
]

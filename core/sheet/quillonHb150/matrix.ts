import { channelName, channelPlan } from '../../rules'
import { point, speechRow, want } from '../build'
import type { MeasurePoint } from '../modelSheet'
import {
  AM_CARRIER,
  AM_PEP,
  BANDS,
  FREQUENCY,
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

/**
 * Idle current first, then every band tuned once; the external meter against the panel, receiver included.
 */
export const QUILLON_HB150_MATRIX: readonly MeasurePoint[] = [
  point(
    'idle',
    'Idle current, 20 m, carrier and microphone down',
    usb.keyed(TWENTY, { setting: 'no drive', also: 'three divisions of 20 mA' }),
    [want('stageIdleA', IDLE)],
  ),
  ...BANDS.map(band =>
    point(
      `band-${band}`,
      `${channelName(channelPlan('hf-five'), band)}, tuned, full carrier`,
      cw.keyed(band, { setting: TUNED, also: '10 s at most until dipped' }),
      [
        want('plateA', PLATE),
        want('powerW', OUTPUT),
        ...(band === TWENTY ? [want('carrierHz', FREQUENCY), want('panelPowerW')] : []),
      ],
    ),
  ),
  point('am-carrier', 'AM carrier, 20 m', am.keyed(TWENTY, { setting: 'carrier at the AM mark' }), [
    want('powerW', AM_CARRIER),
    want('plateA'),
  ]),
  point(
    'am-tone',
    'AM with tone, 20 m',
    am.keyed(TWENTY, { toneHz: 1000, setting: 'carrier at the AM mark' }),
    [want('pepW', AM_PEP)],
  ),
  speechRow('am-voice', 'AM, voice, 20 m', am.keyed(TWENTY, { setting: 'carrier at the AM mark' })),
  ...BANDS.map(band =>
    point(
      `rx-${band}`,
      `Receiver ${channelName(channelPlan('hf-five'), band)}, 10 dB (S+N)/N`,
      usb.receiving(band, 'preselector peaked; RF gain full, attenuator and noise blanker off'),
      [want('sensitivityV', SENSITIVITY)],
    ),
  ),
  point(
    's9',
    'Receiver, S-meter at 50 \u00b5V, 20 m',
    usb.receiving(TWENTY, 'S9 on amateur HF is 50 \u00b5V', { inputV: S9_V }),
    [want('sMeter', S9)],
  ),
]

import { SIX_BANDS, bandChannel, channelName, channelPlan } from '../../rules'
import { point, speechRow, want } from '../build'
import type { MeasurePoint } from '../modelSheet'
import {
  ADJACENT,
  AM_DRIVE_V,
  AM_FREQUENCY,
  AUDIBLE,
  BIAS,
  CARRIER,
  CARRIER_LEAK,
  DEPTH,
  DEVIATION,
  HARMONIC,
  IMD3,
  MIDDLE,
  PEP,
  S9,
  S9_V,
  SIDEBAND,
  SSB_SENSITIVITY,
  TONE_HZ,
  TWO_TONES,
  VCO,
  am,
  fm,
  ssb,
} from './targets'

const name = (channel: number) => channelName(channelPlan('six-band'), channel)

/** Only band D is a CB plan: elsewhere the set is opened beyond its standard. */
const carrierRow = (band: (typeof SIX_BANDS)[number], n: number) => {
  const channel = bandChannel(band, n)
  return point(
    `am-${band}${n}`,
    `AM ${name(channel)}, carrier`,
    am.keyed(channel, {
      coverage: band === 'D' ? 'standard' : 'expanded',
      also: 'clarifier at 12 o\u2019clock',
    }),
    [
      want('carrierHz', AM_FREQUENCY),
      want('powerW', CARRIER),
      ...(band === 'D' && n === 19 ? [want('supplyV'), want('supplyA')] : []),
    ],
  )
}

const sidebandRows = (mode: 'USB' | 'LSB'): MeasurePoint[] => [
  point(
    `${mode}-tone`,
    `${mode} D 19, one tone`,
    ssb[mode].keyed(MIDDLE, {
      toneHz: TONE_HZ,
      also:
        `1 kHz is 1 kHz ${mode === 'USB' ? 'above' : 'below'} ` + 'the channel; clarifier at 12 o\u2019clock',
    }),
    [want('carrierHz', SIDEBAND[mode], false), want('pepW', PEP)],
  ),
  point(
    `${mode}-two`,
    `${mode} D 19, two tones`,
    ssb[mode].keyed(MIDDLE, { setting: TWO_TONES, audio: 'two-tones' }),
    [want('pepW', PEP), want('powerW', null, false), want('imd3Db', IMD3)],
  ),
]

/** Every mode on D 19, every band at three places in AM, bias without drive, receiver on both sidebands. */
export const LARKFIELD_LX8_MATRIX: readonly MeasurePoint[] = [
  point(
    'bias',
    'Idle current of the finals, USB, no drive',
    ssb.USB.keyed(MIDDLE, {
      setting: 'no drive',
      also: 'meter in the collector supply of one final at a time',
    }),
    [want('stageIdleA', BIAS)],
  ),
  point('vco-low', 'VCO voltage, A 1', am.receiving(bandChannel('A', 1), null, { coverage: 'expanded' }), [
    want('vcoV', VCO),
  ]),
  point('vco-high', 'VCO voltage, F 40', am.receiving(bandChannel('F', 40), null, { coverage: 'expanded' }), [
    want('vcoV', VCO),
  ]),
  ...SIX_BANDS.flatMap(band => [1, 19, 40].map(n => carrierRow(band, n))),
  point(
    'am-tone',
    'AM D 19, 1 kHz 30 mV',
    am.keyed(MIDDLE, { toneHz: TONE_HZ, toneV: AM_DRIVE_V, also: 'microphone gain full' }),
    [
      want('depthPositiveRatio'),
      want('depthNegativeRatio', DEPTH),
      want('pepW'),
      want('powerW', null, false),
    ],
  ),
  speechRow('am-voice', 'AM D 19, voice', am.keyed(MIDDLE)),
  point('fm-carrier', 'FM D 19, carrier', fm.keyed(MIDDLE), [
    want('carrierHz', AM_FREQUENCY),
    want('powerW', CARRIER),
  ]),
  point('fm-tone', 'FM D 19, 1 kHz 30 mV', fm.keyed(MIDDLE, { toneHz: TONE_HZ, toneV: AM_DRIVE_V }), [
    want('deviationPositiveHz', DEVIATION),
    want('deviationNegativeHz', DEVIATION),
  ]),
  ...sidebandRows('USB'),
  ...sidebandRows('LSB'),
  point(
    'leak',
    'Carrier suppression, USB, no audio',
    ssb.USB.keyed(MIDDLE, { setting: 'no audio', also: 'relative to PEP, on the analyser' }),
    [want('carrierLeakDb', CARRIER_LEAK)],
  ),
  point(
    'purity-am',
    'AM D 19, 2.5 kHz tone, spectrum',
    am.keyed(MIDDLE, { toneHz: 2500, toneV: AM_DRIVE_V }),
    [want('adjacentDbc', ADJACENT), want('harmonicDbc', HARMONIC)],
  ),
  point(
    'purity-ssb',
    'USB D 19, two tones, spectrum',
    ssb.USB.keyed(MIDDLE, {
      setting: TWO_TONES,
      audio: 'two-tones',
      also: 'a bump on SSB alone suggests bias, spread coils or ALC',
    }),
    [want('adjacentDbc', ADJACENT)],
  ),
  point(
    'rx-am',
    'Receiver AM, audible threshold',
    am.receiving(MIDDLE, 'generator 1 kHz AM 30 %; RF gain full, squelch open, noise blanker off'),
    [want('audibleV', AUDIBLE)],
  ),
  point(
    'rx-usb',
    'Receiver USB, 10 dB (S+N)/N',
    ssb.USB.receiving(MIDDLE, 'generator without modulation, 1 kHz above'),
    [want('sensitivityV', SSB_SENSITIVITY)],
  ),
  point(
    'rx-lsb',
    'Receiver LSB, 10 dB (S+N)/N',
    ssb.LSB.receiving(MIDDLE, 'generator without modulation, 1 kHz below: 27.1840 MHz'),
    [want('sensitivityV', SSB_SENSITIVITY)],
  ),
  point('s9', 'Receiver AM, S-meter at 100 \u00b5V', am.receiving(MIDDLE, 'RF gain full', { inputV: S9_V }), [
    want('sMeter', S9),
  ]),
]

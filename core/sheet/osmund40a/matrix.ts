import { dbToVoltageRatio } from '../../quantity'
import { point, speechRow, want } from '../build'
import type { MeasurePoint } from '../modelSheet'
import {
  ADJACENT,
  AUDIBLE,
  CARRIER,
  DEPTH,
  DRIVE_V,
  FREQUENCY,
  HARMONIC,
  LEVEL_V,
  LOWER_LEVEL_V,
  S9,
  S9_V,
  SINAD,
  TONE_HZ,
  VCO,
  keyed,
  receiving,
} from './targets'

const carrierRow = (channel: number) =>
  point(`carrier-${channel}`, `Channel ${channel}, carrier`, keyed(channel), [
    want('carrierHz', FREQUENCY),
    want('powerW', CARRIER),
    want('supplyV'),
    want('supplyA'),
  ])

/** Mean power with tone is no carrier: nothing is asked of it, but it tells what kind of meter reads it. */
const toneRow = (channel: number) =>
  point(
    `tone-${channel}`,
    `Channel ${channel}, 1 kHz 30 mV`,
    keyed(channel, { toneHz: TONE_HZ, toneV: DRIVE_V, also: 'microphone gain full' }),
    [
      want('depthPositiveRatio'),
      want('depthNegativeRatio', DEPTH),
      want('pepW'),
      want('powerW', null, false),
    ],
  )

/** Depth against level: a limiter holds it, a missing one lets it follow. */
const levelRow = (id: string, db: number) =>
  point(
    id,
    `Channel 19, drive ${db > 0 ? '+' : '\u2212'}${Math.abs(db)} dB`,
    keyed(19, { toneHz: TONE_HZ, toneV: DRIVE_V * dbToVoltageRatio(db), also: 'microphone gain full' }),
    [want('depthNegativeRatio', db > 0 ? DEPTH : null)],
  )

/**
 * As found and, alike, as left: one row is one key-down. Receiver included, or the intake is not complete.
 */
export const OSMUND_40A_MATRIX: readonly MeasurePoint[] = [
  point('vco', 'VCO voltage, channel 1', receiving(1, 'high-impedance meter on TP3'), [want('vcoV', VCO)]),
  ...[1, 19, 40].map(carrierRow),
  ...[1, 19, 40].map(toneRow),
  levelRow('level-down', -6),
  levelRow('level-up', 10),
  levelRow('level-top', 16),
  speechRow('voice', 'Channel 19, voice', keyed(19)),
  point(
    'purity',
    'Channel 19, 2.5 kHz tone, spectrum',
    keyed(19, {
      toneHz: 2500,
      toneV: DRIVE_V,
      also: 'adjacent channel at \u00b110 kHz; second harmonic at 54.37 MHz',
    }),
    [want('adjacentDbc', ADJACENT), want('harmonicDbc', HARMONIC)],
  ),
  point('panel', 'Panel meter, channel 19', keyed(19, { also: 'read the set\u2019s own meter' }), [
    want('panelPowerW'),
  ]),
  point(
    'threshold',
    'Receiver, audible threshold',
    receiving(19, 'generator 1 kHz AM 30 %; RF gain full, squelch open, noise blanker off'),
    [want('audibleV', AUDIBLE)],
  ),
  point(
    'sinad',
    'Receiver, SINAD at 1 \u00b5V',
    receiving(19, 'generator 1 kHz AM 30 %', { inputV: LEVEL_V }),
    [want('sinadDb', SINAD)],
  ),
  point(
    'sinad-lower',
    'Receiver, SINAD 10 dB lower',
    receiving(19, 'generator 1 kHz AM 30 %, 0.32 \u00b5V', { inputV: LOWER_LEVEL_V }),
    [want('sinadDb')],
  ),
  point('s9', 'Receiver, S-meter at 100 \u00b5V', receiving(19, 'RF gain full', { inputV: S9_V }), [
    want('sMeter', S9),
  ]),
]

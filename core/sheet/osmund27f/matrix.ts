import type { MeasurePoint } from '../modelSheet'
import {
  DEVIATION,
  FREQUENCY_AS_FOUND,
  HIGH_POWER,
  LOW_POWER,
  SENSITIVITY,
  TONE_HZ,
  keyed,
  point,
  receiving,
  want,
} from './targets'

const channelRow = (channel: number) =>
  point(`high-${channel}`, `Channel ${channel}, high power`, keyed(channel), [
    want('carrierHz', FREQUENCY_AS_FOUND),
    want('powerW', HIGH_POWER),
    want('supplyV'),
    want('supplyA'),
  ])

const lowRow = (channel: number) =>
  point(`low-${channel}`, `Channel ${channel}, low power`, keyed(channel, { lowPower: true }), [
    want('powerW', LOW_POWER),
    want('supplyA'),
  ])

const toneRow = (channel: number) =>
  point(
    `tone-${channel}`,
    `Channel ${channel}, 1 kHz tone`,
    keyed(channel, { toneHz: TONE_HZ, also: 'raise the level until the deviation no longer grows' }),
    [want('deviationPositiveHz', DEVIATION), want('deviationNegativeHz', DEVIATION)],
  )

/**
 * As found and, alike, as left: one row is one key-down. Receiver included, or the intake is not complete.
 */
export const OSMUND_27F_MATRIX: readonly MeasurePoint[] = [
  point(
    'reference',
    'Reference, buffered pin',
    receiving(null, 'probe on pin 3 of IC2, from the solder side'),
    [
      want('referenceHz', {
        kind: 'nominal-error',
        nominalHz: 10_240_000,
        lowHz: -20.48,
        highHz: 20.48,
        aimHz: 0,
      }),
    ],
  ),
  ...[1, 20, 40].map(channelRow),
  ...[1, 20, 40].map(lowRow),
  ...[1, 20, 40].map(toneRow),
  point('panel', 'Panel meter, channel 20', keyed(20, { also: 'read the set\u2019s own meter' }), [
    want('panelPowerW'),
  ]),
  point(
    'receiver',
    'Receiver, channel 20',
    receiving(
      20,
      'generator on the antenna socket, 1 kHz, 1.5 kHz deviation, 12 dB SINAD; pd into 50 \u03a9',
    ),
    [want('sensitivityV', SENSITIVITY)],
  ),
]

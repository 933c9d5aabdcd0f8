import type { MeasurePoint } from '../modelSheet'
import {
  DEVIATION,
  FREQUENCY_AS_FOUND,
  HIGH_POWER,
  SENSITIVITY,
  TONE_HZ,
  keyed,
  point,
  receiving,
  want,
} from '../osmund27f/targets'
import { LOWEST, REFERENCE } from './targets'

const channelRow = (channel: number) =>
  point(`ch-${channel}`, `Channel ${channel}, full power`, keyed(channel), [
    want('carrierHz', FREQUENCY_AS_FOUND),
    want('powerW', HIGH_POWER),
    ...(channel === 20 ? [want('panelPowerW'), want('supplyV'), want('supplyA')] : []),
  ])

/** As found and, alike, as left; the set's own meter at both ends of its power control. */
export const OSMUND_B27_MATRIX: readonly MeasurePoint[] = [
  point('reference', 'Reference, buffered pin', receiving(null, 'probe on pin 6 of IC3, solder side'), [
    want('referenceHz', REFERENCE),
  ]),
  ...[1, 20, 40].map(channelRow),
  point('least-20', 'Channel 20, power control at its lowest end', keyed(20, { powerPosition: LOWEST }), [
    want('powerW', null),
    want('panelPowerW'),
  ]),
  point('tone-20', 'Channel 20, 1 kHz tone', keyed(20, { toneHz: TONE_HZ, toneV: 20e-3 }), [
    want('deviationPositiveHz', DEVIATION),
    want('deviationNegativeHz', DEVIATION),
  ]),
  point(
    'receiver',
    'Receiver, channel 20',
    receiving(20, 'generator on the antenna socket, 1 kHz, 1.5 kHz deviation, 12 dB SINAD'),
    [want('sensitivityV', SENSITIVITY)],
  ),
]

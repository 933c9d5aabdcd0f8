import { point, want } from '../build'
import type { MeasurePoint } from '../modelSheet'
import {
  AUDIBLE,
  CARRIER,
  CHANNEL,
  DEPTH,
  FREQUENCY,
  MINIMUM,
  NEVER_ABOVE,
  OWNERS,
  RECOMMENDED,
  SUPPLY,
  TONE_HZ,
  WIDE_OPEN,
  am,
  usb,
} from './targets'

const voice = (setting: string) =>
  am.keyed(CHANNEL, {
    setting: `${setting}, voice`,
    audio: 'speech',
    also: 'speak as the owner does; average and PEP',
  })

/** At minimum, where the owner had it, and at the recommended mark; SSB at the same mark and wide open. */
export const BRANTWICK_TALLIS60_MATRIX: readonly MeasurePoint[] = [
  point('minimum', 'AM at minimum, carrier', am.keyed(CHANNEL, { setting: MINIMUM }), [
    want('carrierHz', FREQUENCY),
    want('powerW', null, false),
    want('supplyA'),
  ]),
  point('owner', 'AM as the owner had it, carrier', am.keyed(CHANNEL, { setting: OWNERS }), [
    want('powerW', NEVER_ABOVE),
    want('supplyV', SUPPLY),
    want('supplyA'),
  ]),
  point('owner-voice', 'AM as the owner had it, voice', voice(OWNERS), [
    want('powerW', null, false),
    want('pepW'),
    want('supplyA'),
  ]),
  point('mark', 'AM at the recommended mark, carrier', am.keyed(CHANNEL, { setting: RECOMMENDED }), [
    want('powerW', CARRIER),
    want('supplyV', SUPPLY),
    want('supplyA'),
  ]),
  point('mark-tone', 'AM at the mark, 1 kHz', am.keyed(CHANNEL, { setting: RECOMMENDED, toneHz: TONE_HZ }), [
    want('depthNegativeRatio', DEPTH),
    want('pepW'),
    want('powerW', null, false),
    want('supplyA'),
  ]),
  point('mark-voice', 'AM at the mark, voice', voice(RECOMMENDED), [
    want('powerW', null, false),
    want('pepW'),
    want('supplyA'),
  ]),
  point(
    'ssb-mark',
    'USB at the mark, voice',
    usb.keyed(CHANNEL, { setting: `${RECOMMENDED}, voice`, audio: 'speech' }),
    [want('pepW'), want('powerW', null, false), want('supplyA')],
  ),
  point(
    'ssb-open',
    'USB fully up, voice',
    usb.keyed(CHANNEL, { setting: WIDE_OPEN, audio: 'speech', also: 'seconds only' }),
    [want('pepW'), want('powerW', null, false), want('supplyA')],
  ),
  point('threshold', 'Receiver, audible threshold', am.receiving(CHANNEL, 'generator 1 kHz AM 30 %'), [
    want('audibleV', AUDIBLE),
  ]),
]

import { point, want, wantMenu } from '../build'
import type { MeasurePoint } from '../modelSheet'
import { FREQUENCY, GATE, LEVEL_V, OUTPUT, REFERENCE, SENSITIVITY, TWENTY, cw } from './targets'

/** Hertz of the clock chip, as this set shows them. */
const HERTZ = { radix: 10, decimals: 0, min: 0, max: 99_999_999 } as const

export const QUILLON_P5_MATRIX: readonly MeasurePoint[] = [
  point('receive', 'Receiving', cw.receiving(TWENTY), [want('supplyV'), want('supplyA')]),
  point('reference', '10 MHz output', cw.receiving(null, 'header pin near the antenna socket, short wire'), [
    want('referenceHz', REFERENCE),
  ]),
  point(
    'gate',
    'Gate of the final, PA oscillator disabled',
    cw.keyed(TWENTY, {
      setting: 'PA oscillator disabled',
      also: 'meter negative on the ground tab; take it off before RF',
    }),
    [want('gateV', GATE)],
  ),
  point('carrier', '14.060 MHz, keyed', cw.keyed(TWENTY, { also: 'short bursts: no heat sink' }), [
    want('carrierHz', FREQUENCY),
    want('powerW', OUTPUT),
    want('supplyA'),
  ]),
  point('rx', 'Receiver, 10 dB (S+N)/N', cw.receiving(TWENTY, 'generator on 14.060 MHz, RIT at 0'), [
    want('sensitivityV', SENSITIVITY),
  ]),
  point(
    'sinad',
    'Receiver, SINAD at \u221290 dBm',
    cw.receiving(TWENTY, 'generator on 14.060 MHz, RIT at 0', { inputV: LEVEL_V }),
    [want('sinadDb')],
  ),
  ...['REF', 'IF'].map(id =>
    point(`menu-${id}`, `Menu ${id}`, cw.receiving(null, 'as the set shows it'), [wantMenu(HERTZ)]),
  ),
]

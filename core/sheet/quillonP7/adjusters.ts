import type { MenuFormat } from '../../quantity'
import type { Adjuster } from '../modelSheet'
import { menuValue } from '../stepBase'

const MENU = 'menu, tuning knob; hold to save until it confirms'
/** @param more which way and in which modes, where the entry says it */
const number = (
  designator: string,
  role: Adjuster['role'],
  name: string,
  moves: string,
  more: Partial<Adjuster> = {},
): Adjuster => ({
  ...menuValue(designator, role, name, moves, MENU),
  turn: 'up raises',
  raisedBy: 'up',
  tool: 'knob and keys of the set',
  ...more,
})
/** The number is the crystal as the clock chip believes it: a higher number makes a lower output. */
const LOWERS: Partial<Adjuster> = { turn: 'up lowers the output', raisedBy: 'down', law: 'assumed-clock' }
/** An offset of the receiver: neither way is up. */
const OFFSET: Partial<Adjuster> = {
  turn: 'hertz beside the filter; up moves the receiver up',
  raisedBy: 'up',
  law: 'offset',
}

export const QUILLON_P7_ADJUSTERS: readonly Adjuster[] = [
  number('REF', 'reference', 'reference correction', 'every frequency', LOWERS),
  number('TRANS', 'rx-crystal', 'receive translation, Hz', 'where the receiver is loudest', OFFSET),
  number('BIAS', 'bias', 'PA bias, USB and LSB', 'idle current on SSB', { modes: ['USB', 'LSB'] }),
  number('BIAS-CW', 'bias', 'PA bias, CW', 'idle current on CW', { modes: ['CW'] }),
  ...(['80', '40', '20', '15', '10'] as const).map(band =>
    number(`P${band}`, 'carrier-preset', `power number, ${band} m`, `power on ${band} m`),
  ),
]

/** This set writes decimal numbers: hertz for the oscillators, steps for bias and power. */
export function menuFormat(designator: string): MenuFormat {
  const isHertz = designator === 'REF' || designator === 'TRANS'
  return { radix: 10, decimals: 0, min: 0, max: isHertz ? 24_000 : 255 }
}

import type { Adjuster } from '../modelSheet'
import { menuValue } from '../stepBase'

const number = (designator: string, role: Adjuster['role'], name: string, moves: string): Adjuster => ({ ...menuValue(designator, role, name, moves, 'menu, tuning knob; hold to save until it says so'), turn: 'up raises', tool: 'knob and keys of the set' })

export const QUILLON_P7_ADJUSTERS: readonly Adjuster[] = [
  number('REF', 'reference', 'reference correction', 'every frequency'),
  number('TRANS', 'rx-crystal', 'receive translation, Hz', 'where the receiver is loudest'),
  number('BIAS', 'bias', 'PA bias, USB and LSB', 'idle current on SSB'),
  number('BIAS-CW', 'bias', 'PA bias, CW', 'idle current on CW'),
  ...(['80', '40', '20', '15', '10'] as const).map(band => number(`P${band}`, 'carrier-preset', `power number, ${band} m`, `power on ${band} m`)),
]

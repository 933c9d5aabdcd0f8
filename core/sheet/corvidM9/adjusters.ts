import type { Mode } from '../../rules'
import type { Adjuster } from '../modelSheet'
import { menuValue } from '../stepBase'

function entry(
  designator: string,
  role: Adjuster['role'],
  name: string,
  moves: string,
  modes?: readonly Mode[],
): Adjuster {
  const value = menuValue(designator, role, name, moves, 'service menu, shown while the button is held')
  return { ...value, ...(modes ? { modes } : {}) }
}

/** No presets at all: every adjuster is a number of the menu, kept by each country state for itself. */
export const CORVID_M9_ADJUSTERS: readonly Adjuster[] = [
  entry('P1', 'carrier-preset', 'FM power', 'FM carrier, on both of its plans', ['FM']),
  entry('P2', 'carrier-preset', 'AM power', 'AM carrier', ['AM']),
  entry('D1', 'deviation-preset', 'FM deviation', 'deviation', ['FM']),
  entry('A1', 'modulation-preset', 'AM depth, high', 'depth of a loud voice', ['AM']),
  entry('A2', 'modulation-preset', 'AM depth, low', 'depth of a soft voice', ['AM']),
  entry('S1', 's-meter-preset', 'S-meter', 'S-meter only'),
]

import type { Adjuster } from '../modelSheet'
import { menuValue } from '../stepBase'

const entry = (n: string) => `service menu, entry ${n}`

/** No presets at all: every adjuster is a number in the hidden service menu. */
export const CORVID_M6_ADJUSTERS: readonly Adjuster[] = [
  menuValue('01', 'carrier-preset', 'AM power, high', 'AM carrier at high power', entry('01')),
  menuValue('02', 'low-power-preset', 'AM power, low', 'AM carrier at low power', entry('02')),
  menuValue('03', 'carrier-preset', 'FM power, high', 'FM carrier at high power', entry('03')),
  menuValue('04', 'low-power-preset', 'FM power, low', 'FM carrier at low power', entry('04')),
  menuValue('05', 'modulation-preset', 'AM depth, high power', 'depth at high power', entry('05')),
  menuValue('06', 'modulation-preset', 'AM depth, low power', 'depth at low power', entry('06')),
  menuValue('07', 'deviation-preset', 'FM deviation', 'deviation', entry('07')),
  menuValue('08', 's-meter-preset', 'S-meter', 'S-meter only', entry('08')),
]

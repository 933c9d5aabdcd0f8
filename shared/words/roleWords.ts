import type { AdjusterRole } from '#core/sheet'

/** What an adjuster sets, in words that a technician uses. */
export const ROLE_WORDS: Record<AdjusterRole, string> = {
  'reference': 'reference frequency',
  'tx-crystal': 'transmit frequency',
  'rx-crystal': 'receive frequency',
  'vco-coil': 'VCO coil',
  'coil': 'drive or output coil',
  'trap': 'harmonic trap',
  'carrier-preset': 'carrier power',
  'modulation-preset': 'modulation depth',
  'low-power-preset': 'low power',
  'deviation-preset': 'deviation',
  'panel-preset': 'panel power meter',
  's-meter-preset': 'S-meter',
  'carrier-oscillator': 'carrier oscillator',
  'mode-offset': 'offset of one mode',
  'bias': 'bias or gate voltage',
  'balance': 'carrier balance',
  'alc': 'ALC',
  'power-control': 'power control',
  'tank': 'plate or load capacitor',
  'preselector': 'preselector',
  'neutralising': 'neutralising',
}

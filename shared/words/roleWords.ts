import type { MessageCode } from '#shared/i18n'
import type { AdjusterRole } from '#core/sheet'

/** What an adjuster sets, in words that a technician uses. */
export const ROLE_WORDS: Record<AdjusterRole, MessageCode> = {
  'reference': 'paper.referenceFrequency',
  'tx-crystal': 'paper.transmitFrequency',
  'rx-crystal': 'paper.receiveFrequency',
  'vco-coil': 'paper.vcoCoil',
  'coil': 'paper.driveOrOutputCoil',
  'trap': 'paper.harmonicTrap',
  'carrier-preset': 'paper.carrierPower',
  'modulation-preset': 'paper.modulationDepth',
  'low-power-preset': 'paper.lowPower',
  'deviation-preset': 'paper.deviation',
  'panel-preset': 'paper.panelPowerMeter',
  's-meter-preset': 'paper.sMeter',
  'carrier-oscillator': 'paper.carrierOscillator',
  'mode-offset': 'paper.offsetOfOneMode',
  'bias': 'paper.biasOrGateVoltage',
  'balance': 'paper.carrierBalance',
  'alc': 'paper.alc',
  'power-control': 'paper.powerControl',
  'tank': 'paper.plateOrLoadCapacitor',
  'preselector': 'paper.preselector',
  'neutralising': 'paper.neutralising',
}

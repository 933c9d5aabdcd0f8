import type { Quantity } from '../quantity'
import type { AdjusterRole } from './modelSheet'

/** What a reading tells about the set; turning an adjuster makes topics stale. */
export type Topic =
  | 'reference' | 'tx-frequency' | 'rx-frequency' | 'lock' | 'power' | 'low-power' | 'deviation'
  | 'panel-meter' | 'receiver' | 'supply-current' | 'steady'

/** The table "what goes stale", with its reasons (general trade knowledge; arithmetic of the mixing scheme in core/rig). */
export const GOES_STALE: Record<AdjusterRole, { readonly topics: readonly Topic[], readonly because: string }> = {
  'reference': { topics: ['reference', 'tx-frequency', 'rx-frequency', 'lock'], because: 'every synthesised frequency follows the reference' },
  'tx-crystal': { topics: ['tx-frequency'], because: 'the transmit mixing crystal adds to every channel' },
  'rx-crystal': { topics: ['rx-frequency', 'receiver'], because: 'the receive mixing crystal sets where the intermediate frequency lands' },
  'vco-coil': { topics: ['lock', 'deviation'], because: 'the control voltage of every channel moves, and with it the slope that is modulated' },
  'coil': { topics: ['power', 'low-power', 'panel-meter', 'supply-current'], because: 'low power, panel meter and current follow the tuned stages' },
  'low-power-preset': { topics: ['low-power'], because: 'it sets the low position of the power switch' },
  'deviation-preset': { topics: ['deviation'], because: 'it sets the deviation' },
  'panel-preset': { topics: ['panel-meter'], because: 'it sets what the panel meter shows' },
  's-meter-preset': { topics: ['receiver'], because: 'it sets what the S-meter shows' },
}

/** The topic a reading belongs to, from its quantity and the position of the power switch. */
export function topicOf(quantity: Quantity, lowPower: boolean): Topic {
  switch (quantity) {
    case 'referenceHz': return 'reference'
    case 'carrierHz': return 'tx-frequency'
    case 'lockS': return 'lock'
    case 'powerW':
    case 'pepW': return lowPower ? 'low-power' : 'power'
    case 'deviationPositiveHz':
    case 'deviationNegativeHz': return 'deviation'
    case 'panelPowerW': return 'panel-meter'
    case 'sensitivityV': return 'receiver'
    case 'supplyA': return 'supply-current'
    case 'supplyV':
    case 'onTimeS': return 'steady'
  }
}

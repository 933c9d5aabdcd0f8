import { quantityInfo, type Quantity, type Topic } from '../quantity'
import { isFullPower, type PowerAt } from './controls'
import { isUnmodulated, type AudioAt } from './audio'
import type { AdjusterRole, SetState } from './modelSheet'

/** Readings that a receiver is judged by; its AGC voltage alone says nothing of what it hears. */
const RECEIVER_TESTS: readonly Quantity[] = ['sensitivityV', 'sinadDb', 'audibleV', 'sMeter']

const ALL_POWER: readonly Topic[] = [
  'power',
  'low-power',
  'modulated-power',
  'depth',
  'purity',
  'linearity',
  'panel-meter',
  'supply-current',
]

/**
 * The table "what goes stale", with its reasons (common practice; arithmetic of the mixing scheme in
 * core/rig).
 */
export const GOES_STALE: Record<
  AdjusterRole,
  { readonly topics: readonly Topic[]; readonly because: string }
> = {
  'reference': {
    topics: ['reference', 'tx-frequency', 'rx-frequency', 'lock'],
    because: 'every synthesised frequency follows the reference',
  },
  'tx-crystal': { topics: ['tx-frequency'], because: 'the transmit mixing crystal adds to every channel' },
  'rx-crystal': {
    topics: ['rx-frequency', 'receiver'],
    because: 'the receive mixing crystal sets the position of the intermediate frequency',
  },
  'vco-coil': {
    topics: ['lock', 'vco', 'deviation', 'purity'],
    because: 'the control voltage of every channel moves, and with it the slope that is modulated',
  },
  'coil': {
    topics: ALL_POWER,
    because: 'power, depth, purity, panel meter and current follow the tuned stages',
  },
  'trap': {
    topics: ALL_POWER,
    because: 'the trap takes power from the carrier as it is moved over the harmonic',
  },
  'carrier-preset': { topics: ALL_POWER, because: 'headroom, and with it the depth, depends on the carrier' },
  'modulation-preset': {
    topics: ['modulated-power', 'depth', 'purity'],
    because: 'it sets how far the limiter lets the audio go',
  },
  'low-power-preset': { topics: ['low-power'], because: 'it sets the low position of the power switch' },
  'deviation-preset': { topics: ['deviation', 'purity'], because: 'it sets the deviation' },
  'panel-preset': { topics: ['panel-meter'], because: 'it sets what the panel meter shows' },
  'carrier-oscillator': {
    topics: ['tx-frequency', 'rx-frequency', 'receiver', 'linearity'],
    because:
      'it sets the carrier against the filter: frequency, ' +
      'audio of both sidebands and suppression depend on it',
  },
  'mode-offset': {
    topics: ['tx-frequency', 'rx-frequency', 'receiver'],
    because: 'it shifts one mode against the display',
  },
  'bias': {
    topics: ['bias', 'power', 'low-power', 'modulated-power', 'linearity', 'purity', 'supply-current'],
    because: 'gain, linearity and heat follow the bias',
  },
  'balance': { topics: ['linearity'], because: 'it sets the carrier suppression' },
  'alc': {
    topics: ['modulated-power', 'linearity', 'purity'],
    because: 'it sets how far the output stage is driven',
  },
  'power-control': { topics: ALL_POWER, because: 'headroom, and with it the depth, depends on the carrier' },
  'tank': { topics: ALL_POWER, because: 'it changes the load of the valves' },
  'preselector': {
    topics: [...ALL_POWER, 'receiver'],
    because: 'it tunes the receiver\u2019s front end and the driver together',
  },
  'neutralising': { topics: ALL_POWER, because: 'feedback through the valves decides gain and stability' },
  's-meter-preset': { topics: ['s-meter'], because: 'it sets what the S-meter shows' },
}

/** Power says nothing of the other positions of the control, and modulated it is no carrier. */
const BY_STATE: readonly Quantity[] = ['powerW', 'pepW']

/** The topic a reading belongs to, from its quantity and how the set stood. */
export function topicOf(quantity: Quantity, at: PowerAt & AudioAt & Pick<SetState, 'mode'>): Topic {
  const { topic } = quantityInfo(quantity)
  if (!BY_STATE.includes(quantity)) return topic
  if (!isFullPower(at)) return 'low-power'
  return at.mode !== 'FM' && !isUnmodulated(at) ? 'modulated-power' : topic
}

/** Whether a reading tells about the receiver: without one the intake is not complete. */
export function isOfReceiver(quantity: Quantity): boolean {
  return RECEIVER_TESTS.includes(quantity)
}

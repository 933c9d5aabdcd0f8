import { quantityInfo, showMeasured, type Measured, type Quantity, type Topic } from '#core/quantity'
import { t, translated, type MessageCode } from '#shared/i18n'

/** Name of a quantity, as lists and tables show it. */
export const quantityLabel = (quantity: Quantity): string => translated(quantityInfo(quantity).label)

/** A reading with its unit, in the digits that its uncertainty justifies. */
export function measuredText(measured: Measured, quantity: Quantity): string {
  const { value, unit } = showMeasured(measured, quantity)
  return `${value}\u2009${unit}`
}

/** Its short name on the rail of live readings. */
export const railLabel = (quantity: Quantity): string =>
  translated(quantityInfo(quantity).rail?.label ?? quantityInfo(quantity).label)

const TOPIC_WORDS: Readonly<Record<Topic, MessageCode>> = {
  'reference': 'run.topicReference',
  'tx-frequency': 'run.topicTxFrequency',
  'rx-frequency': 'run.topicRxFrequency',
  'lock': 'run.topicLock',
  'vco': 'run.topicVco',
  'power': 'run.topicPower',
  'low-power': 'run.topicLowPower',
  'modulated-power': 'run.topicModulatedPower',
  'depth': 'run.topicDepth',
  'deviation': 'run.topicDeviation',
  'purity': 'run.topicPurity',
  'linearity': 'run.topicLinearity',
  'bias': 'run.topicBias',
  'menu': 'run.topicMenu',
  'panel-meter': 'run.topicPanelMeter',
  'receiver': 'run.topicReceiver',
  's-meter': 'run.topicSMeter',
  'supply-current': 'run.topicSupplyCurrent',
  'steady': 'run.topicSteady',
}

/** What of a set goes stale, in words. */
export const topicWords = (topic: Topic): string => t(TOPIC_WORDS[topic])

import { TRIAL_QUANTITIES, type TrialAmplifier, type TrialSignal } from '#core/run'
import type { Measurand } from '#core/sheet'
import { t, type MessageCode } from '#shared/i18n'
import { typedNumberOrNull, type Reading } from '#core/quantity'
import { measuredText } from '#shared/words/quantityWords'

export const SIGNAL_WORDS: Readonly<Record<TrialSignal, MessageCode>> = {
  carrier: 'trial.carrier',
  tone: 'trial.tone',
  voice: 'trial.voice',
}
/** What was set, where nobody wrote more than how the carrier was modulated. */
const USUAL_TEXT: Readonly<Record<TrialSignal, MessageCode>> = {
  carrier: 'trial.bareCarrier',
  tone: 'trial.withTone',
  voice: 'trial.withVoice',
}

/** Fields of a trial beside its readings, as they are typed. */
export interface TrialFields {
  readonly signal: TrialSignal
  readonly text: string
  readonly isAmplified: boolean
  readonly name: string
  readonly devices: string
  readonly claimedW: string
}

export const EMPTY_TRIAL: TrialFields = {
  signal: 'carrier',
  text: '',
  isAmplified: false,
  name: '',
  devices: '',
  claimedW: '',
}

/** What a trial of these fields is of; a field that is no number is left to the check that names it. */
export const trialOf = (fields: TrialFields, readings: readonly Reading[]) => ({
  kind: 'trial-noted' as const,
  signal: fields.signal,
  text: fields.text.trim() || usualText(fields.signal, readings),
  ...(fields.isAmplified ? { amplifier: amplifierOf(fields) } : {}),
  readings,
})

function usualText(signal: TrialSignal, readings: readonly Reading[]): string {
  const depth = readings.find(r => r.quantity === 'depthPositiveRatio' || r.quantity === 'depthNegativeRatio')
  const words = t(USUAL_TEXT[signal])
  return depth ? `${words}, ${measuredText(depth, depth.quantity)}` : words
}

const amplifierOf = ({ name, devices, claimedW }: TrialFields): TrialAmplifier => ({
  name: name.trim(),
  devices: typedNumberOrNull(devices),
  claimedW: typedNumberOrNull(claimedW),
})

/** Readings of a trial: drive only where there is an amplifier to be driven. */
export const measurandsOf = ({ signal, isAmplified }: TrialFields): Measurand[] =>
  TRIAL_QUANTITIES[signal]
    .filter(quantity => isAmplified || quantity !== 'drivePowerW')
    .map(quantity => ({ quantity, target: null, judgeLimit: false }))

import { TRIAL_SIGNALS } from '#core/run'
import { array, number, object, string } from '#shared/yup'
import { short, text, unit } from './eventFields'
import { reading } from './readingBody'
import { UNKNOWN_FIELD } from './unknownField'

const amplifier = object({
  name: string().trim().label('form.amplifier').max(60).required(),
  devices: number().label('form.outputDevices').integer().min(1).max(64).nullable().defined(),
  claimedW: unit('form.claimedPerDevice', 5000),
}).noUnknown(true, UNKNOWN_FIELD)

/** Fields of a trial of a demonstration, and of what was changed for it. */
export const TRIAL_BODIES = {
  'trial-noted': {
    text: short('form.whatWasSet').required(),
    signal: string().oneOf(TRIAL_SIGNALS).required(),
    amplifier: amplifier.default(undefined).optional(),
    readings: array(reading.required()).min(1).max(20).required(),
  },
  'set-altered': { text: text('form.whatWasChanged').required() },
} as const

import { message } from '../message'
import type { CarrierInChannel } from './carrier/carrierFigures'
import type { LimitsOf } from './limits'
import type { Measurement } from './measurement'
import { noteIf, type CarrierFigures, type Note } from './result'

/** Uncertainties of the carrier, as it is shown. */
export const carrierUncertainty = (
  c: NonNullable<Measurement['carrier']>,
  { drift }: CarrierInChannel,
  levelDb: number,
): NonNullable<Measurement['uncertainty']['carrier']> => ({
  drift: drift && drift.uncertainty,
  frequencyHz: c.frequencyHz === null ? null : c.uncertaintyHz,
  offsetHz: c.uncertaintyHz,
  errorPpm:
    c.errorPpm === null || c.frequencyHz === null ? null : (c.uncertaintyHz / Math.abs(c.frequencyHz)) * 1e6,
  levelDbfs: levelDb,
})

/** A reference of which only the tolerance is known limits the frequency once it is the larger part. */
export function carrierLimit(
  c: CarrierFigures,
  { uncertaintyHz, limitedBy }: CarrierInChannel,
): LimitsOf<CarrierFigures> {
  return { frequencyHz: c.uncertaintyHz > Math.SQRT2 * uncertaintyHz ? 'reference' : limitedBy }
}

/** How far the reference of a receiver is off is in no recording. */
export function referenceNote(centreHz: number | null, referencePpm: number | null): Note[] {
  return noteIf(
    centreHz !== null && referencePpm === null,
    'reference-unknown',
    message('note.referenceUnknown'),
  )
}

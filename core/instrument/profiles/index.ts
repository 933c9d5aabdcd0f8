import { message } from '../../message'
import { CoreError } from '../../errors'
import type { Quantity } from '../../quantity'
import type { InstrumentProfile, ProfileQuantity } from '../instrumentProfile'
import { READ_BY_EYE } from './byEye'
import { TALKING } from './talking'

/** Every profile that ships with Diapason; a talking one first. */
export const INSTRUMENT_PROFILES: readonly InstrumentProfile[] = [...TALKING, ...READ_BY_EYE]

/** @throws {CoreError} unknown-profile */
export function instrumentProfile(id: string): InstrumentProfile {
  const profile = INSTRUMENT_PROFILES.find(p => p.id === id)
  if (!profile) throw new CoreError('unknown-profile', message('error.noProfile', { id }))
  return profile
}

/** How a profile reads a quantity, or undefined when it does not. */
export function profileQuantity(profile: InstrumentProfile, quantity: Quantity): ProfileQuantity | undefined {
  return profile.quantities.find(q => q.quantity === quantity)
}

/** Profiles that would leave an acceptance zone: those whose accuracy of reading is at least as good. */
export function profilesAsGoodAs(quantity: Quantity, ofReading: number): InstrumentProfile[] {
  return INSTRUMENT_PROFILES.filter(p => {
    const accuracy = profileQuantity(p, quantity)?.accuracy
    return accuracy !== undefined && !accuracy.ofFullScale && (accuracy.ofReading ?? 0) < ofReading
  })
}

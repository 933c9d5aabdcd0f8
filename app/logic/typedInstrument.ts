import { boundToStandard, errorBound, type Accuracy, type Quantity } from '../../core/quantity'
import { INSTRUMENT_PROFILES, instrumentProfile, profileQuantity } from '../../core/instrument'
import type { Instrument } from '../../shared/instrument'

/** An instrument a typed reading can be credited to. */
export interface TypedInstrument { readonly name: string, readonly profileId: string, readonly words: string }

/** Instruments of the bench first, then kinds that any bench may have. */
export function typedInstruments(instruments: readonly Instrument[], quantity: Quantity): TypedInstrument[] {
  const ours = instruments.map(i => ({ name: i.name, profileId: i.profileId }))
  const kinds = INSTRUMENT_PROFILES.filter(p => !p.talks && !ours.some(o => o.name === p.name)).map(p => ({ name: p.name, profileId: p.id }))
  return [...ours, ...kinds].flatMap(({ name, profileId }) => {
    const profile = instrumentProfile(profileId)
    return profileQuantity(profile, quantity) ? [{ name, profileId, words: profile.accuracyWords }] : []
  })
}

/** Accuracy of the instrument that a quantity would be typed from, or null. */
export function typedAccuracy(quantity: Quantity, instrument: TypedInstrument | null): Accuracy | null {
  return instrument ? profileQuantity(instrumentProfile(instrument.profileId), quantity)?.accuracy ?? null : null
}

/** Standard uncertainty of a typed value, null when no instrument was named. */
export function typedUncertainty(value: number, quantity: Quantity, instrument: TypedInstrument | null): number | null {
  const accuracy = typedAccuracy(quantity, instrument)
  return accuracy ? boundToStandard(errorBound(value, accuracy)) : null
}

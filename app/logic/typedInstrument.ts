import { boundToStandard, errorBound, groupDigits, type Accuracy, type Quantity } from '../../core/quantity'
import { BARE_SETUP, INSTRUMENT_PROFILES, asSetUp, instrumentProfile, profileQuantity, type InstrumentSetup, type ProfileQuantity } from '../../core/instrument'
import { setupOf, type Instrument } from '../../shared/instrument'

/** An instrument a typed reading can be credited to, as it stands on this bench. */
export interface TypedInstrument { readonly name: string, readonly profileId: string, readonly words: string, readonly setup: InstrumentSetup }

/** Instruments of the bench first, then kinds that any bench may have. */
export function typedInstruments(instruments: readonly Instrument[], quantity: Quantity): TypedInstrument[] {
  const ours = instruments.map(i => ({ name: i.name, profileId: i.profileId, setup: setupOf(i) }))
  const kinds = INSTRUMENT_PROFILES.filter(p => !p.talks && !ours.some(o => o.name === p.name)).map(p => ({ name: p.name, profileId: p.id, setup: BARE_SETUP }))
  return [...ours, ...kinds].flatMap((i) => {
    const profile = instrumentProfile(i.profileId)
    return profileQuantity(profile, quantity) ? [{ ...i, words: setupWords(profile.accuracyWords, i.setup) }] : []
  })
}

function setupWords(accuracyWords: string, { attenuationDb }: InstrumentSetup): string {
  return attenuationDb > 0 ? `${accuracyWords}; ${groupDigits(attenuationDb, 1)} dB in front are added` : accuracyWords
}

/** How an instrument reads a quantity with what stands in front of it, or undefined. */
export function typedItem(quantity: Quantity, instrument: TypedInstrument | null): ProfileQuantity | undefined {
  return instrument ? profileQuantity(asSetUp(instrumentProfile(instrument.profileId), instrument.setup), quantity) : undefined
}

/** Accuracy of the instrument that a quantity would be typed from, or null. */
export function typedAccuracy(quantity: Quantity, instrument: TypedInstrument | null): Accuracy | null {
  return typedItem(quantity, instrument)?.accuracy ?? null
}

/** Frequencies typed more coarsely than this are told with what their digits leave open, instrument or not [Hz]. */
const COARSE_HZ = 5

/**
 * What was read off, as it is at the set: value and standard uncertainty [SI], the latter null when no instrument was named.
 * A digit that was not typed is an uncertainty: half of the last place, where the instrument is better than that.
 */
export function typedReading(shown: number, quantity: Quantity, instrument: TypedInstrument | null, halfDigit = 0): { value: number, standardUncertainty: number | null } {
  const item = typedItem(quantity, instrument)
  const isCoarse = halfDigit >= COARSE_HZ && (quantity === 'carrierHz' || quantity === 'referenceHz')
  if (!item) return { value: shown, standardUncertainty: isCoarse ? boundToStandard(halfDigit) : null }
  const value = shown * item.toSi
  return { value, standardUncertainty: boundToStandard(Math.max(errorBound(value, item.accuracy), halfDigit * item.toSi)) }
}

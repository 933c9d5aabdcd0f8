import { t, translated } from '#shared/i18n'
import {
  boundToStandard,
  errorBound,
  groupDigits,
  quantityInfo,
  type Accuracy,
  type Quantity,
} from '#core/quantity'
import {
  BARE_SETUP,
  INSTRUMENT_PROFILES,
  asSetUp,
  instrumentProfile,
  isClassKnown,
  profileQuantity,
  type InstrumentSetup,
  type ProfileQuantity,
} from '#core/instrument'
import type { Instrument } from '#shared/instrument'
import { setupOf } from '#shared/instrumentSetup'

/** An instrument a typed reading can be credited to, as it stands on this bench. */
export interface TypedInstrument {
  /** kept with the reading: of a kind as its table has it, translated where it is shown */
  readonly name: string
  readonly profileId: string
  readonly words: string
  readonly setup: InstrumentSetup
  /** added to this bench, or there anyhow; false = a kind of instrument that any bench may have */
  readonly isHere: boolean
  /**
   * one division of the meter in use, where the sheet of the set names it: the set's own meters are read to
   * half of it [SI]
   */
  readonly tick?: number | undefined
}

/** Instruments of the bench first, then kinds that any bench may have. */
export function typedInstruments(instruments: readonly Instrument[], quantity: Quantity): TypedInstrument[] {
  const ours = instruments.map(i => ({
    name: i.name,
    profileId: i.profileId,
    setup: setupOf(i),
    isHere: true,
  }))
  const kinds = INSTRUMENT_PROFILES.filter(p => !p.talks && !ours.some(o => o.name === p.name)).map(p => ({
    name: p.name,
    profileId: p.id,
    setup: BARE_SETUP,
    isHere: p.alwaysThere === true,
  }))
  return [...ours, ...kinds].flatMap(i => {
    const profile = instrumentProfile(i.profileId)
    return profileQuantity(profile, quantity)
      ? [{ ...i, words: setupWords(translated(profile.accuracyWords), i.setup) }]
      : []
  })
}

/**
 * What a reading is credited to until somebody says otherwise: what was chosen last, else the first
 * instrument that is here. A kind that any bench may have is none that was read: it has to be chosen.
 * @param last name of the last choice; '' = not stated, chosen on purpose; undefined = nothing was chosen yet
 */
export function usualInstrument(
  options: readonly TypedInstrument[],
  last: string | undefined,
): TypedInstrument | null {
  if (last === '') return null
  return options.find(o => o.name === last) ?? options.find(o => o.isHere) ?? null
}

function setupWords(
  accuracyWords: string,
  { attenuationDb, classRatio, classUnknown }: InstrumentSetup,
): string {
  const said =
    classRatio === null ? accuracyWords : t('align.ofFullScale', { value: groupDigits(100 * classRatio, 1) })
  const known = classUnknown ? t('align.classUnknown') : said
  return attenuationDb > 0
    ? t('align.dbExternalAttenuationAdded', { known, attenuationDb: groupDigits(attenuationDb, 1) })
    : known
}

/**
 * The same instrument on another scale.
 * @param fullScale as it is written on the meter [W]; null = as it is set up
 */
export function onScale(instrument: TypedInstrument, fullScale: number | null): TypedInstrument {
  return fullScale === null ? instrument : { ...instrument, setup: { ...instrument.setup, fullScale } }
}

/** How an instrument reads a quantity with what stands in front of it, or undefined. */
export function typedItem(
  quantity: Quantity,
  instrument: TypedInstrument | null,
): ProfileQuantity | undefined {
  const item = instrument
    ? profileQuantity(asSetUp(instrumentProfile(instrument.profileId), instrument.setup), quantity)
    : undefined
  const tick = item?.tick === undefined ? undefined : instrument?.tick
  return item && tick !== undefined ? { ...item, tick, accuracy: { absolute: tick / 2 } } : item
}

/**
 * Full scale that a typed power is read on, as it is written on the meter [W]; null = its scale does not
 * matter, or it has none
 */
export function scaleOf(quantity: Quantity, instrument: TypedInstrument | null): number | null {
  const item = quantityInfo(quantity).siUnit === 'W' ? typedItem(quantity, instrument) : undefined
  return item?.accuracy.ofFullScale && item.accuracy.fullScale ? item.accuracy.fullScale / item.toSi : null
}

/** Accuracy of the instrument that a quantity would be typed from, or null. */
export function typedAccuracy(quantity: Quantity, instrument: TypedInstrument | null): Accuracy | null {
  const accuracy = typedItem(quantity, instrument)?.accuracy
  return accuracy && isClassKnown(accuracy) ? accuracy : null
}

/**
 * Frequencies typed more coarsely than this are told with what their digits leave open, instrument or not
 * [Hz].
 */
const COARSE_HZ = 5

/**
 * What was read off, as it is at the set: value and standard uncertainty [SI], the latter null when no
 * instrument was named. A digit that was not typed is an uncertainty: half of the last place, where the
 * instrument is better than that.
 */
export function typedReading(
  shown: number,
  quantity: Quantity,
  instrument: TypedInstrument | null,
  halfDigit = 0,
): { value: number; standardUncertainty: number | null; fullScale?: number } {
  const item = typedItem(quantity, instrument)
  const isCoarse = halfDigit >= COARSE_HZ && (quantity === 'carrierHz' || quantity === 'referenceHz')
  if (!item) return { value: shown, standardUncertainty: isCoarse ? boundToStandard(halfDigit) : null }
  const value = shown * item.toSi
  const { ofFullScale, fullScale } = item.accuracy
  const scale = ofFullScale && fullScale ? { fullScale } : {}
  if (!isClassKnown(item.accuracy))
    return { value, standardUncertainty: isCoarse ? boundToStandard(halfDigit) : null, ...scale }
  return {
    value,
    standardUncertainty: boundToStandard(Math.max(errorBound(value, item.accuracy), halfDigit * item.toSi)),
    ...scale,
  }
}

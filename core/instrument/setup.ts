import { dbToPowerRatio, quantityInfo, type Accuracy } from '../quantity'
import type { InstrumentProfile, ProfileQuantity } from './instrumentProfile'
import type { MeterKind } from './meterKind'

/** How an instrument of the bench stands: what its maker's profile cannot know. */
export interface InstrumentSetup {
  /** null = as its profile says */
  readonly meterKind: MeterKind | null
  /** day of the last calibration or check against a better one (ISO); null = unknown */
  readonly calibratedOn: string | null
  /** attenuator, sampler and cable in front of it [dB], >= 0 */
  readonly attenuationDb: number
  /** what its signal shares with other instruments: coupler, cable, load, generator */
  readonly path: readonly string[]
  /** full scale of the range in use [SI], where the profile's is another; null = as its profile says */
  readonly fullScale: number | null
  /** class of a power meter read by eye [ratio of full scale]; null = as its profile says */
  readonly classRatio: number | null
  /** nobody knows its class: its readings stand without an uncertainty and give no weight */
  readonly classUnknown: boolean
}

export const BARE_SETUP: InstrumentSetup = {
  meterKind: null,
  calibratedOn: null,
  attenuationDb: 0,
  path: [],
  fullScale: null,
  classRatio: null,
  classUnknown: false,
}

/**
 * The profile as the instrument stands: attenuation in front of it is applied to its powers, its range
 * replaces that of the profile. Readings then are those at the set, and so are their bounds.
 */
export function asSetUp(profile: InstrumentProfile, setup: InstrumentSetup): InstrumentProfile {
  // A class is said of meters that are read by eye; what talks has the accuracy of its profile.
  const ours = profile.talks ? { ...setup, classRatio: null, classUnknown: false } : setup
  return { ...profile, quantities: profile.quantities.map(q => quantityAsSetUp(q, ours)) }
}

/** Whether anything is known of how well an instrument reads; without a class a reading stands alone. */
export const isClassKnown = ({ ofReading, ofFullScale, absolute }: Accuracy) =>
  ofReading !== undefined || ofFullScale !== undefined || absolute !== undefined

function quantityAsSetUp(item: ProfileQuantity, setup: InstrumentSetup): ProfileQuantity {
  if (quantityInfo(item.quantity).siUnit !== 'W') return item
  const ratio = dbToPowerRatio(setup.attenuationDb)
  return { ...item, toSi: item.toSi * ratio, accuracy: atTheSet(ofMeter(item.accuracy, setup), ratio) }
}

/** The accuracy on the scale in use, of the class that its owner knows better than the profile. */
function ofMeter(accuracy: Accuracy, { fullScale, classRatio, classUnknown }: InstrumentSetup): Accuracy {
  const range = fullScale ?? accuracy.fullScale
  const onRange = range === undefined ? {} : { fullScale: range }
  if (classUnknown) return onRange
  return classRatio !== null && range !== undefined
    ? { ofFullScale: classRatio, ...onRange }
    : { ...accuracy, ...onRange }
}

function atTheSet({ absolute, fullScale, ...ofWhole }: Accuracy, ratio: number): Accuracy {
  return {
    ...ofWhole,
    ...(absolute === undefined ? {} : { absolute: absolute * ratio }),
    ...(fullScale === undefined ? {} : { fullScale: fullScale * ratio }),
  }
}

/** Meters are checked against the calibrated one monthly, that one yearly (common practice). */
const RECHECK_DAYS = { monthly: 31, yearly: 366 } as const

/** @returns days since the calibration and whether the yearly one is overdue; null when nobody knows */
export function calibrationAge(
  calibratedOn: string | null,
  todayIso: string,
): { readonly days: number; readonly overdue: boolean } | null {
  if (calibratedOn === null) return null
  const days = Math.round((Date.parse(todayIso) - Date.parse(calibratedOn)) / 86_400_000)
  return { days, overdue: days > RECHECK_DAYS.yearly }
}

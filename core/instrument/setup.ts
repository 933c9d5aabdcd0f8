import { dbToPowerRatio, quantityInfo } from '../quantity'
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
}

export const BARE_SETUP: InstrumentSetup = { meterKind: null, calibratedOn: null, attenuationDb: 0, path: [], fullScale: null }

/**
 * The profile as the instrument stands: attenuation in front of it is applied to its powers, its range replaces that of the
 * profile. Readings then are those at the set, and so are their bounds.
 */
export function asSetUp(profile: InstrumentProfile, setup: InstrumentSetup): InstrumentProfile {
  return { ...profile, quantities: profile.quantities.map(q => quantityAsSetUp(q, setup)) }
}

function quantityAsSetUp(item: ProfileQuantity, { attenuationDb, fullScale }: InstrumentSetup): ProfileQuantity {
  const isPower = quantityInfo(item.quantity).siUnit === 'W'
  const ratio = isPower ? dbToPowerRatio(attenuationDb) : 1
  const { ofReading, ofFullScale, absolute } = item.accuracy
  const range = isPower ? fullScale ?? item.accuracy.fullScale : item.accuracy.fullScale
  return {
    ...item, toSi: item.toSi * ratio,
    accuracy: {
      ...(ofReading === undefined ? {} : { ofReading }), ...(ofFullScale === undefined ? {} : { ofFullScale }),
      ...(absolute === undefined ? {} : { absolute: absolute * ratio }), ...(range === undefined ? {} : { fullScale: range * ratio }),
    },
  }
}

/** Meters are checked against the calibrated one monthly, that one yearly (general trade knowledge). */
const RECHECK_DAYS = { monthly: 31, yearly: 366 } as const

/** @returns days since the calibration and whether the yearly one is overdue; null when nobody knows */
export function calibrationAge(calibratedOn: string | null, todayIso: string): { readonly days: number, readonly overdue: boolean } | null {
  if (calibratedOn === null) return null
  const days = Math.round((Date.parse(todayIso) - Date.parse(calibratedOn)) / 86_400_000)
  return { days, overdue: days > RECHECK_DAYS.yearly }
}

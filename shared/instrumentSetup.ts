import { t } from '#shared/i18n'
import { instrumentProfile, type InstrumentProfile, type InstrumentSetup } from '#core/instrument'
import type { InstrumentBody, OwnProfile } from './instrument'

/**
 * The profile an instrument is read by: the shipped one, with its own queries where it has some.
 * @throws {CoreError} unknown-profile
 */
export function profileOf({
  profileId,
  ownProfile: own,
}: {
  readonly profileId: string
  readonly ownProfile?: OwnProfile | null
}): InstrumentProfile {
  const shipped = instrumentProfile(profileId)
  return own
    ? {
        ...shipped,
        talks: true,
        quantities: own.quantities,
        settings: own.settings,
        accuracyWords: t('form.ownQueriesAndAccuracies'),
        source: t('form.enteredForThisInstrument'),
      }
    : shipped
}

/** Setup of an instrument that nobody has described yet. */
export const BARE_INSTRUMENT = {
  meterKind: null,
  calibratedOn: null,
  attenuationDb: 0,
  path: '',
  fullScale: null,
  classRatio: null,
  classUnknown: false,
} as const

/** What stands in front of it and which range it is on; what it shares is written with commas between. */
export function setupOf(
  i: Pick<
    InstrumentBody,
    'meterKind' | 'calibratedOn' | 'attenuationDb' | 'path' | 'fullScale' | 'classRatio' | 'classUnknown'
  >,
): InstrumentSetup {
  const { meterKind, calibratedOn, attenuationDb, path, fullScale, classRatio, classUnknown } = i
  return {
    meterKind: meterKind ?? null,
    calibratedOn: calibratedOn || null,
    attenuationDb,
    fullScale,
    classRatio,
    classUnknown,
    path: path
      .split(',')
      .map(p => p.trim().toLowerCase())
      .filter(Boolean),
  }
}

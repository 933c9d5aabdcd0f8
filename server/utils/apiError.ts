import { errorWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
import { CoreError } from '#core/errors'
import type { ErrorCode, WireError } from '#shared/errors'
import { ValidationError } from '#shared/yup'
import { isContradiction, isDatabaseAway, isDuplicate, isUnfit } from '../db/errors'

/** An error a route raises on purpose. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: ErrorCode,
    message: string,
    readonly field: string | null = null,
  ) {
    super(message)
    this.name = 'ApiError'
  }
}

/** The one translation at the border: what went wrong to a status and to words. Unforeseen stays a 500. */
export function toWire(error: unknown): { status: number; body: WireError } {
  const of = (status: number, code: ErrorCode, message: string, field: string | null = null) => ({
    status,
    body: { code, field, message },
  })
  if (error instanceof ApiError) return of(error.status, error.code, error.message, error.field)
  if (error instanceof CoreError) return of(422, error.code, errorWords(error))
  if (error instanceof ValidationError) return of(400, 'invalid-field', error.message, error.path ?? null)
  if (isDatabaseAway(error)) return of(503, 'database-away', t('server.databaseNotRespondingNothingIsLost'))
  if (isUnfit(error)) return of(400, 'cannot-be-kept', t('server.valueCannotBeKept'))
  if (isDuplicate(error, 'instrument_name_key'))
    return of(409, 'name-taken', t('server.nameAnotherInstrumentHasThisName'), 'name')
  if (isDuplicate(error, 'person_name_key'))
    return of(409, 'name-taken', t('server.someoneElseHasThisName'), 'name')
  if (isContradiction(error)) return of(409, 'cannot-be-kept', t('server.contradictsWhatIsKept'))
  return of(500, 'internal', t('server.serverErrorSavedEntriesAreSafe'))
}

import { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common'
import { t } from '#shared/i18n'
import { ApiError } from './apiError'

/** From this score on a password holds against whoever tries fast and has the hash (zxcvbn: 3 of 4). */
const MIN_SCORE = 3
/** The estimate grows with the square of the length; what is longer was not made up in a minute. */
const MAX_LOOKED_AT = 64
let estimator: ZxcvbnFactory | null = null

/**
 * Refuses a new password that is among the usual ones, or made from them, from rows of keys, repetitions, or
 * the words that everybody here knows.
 * @param known name of whoever it belongs to, and of the workshop
 * @throws {ApiError} invalid-field
 */
export function refuseGuessable(password: string, known: readonly string[], field = 'password'): void {
  estimator ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs })
  const words = known.flatMap(name => {
    const parts = name.split(/[^\p{L}\p{N}]+/u)
    return [name, parts.join(''), ...parts.filter(part => part.length > 2)]
  })
  if (estimator.check(password.slice(0, MAX_LOOKED_AT), words).score < MIN_SCORE)
    throw new ApiError(400, 'invalid-field', t('server.passwordIsGuessable'), field)
}

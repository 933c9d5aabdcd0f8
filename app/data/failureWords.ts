import { t } from '#shared/i18n'
import type { WireError } from '#shared/errors'

/** A failed request in words, and whether trying again later can help. */
export interface Failure {
  readonly words: string
  readonly field: string | null
  readonly passing: boolean
  readonly code: string | null
}

/** A failure that no server answered, and that says itself what it is. */
export class InWords extends Error {}

/** Refusals that pass when somebody signs in, or when some time has. */
const PASSING: ReadonlySet<string> = new Set(['sign-in-needed', 'other-person', 'too-many-tries'])

/** Reads whatever a fetch threw. Without an answer, or with a 5xx, the cause passes by itself. */
export function failureOf(error: unknown): Failure {
  if (error instanceof InWords) return { words: error.message, field: null, passing: false, code: null }
  const { statusCode, data } = error as { statusCode?: number; data?: { data?: WireError } }
  const wire = data?.data
  if (wire?.message)
    return {
      words: wire.message,
      field: wire.field,
      passing: (statusCode ?? 500) >= 500 || PASSING.has(wire.code),
      code: wire.code,
    }
  if (statusCode === undefined)
    return { words: t('frame.theServerIsNotResponding'), field: null, passing: true, code: null }
  return {
    words: t('frame.theServerAnsweredWithError', { statusCode }),
    field: null,
    passing: statusCode >= 500,
    code: null,
  }
}

/**
 * SQLSTATE classes and socket errors that mean "the database cannot now", not "the request is wrong": lines
 * lost (08), a full disk or no memory (53), stopped or cancelled by its operator (57), its disk fails (58),
 * read-only (25006), somebody else was in the way (40, 55P03). What is sent again later is stored.
 */
const AWAY = /^(08|40|53|57|58|25006|55P03|ECONNREFUSED|ECONNRESET|ENOENT|EPIPE|ETIMEDOUT)/
const AWAY_WORDS = [
  'Connection terminated',
  'timeout exceeded when trying to connect',
  'Client has encountered a connection error',
  'Query read timeout',
]

export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false
  const code = (error as { code?: unknown }).code
  return (
    (typeof code === 'string' && AWAY.test(code)) || AWAY_WORDS.some(words => error.message.includes(words))
  )
}

/** A unique constraint that was hit. */
export function isDuplicate(error: unknown, constraint: string): boolean {
  const { code, constraint: hit } = error as { code?: string; constraint?: string }
  return code === '23505' && hit === constraint
}

const sqlState = (error: unknown) => (error as { code?: unknown } | null)?.code
/** A value that no column holds: out of range, no such day, characters that are none (SQLSTATE class 22). */
export const isUnfit = (error: unknown): boolean => /^22...$/.test(String(sqlState(error)))
/** Against a constraint: named twice, or naming what is not there (SQLSTATE class 23). */
export const isContradiction = (error: unknown): boolean => /^23...$/.test(String(sqlState(error)))

/**
 * The closed set of error codes of the core. Borders translate them once: routes to a status, views to words.
 */
export const CORE_ERROR_CODES = [
  'not-a-number',
  'out-of-range',
  'unknown-unit',
  'unknown-channel',
  'unknown-plan',
  'unknown-rule-set',
  'unknown-quantity',
  'unknown-sheet',
  'unknown-step',
  'unknown-point',
  'unknown-adjuster',
  'unknown-profile',
  'malformed-answer',
  'no-signal',
  'nothing-to-judge',
  'unknown-observable',
  'unknown-cause',
  'unknown-condition',
  'unknown-item',
  'bad-recording',
  'unknown-format',
  'unknown-line',
  'bad-sheet',
] as const

export type CoreErrorCode = (typeof CORE_ERROR_CODES)[number]

/**
 * An error the core raises on purpose: `code` for programs, `message` with the offending value for people.
 */
export class CoreError extends Error {
  constructor(
    readonly code: CoreErrorCode,
    message: string,
  ) {
    super(message)
    this.name = 'CoreError'
  }
}

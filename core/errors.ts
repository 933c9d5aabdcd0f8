import { message, type Message } from './message'

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
  'unknown-field',
  'bad-sheet',
] as const

export type CoreErrorCode = (typeof CORE_ERROR_CODES)[number]

/**
 * An error the core raises on purpose: `code` for programs, `says` for people. Its `message` is for the log:
 * nobody has worded it yet.
 */
export class CoreError extends Error {
  readonly says: Message

  /** @param detail figures alone where a formula was asked for what does not exist, else a message */
  constructor(
    readonly code: CoreErrorCode,
    detail: string | Message,
  ) {
    const says = typeof detail === 'string' ? message('error.impossibleValue', { what: detail }) : detail
    super(`${code}: ${says.code} ${JSON.stringify(says.values)}`)
    this.says = says
    this.name = 'CoreError'
  }
}

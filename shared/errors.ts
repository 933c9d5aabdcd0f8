import type { CoreErrorCode } from '#core/errors'

/** Codes that the server adds to the core's own. */
export const SERVER_ERROR_CODES = [
  'sign-in-needed',
  'not-allowed',
  'wrong-secret',
  'too-many-tries',
  'needs-a-name',
  'passkey-refused',
  'unknown-passkey',
  'too-many-streams',
  'already-set-up',
  'other-person',
  'unknown-person',
  'invalid-field',
  'body-too-large',
  'not-json',
  'foreign-host',
  'foreign-origin',
  'foreign-type',
  'cannot-be-kept',
  'unknown-job',
  'unknown-instrument',
  'unknown-reading',
  'unknown-event',
  'cannot-be-struck',
  'handed-over',
  'withdrawn',
  'unknown-issue',
  'unknown-settings',
  'unknown-link',
  'unknown-view',
  'unknown-period',
  'unknown-recording',
  'unknown-practice',
  'unknown-picture',
  'recording-incomplete',
  'unknown-attachment',
  'not-an-image',
  'not-a-recording',
  'changed-meanwhile',
  'id-reused',
  'name-taken',
  'database-away',
  'bench-away',
  'gateway-away',
  'instrument-refused',
  'internal',
] as const

export type ErrorCode = CoreErrorCode | (typeof SERVER_ERROR_CODES)[number]

/** What every failed request answers: a code for programs, the field and the words for people. */
export interface WireError {
  readonly code: ErrorCode
  readonly field: string | null
  readonly message: string
}

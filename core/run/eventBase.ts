/** Who entered something, as he or she was called then; the server says it, never a screen. */
export interface Author {
  readonly personId: string
  readonly name: string
}

/** What every entry of a job has. */
export interface EventBase {
  /** client-made UUID: an event sent twice is one event */
  readonly id: string
  readonly atMs: number
  /** missing = entered without sign-in, or before there was one */
  readonly author?: Author
  /** entered by a trainee: counts from its release on; the server says it, never a screen */
  readonly unreleased?: true
}

/**
 * The one shape of every circuit part. A part holds nothing: its parameters are data (a fault changes only
 * those), its memory is passed in and out, so that a simulated set can be copied, stored, repeated and
 * stepped by any amount of time.
 *
 * P parameters, I what acts on it now, O what it gives, M what it remembers (null = nothing).
 */
export interface CircuitPart<P, I, O, M = null> {
  readonly kind: string
  /** memory of a part that has been without power for long */
  readonly rest: (parameters: P) => M
  /** what it does at this moment */
  readonly respond: (parameters: P, input: I, memory: M) => O
  /** its memory after dtS [s] of this input; exact for any length where its law is an exponential */
  readonly pass: (parameters: P, input: I, memory: M, dtS: number) => M
}

/** A part that answers at once and remembers nothing. */
export function memoryless<P, I, O>(
  kind: string,
  respond: (parameters: P, input: I) => O,
): CircuitPart<P, I, O> {
  return {
    kind,
    rest: () => null,
    respond: (parameters, input) => respond(parameters, input),
    pass: () => null,
  }
}

/** x held between two stops. */
export function between(low: number, high: number, x: number): number {
  return Math.min(high, Math.max(low, x))
}

/** What is left of a distance after dtS on the way to its end. Source: exp(-t/tau). */
export function decay(dtS: number, timeConstantS: number): number {
  return timeConstantS > 0 ? Math.exp(-Math.max(0, dtS) / timeConstantS) : 0
}

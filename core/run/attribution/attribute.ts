import { CoreError } from '../../errors'
import { inverse } from '../../numeric/inverse'

/** One reading as a linear equation: error [Hz] = sum of coefficient x unknown. */
export interface AttributionRow {
  readonly errorHz: number
  readonly standardUncertaintyHz: number
  /** what read it: its error is common to all that it read; null = nobody knows, each stands for itself */
  readonly instrument?: string | null
  /** by the name of the unknown */
  readonly coefficients: Readonly<Record<string, number>>
}

/** One oscillator: how far it may be off at all before anything is read. */
export interface Unknown {
  readonly name: string
  readonly priorSigma: number
}

export interface Attributed {
  readonly name: string
  readonly value: number
  readonly sigma: number
  /**
   * off: more than two sigma from right; right: all of its interval within half of what such ones are off;
   * unknown: the readings say little about it
   */
  readonly verdict: 'off' | 'right' | 'unknown'
  /** others that it cannot be told apart from by these readings */
  readonly confusedWith: readonly string[]
}

/** Estimates further than this from nought are off. */
const OFF_SIGMA = 2
/** What the readings leave of the prior spread for an unknown to count as determined. */
const DETERMINED = 0.25
/**
 * An oscillator is right when its whole interval lies within this of nought, against how far such ones may be
 * off at all.
 */
const RIGHT_SHARE = 0.5
/** Two estimates that move together this much cannot be told apart. */
const CONFUSED = 0.97

/**
 * Which oscillator is off, by weighted least squares over readings on several channels, modes and points.
 *
 * An instrument is off by the same share in all of its readings: its error is one more unknown for each of
 * them, as large as its stated uncertainty, and many channels do not average it away. Beside it each reading
 * keeps its own.
 *
 * Every unknown has a prior spread, so there is always an answer, and the answer says how much of it is the
 * prior's: nobody is named whom the data cannot separate.
 * @throws {CoreError} out-of-range (an uncertainty that is none)
 * Source: C19; normal equations with priors, covariance from their inverse.
 * @example 27F: -52 Hz on channel 1, -72 Hz on 40, 1 Hz each: reference -51.3 +/- 3.6 ppm
 */
export function attribute(
  oscillators: readonly Unknown[],
  readings: readonly AttributionRow[],
): Attributed[] {
  const { unknowns, rows } = withInstruments(oscillators, readings)
  if (rows.some(r => !(r.standardUncertaintyHz > 0)) || unknowns.some(u => !(u.priorSigma > 0)))
    throw new CoreError('out-of-range', 'u = 0')
  const n = unknowns.length
  const normal = unknowns.map((u, i) =>
    unknowns.map(
      (v, j) =>
        (i === j ? u.priorSigma ** -2 : 0) +
        rows.reduce(
          (s, r) =>
            s +
            ((r.coefficients[u.name] ?? 0) * (r.coefficients[v.name] ?? 0)) / r.standardUncertaintyHz ** 2,
          0,
        ),
    ),
  )
  const right = unknowns.map(u =>
    rows.reduce((s, r) => s + ((r.coefficients[u.name] ?? 0) * r.errorHz) / r.standardUncertaintyHz ** 2, 0),
  )
  const covariance = inverse(normal)
  const values = covariance.map(row => row.reduce((s, c, j) => s + c * right[j]!, 0))
  const sigmas = covariance.map((row, i) => Math.sqrt(row[i]!))
  return oscillators.map(({ name, priorSigma }, i) => {
    const confusedWith = Array.from({ length: n }, (_, j) => j)
      .filter(
        j =>
          j !== i &&
          Math.abs(covariance[i]![j]!) / (sigmas[i]! * sigmas[j]!) > CONFUSED &&
          sigmas[i]! > DETERMINED * priorSigma,
      )
      .map(j => unknowns[j]!.name)
    const determined = sigmas[i]! <= DETERMINED * priorSigma
    return {
      name,
      value: values[i]!,
      sigma: sigmas[i]!,
      confusedWith,
      verdict: !determined ? 'unknown' : verdictOf(values[i]!, sigmas[i]!, priorSigma),
    }
  })
}

/** Off when nought is outside of the interval; right only when all of the interval is next to nothing. */
function verdictOf(value: number, sigma: number, priorSigma: number): Attributed['verdict'] {
  if (Math.abs(value) > OFF_SIGMA * sigma) return 'off'
  return Math.abs(value) + OFF_SIGMA * sigma <= RIGHT_SHARE * priorSigma ? 'right' : 'unknown'
}

/** Name of the error of an instrument among the unknowns. */
const errorOf = (instrument: string) => `error of ${instrument}`

/**
 * The common error of each instrument that read more than once, in units of the stated uncertainty of each
 * reading.
 */
function withInstruments(
  oscillators: readonly Unknown[],
  rows: readonly AttributionRow[],
): { unknowns: Unknown[]; rows: AttributionRow[] } {
  const names = rows.flatMap(r => r.instrument ?? [])
  const shared = [...new Set(names)].filter(name => names.filter(n => n === name).length > 1)
  return {
    unknowns: [...oscillators, ...shared.map(name => ({ name: errorOf(name), priorSigma: 1 }))],
    rows: rows.map(r =>
      r.instrument && shared.includes(r.instrument)
        ? { ...r, coefficients: { ...r.coefficients, [errorOf(r.instrument)]: r.standardUncertaintyHz } }
        : r,
    ),
  }
}

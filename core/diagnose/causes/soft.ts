import type { OutcomeProbabilities } from './observable'

/** A number with its standard uncertainty; null = nobody knows, taken as 10 % (common practice). */
export interface Uncertain {
  readonly value: number
  readonly standardUncertainty: number | null
}

const UNKNOWN_RATIO = 0.1
/**
 * Four-point rule for a normal distribution: exact up to the seventh moment. Source: Gauss-Hermite
 * quadrature, Abramowitz and Stegun table 25.10. No point lies in the middle: a reading on an edge is half of
 * one outcome and half of the other.
 */
const [INNER, OUTER] = [Math.sqrt(3 - Math.sqrt(6)), Math.sqrt(3 + Math.sqrt(6))]
const INNER_WEIGHT = (3 + Math.sqrt(6)) / 12
const NODES = [
  { at: -OUTER, weight: 0.5 - INNER_WEIGHT },
  { at: -INNER, weight: INNER_WEIGHT },
  { at: INNER, weight: INNER_WEIGHT },
  { at: OUTER, weight: 0.5 - INNER_WEIGHT },
] as const

/**
 * Which outcome some readings belong to, with the share of each when their uncertainty straddles an edge.
 *
 * @param readings at most five, independent
 * @param classify outcome for exact values
 * @returns shares that add up to one
 */
export function soften(
  readings: readonly Uncertain[],
  classify: (values: readonly number[]) => string,
): OutcomeProbabilities {
  const shares: Record<string, number> = {}
  const walk = (values: readonly number[], weight: number) => {
    const reading = readings[values.length]
    if (!reading) {
      const outcome = classify(values)
      shares[outcome] = (shares[outcome] ?? 0) + weight
      return
    }
    const u = reading.standardUncertainty ?? Math.abs(reading.value) * UNKNOWN_RATIO
    for (const node of NODES) walk([...values, reading.value + node.at * u], weight * node.weight)
  }
  walk([], 1)
  return shares
}

/** Outcome names between edges: names[i] for values below edges[i], the last name above all of them. */
export function between(edges: readonly number[], names: readonly string[]): (value: number) => string {
  return value => names[edges.findIndex(edge => value < edge)] ?? names.at(-1)!
}

/**
 * The same reading for a ratio against another one of the same instrument: its calibration cancels, its
 * repeatability stays.
 */
export function repeatable(reading: Uncertain, ratio = 0.02): Uncertain {
  return {
    value: reading.value,
    standardUncertainty: Math.min(
      reading.standardUncertainty ?? Infinity,
      (Math.abs(reading.value) * ratio) / Math.sqrt(3),
    ),
  }
}

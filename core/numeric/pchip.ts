import { CoreError } from '../errors'

/**
 * Monotone cubic through points, at x.
 *
 * @param xs rising, at least two
 * @param ys monotone where they are to be followed monotonically
 * @param x inside xs; outside, the nearer end's value is not given: the caller must not ask
 * @throws {CoreError} out-of-range (fewer than two points, not rising, x outside)
 * Source: Fritsch and Carlson 1980 with the three-point end slopes of Fritsch and Butland, as in SciPy's
 * PchipInterpolator (from memory; checked against it).
 */
export function pchip(xs: readonly number[], ys: readonly number[], x: number): number {
  if (xs.length < 2 || xs.some((v, i) => i > 0 && !(v > xs[i - 1]!)) || !(x >= xs[0]! && x <= xs.at(-1)!))
    throw new CoreError('out-of-range', `${x} ∉ [${xs.join(', ')}]`)
  const slopes = slopesOf(xs, ys)
  const i = Math.max(
    0,
    Math.min(
      xs.length - 2,
      xs.findLastIndex(v => v <= x),
    ),
  )
  const h = xs[i + 1]! - xs[i]!
  const t = (x - xs[i]!) / h
  return (
    ys[i]! * (1 + 2 * t) * (1 - t) ** 2 +
    slopes[i]! * h * t * (1 - t) ** 2 +
    ys[i + 1]! * t ** 2 * (3 - 2 * t) +
    slopes[i + 1]! * h * t ** 2 * (t - 1)
  )
}

function slopesOf(xs: readonly number[], ys: readonly number[]): number[] {
  const h = xs.slice(1).map((v, i) => v - xs[i]!)
  const d = h.map((w, i) => (ys[i + 1]! - ys[i]!) / w)
  if (d.length === 1) return [d[0]!, d[0]!]
  const inner = d.slice(1).map((right, i) => {
    const left = d[i]!
    if (left * right <= 0) return 0
    const [w1, w2] = [2 * h[i + 1]! + h[i]!, h[i + 1]! + 2 * h[i]!]
    return (w1 + w2) / (w1 / left + w2 / right)
  })
  return [
    endSlope(h[0]!, h[1]!, d[0]!, d[1]!),
    ...inner,
    endSlope(h.at(-1)!, h.at(-2)!, d.at(-1)!, d.at(-2)!),
  ]
}

function endSlope(h0: number, h1: number, d0: number, d1: number): number {
  const slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1)
  if (Math.sign(slope) !== Math.sign(d0)) return 0
  return Math.sign(d0) !== Math.sign(d1) && Math.abs(slope) > Math.abs(3 * d0) ? 3 * d0 : slope
}

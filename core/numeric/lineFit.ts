/** A straight line through points, and what is left about it. */
export interface LineFit {
  readonly slope: number
  readonly at0: number
  readonly slopeUncertainty: number
  /** standard deviation about the line */
  readonly scatter: number
  /** sum of squares about it */
  readonly residual: number
}

/** Least squares. @param x places @param y values at them, as many, two at least */
export function lineFit(x: ArrayLike<number>, y: ArrayLike<number>): LineFit {
  const n = x.length
  let [mx, my] = [0, 0]
  for (let i = 0; i < n; i++) {
    mx += x[i]! / n
    my += y[i]! / n
  }
  let [sxx, sxy] = [0, 0]
  for (let i = 0; i < n; i++) {
    sxx += (x[i]! - mx) ** 2
    sxy += (x[i]! - mx) * (y[i]! - my)
  }
  const slope = sxx > 0 ? sxy / sxx : 0
  const at0 = my - slope * mx
  let residual = 0
  for (let i = 0; i < n; i++) residual += (y[i]! - at0 - slope * x[i]!) ** 2
  const scatter = Math.sqrt(residual / Math.max(1, n - 2))
  return { slope, at0, scatter, residual, slopeUncertainty: sxx > 0 ? scatter / Math.sqrt(sxx) : Infinity }
}

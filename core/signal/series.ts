/** A complex signal near 0 Hz, held in memory: the channel that is measured. */
export interface Series {
  readonly re: Float32Array
  readonly im: Float32Array
  readonly rateHz: number
}

export function part({ re, im, rateHz }: Series, from: number, to: number): Series {
  return { re: re.subarray(from, to), im: im.subarray(from, to), rateHz }
}

/** The middle of a series, at most so many samples of it. */
export function middlePart(series: Series, most: number): Series {
  const from = Math.max(0, Math.floor((series.re.length - most) / 2))
  return part(series, from, Math.min(series.re.length, from + most))
}

export function meanPower({ re, im }: Pick<Series, 're' | 'im'>): number {
  let sum = 0
  for (let n = 0; n < re.length; n++) sum += re[n]! * re[n]! + im[n]! * im[n]!
  return sum / Math.max(1, re.length)
}

export function envelopeOf({ re, im }: Series): Float64Array {
  const out = new Float64Array(re.length)
  // Math.hypot guards against overflow that cannot happen here, and takes ten times as long.
  for (let n = 0; n < out.length; n++) out[n] = Math.sqrt(re[n]! * re[n]! + im[n]! * im[n]!)
  return out
}

/** The same signal seen from another frequency: what lies at hz comes to 0 Hz. */
export function shifted({ re, im, rateHz }: Series, hz: number): Series {
  const out = { re: new Float32Array(re.length), im: new Float32Array(re.length), rateHz }
  const [stepC, stepS] = [Math.cos((2 * Math.PI * hz) / rateHz), -Math.sin((2 * Math.PI * hz) / rateHz)]
  let [c, s] = [1, 0]
  for (let n = 0; n < re.length; n++) {
    out.re[n] = re[n]! * c - im[n]! * s
    out.im[n] = re[n]! * s + im[n]! * c
    const next = c * stepC - s * stepS
    s = c * stepS + s * stepC
    c = next
    if ((n & 1023) === 0) {
      const norm = 1 / Math.hypot(c, s)
      c *= norm
      s *= norm
    }
  }
  return out
}

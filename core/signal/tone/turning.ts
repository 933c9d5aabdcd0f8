/**
 * A pointer that turns by the same angle from sample to sample, in pieces of so many: the turns within a
 * piece stand in a table, and only from piece to piece the pointer is turned on. Quicker than turning it each
 * time, and less rounding adds up.
 */
export const PIECE = 32

export interface Turning {
  readonly radPerSample: number
  /** turns within a piece: cosine and sine of the angle so far */
  readonly cos: Float64Array
  readonly sin: Float64Array
  /** turn of a whole piece */
  readonly pieceCos: number
  readonly pieceSin: number
}

/** @param radPerSample positive turns forwards */
export function turning(radPerSample: number): Turning {
  const cos = Float64Array.from({ length: PIECE }, (_, k) => Math.cos(radPerSample * k))
  const sin = Float64Array.from({ length: PIECE }, (_, k) => Math.sin(radPerSample * k))
  return {
    radPerSample,
    cos,
    sin,
    pieceCos: Math.cos(radPerSample * PIECE),
    pieceSin: Math.sin(radPerSample * PIECE),
  }
}

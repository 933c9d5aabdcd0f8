import { hann } from '../spectrum/window'
import { PIECE, turning } from './turning'
import { lineAmplitude, lineAt, type Line } from './lines'

/**
 * A waveform without some of its lines, and how large they were. Lines must lie further apart than the window
 * is wide.
 */
export function withoutLines(
  x: Float64Array,
  rateHz: number,
  frequenciesHz: readonly number[],
): { left: Float64Array; amplitudes: number[] } {
  const window = hann(x.length)
  const left = Float64Array.from(x)
  const amplitudes = frequenciesHz.map(hz => {
    const line = lineAt(left, null, window.values, window.sum, hz / rateHz)
    takeOut(left, line, hz / rateHz)
    return lineAmplitude(line)
  })
  return { left, amplitudes }
}

/** @param line at the middle of the series */
export function takeOut(x: Float64Array, { re, im }: Line, cyclesPerSample: number): void {
  const step = 2 * Math.PI * cyclesPerSample
  const { cos, sin, pieceCos, pieceSin } = turning(step)
  const middle = (x.length - 1) / 2
  let [c, s] = [Math.cos(step * middle), -Math.sin(step * middle)]
  for (let from = 0; from < x.length; from += PIECE) {
    const [p, q] = [re * c - im * s, re * s + im * c]
    const to = Math.min(x.length, from + PIECE)
    for (let n = from, k = 0; n < to; n++, k++) x[n]! -= p * cos[k]! - q * sin[k]!
    const next = c * pieceCos - s * pieceSin
    s = c * pieceSin + s * pieceCos
    c = next
  }
}

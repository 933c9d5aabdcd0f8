import type { SampleBlock } from '../../recording'

/** What is put right sample by sample before anything else. */
export interface Correction {
  readonly dcI: number
  readonly dcQ: number
  /** Q over I */
  readonly gain: number
  /** how far Q leads the right angle [rad] */
  readonly phaseRad: number
}
export const NO_CORRECTION: Correction = { dcI: 0, dcQ: 0, gain: 1, phaseRad: 0 }

/** A block of samples, put right. @param isReal the block has no Q */
export function corrected(
  { i, q }: SampleBlock,
  { dcI, dcQ, gain, phaseRad }: Correction,
  isReal: boolean,
): SampleBlock {
  if (isReal) return { i: i.map(x => x - dcI), q }
  const [s, c] = [Math.sin(phaseRad), Math.cos(phaseRad)]
  const out = { i: new Float32Array(i.length), q: new Float32Array(i.length) }
  for (let n = 0; n < i.length; n++) {
    const x = i[n]! - dcI
    out.i[n] = x
    out.q[n] = ((q[n]! - dcQ) / gain - x * s) / c
  }
  return out
}

import type { Series } from '../series'
import { part } from '../series'

/** What the transmitter did, in blocks: off, a bare carrier, or modulated. */
export type TxState = 'off' | 'steady' | 'modulated'
export interface Stretch {
  readonly doing: TxState
  readonly from: number
  readonly to: number
}

const BLOCK_S = 0.02
/** Below this share of the strong blocks nothing is sent. */
const OFF_SHARE = 0.05
/** A block is a bare carrier while this share of its power is in one line, noise allowed for. */
const STEADY_COHERENCE = 0.9965
const STRONG_QUANTILE = 0.9

/**
 * Splits a channel into what the transmitter did, from one block of 20 ms to the next.
 * @param series the carrier within some Hz of 0 Hz
 * @param noisePower per sample of it
 */
export function stretchesOf(series: Series, noisePower: number): Stretch[] {
  const block = Math.max(16, Math.floor(BLOCK_S * series.rateHz))
  const count = Math.max(1, Math.floor(series.re.length / block))
  const blocks = Array.from({ length: count }, (_, b) =>
    blockOf(part(series, b * block, Math.min(series.re.length, (b + 1) * block))),
  )
  const strong = [...blocks].sort((a, b) => a.power - b.power)[Math.floor(count * STRONG_QUANTILE)]!.power
  const doing = blocks.map(({ power, coherent }): TxState => {
    if (power < Math.max(OFF_SHARE * strong, 2.5 * noisePower) && power < 0.5 * strong) return 'off'
    const carrier = Math.max(power - noisePower, 1e-30)
    const slack = ((4 * noisePower) / carrier) * Math.sqrt(1 / block) + noisePower / carrier / block
    return coherent / carrier > STEADY_COHERENCE - slack ? 'steady' : 'modulated'
  })
  const out: Stretch[] = []
  doing.forEach((d, b) => {
    const last = out.at(-1)
    const to = b === count - 1 ? series.re.length : (b + 1) * block
    if (last?.doing === d) out[out.length - 1] = { ...last, to }
    else out.push({ doing: d, from: b * block, to })
  })
  return out
}

function blockOf({ re, im }: Series): { power: number; coherent: number } {
  let [x, y, power] = [0, 0, 0]
  for (let n = 0; n < re.length; n++) {
    x += re[n]!
    y += im[n]!
    power += re[n]! ** 2 + im[n]! ** 2
  }
  return { power: power / re.length, coherent: (x * x + y * y) / re.length ** 2 }
}

/**
 * The longest stretch of a kind without the blocks at its ends, in which something may have changed; null =
 * none of three blocks.
 */
export function longest(
  stretches: readonly Stretch[],
  doing: TxState,
  rateHz: number,
  total: number,
): Stretch | null {
  const block = Math.max(16, Math.floor(BLOCK_S * rateHz))
  const found = stretches.filter(s => s.doing === doing).sort((a, b) => b.to - b.from - (a.to - a.from))[0]
  if (!found || found.to - found.from < 3 * block) return null
  return {
    doing,
    from: found.from === 0 ? 0 : found.from + block,
    to: found.to === total ? total : found.to - block,
  }
}

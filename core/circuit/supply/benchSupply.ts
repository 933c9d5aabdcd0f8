import { boundaryOf } from '../../numeric/search'
import { memoryless } from '../part'

/** A laboratory supply with a current limit; with foldback it gives less the lower its voltage is pulled. */
export interface BenchSupply {
  readonly setV: number
  readonly limitA: number
  readonly foldback: boolean
  /** of the leads [ohm] */
  readonly leadOhm: number
}

export interface SupplyInput {
  /** current of the load at a voltage at its terminals [A], rising with it */
  readonly drawA: (terminalV: number) => number
}
export interface SupplyOutput {
  /** at the set [V] */
  readonly setV: number
  /** at the supply's own terminals [V] */
  readonly terminalV: number
  readonly currentA: number
  readonly limiting: boolean
}

/** At no voltage a folding supply still gives this share of its limit. */
const FOLDED_SHARE = 0.4

/** Voltage and current where supply and load agree. */
export const benchSupply = memoryless(
  'bench supply',
  ({ setV, limitA, foldback, leadOhm }: BenchSupply, { drawA }: SupplyInput): SupplyOutput => {
    const limitAt = (v: number) =>
      foldback ? limitA * (FOLDED_SHARE + ((1 - FOLDED_SHARE) * v) / Math.max(setV, 1e-9)) : limitA
    const freeV = solve(v => v + leadOhm * drawA(v) - setV, setV)
    const freeA = drawA(freeV)
    if (freeA <= limitAt(setV)) return { setV: freeV, terminalV: setV, currentA: freeA, limiting: false }
    const heldV = solve(v => drawA(v) - limitAt(v + leadOhm * drawA(v)), setV)
    const currentA = drawA(heldV)
    return { setV: heldV, terminalV: heldV + leadOhm * currentA, currentA, limiting: true }
  },
)

/** Root of a rising function in 0..top; the top when it is not reached. */
function solve(rising: (v: number) => number, topV: number): number {
  return rising(topV) <= 0 ? topV : boundaryOf(0, topV, v => rising(v) <= 0)
}

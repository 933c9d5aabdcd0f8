import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'
import type { Frequencies } from './frequencies'
import type { Transmission } from './transmit'

/** Everything that was computed on the way; the parts of the truth are made from it. */
export interface RigSolution {
  readonly design: RigDesign
  readonly state: RigState
  readonly at: At
  readonly f: Frequencies
  readonly locked: boolean
  readonly lockS: number
  readonly controlV: number | null
  readonly tx: Transmission
  readonly plate: { readonly plateA: number; readonly plateV: number; readonly tankHeatW: number } | null
  readonly supplyV: number
  readonly supplyA: number
  readonly limiting: boolean
}

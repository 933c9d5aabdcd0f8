import type { Quantity } from '../../quantity'
import type { MeasurePoint } from './measurePoint'

/** A condition on all points of a step together. */
export type StepCriterion =
  | { readonly kind: 'spread'; readonly quantity: Quantity; readonly maxDb: number }
  | {
      readonly kind: 'peak'
      readonly quantity: Quantity
      readonly gainDb: number
      /** no value = the largest; a plate dip is the smallest */
      readonly seek?: 'largest' | 'smallest'
    }

/**
 * What the hands do that is no reading: keys in time, a key held until the set says so, off and on, a value
 * that falls back by itself.
 */
export type StepAction =
  | {
      readonly kind: 'keys'
      readonly words: string
      readonly keys: readonly string[]
      /** for the whole sequence [s] */
      readonly withinS: number
    }
  | { readonly kind: 'hold'; readonly words: string; /** at least so long [s] */ readonly holdS: number }
  | {
      readonly kind: 'power-cycle'
      readonly words: string
      /** menu entries to be read again afterwards */
      readonly reread: readonly string[]
    }
  | { readonly kind: 'reverts'; readonly words: string }

/** How an idle current is set: device by device, what each may burn. */
export interface BiasRule {
  /** by rise of the supply current over that without bias, by the stage's own current, or by gate voltage */
  readonly by: 'rise' | 'stage-current' | 'gate-voltage'
  /** devices, one set after the other; two or more are compared */
  readonly devices: readonly string[]
  /** supply of the stage [V]; a valve stage has its plate voltage */
  readonly stageV: number
  /** what one device may burn continuously [W] */
  readonly mostW: number
  /** one tick of the panel meter [A]; null = read in figures */
  readonly tickA: number | null
}

export interface Step {
  readonly id: string
  readonly title: string
  readonly instruction: string
  readonly why: string
  readonly cautions: readonly string[]
  readonly points: readonly MeasurePoint[]
  readonly criterion: StepCriterion | null
  /** designators, in the order in which they are turned */
  readonly adjusters: readonly string[]
  /** steps that must be current first */
  readonly needs: readonly string[]
  /** a step whose current reading inside its tolerance makes this one unnecessary */
  readonly skipIf: string | null
  /** its outcome only chooses the way: outside is an answer, not a failure */
  readonly decides: boolean
  /** longest key-down [s]; null = not keyed */
  readonly keyDownLimitS: number | null
  readonly actions?: readonly StepAction[]
  readonly bias?: BiasRule
}

import type { TargetSpec } from '../modelSheet'

/** 2 ppm of the reference (workshop sheet). */
export const REFERENCE: TargetSpec = {
  kind: 'nominal-error',
  nominalHz: 10_240_000,
  lowHz: -20.48,
  highHz: 20.48,
  aimHz: 0,
}
/** A control that reaches down so far has no low position of which a rule could speak. */
export const LOWEST = 'lowest end'

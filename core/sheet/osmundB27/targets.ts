import type { TargetSpec } from '../modelSheet'

/** 2 ppm of the reference (workshop sheet). */
export const REFERENCE: TargetSpec = {
  kind: 'nominal-error',
  nominalHz: 10_240_000,
  lowHz: -20.48,
  highHz: 20.48,
  aimHz: 0,
}

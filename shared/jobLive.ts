import { string, uuid, type InferType } from '#shared/yup'
import { closed } from './sheet/fields'

/**
 * Where somebody is in a run: another screen of the same run can follow. screen = who tells it, so that
 * nobody follows himself.
 */
export const runPositionBody = closed({
  stepId: string().max(20).required(),
  pointId: string().max(40).required(),
  screen: uuid(),
})
export type RunPosition = InferType<typeof runPositionBody>

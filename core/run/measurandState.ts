import type { Judgement } from '../rules'
import type { MeasurePoint, Measurand } from '../sheet'
import type { Requirement } from './judgeReading'
import type { TakenReading } from './takenReading'

/**
 * One measurand of a step: its requirement, the latest reading that was not struck out, and its judgement.
 */
export interface MeasurandState {
  readonly point: MeasurePoint
  readonly want: Measurand
  readonly requirement: Requirement
  readonly latest: TakenReading | null
  readonly judgement: Judgement | null
}

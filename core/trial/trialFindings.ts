import type { RuleSet } from '../rules'
import { gains, perDevice, type Gain, type PerDevice } from './amplifier'
import {
  efficiency,
  metersOnCarrier,
  notTrueAverage,
  type Efficiency,
  type MetersOnCarrier,
  type NotTrueAverage,
} from './average'
import { changes, type Change } from './change'
import { neighbours, type Neighbours } from './neighbours'
import { notSameDepth, peaksByDepth, type NotSameDepth, type PeakByDepth } from './peak'
import type { Trial } from './trials'

export type TrialFinding =
  | PeakByDepth
  | NotSameDepth
  | NotTrueAverage
  | MetersOnCarrier
  | Efficiency
  | Change
  | Gain
  | PerDevice
  | Neighbours

/**
 * What the readings of one trial say, with its bare carrier, the trial before it and those like it.
 * @param all trials of the job, in order
 */
export function trialFindings(trial: Trial, all: readonly Trial[], rules: RuleSet): TrialFinding[] {
  const earlier = all.slice(0, trial.number - 1)
  return [
    ...metersOnCarrier(trial),
    ...gains(trial, earlier),
    ...peaksByDepth(trial),
    ...notSameDepth(trial, earlier),
    ...notTrueAverage(trial),
    ...changes(trial),
    ...perDevice(trial),
    ...efficiency(trial),
    ...neighbours(trial, rules),
  ]
}

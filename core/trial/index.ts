// What trials of a demonstration say, by themselves and side by side
export { figureIn, readIn, trialsOf, type Trial } from './trials'
export type { NotSameDepth, PeakByDepth } from './peak'
export type { Efficiency, MetersOnCarrier, NotTrueAverage } from './average'
export type { Change } from './change'
export type { Gain, PerDevice } from './amplifier'
export type { Neighbours } from './neighbours'
export { trialFindings, type TrialFinding } from './trialFindings'

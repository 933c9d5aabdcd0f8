// What can happen
export { JOB_EVENT_KINDS, PHASES, type AdjusterTurned, type HandedOver, type ItemSettled, type JobEvent, type NoteMade, type Phase, type ReadingStruck, type RowConditions, type RowTaken, type StepConfirmed, type StepReopened } from './jobEvent'
export * from './workEvent'
export * from './runEvent'
// What follows from it
export { canBeStruck, standing } from './standing'
export { jobSheet, keyDownTotals } from './jobSheet'
export { history, type History, type TakenReading, type Turn } from './history'
export { missingNeeds, runState, type Next, type NextReason, type RunState } from './runState'
export type { StepState, StepStatus, WantState } from './stepState'
export type { CriterionState } from './criterion'
export { compareMatrix, matrixState, type CellState, type ComparedCell, type RowState } from './matrixState'
export { WARM_S, comparability, type Difference } from './comparability'
export { openItems, type OpenItem } from './openItems'
export { bandBalance, type BandBalance } from './bandBalance'
// Before and while keying
export { asked, judgeAsked, type Asked } from './judgeReading'
export { forecast, zoneSides, type Forecast } from './forecast'
export { KEYED_ABOVE_W, NOT_KEYED, keyDownStep, keyDownView, type KeyDown, type KeyDownView } from './keyDown'
// While a core is turned
export { NEW_GUIDE, guided, type PeakGuide, type PeakLook, type PeakWord } from './peaking'

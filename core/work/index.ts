// The whole job
export { matchRead, type MatchRead } from './antennaMatch'
export { isolation, type IsolationFinding, type IsolationTry } from './isolation'
export { jobState, type JobState } from './jobState'
export { STAGES, asksFor, nextStage, stagesAhead, stagesOfKind, type Stage } from './stages'
// Before measuring
export {
  ISOLATION_ORDER,
  firstPowerPlan,
  idleOutcome,
  lastPower,
  partsOut,
  powerVerdict,
  type FirstPowerPlan,
  type PowerVerdict,
} from './firstPower'
export { inspection, plannedWork, reminders, type InspectedItem, type Reminder } from './inspection'
export { LIMITER_ITEM, inspectionItems, type InspectionItem } from './inspectionItems'
export { REMINDER_CONDITIONS, conditionOf, type ReminderCondition } from './reminderConditions'
export { startPositions, type StartPosition } from './positions'
export { testsMade } from './testsMade'
export { bandsWithout, cardControls, isTunedByBand, settingsCard, type CardLine } from './settingsCard'
// Asking and waiting
export { questions, waits, waitsFor, type Question, type Wait, type WaitsFor } from './waiting'
// Mending
export { lotHistory, type LotHistory } from './partLot'
export { WORK_LOGGED, workLog, type WorkEntry, type WorkLogged } from './workLog'
export { partFigureUnit, showFigure, typedFigure } from './partFigures'
export { partTestPlan, type PartTestPlan } from './partKinds'
export {
  figureInside,
  gainOfOtherDie,
  partVerdict,
  rfRead,
  testEfficiency,
  type PartVerdict,
} from './partTest'
export { biasBeforeKey, owedAfterFinal, type Owed } from './afterFinal'
export { warnings, type Warning } from './warnings'
// Proving
export { runningSoak, soaks, type Soak } from './soak'
export { LOG_EVERY_MS, soakLog, soakPoint, type SoakLog, type SoakReading } from './soakLog'
// The bench as a whole
export { latestStart, outlook, runsInto, type BlockedPeriod, type Outlook } from './promise'
export { nextUseful, type BenchJob, type Suggestion } from './nextUseful'
export { overlapMinutes, onSinceMs, warmMinutes, warmUp, type WarmUp } from './warmUp'
export { isPreferred, partDoubts, partValueIn, type PartDoubt, type PartValue } from './partValue'

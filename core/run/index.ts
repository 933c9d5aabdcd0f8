// What can happen
export {
  JOB_EVENT_KINDS,
  PHASES,
  type AdjusterTurned,
  type HandedOver,
  type ItemSettled,
  type ItemsSettled,
  type JobEvent,
  type NoteMade,
  type Phase,
  type ReadingStruck,
  type RowConditions,
  type RowTaken,
  type StepConfirmed,
  type StepReopened,
  WITH_READINGS,
} from './jobEvent'
export type { Author, EventBase } from './eventBase'
export * from './partTested'
export * from './trialNoted'
export { putBackItem } from './altered'
export { rowGains, type RowGain } from './rowGain'
export * from './workEvent'
export * from './runEvent'
export * from './jobChange'
// What follows from it
export { asOfTrainee, awaitingRelease, mayTraineeEnter } from './release'
export { STRIKE_REASONS, TAKEN_AGAIN, canBeStruck, validEvents } from './validEvents'
export { withdrawal } from './withdrawal'
export { jobSheet, jobSheets, keyDownTotals, type JobSheets } from './jobSheet'
export { fittingEntry, unfittingEntries } from './fittingEntry'
export { cameAs, entriesOfSheet, isOfASheet, sheetsUsed } from './modelChange'
export { USUAL_JOB_KIND, jobKindOf, lastMending } from './jobKind'
export { history, struckReasons, type History } from './history'
export type { TakenReading } from './takenReading'
export type { Turn } from './staleBy'
export type { TurnQuestion } from './inferredTurns'
export { MAX_PLATE_RATIO, plateInputs, type PlateInput } from './plateInput'
export { unmoved, type Unmoved } from './unmoved'
export { missingNeeds, runState, type Next, type NextReason, type RunState } from './runState'
export { STATUS_CODES, leavesAlone, type StepState, type StepStatus } from './stepState'
export type { MeasurandState } from './measurandState'
export type { CriterionState } from './criterion'
export { compareMatrix, matrixState, type CellState, type ComparedCell, type RowState } from './matrixState'
export { isLessBetter, levelChange, type LevelChange } from './levelChange'
export { speechReadings, tonesByPep, type SpeechReading } from './speech'
export { panelMeter, type PanelMeter } from './panelMeter'
export { powerRanges, type PowerRange } from './powerRange'
export { comparability, physicalDifferences, type Difference } from './comparability'
export { openItems, type Asked, type OpenItem, type Unsettled } from './openItems'
export { ITEM_GROUPS, itemGroups, type CommonKind, type ItemGroup, type ItemLine } from './itemGroups'
export { settlements, type Settlement } from './settlement'
// Before and while keying
export { requirementOf, judgeRequirement, type Requirement } from './judgeReading'
export { decidingRange, type DecidingRange } from './decidingRange'
export { forecast, zoneSides, type Forecast } from './forecast'
export {
  KEYED_ABOVE_W,
  NO_SIGNS,
  isReadable,
  keyedBy,
  sensesKey,
  needsOf,
  rowObstacle,
  type KeySigns,
  type KeyedBy,
  type RfSeen,
  type RowObstacle,
} from './keying'
export {
  NOT_KEYED,
  keyDownStep,
  keyDownView,
  shortestKeyDownS,
  restOf,
  type KeyDown,
  type KeyDownView,
  type Rest,
} from './keyDown'
// Which guide fits a step
export {
  balanceView,
  lastCode,
  lawGuide,
  menuEntry,
  menuGoal,
  originalCode,
  untouchedCode,
  seeksPeak,
  settingTarget,
  type BalanceView,
  type SettingTarget,
} from './coach'
// While a core is turned
export {
  NEW_GUIDE,
  PEAKED,
  generatorAdvice,
  guided,
  peakKey,
  peakLevel,
  peakQuantities,
  resumedGuide,
  type PeakGuide,
  type PeakLook,
  type PeakWord,
  type PeakedQuantity,
} from './peaking'
export { balanceMove, passSpread, type BalanceMove, type BandPass, type CoilTurns } from './balance'
export { bandRounds } from './balance/bandRounds'
export {
  NEW_SETTING,
  settingAdvice,
  settingScale,
  settingStep,
  type SettingAdvice,
  type SettingGuide,
} from './setting/settingGuide'
export {
  lawAdvice,
  menuReadings,
  menuState,
  proposeCode,
  type LawAdvice,
  type MenuGoal,
  type MenuProposal,
  type MenuReading,
  type MenuState,
} from './menu'
export { biasState, type BiasDevice, type BiasState } from './bias/biasState'
export { panelTickA, ticksToAmperes } from './bias/ticks'
export { beatAdvice, type BeatAdvice } from './setting/zeroBeat'
// Time and heat
export {
  driftLimit,
  driftSamples,
  fitDrift,
  isFrequencyStep,
  slowIn,
  warmGate,
  type DriftFit,
  type DriftSample,
  type DriftSources,
  type WarmGate,
} from './warmth'
// Undisturbed readings
export {
  currentStretch,
  stretchNames,
  stretches,
  type Circumstances,
  type Stretch,
  type StretchNames,
  type WatchedSample,
} from './stretch'
export { COLD, heatStep, heatView, type Heat, type HeatView } from './heat'
// Which oscillator
export {
  ageingOffset,
  attribute,
  leftSo,
  schemeNominalHz,
  schemeReadings,
  schemeRow,
  schemeUnknowns,
  type Attributed,
  type SchemeReading,
  type LeftSo,
  type Shift,
} from './attribution'

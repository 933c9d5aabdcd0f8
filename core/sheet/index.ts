// The shape of a sheet
export { AUDIOS, COVERAGES, type Audio, type Coverage } from './modelSheet'
export { SET_KINDS, kindHas, kindInfo, type KindInfo, type KindPart, type SetKind } from './kinds'
export type { MenuLaw } from './modelSheet'
export { ADJUSTER_KINDS, ADJUSTER_ROLES, BOARD_SIDES, MENU_LAWS, RAISED_BY } from './modelSheet'
export type {
  Adjuster,
  AdjusterKind,
  AdjusterRole,
  BiasRule,
  BoardPicture,
  BoardPosition,
  BoardSide,
  MeasurePoint,
  MixedFrequency,
  MixingScheme,
  ModelSheet,
  Oscillator,
  OwedItem,
  OwnInspectionItem,
  PowerControl,
  SetState,
  SpecLine,
  Step,
  StepAction,
  StepCriterion,
  TargetSpec,
  TestPoint,
  TypicalFault,
  Measurand,
} from './modelSheet'
export { BOARD_DRAWINGS, PLAIN_ASPECT, drawingOf, type BoardDrawing, type DrawnPart } from './drawings'
// The sheets there are
export { SHEETS, modelSheet } from './sheets'
export { operatingPoint, sameConditions, type OperatingPoint } from './operatingPoint'
export { NO_DRIFT_LIMIT, actsOn, applySchools, schoolOf } from './schools/applySchools'
export { SCHOOLS } from './schools/schools'
export type { School, SchoolChoices } from './schools/school'
export { isUnmodulated, modulationOf, withoutAudioWords, type AudioAt, type Modulation } from './audio'
export { isFullPower, isLeastPower, sameControls, samePower, type PowerAt } from './controls'
export { adjusterOf, entriesByState, entryOfPoint, holdsEntry, menuFormatOf, pointOf, stepOf } from './lookup'
// Written, corrected, put in order
export * from './authoring'
export { blankSheet } from './templates/blankSheet'
export {
  SET_FAMILIES,
  SHEET_TEMPLATES,
  TO_BE_FOUND,
  fromTemplate,
  type SheetTemplate,
} from './templates/templates'
// What follows from them
export { resolveTarget, type ReadingOf, type ResolvedTarget } from './resolveTarget'
export { SPEECH_HZ, receiverTest, type GeneratorModulation, type ReceiverTest } from './receiverTest'
export { GOES_STALE, isOfReceiver, topicOf } from './staleness'
export { USUAL_KEY_DOWN_S } from './stepBase'

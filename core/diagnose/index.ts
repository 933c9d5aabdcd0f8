// What cannot be true
export {
  FULL_DEPTH,
  STATEMENTS,
  challenges,
  checkStatement,
  detectionDb,
  minAudibleV,
  minSensitivityV,
  maxSinadDb,
  plausibleForms,
  sheetContradictions,
  statementKind,
  type Challenge,
  type CheckedStatement,
  type MeterScale,
  type RowUnderDoubt,
  type SheetContradiction,
  type StatementKind,
} from './plausibility'
export {
  challengedInRow,
  challengedReadings,
  type ChallengedReading,
  type DoubtContext,
} from './context/rowContext'
// What it comes from, and what to try next
export { diagnose, type Diagnosis, type DomainFinding } from './causes/diagnose'
export { CAUSES, causeOf } from './causes/catalogue'
export { OBSERVABLES, observableOf } from './causes/observables'
export type { Cause } from './causes/cause'
export type { Domain, Evidence, Observable, OutcomeProbabilities, TestMade } from './causes/observable'
export type { ConfirmedBefore, RankedCause, Weighing } from './causes/rank'
export type { NextTest } from './causes/nextTest'

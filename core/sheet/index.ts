// The shape of a sheet
export { COVERAGES, type Coverage } from './modelSheet'
export type { Adjuster, AdjusterRole, MeasurePoint, ModelSheet, OwedItem, SetKind, SetState, SpecLine, Step, StepCriterion, TargetSpec, Want } from './modelSheet'
// The sheets there are
export { SHEETS, modelSheet } from './sheets'
export { conditionsAsked, sameConditions, type ConditionsAsked } from './conditionsAsked'
export { applySchools, schoolOf } from './schools/applySchools'
export { SCHOOLS } from './schools/schools'
export type { School, SchoolChoices } from './schools/school'
export { sheetOf } from './sheetOf'
export { adjusterOf, pointOf, stepOf } from './lookup'
// What follows from them
export { resolveTarget, type ReadingOf, type ResolvedTarget } from './resolveTarget'
export { GOES_STALE, isOfReceiver, topicOf, type Topic } from './staleness'

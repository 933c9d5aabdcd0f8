export { amended, type FieldChange } from './amend'
export { changePlan } from './changePlan'
export { checkSheet } from './checkSheet'
export { SHEET_PROBLEMS, type SheetLocation, type SheetProblem, type SheetProblemCode } from './sheetProblem'
export { compareSheets, type SheetDifference } from './compareSheets'
export { mergeSheets, taking, type SheetConflict, type SheetMerge } from './mergeSheets'
export {
  adjusterReferences,
  stepReferences,
  withAdjusterRenamed,
  withStepRenamed,
  withoutAdjuster,
  withoutStep,
  type SheetReference,
} from './references'
export {
  CORRECTABLE_FIELDS,
  fieldAddress,
  fieldKind,
  fieldPath,
  fieldValue,
  withField,
  type FieldAddress,
  type FieldKind,
  type FieldPart,
  type FieldValue,
} from './field'
export { comesAfter, cycleIn, inOrder, levels, moveStep, type MoveRefused } from './order'
export { mirrored, suggestions, twins, type Suggestion } from './suggest'

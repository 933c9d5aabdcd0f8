export { amended, type FieldChange } from './amend'
export {
  SHEET_PROBLEMS,
  checkSheet,
  type SheetLocation,
  type SheetProblem,
  type SheetProblemCode,
} from './checkSheet'
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

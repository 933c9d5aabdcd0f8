export { amended, type LineChange } from './amend'
export {
  SHEET_PROBLEMS,
  checkSheet,
  type SheetPlace,
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
  LINE_FIELDS,
  lineAddress,
  lineKind,
  lineOf,
  lineValue,
  withLine,
  type LineAddress,
  type LineKind,
  type LinePart,
  type LineValue,
} from './line'
export { comesAfter, cycleIn, inOrder, levels, moveStep, type MoveRefused } from './order'
export { mirrored, suggestions, twins, type Suggestion } from './suggest'

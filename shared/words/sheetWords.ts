import { t, type MessageCode, translated } from '#shared/i18n'
import type {
  AdjusterKind,
  FieldValue,
  MoveRefused,
  SheetDifference,
  SheetLocation,
  SheetProblem,
  StepAction,
} from '#core/sheet'
import { fieldAddress } from '#core/sheet'

const LOCATION_WORDS: Readonly<Record<SheetLocation['kind'], MessageCode>> = {
  'sheet': 'sheet.locationSheet',
  'as-found': 'sheet.locationAsFound',
  'procedure': 'sheet.locationProcedure',
  'adjuster': 'sheet.locationAdjuster',
  'step': 'sheet.locationStep',
  'row': 'sheet.locationRow',
  'test-point': 'sheet.locationTestPoint',
  'oscillator': 'sheet.locationOscillator',
  'frequency': 'sheet.locationFrequency',
  'school': 'sheet.locationSchool',
}

/** "step A1.3, row twenty" */
function locationWords({ kind, name, row }: SheetLocation): string {
  const words = t(LOCATION_WORDS[kind], { name: name ?? '' }).trim()
  return row === null ? words : `${words}, ${t('sheet.locationRow', { name: row })}`
}

/** What is wrong with a sheet, where, and what to do about it. */
export function sheetProblemWords({ code, at: location, names }: SheetProblem): string {
  const at = locationWords(location)
  const what = names.join(', ')
  switch (code) {
    case 'named-twice':
      return t('sheet.thisNameOccursTwiceRenameOne', { at })
    case 'unknown-adjuster':
      return t('sheet.adjusterDoesNotExistAddIt', { at, what })
    case 'unknown-step':
      return t('sheet.stepDoesNotExistAddIt', { at, what })
    case 'unknown-point':
      return t('sheet.rowToCompareWithDoesNot', { at, what })
    case 'needs-later':
      return t('sheet.dependsOnWhichComesLaterMove', { at, what })
    case 'waits-for-itself':
      return t('sheet.loopProblem', { list: names.join(' \u2192 '), name: names[0] })
    case 'unknown-channel':
      return what
        ? t('sheet.channelIsNotInTheChannel', { at, what })
        : t('sheet.aChannelErrorNeedsAChannel', { at })
    case 'unknown-plan':
      return t('sheet.channelPlanDoesNotExist', { what })
    case 'unknown-quantity':
      return t('sheet.isNotAQuantity', { at, what })
    case 'no-points':
      return t('sheet.noRowIsMeasuredAddA', { at })
    case 'no-wants':
      return t('sheet.noQuantityIsMeasured', { at })
    case 'no-steps':
      return t('sheet.theProcedureHasNoSteps')
    case 'no-matrix':
      return t('sheet.noAsFoundRowsAddA')
    case 'window-upside-down':
      return t('sheet.theMinimumIsAboveTheMaximum', { at })
    case 'unknown-oscillator':
      return t('sheet.oscillatorIsNotInTheScheme', { at, what })
    case 'unknown-school':
      return t('sheet.optionDoesNotExist', { at, what })
    case 'not-measured-here':
      return t('sheet.itsConditionIsOnAQuantity', { at })
  }
}

export function moveRefusedWords({ moved, other, why }: MoveRefused): string {
  return why === 'needs-it'
    ? t('sheet.dependsOnSoItCannotCome', { title: moved.title, neededTitle: other.title })
    : t('sheet.dependsOnSoThatCannotCome', { title: other.title, neededTitle: moved.title })
}

const FIELD_WORDS: Readonly<Record<string, MessageCode>> = {
  name: 'sheet.nameField',
  where: 'sheet.whereItIs',
  turn: 'sheet.direction',
  tool: 'sheet.tool',
  moves: 'sheet.affects',
  caution: 'sheet.cautionField',
  board: 'sheet.positionOnTheBoard',
  title: 'sheet.titleField',
  instruction: 'sheet.instructionField',
  why: 'sheet.reason',
  adjusters: 'sheet.adjustersField',
  keyDownLimitS: 'sheet.longestKeyDown',
  expected: 'sheet.expectedField',
  value: 'sheet.valueField',
  points: 'sheet.rowsMeasuredField',
  needs: 'sheet.dependencies',
  order: 'sheet.order',
  wants: 'sheet.quantities',
  state: 'sheet.stateOfTheSet',
  criterion: 'sheet.condition',
  cautions: 'sheet.cautions',
  actions: 'sheet.manualAction',
  bias: 'sheet.bias',
  kind: 'sheet.kindField',
  role: 'sheet.roleInTheCircuit',
  skipIf: 'sheet.notNeededIf',
}
const named = (words: Readonly<Record<string, MessageCode>>, field: string) => {
  const code = words[field]
  return code ? t(code) : field
}
export const fieldWords = (field: string) => named(FIELD_WORDS, field)

/** A field as it is called: "CT2, where it is". */
export function fieldPathWords(path: string): string {
  const { part, id, field } = fieldAddress(path)
  return `${part === 'step' ? t('sheet.stepLine', { id }) : id}, ${fieldWords(field)}`
}

export function fieldValueWords(value: FieldValue): string {
  if (value === null) return t('sheet.nothing')
  if (Array.isArray(value)) return value.length === 0 ? t('sheet.none') : value.join(' ')
  if (typeof value === 'object' && 'x' in value)
    return t('sheet.acrossDown', {
      x: Math.round(value.x * 100),
      y: Math.round(value.y * 100),
      what: value.side === 'solder' ? t('sheet.onSolderSide') : '',
    })
  return typeof value === 'number' ? `${value} s` : translated(String(value))
}

const PART_WORDS: Readonly<Record<string, MessageCode>> = {
  sheet: 'sheet.sheet',
  adjusters: 'common.adjuster',
  testPoints: 'sheet.testPoint',
  matrix: 'sheet.asFoundRow',
  procedure: 'sheet.step',
  specification: 'sheet.specification',
  owed: 'sheet.outstanding',
  inspection: 'sheet.inspection',
  typicalFaults: 'sheet.typicalFault',
  boards: 'sheet.board',
  schools: 'sheet.workshopPractice',
}
export function differenceName({ part, name, field }: SheetDifference): string {
  return [named(PART_WORDS, part), name, fieldWords(field)].filter(Boolean).join(' ')
}

export const ADJUSTER_KIND_WORDS: Readonly<Record<AdjusterKind, MessageCode>> = {
  'trimmer': 'sheet.trimmer',
  'core': 'sheet.core',
  'preset': 'sheet.preset',
  'fixed-part': 'sheet.fixedPart',
  'menu-value': 'common.menuValue',
  'control': 'sheet.control',
}

export function actionWords(action: StepAction): string {
  switch (action.kind) {
    case 'keys':
      return t('sheet.keysWithin', {
        words: action.words,
        list: action.keys.join(', '),
        withinS: action.withinS,
      })
    case 'hold':
      return t('sheet.holdAtLeast', { words: action.words, holdS: action.holdS })
    case 'power-cycle':
      return action.reread.length === 0
        ? action.words
        : `${action.words} ${t('sheet.thenReadAgain', { list: action.reread.join(', ') })}`
    case 'reverts':
      return action.words
  }
}

/** How far a line can be trusted. */
export function confidenceWords(correctedOn: string | null, confirmed: number): string {
  const more = confirmed === 1 ? t('sheet.confirmedOnce') : t('sheet.confirmedTimes', { confirmed })
  const times = confirmed === 0 ? t('sheet.notConfirmedYet') : more
  return correctedOn === null ? times : t('sheet.correctedOn', { correctedOn, times })
}

import { t, type MessageCode, translated } from '#shared/i18n'
import type {
  AdjusterKind,
  FieldValue,
  MenuLaw,
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
  'band': 'sheet.locationBand',
  'power-control': 'sheet.locationPowerControl',
}

/** "step A1.3, row twenty" */
function locationWords({ kind, name, row }: SheetLocation): string {
  const words = t(LOCATION_WORDS[kind], { name: name ?? '' }).trim()
  return row === null ? words : `${words}, ${t('sheet.locationRow', { name: row })}`
}

interface ProblemAt {
  /** where it is, in words */
  readonly at: string
  readonly what: string
  readonly names: readonly string[]
}

/** What is wrong with a sheet, where, and what to do about it. */
const PROBLEM_WORDS: Readonly<Record<SheetProblem['code'], (p: ProblemAt) => string>> = {
  'named-twice': ({ at }) => t('sheet.thisNameOccursTwiceRenameOne', { at }),
  'unknown-adjuster': ({ at, what }) => t('sheet.adjusterDoesNotExistAddIt', { at, what }),
  'unknown-step': ({ at, what }) => t('sheet.stepDoesNotExistAddIt', { at, what }),
  'unknown-point': ({ at, what }) => t('sheet.rowToCompareWithDoesNot', { at, what }),
  'needs-later': ({ at, what }) => t('sheet.dependsOnWhichComesLaterMove', { at, what }),
  'waits-for-itself': ({ names }) => t('sheet.loopProblem', { list: names.join(' \u2192 '), name: names[0] }),
  'unknown-channel': ({ at, what }) =>
    what ? t('sheet.channelIsNotInTheChannel', { at, what }) : t('sheet.aChannelErrorNeedsAChannel', { at }),
  'no-bands': () => t('sheet.planHasNoBands'),
  'unnamed-band': () => t('sheet.bandHasNoName'),
  'empty-band': ({ at }) => t('sheet.bandIsEmpty', { at }),
  'not-on-raster': ({ at, what }) => t('sheet.notOnTheRaster', { at, what }),
  'too-many-channels': ({ what }) => t('sheet.tooManyChannels', { what }),
  'outside-band': ({ at, what }) => t('sheet.outsideTheBand', { at, what }),
  'mode-not-in-band': ({ at, what }) => t('sheet.modeNotInTheBand', { at, what }),
  'two-power-positions': ({ at }) => t('sheet.twoPowerPositions', { at }),
  'ends-of-control': ({ at }) => t('sheet.endsOfControl', { at }),
  'unknown-plan': ({ what }) => t('sheet.channelPlanDoesNotExist', { what }),
  'unknown-quantity': ({ at, what }) => t('sheet.isNotAQuantity', { at, what }),
  'no-points': ({ at }) => t('sheet.noRowIsMeasuredAddA', { at }),
  'no-wants': ({ at }) => t('sheet.noQuantityIsMeasured', { at }),
  'no-steps': () => t('sheet.theProcedureHasNoSteps'),
  'no-matrix': () => t('sheet.noAsFoundRowsAddA'),
  'window-upside-down': ({ at }) => t('sheet.theMinimumIsAboveTheMaximum', { at }),
  'unknown-oscillator': ({ at, what }) => t('sheet.oscillatorIsNotInTheScheme', { at, what }),
  'unknown-school': ({ at, what }) => t('sheet.optionDoesNotExist', { at, what }),
  'not-measured-here': ({ at }) => t('sheet.itsConditionIsOnAQuantity', { at }),
}

export function sheetProblemWords({ code, at, names }: SheetProblem): string {
  return PROBLEM_WORDS[code]({ at: locationWords(at), what: names.join(', '), names })
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
  adjuster: 'sheet.adjustersField',
  keyDownLimitS: 'sheet.longestKeyDown',
  expected: 'sheet.expectedField',
  value: 'sheet.valueField',
  points: 'sheet.rowsMeasuredField',
  needs: 'sheet.dependencies',
  order: 'sheet.order',
  wants: 'sheet.quantities',
  state: 'sheet.stateOfTheSet',
  isOptional: 'sheet.optionalRow',
  criterion: 'sheet.condition',
  cautions: 'sheet.cautions',
  actions: 'sheet.manualAction',
  bias: 'sheet.bias',
  kind: 'sheet.kindField',
  role: 'sheet.roleInTheCircuit',
  raisedBy: 'sheet.raisedBy',
  law: 'sheet.menuLaw',
  skipIf: 'sheet.notNeededIf',
  channels: 'sheet.channels',
  planId: 'sheet.channels',
  edgesHz: 'sheet.bandEdges',
  modes: 'sheet.bandModes',
  receiveOffsetHz: 'form.receiveOffset',
  ruleSetId: 'common.ruleSet',
  powerNames: 'sheet.powerControls',
  lowestPointId: 'sheet.lowestEnd',
  highestPointId: 'sheet.highestEnd',
  doneBy: 'sheet.doneByField',
}
const named = (words: Readonly<Record<string, MessageCode>>, field: string) => {
  const code = words[field]
  return code ? t(code) : field
}
export const fieldWords = (field: string) => named(FIELD_WORDS, field)

/** A field as it is called: "CT2, where it is". */
export function fieldPathWords(path: string): string {
  const { part, id, field } = fieldAddress(path)
  const holder = {
    step: t('sheet.stepLine', { id }),
    oscillator: t('sheet.locationOscillator', { name: id }),
  }
  return `${part === 'step' || part === 'oscillator' ? holder[part] : id}, ${fieldWords(field)}`
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
  bands: 'sheet.band',
  powerControls: 'form.powerControl',
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

export const LAW_WORDS: Readonly<Record<MenuLaw, MessageCode>> = {
  'assumed-clock': 'sheet.lawAssumedClock',
  'offset': 'sheet.lawOffset',
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

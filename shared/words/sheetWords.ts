import type {
  AdjusterKind,
  LineValue,
  MoveRefused,
  SetKind,
  SheetDifference,
  SheetProblem,
  StepAction,
} from '../../core/sheet'
import { lineAddress } from '../../core/sheet'

/** What is wrong with a sheet, where, and what to do about it. */
export function sheetProblemWords({ code, at, names }: SheetProblem): string {
  const what = names.join(', ')
  switch (code) {
    case 'named-twice':
      return `${at}: there are two of this name. Rename one.`
    case 'unknown-adjuster':
      return `${at}: there is no adjuster ${what}. Add it, or take it out here.`
    case 'unknown-step':
      return `${at}: there is no step ${what}. Add it, or take it out here.`
    case 'unknown-point':
      return `${at}: there is no row ${what} to compare with.`
    case 'needs-later':
      return `${at}: it needs ${what}, which stands after it. Move it behind, or put the steps in order.`
    case 'waits-for-itself':
      return (
        `The steps ${names.join(' \u2192 ')} \u2192 ${names[0]} wait ` +
        'for each other in a ring. Take one need away.'
      )
    case 'unknown-channel':
      return what
        ? `${at}: channel ${what} is not in the channel plan.`
        : `${at}: an error against the channel needs a channel.`
    case 'unknown-plan':
      return `There is no channel plan "${what}".`
    case 'unknown-quantity':
      return `${at}: "${what}" is no quantity.`
    case 'no-points':
      return `${at}: nothing is measured in it. Add a row.`
    case 'no-wants':
      return `${at}: it asks for no number.`
    case 'no-steps':
      return 'The procedure has no step.'
    case 'no-matrix':
      return 'Nothing is measured as found. Add a row, receiver included.'
    case 'window-upside-down':
      return `${at}: the lower bound lies above the upper one, or the aim outside.`
    case 'unknown-oscillator':
      return `${at}: there is no oscillator ${what} in the scheme.`
    case 'unknown-school':
      return `${at}: it has no side "${what}".`
    case 'not-measured-here':
      return `${at}: its condition is on a number that no row of it asks for.`
  }
}

export function moveRefusedWords({ moved, other, why }: MoveRefused): string {
  return why === 'needs-it'
    ? `"${moved.title}" needs "${other.title}" first, so it cannot stand before it.`
    : `"${other.title}" needs "${moved.title}" first, so that cannot stand after it.`
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
  name: 'name',
  where: 'where it is',
  turn: 'which way',
  tool: 'tool',
  moves: 'what it moves',
  caution: 'caution',
  board: 'place on the board',
  title: 'title',
  instruction: 'what to do',
  why: 'why',
  adjusters: 'adjusters',
  keyDownLimitS: 'longest key-down',
  expected: 'expected',
  value: 'value',
  points: 'rows measured',
  needs: 'needs',
  order: 'order',
  wants: 'numbers',
  state: 'state of the set',
  criterion: 'condition',
  cautions: 'cautions',
  actions: 'what the hands do',
  bias: 'bias',
  kind: 'kind',
  role: 'part in the circuit',
  skipIf: 'not needed if',
}
export const fieldWords = (field: string) => FIELD_WORDS[field] ?? field

/** A line as it is called: "CT2, where it is". */
export function lineWords(line: string): string {
  const { part, id, field } = lineAddress(line)
  return `${part === 'specification' ? id : part === 'step' ? `step ${id}` : id}, ${fieldWords(field)}`
}

export function lineValueWords(value: LineValue): string {
  if (value === null) return 'nothing'
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.join(' ')
  if (typeof value === 'object' && 'x' in value)
    return (
      `${Math.round(value.x * 100)} % across, ${Math.round(value.y * 100)} ` +
      `% down${value.side === 'solder' ? ', solder side' : ''}`
    )
  return typeof value === 'number' ? `${value} s` : String(value)
}

const PART_WORDS: Readonly<Record<string, string>> = {
  sheet: 'Sheet',
  adjusters: 'Adjuster',
  testPoints: 'Test point',
  matrix: 'As found, row',
  procedure: 'Step',
  specification: 'Specification',
  owed: 'Owed',
  inspection: 'Inspection',
  typicalFaults: 'Typical fault',
  boards: 'Board',
  schools: 'Schools',
}
export function differenceName({ part, name, field }: SheetDifference): string {
  return [PART_WORDS[part] ?? part, name, fieldWords(field)].filter(Boolean).join(' ')
}

export const KIND_WORDS: Readonly<Record<SetKind, string>> = {
  'fm-mobile': 'FM mobile',
  'am-mobile': 'AM mobile',
  'multimode': 'multimode',
  'menu-mobile': 'menu-set mobile',
  'high-power': 'high-power mobile',
  'hybrid-valve': 'hybrid valve transceiver',
  'cw-kit': 'CW kit',
  'menu-qrp': 'menu-driven QRP',
}
export const ADJUSTER_KIND_WORDS: Readonly<Record<AdjusterKind, string>> = {
  'trimmer': 'trimmer',
  'core': 'core',
  'preset': 'preset',
  'fixed-part': 'fixed part',
  'menu-value': 'menu value',
  'control': 'control',
}

export function actionWords(action: StepAction): string {
  switch (action.kind) {
    case 'keys':
      return `${action.words} ${action.keys.join(', ')}, within ${action.withinS} s`
    case 'hold':
      return `${action.words} At least ${action.holdS} s.`
    case 'power-cycle':
      return `${action.words}${action.reread.length > 0 ? ` Then read ${action.reread.join(', ')} again.` : ''}`
    case 'reverts':
      return action.words
  }
}

/** How far a line can be trusted. */
export function confidenceWords(correctedOn: string | null, confirmed: number): string {
  const times =
    confirmed === 0
      ? 'not confirmed yet'
      : confirmed === 1
        ? 'confirmed once'
        : `confirmed ${confirmed} times`
  return correctedOn === null ? times : `corrected on ${correctedOn}, ${times}`
}

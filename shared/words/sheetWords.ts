import type {
  AdjusterKind,
  LineValue,
  MoveRefused,
  SheetDifference,
  SheetProblem,
  StepAction,
} from '#core/sheet'
import { lineAddress } from '#core/sheet'

/** What is wrong with a sheet, where, and what to do about it. */
export function sheetProblemWords({ code, at, names }: SheetProblem): string {
  const what = names.join(', ')
  switch (code) {
    case 'named-twice':
      return `${at}: this name occurs twice. Rename one.`
    case 'unknown-adjuster':
      return `${at}: adjuster ${what} does not exist. Add it, or remove it here.`
    case 'unknown-step':
      return `${at}: step ${what} does not exist. Add it, or remove it here.`
    case 'unknown-point':
      return `${at}: row ${what} to compare with does not exist.`
    case 'needs-later':
      return (
        `${at}: depends on ${what}, which comes later. ` + 'Move it behind, or sort the steps by dependency.'
      )
    case 'waits-for-itself':
      return (
        `The steps ${names.join(' \u2192 ')} → ${names[0]} ` +
        'depend on each other in a loop. Remove one dependency.'
      )
    case 'unknown-channel':
      return what
        ? `${at}: channel ${what} is not in the channel plan.`
        : `${at}: a channel error needs a channel.`
    case 'unknown-plan':
      return `Channel plan "${what}" does not exist.`
    case 'unknown-quantity':
      return `${at}: "${what}" is not a quantity.`
    case 'no-points':
      return `${at}: no row is measured. Add a row.`
    case 'no-wants':
      return `${at}: no quantity is measured.`
    case 'no-steps':
      return 'The procedure has no steps.'
    case 'no-matrix':
      return 'No as-found rows. Add a row, receiver included.'
    case 'window-upside-down':
      return `${at}: the minimum is above the maximum, or the target is outside.`
    case 'unknown-oscillator':
      return `${at}: oscillator ${what} is not in the scheme.`
    case 'unknown-school':
      return `${at}: option "${what}" does not exist.`
    case 'not-measured-here':
      return `${at}: its condition is on a quantity that no row of it measures.`
  }
}

export function moveRefusedWords({ moved, other, why }: MoveRefused): string {
  return why === 'needs-it'
    ? `"${moved.title}" depends on "${other.title}", so it cannot come before it.`
    : `"${other.title}" depends on "${moved.title}", so that cannot come after it.`
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
  name: 'name',
  where: 'where it is',
  turn: 'direction',
  tool: 'tool',
  moves: 'affects',
  caution: 'caution',
  board: 'position on the board',
  title: 'title',
  instruction: 'instruction',
  why: 'reason',
  adjusters: 'adjusters',
  keyDownLimitS: 'longest key-down',
  expected: 'expected',
  value: 'value',
  points: 'rows measured',
  needs: 'dependencies',
  order: 'order',
  wants: 'quantities',
  state: 'state of the set',
  criterion: 'condition',
  cautions: 'cautions',
  actions: 'manual action',
  bias: 'bias',
  kind: 'kind',
  role: 'role in the circuit',
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
  owed: 'Outstanding',
  inspection: 'Inspection',
  typicalFaults: 'Typical fault',
  boards: 'Board',
  schools: 'Workshop practice',
}
export function differenceName({ part, name, field }: SheetDifference): string {
  return [PART_WORDS[part] ?? part, name, fieldWords(field)].filter(Boolean).join(' ')
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

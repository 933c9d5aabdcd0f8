import { message } from '../../message'
import { CoreError } from '../../errors'
import { kindHas } from '../kinds'
import type { MeasurePoint, ModelSheet, Step } from '../modelSheet'
import type { School, SchoolChoices } from './school'
import { SCHOOLS } from './schools'
import { inOrder } from './stepOrder'
import { wantBy } from './wantBy'

/** Key-down limit of every valve step by school S13 [s]. */
const KEY_DOWN_S: Readonly<Record<string, number>> = { a: 10, b: 20 }
/** A drift that nothing has: frequency is set at once (school S03) [Hz/min]. */
export const NO_DRIFT_LIMIT = 1e6
const TUNED_BY_POWER =
  'Drive as it stands, preselector and plate for the largest output power. ' +
  'The plate current stays within its limit.'
/** A pass that gains less has found the peak [dB] (common practice). */
const PEAK_GAIN_DB = 0.1
/** Generator level of S9 by school S24, pd into 50 ohm [V]. */
const S9_V: Readonly<Record<string, number>> = { a: 100e-6, b: 50e-6 }

/** @throws {CoreError} unknown-item: no such school, or no such side of it */
export function schoolOf(id: string, optionId?: string): School {
  const school = SCHOOLS.find(s => s.id === id)
  if (!school) throw new CoreError('unknown-item', message('error.noSchool', { id }))
  if (optionId !== undefined && !school.options.some(o => o.id === optionId))
    throw new CoreError('unknown-item', message('error.noSchoolOption', { id, optionId }))
  return school
}

/**
 * A sheet as a shop of these schools works by it: only what it chose differs, everything else stays as the
 * sheet says.
 * @param choices of the job; a school that is not named follows the sheet
 */
export function applySchools(sheet: ModelSheet, choices: SchoolChoices): ModelSheet {
  if (Object.keys(choices).length === 0) return sheet
  const point = (p: MeasurePoint): MeasurePoint => ({
    ...p,
    state: stateBy(p, choices),
    wants: p.wants.map(w => wantBy(w, p, sheet, choices)),
  })
  return {
    ...sheet,
    ...gateBy(choices),
    matrix: sheet.matrix.map(point),
    procedure: inOrder(sheet.procedure, choices.S29).map(step =>
      tunedBy({ ...step, ...keyDownBy(step, sheet, choices), points: step.points.map(point) }, choices),
    ),
  }
}

/**
 * A plate dip is the same step by its output: the current stays its limit, and the largest power is what
 * it is tuned for (school S09).
 */
function tunedBy(step: Step, { S09 }: SchoolChoices): Step {
  if (S09 !== 'b' || !step.points.some(isDip)) return step
  return {
    ...step,
    instruction: TUNED_BY_POWER,
    criterion: { kind: 'peak', quantity: 'powerW', gainDb: PEAK_GAIN_DB },
    points: step.points.map(p =>
      isDip(p) ? { ...p, wants: [...p.wants, { quantity: 'powerW', target: null, judgeLimit: false }] } : p,
    ),
  }
}

/** A plate current that has an upper end only, and nothing beside it to tune by. */
function isDip({ state, wants }: MeasurePoint): boolean {
  return (
    state.keyed &&
    wants.some(w => w.quantity === 'plateA' && w.target?.kind === 'window' && w.target.window.low === null) &&
    !wants.some(w => w.quantity === 'powerW')
  )
}

function stateBy({ state, wants }: MeasurePoint, { S24 }: SchoolChoices): MeasurePoint['state'] {
  const levelV = S24 === undefined ? undefined : S9_V[S24]
  return levelV !== undefined && state.inputV !== null && wants.some(w => w.quantity === 'sMeter')
    ? { ...state, inputV: levelV }
    : state
}

/** Whoever measures at once, or when it has been used a while, is not held up. */
function gateBy({ S03 }: SchoolChoices): Pick<ModelSheet, 'driftLimitHzPerMin'> {
  return S03 === undefined || S03 === 'a' ? {} : { driftLimitHzPerMin: NO_DRIFT_LIMIT }
}

function keyDownBy(step: Step, sheet: ModelSheet, { S13 }: SchoolChoices): Pick<Step, 'keyDownLimitS'> {
  const limitS = S13 === undefined ? undefined : KEY_DOWN_S[S13]
  return {
    keyDownLimitS:
      step.keyDownLimitS !== null && kindHas(sheet.kind, 'valves') && limitS !== undefined
        ? limitS
        : step.keyDownLimitS,
  }
}

/** Whether a school has anything to change on a sheet: one that has not is no choice there. */
export function actsOn(sheet: ModelSheet, { id, options }: School): boolean {
  const before = JSON.stringify(applySchools(sheet, {}))
  return options.some(o => JSON.stringify(applySchools(sheet, { [id]: o.id })) !== before)
}

import { message } from '../../message'
import { CoreError } from '../../errors'
import { kindHas } from '../kinds'
import type { MeasurePoint, ModelSheet, Step, TargetSpec, Measurand } from '../modelSheet'
import type { School, SchoolChoices } from './school'
import { SCHOOLS } from './schools'

/**
 * Transmit frequency of crystal sets by school S01 [Hz about nominal]: exact is held as closely as the
 * workshop allows.
 */
const FREQUENCY: Readonly<Record<string, { lowHz: number; highHz: number; aimHz: number }>> = {
  a: { lowHz: -10, highHz: 10, aimHz: 0 },
  b: { lowHz: 0, highHz: 20, aimHz: 10 },
  c: { lowHz: -200, highHz: 200, aimHz: 0 },
}
/** Key-down limit of every valve step by school S13 [s]. */
const KEY_DOWN_S: Readonly<Record<string, number>> = { a: 10, b: 20 }
/** A drift that nothing has: frequency is set at once (school S03) [Hz/min]. */
export const NO_DRIFT_LIMIT = 1e6
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
    procedure: sheet.procedure.map(step => ({
      ...step,
      ...keyDownBy(step, sheet, choices),
      points: step.points.map(point),
    })),
  }
}

function wantBy(
  want: Measurand,
  { state }: MeasurePoint,
  sheet: ModelSheet,
  { S01 }: SchoolChoices,
): Measurand {
  const target = S01 === undefined ? undefined : FREQUENCY[S01]
  const isCrystalSet = kindHas(sheet.kind, 'crystals')
  if (
    !target ||
    !isCrystalSet ||
    want.target?.kind !== 'channel-error' ||
    (state.mode !== 'FM' && state.mode !== 'AM')
  )
    return want
  return { ...want, target: { ...want.target, ...target } satisfies TargetSpec }
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

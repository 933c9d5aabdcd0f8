import { kindHas } from '../kinds'
import type { Measurand, MeasurePoint, ModelSheet, TargetSpec } from '../modelSheet'
import type { SchoolChoices } from './school'

/**
 * Transmit frequency of crystal sets by school S01 [Hz about nominal]: exact is held as closely as the
 * workshop allows.
 */
const FREQUENCY: Readonly<Record<string, { lowHz: number; highHz: number; aimHz: number }>> = {
  a: { lowHz: -10, highHz: 10, aimHz: 0 },
  b: { lowHz: 0, highHz: 20, aimHz: 10 },
  c: { lowHz: -200, highHz: 200, aimHz: 0 },
}
/** Deviation by school S20 [Hz]. */
const DEVIATION: Readonly<Record<string, { low: number; high: number; aim: number }>> = {
  a: { low: 2300, high: 2500, aim: 2400 },
  b: { low: 1700, high: 2000, aim: 1900 },
}
/** Deviations above this belong to wider channels [Hz]. */
const NARROW_HZ = 2600
/** Carrier to aim at by school S28 [W]. */
const CARRIER_AIM_W: Readonly<Record<string, number>> = { b: 3.9, c: 4 }

/** What a row asks for in a shop of these schools. */
export function wantBy(
  want: Measurand,
  point: MeasurePoint,
  sheet: ModelSheet,
  choices: SchoolChoices,
): Measurand {
  return carrierBy(deviationBy(frequencyBy(want, point, sheet, choices), choices), point, choices)
}

/** The carrier is aimed elsewhere in the tolerance that the sheet gives it. */
function carrierBy(want: Measurand, { state }: MeasurePoint, { S28 }: SchoolChoices): Measurand {
  const aim = S28 === undefined ? undefined : CARRIER_AIM_W[S28]
  if (aim === undefined || want.quantity !== 'powerW' || want.target?.kind !== 'window') return want
  const { low, high } = want.target.window
  const isIn = low !== null && high !== null && low <= aim && aim <= high
  return isIn && state.keyed ? { ...want, target: { kind: 'window', window: { low, high, aim } } } : want
}

/** Of sets with a narrow deviation only: others have a plan of their own. */
function deviationBy(want: Measurand, { S20 }: SchoolChoices): Measurand {
  const window = S20 === undefined ? undefined : DEVIATION[S20]
  const isDeviation = want.quantity === 'deviationPositiveHz' || want.quantity === 'deviationNegativeHz'
  if (!window || !isDeviation || want.target?.kind !== 'window') return want
  const { low, high } = want.target.window
  const isNarrow = low !== null && high !== null && high <= NARROW_HZ
  return isNarrow ? { ...want, target: { kind: 'window', window } } : want
}

function frequencyBy(
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

import { numberForField, typedNumber } from '../quantity'
import type { PartFigureId } from '../run'
import { partValueIn } from './partValue'

/** How a figure of a part is read and shown: shown value = SI value x perSi. */
interface FigureUnit {
  readonly unit: string
  readonly perSi: number
  /** the largest that can be meant [SI] */
  readonly max: number
}

const UNITS: Readonly<Record<PartFigureId, FigureUnit>> = {
  'gate-threshold': { unit: 'V', perSi: 1, max: 50 },
  'forward-drop': { unit: 'V', perSi: 1, max: 50 },
  'cathode-current': { unit: 'mA', perSi: 1e3, max: 10 },
  'grid-current': { unit: '\u00b5A', perSi: 1e6, max: 0.1 },
  'capacitance': { unit: 'nF', perSi: 1e9, max: 10 },
  'series-resistance': { unit: '\u03a9', perSi: 1, max: 1e6 },
  'crystal-frequency': { unit: 'MHz', perSi: 1e-6, max: 1e9 },
}
/** Capacitors run over nine decades: each is shown as it is printed on the part. */
const FARADS: readonly FigureUnit[] = [
  { unit: 'pF', perSi: 1e12, max: 1e-9 },
  { unit: 'nF', perSi: 1e9, max: 1e-6 },
  { unit: '\u00b5F', perSi: 1e6, max: Infinity },
]

export const partFigureUnit = (figure: PartFigureId): FigureUnit => UNITS[figure]

/**
 * A figure as it is typed: a bare number in the unit of the field, or with the prefix of the part, "22 pF".
 * @returns SI; null where nothing was typed; NaN where it cannot be read
 */
export function typedFigure(text: string, figure: PartFigureId): number | null {
  const bare = typedNumber(text)
  if (bare === null) return null
  if (!Number.isNaN(bare)) return bare / UNITS[figure].perSi
  if (figure !== 'capacitance') return Number.NaN
  const written = partValueIn(/F\s*$/.test(text) ? text : `${text.trim()}F`)
  return written?.unit === 'F' ? written.value : Number.NaN
}

const unitFor = (value: number, figure: PartFigureId) =>
  figure === 'capacitance' ? (FARADS.find(u => value < u.max) ?? UNITS[figure]) : UNITS[figure]

/** One value as it was typed, with its unit, capacitors as they are printed: "22 pF", "0.31 V". */
export function showFigure(value: number, figure: PartFigureId): string {
  const { unit, perSi } = unitFor(value, figure)
  return `${numberForField(value * perSi)}\u2009${unit}`
}

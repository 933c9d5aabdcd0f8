/** Preferred values with 5 % tolerance. Source: IEC 60063, E24 (from memory). */
const E24 = [
  10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91,
] as const

/** A value as it is written on parts and drawings: 4k7, 47k, 0.1uF, 5.005 uF. */
export interface PartValue {
  readonly value: number
  readonly unit: 'ohm' | 'F' | 'H'
}

const PREFIX: Record<string, number> = {
  '': 1,
  'p': 1e-12,
  'n': 1e-9,
  'u': 1e-6,
  '\u00b5': 1e-6,
  '\u03bc': 1e-6,
  'm': 1e-3,
  'k': 1e3,
  'K': 1e3,
  'M': 1e6,
  'R': 1,
}
const WRITTEN =
  /(?:^|[\s:])(\d+(?:[.,]\d+)?)\s*([pnu\u00b5\u03bcmkKMR])?(\d+)?\s*(ohm|\u03a9|F|H)?(?=$|[\s,;])/u

/** The first component value in a text, or null when there is none: a bare number is a count, not a value. */
export function partValueIn(text: string): PartValue | null {
  const match = WRITTEN.exec(text)
  if (!match) return null
  const [, whole, prefix = '', fraction = '', unitText] = match
  if (!prefix && !unitText) return null
  const number = Number(fraction ? `${whole}.${fraction}` : whole!.replace(',', '.'))
  const unit = unitText === 'F' || unitText === 'H' ? unitText : 'ohm'
  return { value: number * PREFIX[prefix]!, unit }
}

/** Whether a value is one of the preferred ones (E24), so that it can be bought. */
export function isPreferred({ value }: PartValue): boolean {
  if (!(value > 0)) return false
  const digits = value / 10 ** (Math.floor(Math.log10(value) + 1e-9) - 1)
  return E24.some(e => Math.abs(digits / e - 1) < 1e-3)
}

/** What is odd about a part that replaces another (P30). */
export type PartDoubt =
  | { readonly kind: 'not-preferred'; readonly text: string }
  | { readonly kind: 'decade'; readonly factor: number }

/** A value outside the series, or a tenth or ten times of what came out: the drawing decides. */
export function partDoubts(partOut: string, partIn: string): PartDoubt[] {
  const [out, into] = [partValueIn(partOut), partValueIn(partIn)]
  const doubts: PartDoubt[] = into && !isPreferred(into) ? [{ kind: 'not-preferred', text: partIn }] : []
  if (!out || !into || out.unit !== into.unit || !(out.value > 0)) return doubts
  const decades = Math.log10(into.value / out.value)
  const isDecade = Math.abs(decades) > 0.5 && Math.abs(decades - Math.round(decades)) < 0.01
  return isDecade ? [...doubts, { kind: 'decade', factor: into.value / out.value }] : doubts
}

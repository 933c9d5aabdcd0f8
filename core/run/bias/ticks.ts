import type { ModelSheet } from '../../sheet'
import { CoreError } from '../../errors'

const TICKS = /^\s*(\d+(?:[.,]\d+)?)\s*t(?:icks?)?\s*$/i

/**
 * A needle read in ticks: "3 t" or "2.5 ticks".
 * @param tickA one tick [A]
 * @returns amperes, or null when the text is not in ticks
 * @throws {CoreError} out-of-range: a tick of no size
 * @example ticksToAmperes('3 t', 0.02) // => 0.06
 */
export function ticksToAmperes(text: string, tickA: number): number | null {
  if (!(tickA > 0)) throw new CoreError('out-of-range', 'a tick must be more than nought')
  const match = TICKS.exec(text)
  return match ? Number(match[1]!.replace(',', '.')) * tickA : null
}

/**
 * One division of the meter on the panel of the set, as its sheet has it.
 * @returns [A], null = the sheet does not say
 */
export function panelTickA({ procedure }: Pick<ModelSheet, 'procedure'>): number | null {
  return procedure.find(s => s.bias?.tickA)?.bias?.tickA ?? null
}

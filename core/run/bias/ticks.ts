import type { ModelSheet } from '../../sheet'
import { CoreError } from '../../errors'

const TICKS = /^\s*(\d+(?:[.,]\d+)?)\s*(?:t(?:icks?)?|div(?:isions?)?)\s*$/i

/**
 * A needle read in divisions of its scale: "3 t", "2.5 ticks" or "3 div".
 * @param tickA one division [A]
 * @returns amperes, or null when the text is not in divisions
 * @throws {CoreError} out-of-range: a division of no size
 * @example ticksToAmperes('3 t', 0.02) // => 0.06
 */
export function ticksToAmperes(text: string, tickA: number): number | null {
  if (!(tickA > 0)) throw new CoreError('out-of-range', `${tickA} A`)
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

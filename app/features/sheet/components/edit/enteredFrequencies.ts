import { numberForField, typedNumber } from '#core/quantity'
import { refuse } from '~/ui/enteredNumber'

/** Units of the field in one hertz. */
const MHZ = 1e-6

/** Frequencies as they stand in a field [MHz], apart by spaces: a comma may be the decimal sign. */
export const frequenciesForField = (frequenciesHz: readonly number[]): string =>
  frequenciesHz.map(hz => numberForField(hz * MHZ)).join('  ')

/**
 * Frequencies that were typed or pasted [MHz], apart by spaces, lines or semicolons.
 * @returns [Hz]; null = one of them is no frequency
 */
export function typedFrequencies(text: string): number[] | null {
  const typed = text
    .split(/[;\s]+/)
    .filter(Boolean)
    .map(typedNumber)
  return typed.every(mhz => mhz !== null && mhz > 0) ? typed.map(mhz => Math.round(mhz! / MHZ)) : null
}

/**
 * The frequencies that were typed into a field. Where one is none, the field says so and shows again what
 * stands in the record.
 */
export function enteredFrequencies(event: Event, standHz: readonly number[]): readonly number[] {
  const field = event.target as HTMLInputElement
  const typed = typedFrequencies(field.value)
  if (typed) return typed
  refuse(field, frequenciesForField(standHz))
  return standHz
}

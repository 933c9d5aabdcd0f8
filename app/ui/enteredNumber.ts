import { numberForField, typedNumber } from '#core/quantity'
import { t } from '#shared/i18n'

export interface NumberEntry {
  /** units of the field for one of the record: 1e6 where the record holds V and the field µV */
  readonly perSi?: number
  /** an empty field means something: no limit, no channel */
  readonly optional?: boolean
}

/**
 * The number that was typed into a field, in the unit of the record. Where it is none, the field says so and
 * shows again what stands in the record: nothing that was kept is lost, and nothing is guessed.
 * @param stands what the record holds [unit of the record]
 */
export function enteredNumber(
  event: Event,
  stands: number | null,
  { perSi = 1, optional = false }: NumberEntry = {},
): number | null {
  const field = event.target as HTMLInputElement
  const typed = typedNumber(field.value)
  if (typed === null && optional) return null
  if (typed !== null && !Number.isNaN(typed)) return typed / perSi
  refuse(field, numberForField(stands === null ? null : stands * perSi))
  return stands
}

/** Says that what was typed is no number, and shows again what stands in the record. */
export function refuse(field: HTMLInputElement, stands: string): void {
  const said = t('common.notANumberKept', { text: field.value })
  field.value = stands
  // A field of the design system keeps its own copy of the text.
  field.dispatchEvent(new Event('input'))
  field.setCustomValidity(said)
  field.reportValidity()
  field.addEventListener('input', () => field.setCustomValidity(''), { once: true })
}

/** As above, where the record cannot be without a number. */
export const enteredRequired = (event: Event, stands: number, perSi = 1): number =>
  enteredNumber(event, stands, { perSi }) ?? stands

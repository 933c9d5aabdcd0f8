import type { MessageCode } from '#shared/i18n'
import { QUANTITIES, type Quantity, numberForField, typedNumberOrNull } from '#core/quantity'
import type { TargetSpec } from '#core/sheet'

export type TargetKind = TargetSpec['kind'] | 'none'
export const TARGET_KINDS: readonly { readonly value: TargetKind; readonly title: MessageCode }[] = [
  { value: 'none', title: 'sheet.noTarget' },
  { value: 'window', title: 'sheet.between' },
  { value: 'channel-error', title: 'sheet.errorFromTheChannel' },
  { value: 'nominal-error', title: 'sheet.errorFromANominal' },
  { value: 'like-reading', title: 'sheet.likeAnotherReading' },
  { value: 'above-reading', title: 'sheet.aboveAnotherReading' },
]

/** A target as three numbers in the unit of the bench, with what they are told against. */
export interface TargetForm {
  readonly kind: TargetKind
  readonly low: string
  readonly high: string
  readonly aim: string
  readonly nominal: string
  readonly stepId: string
  readonly pointId: string
  /** of the reading that is followed */
  readonly of: Quantity
}

const shown = (value: number | null | undefined, perSi: number) =>
  numberForField(value === null || value === undefined ? null : value * perSi)

/**
 * Errors of frequency are told in Hz, ratios to another reading in %, everything else in the unit of the
 * quantity.
 */
export function toForm(target: TargetSpec | null, quantity: Quantity): TargetForm {
  const empty: TargetForm = {
    kind: 'none',
    low: '',
    high: '',
    aim: '',
    nominal: '',
    stepId: '',
    pointId: '',
    of: quantity,
  }
  return target === null
    ? empty
    : { ...empty, kind: target.kind, ...fieldsOf(target, QUANTITIES[quantity].perSi) }
}

/** What a target of its kind fills in. */
function fieldsOf(target: TargetSpec, perSi: number): Partial<TargetForm> {
  switch (target.kind) {
    case 'window':
      return triple(target.window.low, target.window.high, target.window.aim, perSi)
    case 'channel-error':
      return {
        ...triple(target.lowHz, target.highHz, target.aimHz, 1),
        nominal: shown(target.offsetHz, 1),
      }
    case 'nominal-error':
      return {
        ...triple(target.lowHz, target.highHz, target.aimHz, 1),
        nominal: shown(target.nominalHz, perSi),
      }
    case 'like-reading':
      return {
        low: shown(target.lowRatio, 100),
        high: shown(target.highRatio, 100),
        stepId: target.stepId,
        of: target.quantity,
      }
    case 'above-reading':
      return {
        ...triple(target.low, target.high, target.aim, perSi),
        stepId: target.stepId,
        pointId: target.pointId,
        of: target.quantity,
      }
  }
}
const triple = (low: number | null, high: number | null, aim: number | null | undefined, perSi: number) => ({
  low: shown(low, perSi),
  high: shown(high, perSi),
  aim: shown(aim, perSi),
})

const parsed = (text: string, perSi: number): number | null => {
  const value = typedNumberOrNull(text)
  return value === null ? null : value / perSi
}

/**
 * What the form says; a field that is empty or no number counts as open, or as zero where a number is
 * needed.
 */
export function fromForm(form: TargetForm, quantity: Quantity): TargetSpec | null {
  const { perSi } = QUANTITIES[quantity]
  const of = (text: string, scale: number) => parsed(text, scale) ?? 0
  const errorHz = { lowHz: of(form.low, 1), highHz: of(form.high, 1), aimHz: of(form.aim, 1) }
  switch (form.kind) {
    case 'none':
      return null
    case 'window':
      return {
        kind: 'window',
        window: {
          low: parsed(form.low, perSi),
          high: parsed(form.high, perSi),
          aim: parsed(form.aim, perSi),
        },
      }
    case 'channel-error':
      return {
        kind: 'channel-error',
        ...errorHz,
        ...(parsed(form.nominal, 1) === null ? {} : { offsetHz: of(form.nominal, 1) }),
      }
    case 'nominal-error':
      return {
        kind: 'nominal-error',
        nominalHz: of(form.nominal, perSi),
        ...errorHz,
      }
    case 'like-reading':
      return {
        kind: 'like-reading',
        stepId: form.stepId,
        quantity: form.of,
        lowRatio: of(form.low, 100),
        highRatio: of(form.high, 100),
      }
    case 'above-reading':
      return {
        kind: 'above-reading',
        stepId: form.stepId,
        pointId: form.pointId,
        quantity: form.of,
        low: of(form.low, perSi),
        high: of(form.high, perSi),
        aim: of(form.aim, perSi),
      }
  }
}

/** Unit of the three numbers. */
export function targetUnit(kind: TargetKind, quantity: Quantity): string {
  if (kind === 'channel-error' || kind === 'nominal-error') return 'Hz'
  return kind === 'like-reading' ? '%' : QUANTITIES[quantity].shownUnit
}

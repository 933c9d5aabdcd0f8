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
  const { perSi } = QUANTITIES[quantity]
  const empty = {
    kind: 'none' as TargetKind,
    low: '',
    high: '',
    aim: '',
    nominal: '',
    stepId: '',
    pointId: '',
    of: quantity,
  }
  switch (target?.kind) {
    case undefined:
      return empty
    case 'window':
      return {
        ...empty,
        kind: 'window',
        low: shown(target.window.low, perSi),
        high: shown(target.window.high, perSi),
        aim: shown(target.window.aim, perSi),
      }
    case 'channel-error':
      return {
        ...empty,
        kind: 'channel-error',
        low: shown(target.lowHz, 1),
        high: shown(target.highHz, 1),
        aim: shown(target.aimHz, 1),
        nominal: shown(target.offsetHz, 1),
      }
    case 'nominal-error':
      return {
        ...empty,
        kind: 'nominal-error',
        low: shown(target.lowHz, 1),
        high: shown(target.highHz, 1),
        aim: shown(target.aimHz, 1),
        nominal: shown(target.nominalHz, perSi),
      }
    case 'like-reading':
      return {
        ...empty,
        kind: 'like-reading',
        low: shown(target.lowRatio, 100),
        high: shown(target.highRatio, 100),
        stepId: target.stepId,
        of: target.quantity,
      }
    case 'above-reading':
      return {
        ...empty,
        kind: 'above-reading',
        low: shown(target.low, perSi),
        high: shown(target.high, perSi),
        aim: shown(target.aim, perSi),
        stepId: target.stepId,
        pointId: target.pointId,
        of: target.quantity,
      }
  }
}

const parsed = (text: string, perSi: number): number | null => {
  const value = typedNumberOrNull(text)
  return value === null ? null : value / perSi
}

/**
 * What the form says; a field that is empty or no number counts as open, or as nought where a number is
 * needed.
 */
export function fromForm(form: TargetForm, quantity: Quantity): TargetSpec | null {
  const { perSi } = QUANTITIES[quantity]
  const of = (text: string, scale: number) => parsed(text, scale) ?? 0
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
        lowHz: of(form.low, 1),
        highHz: of(form.high, 1),
        aimHz: of(form.aim, 1),
        ...(parsed(form.nominal, 1) === null ? {} : { offsetHz: of(form.nominal, 1) }),
      }
    case 'nominal-error':
      return {
        kind: 'nominal-error',
        nominalHz: of(form.nominal, perSi),
        lowHz: of(form.low, 1),
        highHz: of(form.high, 1),
        aimHz: of(form.aim, 1),
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

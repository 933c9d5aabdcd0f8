import { quantityLabel } from '#shared/words/quantityWords'
import { t, type MessageCode } from '#shared/i18n'
import {
  profileQuantity,
  steppedSummary,
  type SettingName,
  type SteppedPlan,
  type SteppedPoint,
} from '#core/instrument'
import { QUANTITIES, type Quantity, groupDigits } from '#core/quantity'
import type { Instrument } from '#shared/instrument'
import { profileOf } from '#shared/instrumentSetup'

export const SETTING_WORDS: Readonly<
  Record<SettingName, { readonly label: MessageCode; readonly unit: string; readonly perSi: number }>
> = {
  supplyV: { label: 'instruments.supply', unit: 'V', perSi: 1 },
  limitA: { label: 'instruments.currentLimit', unit: 'A', perSi: 1 },
  toneHz: { label: 'instruments.tone', unit: 'Hz', perSi: 1 },
  toneV: { label: 'instruments.audioLevel', unit: 'mV', perSi: 1000 },
  inputV: { label: 'instruments.generatorLevel', unit: '\u00b5V', perSi: 1e6 },
  inputHz: { label: 'instruments.generatorFrequency', unit: 'kHz', perSi: 1e-3 },
}

/** Instruments that can set a thing, and those that read one. */
export const settersOf = (items: readonly Instrument[], name: SettingName) =>
  items.filter(i => i.port !== null && profileOf(i).settings?.some(s => s.name === name))
export const readersOf = (items: readonly Instrument[], quantity: Quantity) =>
  items.filter(i => i.port !== null && profileQuantity(profileOf(i), quantity)?.query)

/** What a finished run says. */
export function summaryWords(plan: SteppedPlan, points: readonly SteppedPoint[]): string {
  const summary = steppedSummary(plan, points)
  if (!summary) return ''
  const { kind, value } = summary
  switch (kind) {
    case 'sinad-slope':
      return t('instruments.sinadChangesDbForEachDb', {
        value: groupDigits(value, 2),
        slope: slopeWords(value),
      })
    case 'power-exponent':
      return t('instruments.powerVariesAsTheVoltageTo', {
        value: groupDigits(value, 2),
        exponent: exponentWords(value),
      })
    default:
      return t('instruments.overTheLast10DbOf', {
        value: groupDigits(value * 100, 1),
        limiter: limiterWords(value),
      })
  }
}

function slopeWords(slope: number): string {
  if (slope >= 0.7) return t('instruments.asInAnyReceiver')
  return t('instruments.farLessThan1SoThe')
}

function exponentWords(exponent: number): string {
  if (exponent > 1.5) return t('instruments.anOutputStageDirectlyOnThe')
  return exponent < 0.5 ? t('instruments.regulated') : t('instruments.partlyRegulated')
}

function limiterWords(change: number): string {
  if (Math.abs(change) < 0.06) return t('instruments.theLimiterHolds')
  return change > 0.5 ? t('instruments.itFollowsTheAudioTheLimiter') : t('instruments.theLimiterPartlyHolds')
}

/** Rows for a spreadsheet, in the units of the bench. */
export function steppedCsv(plan: SteppedPlan, points: readonly SteppedPoint[]): (string | number)[][] {
  const set = SETTING_WORDS[plan.set]
  const read = QUANTITIES[plan.read]
  return [
    [
      `${t(set.label)} [${set.unit}]`,
      `${quantityLabel(plan.read)} [${read.shownUnit}]`,
      t('instruments.standardUncertainty', { shownUnit: read.shownUnit }),
    ],
    ...points.map(p => [
      p.set * set.perSi,
      p.value === null ? '' : p.value * read.perSi,
      p.standardUncertainty === null ? '' : p.standardUncertainty * read.perSi,
    ]),
  ]
}

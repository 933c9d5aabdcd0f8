import {
  profileQuantity,
  steppedSummary,
  type SettingName,
  type SteppedPlan,
  type SteppedPoint,
} from '#core/instrument'
import { QUANTITIES, type Quantity } from '#core/quantity'
import { profileOf, type Instrument } from '#shared/instrument'

export const SETTING_WORDS: Readonly<
  Record<SettingName, { readonly label: string; readonly unit: string; readonly perSi: number }>
> = {
  supplyV: { label: 'Supply', unit: 'V', perSi: 1 },
  limitA: { label: 'Current limit', unit: 'A', perSi: 1 },
  toneHz: { label: 'Tone', unit: 'Hz', perSi: 1 },
  toneV: { label: 'Audio level', unit: 'mV', perSi: 1000 },
  inputV: { label: 'Generator level', unit: '\u00b5V', perSi: 1e6 },
  inputHz: { label: 'Generator frequency', unit: 'kHz', perSi: 1e-3 },
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
      return `SINAD changes ${value.toFixed(2)} dB for each dB of level${slopeWords(value)}.`
    case 'power-exponent':
      return `Power varies as the voltage to the power of ${value.toFixed(2)}: ${exponentWords(value)}.`
    default:
      return (
        'Over the last 10 dB of drive the modulation changes by ' +
        `${(value * 100).toFixed(1)} %: ${limiterWords(value)}.`
      )
  }
}

function slopeWords(slope: number): string {
  if (slope >= 0.7) return ', as in any receiver'
  return ': far less than 1, so the receiver hears more than the generator (leakage, another path)'
}

function exponentWords(exponent: number): string {
  if (exponent > 1.5) return 'an output stage directly on the supply (2 is ideal)'
  return exponent < 0.5 ? 'regulated' : 'partly regulated'
}

function limiterWords(change: number): string {
  if (Math.abs(change) < 0.06) return 'the limiter holds'
  return change > 0.5 ? 'it follows the audio, the limiter does nothing' : 'the limiter partly holds'
}

/** Rows for a spreadsheet, in the units of the bench. */
export function steppedCsv(plan: SteppedPlan, points: readonly SteppedPoint[]): (string | number)[][] {
  const set = SETTING_WORDS[plan.set]
  const read = QUANTITIES[plan.read]
  return [
    [
      `${set.label} [${set.unit}]`,
      `${read.label} [${read.shownUnit}]`,
      `standard uncertainty [${read.shownUnit}]`,
    ],
    ...points.map(p => [
      p.set * set.perSi,
      p.value === null ? '' : p.value * read.perSi,
      p.standardUncertainty === null ? '' : p.standardUncertainty * read.perSi,
    ]),
  ]
}

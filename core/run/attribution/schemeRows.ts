import { message } from '../../message'
import { channelHz, planOf, type ChannelPlan } from '../../rules'
import { CoreError } from '../../errors'
import { pointOf, type MixedFrequency, type MixingScheme, type ModelSheet } from '../../sheet'
import type { History } from '../history'
import type { TakenReading } from '../takenReading'
import type { AttributionRow, Unknown } from './attribute'

/** Spread assumed of a reading whose instrument is not known [Hz]: a counter that resolves 10 Hz. */
const UNKNOWN_COUNTER_HZ = 10

/** A frequency that was read: which of the scheme, on which channel (null = it has none), how far off. */
export interface SchemeReading {
  readonly frequencyId: string
  readonly channel: number | null
  readonly errorHz: number
  readonly standardUncertaintyHz: number
  readonly instrument?: string | null
}

/** Oscillators of the scheme as what is looked for, in ppm. */
export function schemeUnknowns(scheme: MixingScheme): Unknown[] {
  return scheme.oscillators.map(o => ({ name: o.id, priorSigma: o.priorPpm }))
}

/**
 * One reading as an equation in ppm of each oscillator: df = sum of (factor + stepFactor N) f e.
 * @throws {CoreError} unknown-item (no such frequency or oscillator), unknown-channel
 * Source: C16, C18.
 */
export function schemeRow(
  scheme: MixingScheme,
  plan: ChannelPlan,
  { frequencyId, channel, errorHz, standardUncertaintyHz, instrument = null }: SchemeReading,
): AttributionRow {
  const frequency = scheme.frequencies.find(f => f.id === frequencyId)
  if (!frequency) throw new CoreError('unknown-item', message('error.noFrequency', { frequencyId }))
  const steps = channel === null ? 0 : (channelHz(plan, channel) - scheme.baseHz) / scheme.stepHz
  const coefficients: Record<string, number> = {}
  for (const { oscillator, factor, stepFactor } of frequency.terms) {
    const found = scheme.oscillators.find(o => o.id === oscillator)
    if (!found) throw new CoreError('unknown-item', message('error.noOscillator', { oscillator }))
    coefficients[oscillator] =
      (coefficients[oscillator] ?? 0) + ((factor + stepFactor * steps) * found.nominalHz) / 1e6
  }
  return { errorHz, standardUncertaintyHz, instrument, coefficients }
}

/** What a frequency of the scheme should be [Hz]; channel null where its terms take no steps. */
export function schemeNominalHz(
  scheme: MixingScheme,
  plan: ChannelPlan,
  frequency: MixedFrequency,
  channel: number | null,
): number {
  const steps = channel === null ? 0 : (channelHz(plan, channel) - scheme.baseHz) / scheme.stepHz
  return frequency.terms.reduce(
    (s, t) =>
      s +
      (t.factor + t.stepFactor * steps) *
        (scheme.oscillators.find(o => o.id === t.oscillator)?.nominalHz ?? 0),
    0,
  )
}

/** Readings of the job that the scheme can use: the latest current one of each frequency and channel. */
export function schemeReadings(sheet: ModelSheet, past: History): SchemeReading[] {
  const { scheme } = sheet
  if (!scheme) return []
  const found = new Map<string, SchemeReading>()
  for (const taken of past.readings) {
    if (taken.struck !== null || taken.staleBy.length > 0 || taken.row.conditions.coverage === 'expanded')
      continue
    const frequency = scheme.frequencies.find(
      f => f.quantity === taken.reading.quantity && (f.mode === null || f.mode === taken.row.conditions.mode),
    )
    const nominalHz = frequency ? nominalOf(sheet, taken) : null
    if (!frequency || nominalHz === null) continue
    const channel = taken.reading.quantity === 'carrierHz' ? taken.row.conditions.channel : null
    found.set(`${frequency.id} ${channel}`, {
      frequencyId: frequency.id,
      channel,
      errorHz: taken.reading.value - nominalHz,
      standardUncertaintyHz: taken.reading.standardUncertainty || UNKNOWN_COUNTER_HZ,
      instrument: taken.reading.instrument,
    })
  }
  return [...found.values()]
}

/** Where the reading should be by its row's target; a sideband with one tone lies beside its channel. */
function nominalOf(sheet: ModelSheet, { row, reading }: TakenReading): number | null {
  const target = pointOf(sheet, row.stepId, row.pointId).wants.find(
    w => w.quantity === reading.quantity,
  )?.target
  if (target?.kind === 'nominal-error') return target.nominalHz
  if (row.conditions.channel === null) return null
  return (
    channelHz(planOf(sheet), row.conditions.channel) +
    (target?.kind === 'channel-error' ? (target.offsetHz ?? 0) : 0)
  )
}

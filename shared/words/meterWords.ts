import {
  calibrationAge,
  type ComparedMeter,
  type MeterComparison,
  type MeterKind,
  type Signal,
} from '#core/instrument'
import { groupDigits } from '#core/quantity'

export const METER_KIND_WORDS: Record<MeterKind, string> = {
  'true-mean': 'true-average (thermal)',
  'average': 'average-responding diode',
  'leaky-peak': 'leaky peak, between average and PEP',
  'peak-hold': 'peak hold (PEP)',
  'panel': 'panel bar, relative',
  'unknown': 'unknown averaging',
}

export const SIGNAL_WORDS: Record<Signal['kind'], string> = {
  'carrier': 'unmodulated carrier',
  'am-tone': 'AM with a steady tone',
  'two-tone': 'two equal tones, SSB',
  'speech': 'speech',
}

const watts = (w: number) => `${groupDigits(w, w < 10 ? 2 : 1)}\u2009W`

/** "calibrated 12 days ago", "calibration overdue: 500 days" */
export function calibrationWords(calibratedOn: string | null, todayIso: string): string {
  const age = calibrationAge(calibratedOn, todayIso)
  if (!age) return 'calibration date unknown'
  return age.overdue
    ? `calibration overdue: ${groupDigits(age.days, 0)} days`
    : `calibrated ${age.days === 0 ? 'today' : `${groupDigits(age.days, 0)} days ago`}`
}

export function comparisonWords(c: MeterComparison): string {
  if (c.meanW === null)
    return (
      'No mean possible: no meter here has both a known ' +
      'uncertainty and a reading comparable on this signal.'
    )
  const mean =
    `Weighted mean ${watts(c.meanW)} ±${watts(c.standardUncertaintyW! * Math.sqrt(3))} ` +
    `of ${c.opinions} independent ${c.opinions === 1 ? 'meter' : 'meters'}.`
  if (c.agree === null) return `${mean} One meter alone proves nothing about itself.`
  return c.agree
    ? `${mean} They agree within their uncertainties.`
    : `${mean} They differ by more than their uncertainties. ` +
        'Check calibration dates, kinds and leads first.'
}

export function meterVerdictWords(m: ComparedMeter): string {
  const shares = m.sharesWith.length > 0 ? ` Not independent of ${m.sharesWith.join(', ')}: shared path.` : ''
  if (m.meanW === null) return `Not comparable on this signal.${shares}`
  if (m.offDb === null) return `No weight: its uncertainty is unknown.${shares}`
  const off = `${groupDigits(m.offDb, 2, true)}\u2009dB, factor ${groupDigits(m.factor!, 3)}`
  const sigma =
    m.offSigma === null ? '' : `, ${groupDigits(Math.abs(m.offSigma), 1)} standard deviations from the others`
  return `${off}${sigma}.${shares}`
}

import { t, type MessageCode } from '#shared/i18n'
import {
  calibrationAge,
  type ComparedMeter,
  type MeterComparison,
  type MeterKind,
  type Signal,
} from '#core/instrument'
import { groupDigits } from '#core/quantity'

export const METER_KIND_WORDS: Record<MeterKind, MessageCode> = {
  'true-mean': 'instruments.trueAverageThermal',
  'average': 'instruments.averageRespondingDiode',
  'leaky-peak': 'instruments.leakyPeakBetweenAverageAndPep',
  'peak-hold': 'instruments.peakHoldPep',
  'panel': 'instruments.panelBarRelative',
  'unknown': 'instruments.unknownAveraging',
}

export const SIGNAL_WORDS: Record<Signal['kind'], MessageCode> = {
  'carrier': 'instruments.unmodulatedCarrier',
  'am-tone': 'instruments.amWithASteadyTone',
  'two-tone': 'instruments.twoEqualTonesSsb',
  'speech': 'instruments.speech',
}

const watts = (w: number) => `${groupDigits(w, w < 10 ? 2 : 1)}\u2009W`

/** "calibrated 12 days ago", "calibration overdue: 500 days" */
export function calibrationWords(calibratedOn: string | null, todayIso: string): string {
  const age = calibrationAge(calibratedOn, todayIso)
  if (!age) return t('instruments.calibrationDateUnknown')
  return age.overdue
    ? t('instruments.calibrationOverdueDays', { days: groupDigits(age.days, 0) })
    : t('instruments.calibrated', {
        what:
          age.days === 0
            ? t('instruments.today')
            : t('instruments.daysAgo', { days: groupDigits(age.days, 0) }),
      })
}

export function comparisonWords(c: MeterComparison): string {
  if (c.meanW === null) return t('instruments.noMeanPossibleNoMeterHere')
  const mean = t('instruments.weightedMeanOfIndependentMeters', {
    meanW: watts(c.meanW),
    uncertaintyW: watts(c.standardUncertaintyW! * Math.sqrt(3)),
    opinions: c.opinions,
  })
  if (c.agree === null) return t('instruments.oneMeterAloneProvesNothingAbout', { mean })
  return c.agree
    ? t('instruments.theyAgreeWithinTheirUncertainties', { mean })
    : t('instruments.theyDifferByMoreThanTheir', { mean })
}

export function meterVerdictWords(m: ComparedMeter): string {
  const shares =
    m.sharesWith.length > 0
      ? ` ${t('instruments.notIndependentOfSharedPath', { list: m.sharesWith.join(', ') })}`
      : ''
  if (m.meanW === null) return t('instruments.notComparableOnThisSignal', { shares })
  if (m.offDb === null) return t('instruments.noWeightItsUncertaintyIsUnknown', { shares })
  const off = t('instruments.dbFactor', {
    offDb: groupDigits(m.offDb, 2, true),
    factor: groupDigits(m.factor!, 3),
  })
  const sigma =
    m.offSigma === null
      ? ''
      : t('instruments.standardDeviationsFromTheOthers', { deviations: groupDigits(Math.abs(m.offSigma), 1) })
  return `${off}${sigma}.${shares}`
}

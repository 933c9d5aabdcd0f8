import type { Topic } from '../../quantity'
import { kindInfo, topicOf, type ModelSheet, type Step } from '../../sheet'
import { fitDrift, slowIn, type DriftFit, type DriftSample } from './driftFit'

const OF_FREQUENCY: readonly Topic[] = ['reference', 'tx-frequency', 'rx-frequency']
/** Expanded uncertainty of the rate: k = 2. */
const EXPANDED = 2

export function driftLimit(sheet: Pick<ModelSheet, 'kind' | 'driftLimitHzPerMin'>): number {
  return sheet.driftLimitHzPerMin ?? kindInfo(sheet.kind).driftLimitHzPerMin
}

/** A step in which frequency is set or judged: it waits for the warm-up. */
export function isFrequencyStep(step: Step): boolean {
  return step.points.some(p => p.wants.some(w => OF_FREQUENCY.includes(topicOf(w.quantity, p.state))))
}

/** Whether frequency may be set, by what, and what is known of the drift. */
export interface WarmGate {
  readonly state: 'open' | 'wait' | 'unknown'
  /** measured drift decides where it can; where it cannot, the time since power-on */
  readonly by: 'drift' | 'time' | 'nothing'
  readonly limitHzPerMin: number
  readonly fit: DriftFit | null
  /** seconds until it opens; null = cannot be told */
  readonly opensInS: number | null
}

/**
 * @param samples of the frequency or of its error, scaled to the transmit frequency [Hz]
 * @param onTimeS since power-on; null = not known
 * @param warmS time after which a set of this kind counts as warm when the drift decides nothing
 */
export function warmGate(
  limitHzPerMin: number,
  samples: readonly DriftSample[],
  onTimeS: number | null,
  warmS: number,
): WarmGate {
  const fit = fitDrift(samples)
  const drift = fit && driftVerdict(fit, limitHzPerMin)
  const base = { limitHzPerMin, fit }
  if (fit && drift) {
    const opensInS = drift === 'open' ? 0 : slowIn(fit, samples.at(-1)!.atS, limitHzPerMin)
    return { ...base, state: drift, by: 'drift', opensInS }
  }
  if (onTimeS === null) return { ...base, state: 'unknown', by: 'nothing', opensInS: null }
  return {
    ...base,
    state: onTimeS >= warmS ? 'open' : 'wait',
    by: 'time',
    opensInS: Math.max(0, warmS - onTimeS),
  }
}

/** @returns null when the rate is not known well enough to say on which side of the limit it lies */
function driftVerdict(fit: DriftFit, limitHzPerMin: number): 'open' | 'wait' | null {
  const rate = Math.abs(fit.rateHzPerMin)
  const slack = EXPANDED * fit.rateUncertaintyHzPerMin
  if (rate - slack > limitHzPerMin) return 'wait'
  if (rate <= limitHzPerMin && slack <= limitHzPerMin) return 'open'
  return null
}

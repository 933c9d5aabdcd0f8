import { topicOf, type ModelSheet, type SetKind, type Step, type Topic } from '../../sheet'
import { fitDrift, slowIn, type DriftFit, type DriftSample } from './driftFit'

/** Frequency is not set while it moves faster (S03): 2 Hz a minute, 1 where a sideband hears it. */
const LIMIT_HZ_PER_MIN: Readonly<Record<SetKind, number>> = { 'fm-mobile': 2, 'am-mobile': 2, 'menu-mobile': 2, 'high-power': 1, 'multimode': 1, 'hybrid-valve': 1, 'cw-kit': 1, 'menu-qrp': 1 }
const OF_FREQUENCY: readonly Topic[] = ['reference', 'tx-frequency', 'rx-frequency']

export function driftLimit(sheet: Pick<ModelSheet, 'kind' | 'driftLimitHzPerMin'>): number {
  return sheet.driftLimitHzPerMin ?? LIMIT_HZ_PER_MIN[sheet.kind]
}

/** A step in which frequency is set or judged: it waits for the warm-up. */
export function isFrequencyStep(step: Step): boolean {
  return step.points.some(p => p.wants.some(w => OF_FREQUENCY.includes(topicOf(w.quantity, p.state))))
}

/** Whether frequency may be set, by what, and what is known of the drift. */
export interface WarmGate {
  readonly state: 'open' | 'wait' | 'unknown'
  /** measured drift decides; where none is known, the time since power-on */
  readonly by: 'drift' | 'time' | 'nothing'
  readonly limitHzPerMin: number
  readonly fit: DriftFit | null
  /** seconds until it opens; null = cannot be told */
  readonly opensInS: number | null
}

/**
 * @param samples of the frequency or of its error, scaled to the transmit frequency [Hz]
 * @param onTimeS since power-on; null = not known
 * @param warmS time after which a set of this kind counts as warm when no drift is known
 */
export function warmGate(limitHzPerMin: number, samples: readonly DriftSample[], onTimeS: number | null, warmS: number): WarmGate {
  const fit = fitDrift(samples)
  if (fit) {
    const opensInS = slowIn(fit, samples.at(-1)!.atS, limitHzPerMin)
    return { state: opensInS === 0 ? 'open' : 'wait', by: 'drift', limitHzPerMin, fit, opensInS }
  }
  if (onTimeS === null) return { state: 'unknown', by: 'nothing', limitHzPerMin, fit, opensInS: null }
  return { state: onTimeS >= warmS ? 'open' : 'wait', by: 'time', limitHzPerMin, fit, opensInS: Math.max(0, warmS - onTimeS) }
}

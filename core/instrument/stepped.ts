import { CoreError } from '../errors'
import { voltageDb, type Quantity } from '../quantity'
import type { SettingName } from './instrumentProfile'

/** One quantity read while another is set step by step. */
export interface SteppedPlan {
  readonly set: SettingName
  /** both ends, in SI */
  readonly from: number
  readonly to: number
  readonly steps: number
  /** log = even in dB; both ends > 0 then */
  readonly spacing: 'linear' | 'log'
  readonly read: Quantity
  /** wait after each setting before readings count [s] */
  readonly settleS: number
  /** readings that are averaged at each step */
  readonly readings: number
}

export interface SteppedPoint {
  readonly set: number
  readonly value: number | null
  readonly standardUncertainty: number | null
}

export interface SteppedPreset {
  readonly id: string
  readonly title: string
  readonly what: string
  readonly before: string
  readonly plan: SteppedPlan
}

const USUAL = { steps: 16, settleS: 0.6, readings: 3 } as const

/** Stepped measurements that a bench asks for again and again. */
export const STEPPED_PRESETS: readonly SteppedPreset[] = [
  {
    id: 'sinad',
    title: 'SINAD over level',
    what: 'sensitivity, and whether it falls 1 dB per dB',
    before: 'On receive, RF gain full, squelch open. Never key into the generator.',
    plan: { ...USUAL, set: 'inputV', from: 0.1e-6, to: 100e-6, spacing: 'log', read: 'sinadDb' },
  },
  {
    id: 'depth',
    title: 'Depth over drive',
    what: 'whether the limiter holds',
    before: 'AM, keyed on dummy load: 16 steps take 15 s.',
    plan: { ...USUAL, set: 'toneV', from: 0.003, to: 0.19, spacing: 'log', read: 'depthNegativeRatio' },
  },
  {
    id: 'deviation',
    title: 'Deviation over drive',
    what: 'whether the limiter holds',
    before: 'FM, keyed on dummy load: 16 steps take 15 s.',
    plan: { ...USUAL, set: 'toneV', from: 0.003, to: 0.19, spacing: 'log', read: 'deviationPositiveHz' },
  },
  {
    id: 'passband',
    title: 'SINAD over frequency',
    what:
      'where the receiver is most sensitive, and how wide: ' +
      'shows an intermediate frequency beside its filter',
    before: 'On receive, generator at 1 µV. Defaults for channel 19 of the 27 MHz plans: enter your own.',
    plan: {
      ...USUAL,
      steps: 21,
      set: 'inputHz',
      from: 27_180_000,
      to: 27_190_000,
      spacing: 'linear',
      read: 'sinadDb',
    },
  },
  {
    id: 'power',
    title: 'Power over supply voltage',
    what: 'whether the output stage goes with the square of the voltage, or is regulated',
    before: 'Keyed on dummy load. 11.0 to 14.4 V: not for sets of another supply.',
    plan: { ...USUAL, set: 'supplyV', from: 11, to: 14.4, spacing: 'linear', read: 'powerW' },
  },
]

const MAX_STEPS = 200

/**
 * Values to be set, in order, both ends included.
 * @throws {CoreError} out-of-range (fewer than 2 steps or more than 200, an end that is no number,
 * logarithmic through nought)
 */
export function stepValues({
  from,
  to,
  steps,
  spacing,
}: Pick<SteppedPlan, 'from' | 'to' | 'steps' | 'spacing'>): number[] {
  if (!(
    Number.isInteger(steps) &&
    steps >= 2 &&
    steps <= MAX_STEPS &&
    Number.isFinite(from) &&
    Number.isFinite(to)
  ))
    throw new CoreError('out-of-range', `${steps}: ${from} – ${to}`)
  if (spacing === 'log' && !(from > 0 && to > 0)) throw new CoreError('out-of-range', `log ${from} – ${to}`)
  return Array.from({ length: steps }, (_, i) => {
    const share = i / (steps - 1)
    return spacing === 'log' ? from * (to / from) ** share : from + (to - from) * share
  })
}

/**
 * Mean of readings at one step; their spread joins the instrument's own uncertainty. null = nothing was read.
 */
export function steppedPoint(
  set: number,
  readings: readonly { readonly value: number; readonly standardUncertainty: number | null }[],
): SteppedPoint {
  if (readings.length === 0) return { set, value: null, standardUncertainty: null }
  const value = readings.reduce((s, r) => s + r.value, 0) / readings.length
  const own = readings.find(r => r.standardUncertainty !== null)?.standardUncertainty ?? null
  const spread =
    readings.length > 1
      ? Math.sqrt(
          readings.reduce((s, r) => s + (r.value - value) ** 2, 0) / (readings.length - 1) / readings.length,
        )
      : 0
  return { set, value, standardUncertainty: own === null ? null : Math.hypot(own, spread) }
}

/** Where a line of SINAD is straight: above the floor, below distortion [dB]. */
const STRAIGHT_DB = [7, 20] as const
const HOLDS_DB = 10

/**
 * What a finished run says, in numbers: slope of SINAD [dB/dB], exponent of power, change of modulation over
 * the last 10 dB of drive [ratio]. null = too few points for it.
 */
export interface SteppedSummary {
  readonly kind: 'sinad-slope' | 'power-exponent' | 'modulation-rise'
  readonly value: number
}

export function steppedSummary(plan: SteppedPlan, points: readonly SteppedPoint[]): SteppedSummary | null {
  const read = points.flatMap(p => (p.value === null ? [] : [{ set: p.set, value: p.value }]))
  if (plan.read === 'sinadDb') {
    const slope = slopeOf(
      read
        .filter(p => p.value > STRAIGHT_DB[0] && p.value < STRAIGHT_DB[1])
        .map(p => [voltageDb(p.set), p.value]),
    )
    return slope === null ? null : { kind: 'sinad-slope', value: slope }
  }
  if (plan.set === 'supplyV' && plan.read === 'powerW') {
    const slope = slopeOf(read.filter(p => p.value > 0).map(p => [Math.log(p.set), Math.log(p.value)]))
    return slope === null ? null : { kind: 'power-exponent', value: slope }
  }
  if (plan.set === 'toneV' && read.length > 2) {
    const last = read.at(-1)!
    const before = read.findLast(p => voltageDb(last.set / p.set) >= HOLDS_DB)
    return before && before.value > 0
      ? { kind: 'modulation-rise', value: last.value / before.value - 1 }
      : null
  }
  return null
}

/** Least squares. null = fewer than three points, or all at one place. */
function slopeOf(points: readonly (readonly number[])[]): number | null {
  if (points.length < 3) return null
  const [mx, my] = [0, 1].map(k => points.reduce((s, p) => s + p[k]!, 0) / points.length) as [number, number]
  const sxx = points.reduce((s, p) => s + (p[0]! - mx) ** 2, 0)
  return sxx > 0 ? points.reduce((s, p) => s + (p[0]! - mx) * (p[1]! - my), 0) / sxx : null
}

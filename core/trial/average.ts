import { expandedUncertainty, relativeBound, type Reading } from '../quantity'
import { carrierOf, depthIn, figureIn, type Trial } from './trials'
import { isLinear } from './peak'

/** An "average" reading under a tone that a true-average meter cannot show. */
export interface NotTrueAverage {
  readonly kind: 'not-true-average'
  readonly meter: string | null
  readonly readW: number
  readonly carrierW: number
  /** over its bare carrier, read and as a true average would be */
  readonly ratio: number
  readonly trueRatio: number
  /** beyond what both readings may be off by; false = their class leaves it open */
  readonly isProven: boolean
}

/** Mean power of a tone over its carrier (C01): 1 + m^2 / 2, for m up to 1. */
const meanOverCarrier = (depthRatio: number) => 1 + depthRatio ** 2 / 2
/** A share of the carrier that nobody takes for a difference of kind [ratio]. */
const MIN_APART = 0.05

/**
 * A true average of a tone is 1 + m^2 / 2 of the bare carrier: more than 1.5 at 100 % proves another kind of
 * meter, and so does a needle that the tone does not move (C06).
 * Limits: a steady tone up to 100 %; past it the mean depends on how the carrier is cut off.
 */
export function notTrueAverage(trial: Trial): NotTrueAverage[] {
  const depth = trial.noted.signal === 'tone' ? depthIn(trial) : null
  const [average, carrier] = [figureIn(trial, 'powerW'), carrierOf(trial, 'powerW')]
  if (!depth || depth.value > 1 || !average || !carrier) return []
  const ratio = average.value / carrier.value
  const trueRatio = meanOverCarrier(depth.value)
  const apart = Math.abs(ratio - trueRatio)
  // A flattened peak takes from the average of any meter.
  if (apart <= MIN_APART || (ratio < trueRatio && !isLinear(trial))) return []
  const share = relativeBound([average, average.value], [carrier, carrier.value])
  const depthU = expandedUncertainty(depth)
  const boundRatio =
    share === null || depthU === null ? Infinity : Math.hypot(ratio * share, depth.value * depthU)
  return [
    {
      kind: 'not-true-average',
      meter: average.instrument,
      readW: average.value,
      carrierW: carrier.value,
      ratio,
      trueRatio,
      isProven: apart > boundRatio,
    },
  ]
}

/** Both meters on a bare carrier, where every kind reads alike (C06). */
export interface MetersOnCarrier {
  readonly kind: 'meters-on-carrier'
  readonly powerW: number
  readonly pepW: number
  readonly agree: boolean
}

export function metersOnCarrier(trial: Trial): MetersOnCarrier[] {
  const [power, pep] = [figureIn(trial, 'powerW'), figureIn(trial, 'pepW')]
  if (trial.noted.signal !== 'carrier' || !power || !pep) return []
  const [a, b] = [expandedUncertainty(power), expandedUncertainty(pep)]
  if (a === null || b === null) return []
  const agree = Math.abs(power.value - pep.value) <= Math.hypot(a, b)
  return [{ kind: 'meters-on-carrier', powerW: power.value, pepW: pep.value, agree }]
}

/** What leaves the supply, and what of it is RF on average. */
export interface Efficiency {
  readonly kind: 'efficiency'
  readonly meanW: number
  /** worked out from carrier and depth, because no meter is known to show it */
  readonly isComputed: boolean
  readonly supplyW: number
  readonly ratio: number
  /** null = the accuracy of a meter is not known */
  readonly boundRatio: number | null
}

/** More than this of what a supply gives is a wrong reading (C38, from memory) [ratio]. */
const MAX_OF_SUPPLY = 0.7

/**
 * Average RF over what the supply gives. On a bare carrier as it was read; with a tone up to 100 % from
 * carrier and depth, as long as the PEP fits them.
 * @returns nothing where the average is not known, or no supply could have given it
 */
export function efficiency(trial: Trial): Efficiency[] {
  const [volts, amps] = [figureIn(trial, 'supplyV'), figureIn(trial, 'supplyA')]
  const mean = meanOf(trial)
  if (!volts || !amps || !mean) return []
  const supplyW = volts.value * amps.value
  const ratio = mean.valueW / supplyW
  if (ratio > MAX_OF_SUPPLY) return []
  const share = relativeBound(...mean.from, [volts, volts.value], [amps, amps.value])
  return [
    {
      kind: 'efficiency',
      meanW: mean.valueW,
      isComputed: trial.noted.signal !== 'carrier',
      supplyW,
      ratio,
      boundRatio: share === null ? null : ratio * share,
    },
  ]
}

interface Mean {
  readonly valueW: number
  /** readings that it follows from, with what their bounds are a share of */
  readonly from: readonly (readonly [Reading, number])[]
}

function meanOf(trial: Trial): Mean | null {
  if (trial.noted.signal === 'carrier') {
    const read = figureIn(trial, 'powerW') ?? figureIn(trial, 'pepW')
    return read && { valueW: read.value, from: [[read, read.value]] }
  }
  const [depth, carrier] = [depthIn(trial), carrierOf(trial, 'powerW')]
  if (!depth || depth.value > 1 || !carrier || !isLinear(trial)) return null
  const overCarrier = meanOverCarrier(depth.value)
  // d(1 + m^2 / 2) = m dm
  const ofDepth = [depth, overCarrier / depth.value] as const
  return { valueW: carrier.value * overCarrier, from: [[carrier, carrier.value], ofDepth] }
}

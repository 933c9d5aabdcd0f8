import { dbToPowerRatio, type Bound, type Quantity, type Spread } from '../../quantity'
import type { Limit } from '../limits'
import type { Measurement } from '../measurement'
import type { AdjacentFigure } from '../result'

/** A figure of a recording as any instrument would have read it. */
export interface SignalReading {
  readonly quantity: Quantity
  readonly value: number
  readonly standardUncertainty: number | null
  /** what most of it comes from; null = not told */
  readonly limitedBy: Limit | null
  /** how errors lie: what the analysis is unsure of is noise */
  readonly spread: Spread
  /** the set lies on this side of the value */
  readonly bound?: Bound
}

/**
 * Uncertainty of figures for which the analysis states none beside the noise [dB]: level of a line in a
 * spectrum.
 */
export const LINE_DB = 0.3

/**
 * The figures of a recording that a job can keep. Depth is that against the unmodulated carrier where the
 * recording holds it or its level was given, else against the mean envelope (definitions of the product).
 * @returns one for each quantity that was measured, in SI with its standard uncertainty; bounds stay bounds
 */
export function signalReadings(m: Measurement): SignalReading[] {
  const worst = worstAdjacent(m)
  return [
    ...reading(
      'carrierHz',
      m.carrier?.frequencyHz,
      m.carrier?.uncertaintyHz,
      m.limitedBy?.carrier?.frequencyHz,
    ),
    ...depthReadings(m),
    ...deviationReadings(m),
    ...sidebandReadings(m),
    ...reading(
      'sinadDb',
      m.audio?.sinadVoiceDb,
      m.uncertainty.audio?.sinadVoiceDb,
      m.limitedBy?.audio?.sinadVoiceDb,
    ),
    ...reading('harmonicDbc', m.spectrum?.harmonics.find(h => h.order === 2)?.dbc, LINE_DB),
    ...reading('adjacentDbc', worst?.dbc, LINE_DB, null, worst?.bound),
  ]
}

/** A reading where there is a figure, to be spread among others. What the analysis is unsure of is noise. */
function reading(
  quantity: Quantity,
  value: number | null | undefined,
  standardUncertainty: number | null | undefined,
  limitedBy?: Limit | null,
  bound?: Bound | null,
): SignalReading[] {
  if (typeof value !== 'number' || !Number.isFinite(value)) return []
  const told = {
    quantity,
    value,
    standardUncertainty: standardUncertainty ?? null,
    limitedBy: limitedBy ?? null,
  }
  return [{ ...told, spread: 'normal', ...(bound ? { bound } : {}) }]
}

function depthReadings({ am, uncertainty, limitedBy }: Measurement): SignalReading[] {
  if (!am) return []
  const depth = am.unmodulated ?? am
  const u = am.unmodulated ? uncertainty.am?.unmodulated : uncertainty.am
  const by = limitedBy?.am
  return [
    ...reading('depthPositiveRatio', Math.max(0, depth.depthPositive), u?.depthPositive, by?.depthPositive),
    ...reading('depthNegativeRatio', Math.max(0, depth.depthNegative), u?.depthNegative, by?.depthNegative),
  ]
}

function deviationReadings({ fm, uncertainty, limitedBy }: Measurement): SignalReading[] {
  return (['deviationPositiveHz', 'deviationNegativeHz'] as const).flatMap(quantity =>
    reading(quantity, fm?.[quantity], uncertainty.fm?.[quantity], limitedBy?.fm?.[quantity]),
  )
}

const SIDEBAND_FIGURES = { imd3Db: 'imd3DbBelowTone', carrierLeakDb: 'carrierDbBelowPep' } as const

function sidebandReadings({ ssb, uncertainty, limitedBy }: Measurement): SignalReading[] {
  return (['imd3Db', 'carrierLeakDb'] as const).flatMap(quantity => {
    const figure = SIDEBAND_FIGURES[quantity]
    const bound = ssb?.bounds.includes(figure) ? 'at-least' : null
    return reading(quantity, ssb?.[figure], uncertainty.ssb?.[figure], limitedBy?.ssb?.[figure], bound)
  })
}

/**
 * The adjacent channel of which most is surely the set's own.
 * @returns inner 8 kHz against the carrier [dBc]; a bound where noise or a stranger is in each; null when the
 * recording holds none
 */
export function worstAdjacent(m: Measurement): AdjacentFigure | null {
  const next =
    m.spectrum?.adjacent.filter(a => Math.abs(a.offsetHz) === 10_000 && a.bandwidthHz === 8000) ?? []
  const worst = (list: readonly AdjacentFigure[]) =>
    list.reduce<AdjacentFigure | null>((a, b) => (a === null || b.dbc > a.dbc ? b : a), null)
  const [own, all] = [worst(next.filter(a => a.bound === null)), worst(next)]
  return own && all && own.dbc < all.dbc - 0.01 ? { ...all, bound: 'at-most' } : (own ?? all)
}

/**
 * Share of all power that lands in the adjacent channels that the recording holds.
 * @returns 0 to 1; null where what is read there is not the set's alone
 */
export function adjacentShare(m: Measurement): number | null {
  const wide = m.spectrum?.adjacent.filter(a => a.bandwidthHz === 10_000 && a.bound === null) ?? []
  if (wide.length === 0) return null
  const outside = wide.reduce((sum, a) => sum + dbToPowerRatio(a.dbc), 0)
  return outside / (1 + outside)
}

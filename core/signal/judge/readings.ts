import type { Bound, Quantity } from '../../quantity'
import type { Limit } from '../limits'
import type { Measurement } from '../measurement'
import type { AdjacentFigure, SsbFigures } from '../result'

/** A figure of a recording as any instrument would have read it. */
export interface SignalReading {
  readonly quantity: Quantity
  readonly value: number
  readonly standardUncertainty: number | null
  /** what most of it comes from; null = not told */ readonly limitedBy: Limit | null
  /** the set lies on this side of the value */ readonly bound?: Bound
}

/**
 * Uncertainty of figures for which the analysis states none beside the noise [dB]: level of a line in a
 * spectrum.
 */
export const LINE_DB = 0.3

/**
 * The figures of a recording that a job can keep. Depth is that against the unmodulated carrier where the
 * recording holds it or its level was given, else against the mean envelope (definitions of the product).
 */
export function signalReadings(m: Measurement): SignalReading[] {
  const out: SignalReading[] = []
  const add = (
    quantity: Quantity,
    value: number | null | undefined,
    u: unknown,
    limit: Limit | null | undefined,
    bound: Bound | null = null,
  ) => {
    if (typeof value !== 'number' || !Number.isFinite(value)) return
    out.push({
      quantity,
      value,
      standardUncertainty: typeof u === 'number' ? u : null,
      limitedBy: limit ?? null,
      ...(bound ? { bound } : {}),
    })
  }
  const by = m.limitedBy
  const atLeast = (figure: keyof SsbFigures) => (m.ssb?.bounds.includes(figure) ? 'at-least' : null)
  add('carrierHz', m.carrier?.frequencyHz, m.carrier?.uncertaintyHz, by?.carrier?.frequencyHz)
  const depth = m.am?.unmodulated ?? m.am
  const ofDepth = m.am?.unmodulated ? m.uncertainty.am?.unmodulated : m.uncertainty.am
  add(
    'depthPositiveRatio',
    depth && Math.max(0, depth.depthPositive),
    ofDepth?.depthPositive,
    by?.am?.depthPositive,
  )
  add(
    'depthNegativeRatio',
    depth && Math.max(0, depth.depthNegative),
    ofDepth?.depthNegative,
    by?.am?.depthNegative,
  )
  add(
    'deviationPositiveHz',
    m.fm?.deviationPositiveHz,
    m.uncertainty.fm?.deviationPositiveHz,
    by?.fm?.deviationPositiveHz,
  )
  add(
    'deviationNegativeHz',
    m.fm?.deviationNegativeHz,
    m.uncertainty.fm?.deviationNegativeHz,
    by?.fm?.deviationNegativeHz,
  )
  add(
    'imd3Db',
    m.ssb?.imd3DbBelowTone,
    m.uncertainty.ssb?.imd3DbBelowTone,
    by?.ssb?.imd3DbBelowTone,
    atLeast('imd3DbBelowTone'),
  )
  add(
    'carrierLeakDb',
    m.ssb?.carrierDbBelowPep,
    m.uncertainty.ssb?.carrierDbBelowPep,
    by?.ssb?.carrierDbBelowPep,
    atLeast('carrierDbBelowPep'),
  )
  add('sinadDb', m.audio?.sinadVoiceDb, m.uncertainty.audio?.sinadVoiceDb, by?.audio?.sinadVoiceDb)
  add('harmonicDbc', m.spectrum?.harmonics.find(h => h.order === 2)?.dbc, LINE_DB, null)
  const worst = worstNeighbour(m)
  add('adjacentDbc', worst?.dbc, LINE_DB, null, worst?.bound ?? null)
  return out
}

/**
 * The next channel of which most is surely the set's own, inner 8 kHz against the carrier; a bound where none
 * is.
 */
export function worstNeighbour(m: Measurement): AdjacentFigure | null {
  const next =
    m.spectrum?.adjacent.filter(a => Math.abs(a.offsetHz) === 10_000 && a.bandwidthHz === 8000) ?? []
  const worst = (list: readonly AdjacentFigure[]) =>
    list.reduce<AdjacentFigure | null>((a, b) => (a === null || b.dbc > a.dbc ? b : a), null)
  const [own, all] = [worst(next.filter(a => a.bound === null)), worst(next)]
  return own && all && own.dbc < all.dbc - 0.01 ? { ...all, bound: 'at-most' } : (own ?? all)
}

/**
 * Share of all power that lands in the neighbouring channels that the recording holds; null where what is
 * read there is not the set's alone.
 */
export function neighbourShare(m: Measurement): number | null {
  const wide = m.spectrum?.adjacent.filter(a => a.bandwidthHz === 10_000 && a.bound === null) ?? []
  if (wide.length === 0) return null
  const outside = wide.reduce((sum, a) => sum + 10 ** (a.dbc / 10), 0)
  return outside / (1 + outside)
}

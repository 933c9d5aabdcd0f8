import type { Bound, Quantity } from '../../quantity'
import type { Measurement } from '../measurement'
import type { AdjacentFigure, SsbFigures } from '../result'

/** A figure of a recording as any instrument would have read it. */
export interface SignalReading { readonly quantity: Quantity, readonly value: number, readonly standardUncertainty: number | null, /** the set lies on this side of the value */ readonly bound?: Bound }

/** Uncertainty of figures for which the analysis states none beside the noise [dB]: level of a line in a spectrum. */
export const LINE_DB = 0.3

/**
 * The figures of a recording that a job can keep. Depth is that against the bare carrier where the recording holds it,
 * else against the mean envelope (definitions of the product).
 */
export function signalReadings(m: Measurement): SignalReading[] {
  const out: SignalReading[] = []
  const add = (quantity: Quantity, value: number | null | undefined, u: unknown, bound: Bound | null = null) => {
    if (typeof value === 'number' && Number.isFinite(value)) out.push({ quantity, value, standardUncertainty: typeof u === 'number' ? u : null, ...(bound ? { bound } : {}) })
  }
  const atLeast = (figure: keyof SsbFigures) => m.ssb?.bounds.includes(figure) ? 'at-least' : null
  add('carrierHz', m.carrier?.frequencyHz, m.carrier?.uncertaintyHz)
  const depth = m.am?.unmodulated ?? m.am
  add('depthPositiveRatio', depth && Math.max(0, depth.depthPositive), m.uncertainty.am?.depthPositive)
  add('depthNegativeRatio', depth && Math.max(0, depth.depthNegative), m.uncertainty.am?.depthNegative)
  add('deviationPositiveHz', m.fm?.deviationPositiveHz, m.uncertainty.fm?.deviationPositiveHz)
  add('deviationNegativeHz', m.fm?.deviationNegativeHz, m.uncertainty.fm?.deviationNegativeHz)
  add('imd3Db', m.ssb?.imd3DbBelowTone, m.uncertainty.ssb?.imd3DbBelowTone, atLeast('imd3DbBelowTone'))
  add('carrierLeakDb', m.ssb?.carrierDbBelowPep, m.uncertainty.ssb?.carrierDbBelowPep, atLeast('carrierDbBelowPep'))
  add('sinadDb', m.audio?.sinadVoiceDb, m.uncertainty.audio?.sinadVoiceDb)
  add('harmonicDbc', m.spectrum?.harmonics.find(h => h.order === 2)?.dbc, LINE_DB)
  const worst = worstNeighbour(m)
  add('adjacentDbc', worst?.dbc, LINE_DB, worst?.bound ?? null)
  return out
}

/** The next channel of which most is surely the set's own, inner 8 kHz against the carrier; a bound where none is. */
export function worstNeighbour(m: Measurement): AdjacentFigure | null {
  const next = m.spectrum?.adjacent.filter(a => Math.abs(a.offsetHz) === 10_000 && a.bandwidthHz === 8000) ?? []
  const worst = (list: readonly AdjacentFigure[]) => list.reduce<AdjacentFigure | null>((a, b) => a === null || b.dbc > a.dbc ? b : a, null)
  const [own, all] = [worst(next.filter(a => a.bound === null)), worst(next)]
  return own && all && own.dbc < all.dbc - 0.01 ? { ...all, bound: 'at-most' } : own ?? all
}

/** Share of all power that lands in the neighbouring channels that the recording holds; null where what is read there is not the set's alone. */
export function neighbourShare(m: Measurement): number | null {
  const wide = m.spectrum?.adjacent.filter(a => a.bandwidthHz === 10_000 && a.bound === null) ?? []
  if (wide.length === 0) return null
  const outside = wide.reduce((sum, a) => sum + 10 ** (a.dbc / 10), 0)
  return outside / (1 + outside)
}

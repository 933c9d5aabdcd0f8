import type { Quantity } from '../../quantity'
import type { Measurement } from '../measurement'

/** A figure of a recording as any instrument would have read it. */
export interface SignalReading { readonly quantity: Quantity, readonly value: number, readonly standardUncertainty: number | null }

/** Uncertainty of figures for which the analysis states none beside the noise [dB]: level of a line in a spectrum. */
const LINE_DB = 0.3

/**
 * The figures of a recording that a job can keep. Depth is that against the bare carrier where the recording holds it,
 * else against the mean envelope (definitions of the product).
 */
export function signalReadings(m: Measurement): SignalReading[] {
  const out: SignalReading[] = []
  const add = (quantity: Quantity, value: number | null | undefined, u: unknown) => {
    if (typeof value === 'number' && Number.isFinite(value)) out.push({ quantity, value, standardUncertainty: typeof u === 'number' ? u : null })
  }
  add('carrierHz', m.carrier?.frequencyHz, m.carrier?.uncertaintyHz)
  const depth = m.am?.unmodulated ?? m.am
  add('depthPositiveRatio', depth && Math.max(0, depth.depthPositive), m.uncertainty.am?.depthPositive)
  add('depthNegativeRatio', depth && Math.max(0, depth.depthNegative), m.uncertainty.am?.depthNegative)
  add('deviationPositiveHz', m.fm?.deviationPositiveHz, m.uncertainty.fm?.deviationPositiveHz)
  add('deviationNegativeHz', m.fm?.deviationNegativeHz, m.uncertainty.fm?.deviationNegativeHz)
  add('imd3Db', m.ssb?.imd3DbBelowTone, m.uncertainty.ssb?.imd3DbBelowTone)
  add('carrierLeakDb', m.ssb?.carrierDbBelowPep, m.uncertainty.ssb?.carrierDbBelowPep)
  add('sinadDb', m.audio?.sinadVoiceDb, m.uncertainty.audio?.sinadVoiceDb)
  add('harmonicDbc', m.spectrum?.harmonics.find(h => h.order === 2)?.dbc, LINE_DB)
  add('adjacentDbc', worstNeighbour(m), LINE_DB)
  return out
}

/** The stronger of the two next channels, inner 8 kHz against the carrier [dBc]. */
export function worstNeighbour(m: Measurement): number | null {
  const next = m.spectrum?.adjacent.filter(a => Math.abs(a.offsetHz) === 10_000 && a.bandwidthHz === 8000) ?? []
  return next.length > 0 ? Math.max(...next.map(a => a.dbc)) : null
}

/** Share of all power that lands in the neighbouring channels that the recording holds. */
export function neighbourShare(m: Measurement): number | null {
  const wide = m.spectrum?.adjacent.filter(a => a.bandwidthHz === 10_000) ?? []
  if (wide.length === 0) return null
  const outside = wide.reduce((sum, a) => sum + 10 ** (a.dbc / 10), 0)
  return outside / (1 + outside)
}

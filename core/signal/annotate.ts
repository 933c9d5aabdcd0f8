import { message, type Message } from '../message'
import type { Annotation } from '../recording'
import type { Measurement } from './measurement'

const HALF_CHANNEL_HZ = 5000

const percent = (v: number) => (100 * v).toFixed(1)

/** Something that was found in a recording, not worded yet. */
export type Finding = Omit<Annotation, 'label'> & { readonly says: Message }

/**
 * What was found in a recording, for annotations of it.
 * @returns in samples from the beginning and hertz from zero, as SigMF wants them; empty when nothing was
 */
export function findingsOf(m: Measurement): Finding[] {
  const count = Math.round(m.durationS * m.sampleRateHz)
  const centre = m.carrier?.frequencyHz ?? m.ssb?.suppressedCarrierHz ?? m.carrier?.offsetHz ?? null
  const band = (halfHz: number) => ({
    lowHz: centre === null ? null : centre - halfHz,
    highHz: centre === null ? null : centre + halfHz,
  })
  const whole = { startSample: 0, sampleCount: count }
  const found: Finding[] = []
  const add = (says: Message | null, halfHz: number) => {
    if (says !== null) found.push({ ...whole, says, ...band(halfHz) })
  }
  add(m.carrier && message('figure.foundCarrier', { dbfs: m.carrier.levelDbfs.toFixed(1) }), 0)
  const occupiedHz = m.spectrum?.occupiedBandwidthHz ?? null
  add(
    occupiedHz ? message('figure.foundOccupied', { hz: Math.round(occupiedHz) }) : null,
    (occupiedHz ?? 0) / 2,
  )
  add(amFound(m.am), HALF_CHANNEL_HZ)
  const startS = m.am?.unmodulated?.startS ?? null
  if (startS !== null) {
    const startSample = Math.round(startS * m.sampleRateHz)
    found.push({ startSample, sampleCount: null, says: message('figure.foundUnmodulated'), ...band(0) })
  }
  const deviationHz = m.fm?.deviationFundamentalHz ?? null
  add(deviationHz ? message('figure.foundFm', { hz: Math.round(deviationHz) }) : null, HALF_CHANNEL_HZ)
  add(ssbFound(m.ssb), HALF_CHANNEL_HZ)
  return found
}

function amFound(am: Measurement['am']): Message | null {
  if (!am) return null
  const depth = percent(am.depthNegative)
  return am.pinchedRatio > 0
    ? message('figure.foundAmCutOff', { depth, cutOff: percent(am.pinchedRatio) })
    : message('figure.foundAm', { depth })
}

function ssbFound(ssb: Measurement['ssb']): Message | null {
  if (!ssb) return null
  const db = ssb.imd3DbBelowTone
  const sideband = ssb.sideband ?? 'SSB'
  return db === null
    ? message('figure.foundSideband', { sideband })
    : message('figure.foundProducts', { sideband, db: db.toFixed(1) })
}

import type { Annotation } from '../recording'
import type { Measurement } from './measurement'

const HALF_CHANNEL_HZ = 5000

const percent = (v: number) => `${(100 * v).toFixed(1)} %`

/**
 * What was found in a recording, as annotations of it.
 * @returns in samples from the beginning and hertz from zero, as SigMF wants them; empty when nothing was
 */
export function annotationsOf(m: Measurement): Annotation[] {
  const count = Math.round(m.durationS * m.sampleRateHz)
  const centre = m.carrier?.frequencyHz ?? m.ssb?.suppressedCarrierHz ?? m.carrier?.offsetHz ?? null
  const band = (halfHz: number) => ({
    lowHz: centre === null ? null : centre - halfHz,
    highHz: centre === null ? null : centre + halfHz,
  })
  const whole = { startSample: 0, sampleCount: count }
  const found: Annotation[] = []
  const add = (label: string | null, halfHz: number) => {
    if (label !== null) found.push({ ...whole, label, ...band(halfHz) })
  }
  add(m.carrier && `carrier, ${m.carrier.levelDbfs.toFixed(1)} dBFS`, 0)
  const occupiedHz = m.spectrum?.occupiedBandwidthHz ?? null
  add(occupiedHz ? `99 % of the power, ${Math.round(occupiedHz)} Hz` : null, (occupiedHz ?? 0) / 2)
  add(amLabel(m.am), HALF_CHANNEL_HZ)
  const startS = m.am?.unmodulated?.startS ?? null
  if (startS !== null) {
    const startSample = Math.round(startS * m.sampleRateHz)
    found.push({ startSample, sampleCount: null, label: 'unmodulated carrier begins', ...band(0) })
  }
  const deviationHz = m.fm?.deviationFundamentalHz ?? null
  add(deviationHz ? `FM ${Math.round(deviationHz)} Hz` : null, HALF_CHANNEL_HZ)
  add(ssbLabel(m.ssb), HALF_CHANNEL_HZ)
  return found
}

function amLabel(am: Measurement['am']): string | null {
  if (!am) return null
  const pinched = am.pinchedRatio > 0 ? `, cut off ${percent(am.pinchedRatio)} of the time` : ''
  return `AM ${percent(am.depthNegative)}${pinched}`
}

function ssbLabel(ssb: Measurement['ssb']): string | null {
  if (!ssb) return null
  const db = ssb.imd3DbBelowTone
  const products = db === null ? '' : `, third order ${db.toFixed(1)} dB below one tone`
  return `${ssb.sideband ?? 'SSB'}${products}`
}

import type { Annotation } from '../formats/recording'
import type { Measurement } from './measurement'

const HALF_CHANNEL_HZ = 5000

/** What was found in a recording, as annotations of it. */
export function annotationsOf(m: Measurement): Annotation[] {
  const count = Math.round(m.durationS * m.sampleRateHz)
  const centre =
    m.carrier?.frequencyHz ?? m.ssb?.suppressedCarrierHz ?? (m.carrier ? m.carrier.offsetHz : null)
  const half = (m.spectrum?.occupiedBandwidthHz ?? 0) / 2
  const band = (width: number) => ({
    lowHz: centre === null ? null : centre - width,
    highHz: centre === null ? null : centre + width,
  })
  const percent = (v: number) => `${(100 * v).toFixed(1)} %`
  return [
    ...(m.carrier
      ? [
          {
            startSample: 0,
            sampleCount: count,
            label: `carrier, ${m.carrier.levelDbfs.toFixed(1)} dBFS`,
            ...band(0),
          },
        ]
      : []),
    ...(m.spectrum?.occupiedBandwidthHz
      ? [
          {
            startSample: 0,
            sampleCount: count,
            label: `99 % of the power, ${Math.round(2 * half)} Hz`,
            ...band(half),
          },
        ]
      : []),
    ...(m.am
      ? [
          {
            startSample: 0,
            sampleCount: count,
            label: `AM ${percent(m.am.depthNegative)}${m.am.pinchedRatio > 0 ? `, pinched off ${percent(m.am.pinchedRatio)} of the time` : ''}`,
            ...band(HALF_CHANNEL_HZ),
          },
        ]
      : []),
    ...(m.am?.unmodulated && m.am.unmodulated.startS !== null
      ? [
          {
            startSample: Math.round(m.am.unmodulated.startS * m.sampleRateHz),
            sampleCount: null,
            label: 'unmodulated carrier begins',
            ...band(0),
          },
        ]
      : []),
    ...(m.fm?.deviationFundamentalHz
      ? [
          {
            startSample: 0,
            sampleCount: count,
            label: `FM ${Math.round(m.fm.deviationFundamentalHz)} Hz`,
            ...band(HALF_CHANNEL_HZ),
          },
        ]
      : []),
    ...(m.ssb
      ? [
          {
            startSample: 0,
            sampleCount: count,
            label: `${m.ssb.sideband ?? 'SSB'}${m.ssb.imd3DbBelowTone === null ? '' : `, third order ${m.ssb.imd3DbBelowTone.toFixed(1)} dB below one tone`}`,
            ...band(HALF_CHANNEL_HZ),
          },
        ]
      : []),
  ]
}

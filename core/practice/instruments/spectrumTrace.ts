import { powerDb, dbToPowerRatio } from '../../quantity'
import type { RigTruth } from '../../rig'
import { cycleOf } from '../../rig/signal/figures'
import { fft } from '../../rig/signal/lines'

export interface TraceSettings {
  readonly centreHz: number
  readonly spanHz: number
  readonly points: number
  readonly rbwHz: number
}

/** Noise of the instrument itself in 1 Hz [dBm], and its attenuator in front. */
const FLOOR_DBM_PER_HZ = -110
const ONE_MILLIWATT = 1e-3

/**
 * Power against frequency as an analyser shows it.
 * @returns points values [dBm] from left to right
 * Source: lines of one period of the envelope, each as wide as a Gaussian filter of the resolution bandwidth,
 * over flat noise.
 */
export function spectrumTrace(
  truth: RigTruth,
  { centreHz, spanHz, points, rbwHz }: TraceSettings,
): Float32Array {
  const cycle = cycleOf(truth.emission)
  const power = truth.emission.kind === 'none' ? new Float64Array(0) : fft(cycle)
  const carrierHz = truth.channelHz + (truth.emission.kind === 'none' ? 0 : truth.emission.offsetHz)
  const floorW = ONE_MILLIWATT * dbToPowerRatio(FLOOR_DBM_PER_HZ) * rbwHz
  const out = new Float64Array(points).fill(floorW)
  const stepHz = spanHz / (points - 1)
  const reach = Math.ceil((3 * rbwHz) / stepHz)
  for (let k = 0; k < power.length; k++) {
    const hz = carrierHz + (k > power.length / 2 ? k - power.length : k) / cycle.periodS
    const bin = (hz - centreHz + spanHz / 2) / stepHz
    if (power[k]! < floorW * 1e-3) continue
    for (
      let i = Math.max(0, Math.floor(bin) - reach);
      i <= Math.min(points - 1, Math.ceil(bin) + reach);
      i++
    ) {
      const away = ((i - bin) * stepHz) / (rbwHz / 2)
      out[i]! += power[k]! * Math.exp(-Math.LN2 * away * away)
    }
  }
  return Float32Array.from(out, w => powerDb(w / ONE_MILLIWATT))
}

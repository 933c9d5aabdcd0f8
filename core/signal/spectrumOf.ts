import type { Mode } from '../rules'
import type { Located } from './locate'
import type { MeasureOptions } from './options'
import type { Recording } from '../formats/recording'
import { note, ratioToDb, type HarmonicFigure, type Measured, type SpectrumFigures } from './result'
import { bandPower, holds, type PowerSpectrum } from './spectrum/powerSpectrum'
import { adjacentFigures, maskFigure, occupiedBandwidth } from './spectrum/spectrumFigures'

/** Bandwidth is looked for this far from the channel [Hz]. */
const NEAR_HZ = 25_000
/** A carrier that nobody told the power of [W]. */
const ASSUMED_W = 4
/** Off its channel by more than this a set is taken to be on no channel [Hz]. */
const ON_CHANNEL_HZ = 2500

/** Averaged power of so many bins in so many segments, and a tenth of a dB for the edges [dB]. */
function bandUncertainty(s: PowerSpectrum, bandwidthHz: number): number {
  return Math.hypot(0.1, 4.34 / Math.sqrt(Math.max(1, s.segments * bandwidthHz / s.rbwHz)))
}

const MOST_ORDER = 5

/** Of real samples the frequency is the one on the air, and so are its multiples. */
function harmonicsOf(spectrum: PowerSpectrum, carrierHz: number, carrierPower: number): HarmonicFigure[] {
  const half = Math.max(5000, 3 * spectrum.rbwHz)
  return Array.from({ length: MOST_ORDER - 1 }, (_, k) => k + 2).filter(order => holds(spectrum, order * carrierHz - half, order * carrierHz + half))
    .map(order => ({ order, dbc: ratioToDb(bandPower(spectrum, order * carrierHz - half, order * carrierHz + half) / carrierPower) }))
}

interface At { readonly recording: Recording, readonly options: MeasureOptions, readonly spectrum: PowerSpectrum, readonly found: Located }

/** Bandwidth, neighbours and mask of a recording. @param carrierHz in the recording @param carrierPower full scale = 1 */
export function spectrumOf({ recording, options, spectrum, found }: At, mode: Mode, carrierHz: number, carrierPower: number, overload: boolean): Measured<SpectrumFigures> & { ownHz: number } {
  const nominalHz = options.nominalHz !== null && recording.centreHz !== null ? options.nominalHz - recording.centreHz : null
  const ownHz = nominalHz !== null && Math.abs(nominalHz - carrierHz) < ON_CHANNEL_HZ ? nominalHz : carrierHz
  const width = occupiedBandwidth(spectrum, found.floor, ownHz - NEAR_HZ, ownHz + NEAR_HZ)
  const adjacent = overload ? [] : adjacentFigures(spectrum, ownHz, options.spacingHz, carrierPower)
  const powerW = options.carrierW ?? ASSUMED_W
  const parts = overload || !options.mask ? null : options.mask.parts(mode, powerW)
  const mask = parts && options.mask ? maskFigure(spectrum, options.mask.ruleSetId, parts, ownHz, carrierPower) : null
  const inNoise = adjacent.filter(a => ratioToDb(found.floor * a.bandwidthHz / spectrum.binHz / Math.max(bandPower(spectrum, ownHz - 5000, ownHz + 5000), 1e-30)) > a.dbc - 3)
  return {
    ownHz,
    values: { occupiedBandwidthHz: width ? width.highHz - width.lowHz : null, window: spectrum.window, rbwHz: spectrum.rbwHz, adjacent, mask, harmonics: recording.kind === 'real' ? harmonicsOf(spectrum, carrierHz, carrierPower) : [] },
    uncertainty: { occupiedBandwidthHz: width ? spectrum.rbwHz : null, adjacent: adjacent.map(a => bandUncertainty(spectrum, a.bandwidthHz)), mask: mask && { worstOffsetHz: 150, worstMarginDb: bandUncertainty(spectrum, 300) } },
    notes: [
      ...(adjacent.length === 0 && !overload ? [note('no-span', 'The recording is too narrow to hold a neighbouring channel.')] : []),
      ...(inNoise.length > 0 ? [note('adjacent-in-noise', `${inNoise.length} of ${adjacent.length} neighbouring figures are the noise of the receiver: the set is at least as clean.`)] : []),
      ...(mask && options.carrierW === null ? [note('mask-power-assumed', `The mask was judged for ${ASSUMED_W} W: the power of the carrier was not told.`)] : []),
      ...(options.mask && !mask && !overload ? [note('mask-not-judged', `${options.mask.ruleSetId} has no mask that this recording could be judged by.`)] : []),
    ],
  }
}

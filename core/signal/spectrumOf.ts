import type { Mode } from '../rules'
import type { Located } from './locate'
import type { MeasureOptions } from './options'
import type { Recording } from '../formats/recording'
import {
  note,
  ratioToDb,
  type AdjacentFigure,
  type HarmonicFigure,
  type Measured,
  type SpectrumFigures,
} from './result'
import { bandPower, holds, type PowerSpectrum } from './spectrum/powerSpectrum'
import type { Beside } from './channel/beside'
import { MASK_RBW_HZ, adjacentFigures, maskFigure, occupiedBandwidth } from './spectrum/spectrumFigures'

/** Bandwidth is looked for this far from the channel [Hz]. */
const NEAR_HZ = 25_000
/** A carrier that nobody told the power of [W]. */
const ASSUMED_W = 4
/** Off its channel by more than this a set is taken to be on no channel [Hz]. */
const ON_CHANNEL_HZ = 2500

/** Averaged power of so many bins in so many segments, and a tenth of a dB for the edges [dB]. */
function bandUncertainty(s: PowerSpectrum, bandwidthHz: number): number {
  return Math.hypot(0.1, 4.34 / Math.sqrt(Math.max(1, (s.segments * bandwidthHz) / s.rbwHz)))
}

/** Noise that makes up more of what was read than this leaves a bound [share of power]. */
const NOISE_SHARE = 0.25
/** A stranger fills this much on either side of its middle [Hz]. */
const STRANGER_HZ = 5000
/** Expanded uncertainty over standard uncertainty (95 % of a normal distribution). */
const COVERAGE = 2
const MOST_ORDER = 5

/** Of real samples the frequency is the one on the air, and so are its multiples. */
function harmonicsOf(spectrum: PowerSpectrum, carrierHz: number, carrierPower: number): HarmonicFigure[] {
  const half = Math.max(5000, 3 * spectrum.rbwHz)
  return Array.from({ length: MOST_ORDER - 1 }, (_, k) => k + 2)
    .filter(order => holds(spectrum, order * carrierHz - half, order * carrierHz + half))
    .map(order => ({
      order,
      dbc: ratioToDb(
        bandPower(spectrum, order * carrierHz - half, order * carrierHz + half) /
          Math.max(carrierPower, 1e-30),
      ),
    }))
}

interface At {
  readonly recording: Recording
  readonly options: MeasureOptions
  readonly spectrum: PowerSpectrum
  readonly found: Located
  readonly beside: readonly Beside[]
}

/**
 * Bandwidth, neighbours and mask of a recording.
 * @param carrierHz in the recording
 * @param carrierPower full scale = 1
 */
export function spectrumOf(
  { recording, options, spectrum, found, beside }: At,
  mode: Mode,
  carrierHz: number,
  carrierPower: number,
  overload: boolean,
): Measured<SpectrumFigures> & { ownHz: number } {
  const nominalHz =
    options.nominalHz !== null && recording.centreHz !== null ? options.nominalHz - recording.centreHz : null
  const ownHz = nominalHz !== null && Math.abs(nominalHz - carrierHz) < ON_CHANNEL_HZ ? nominalHz : carrierHz
  const width = occupiedBandwidth(spectrum, found.floor, ownHz - NEAR_HZ, ownHz + NEAR_HZ)
  const noiseOf = (bandwidthHz: number) => (found.floor * bandwidthHz) / spectrum.binHz
  const ofOthers = (hz: number, halfHz: number) =>
    beside.some(b => Math.abs(b.offsetHz - hz) < STRANGER_HZ + halfHz)
  const adjacent = overload
    ? []
    : adjacentFigures(spectrum, ownHz, options.spacingHz, carrierPower).map((a): AdjacentFigure => {
        const read = bandPower(
          spectrum,
          ownHz + a.offsetHz - a.bandwidthHz / 2,
          ownHz + a.offsetHz + a.bandwidthHz / 2,
        )
        return {
          ...a,
          bound:
            noiseOf(a.bandwidthHz) > NOISE_SHARE * read || ofOthers(a.offsetHz, a.bandwidthHz / 2)
              ? 'at-most'
              : null,
        }
      })
  const powerW = options.carrierW ?? ASSUMED_W
  const parts = overload || !options.mask ? null : options.mask.parts(mode, powerW)
  const untold = (offsetHz: number, read: number) =>
    noiseOf(MASK_RBW_HZ) > NOISE_SHARE * read || ofOthers(offsetHz, MASK_RBW_HZ / 2)
  const maskU = bandUncertainty(spectrum, MASK_RBW_HZ)
  const mask =
    parts && options.mask
      ? maskFigure(spectrum, options.mask.ruleSetId, parts, ownHz, carrierPower, {
          untold,
          guardDb: COVERAGE * maskU,
        })
      : null
  const inNoise = adjacent.filter(a => a.bound !== null && !ofOthers(a.offsetHz, a.bandwidthHz / 2))
  return {
    ownHz,
    values: {
      occupiedBandwidthHz: width ? width.highHz - width.lowHz : null,
      window: spectrum.window,
      rbwHz: spectrum.rbwHz,
      adjacent,
      mask,
      harmonics: recording.kind === 'real' ? harmonicsOf(spectrum, carrierHz, carrierPower) : [],
    },
    uncertainty: {
      occupiedBandwidthHz: width ? spectrum.rbwHz : null,
      adjacent: adjacent.map(a => bandUncertainty(spectrum, a.bandwidthHz)),
      mask: mask && { worstOffsetHz: 150, worstMarginDb: maskU },
    },
    notes: [
      ...(adjacent.length === 0 && !overload
        ? [note('no-span', 'The recording is too narrow to hold a neighbouring channel.')]
        : []),
      ...(inNoise.length > 0
        ? [
            note(
              'adjacent-in-noise',
              `${inNoise.length} of ${adjacent.length} neighbouring figures are noise of the receiver for a good part: the set is cleaner than they say, by how much cannot be told.`,
            ),
          ]
        : []),
      ...(mask && options.carrierW === null
        ? [
            note(
              'mask-power-assumed',
              `The mask was judged for ${ASSUMED_W} W: the power of the carrier was not told.`,
            ),
          ]
        : []),
      ...(mask && mask.pass === null
        ? [
            note(
              'mask-not-judged',
              'Noise of the receiver, or somebody else, fills a part of the mask: whether the set keeps it there cannot be told.',
            ),
          ]
        : []),
      ...(options.mask && !mask && !overload
        ? [
            note(
              'mask-not-judged',
              `${options.mask.ruleSetId} has no mask that this recording could be judged by.`,
            ),
          ]
        : []),
    ],
  }
}

import { message } from '../message'
import type { Mode } from '../rules'
import type { Located } from './locate'
import type { MeasureOptions } from './options'
import type { Recording } from '../recording'
import {
  ratioToDb,
  type AdjacentFigure,
  type HarmonicFigure,
  type Measured,
  type SpectrumFigures,
  noteIf,
  type Note,
  type MaskFigure,
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
/** The mask is looked at in steps about as wide as this [Hz]. */
const MASK_STEP_HZ = 150
const MAX_ORDER = 5

/** Of real samples the frequency is the one on the air, and so are its multiples. */
function harmonicsOf(spectrum: PowerSpectrum, carrierHz: number, carrierPower: number): HarmonicFigure[] {
  const half = Math.max(5000, 3 * spectrum.rbwHz)
  return Array.from({ length: MAX_ORDER - 1 }, (_, k) => k + 2)
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
  at: At,
  mode: Mode,
  carrierHz: number,
  carrierPower: number,
  overload: boolean,
): Measured<SpectrumFigures> & { ownHz: number } {
  const { recording, spectrum, found } = at
  const ownHz = ownChannelHz(at, carrierHz)
  const width = occupiedBandwidth(spectrum, found.floor, ownHz - NEAR_HZ, ownHz + NEAR_HZ)
  const adjacent = overload ? [] : adjacentOf(at, ownHz, carrierPower)
  const mask = overload ? null : maskOf(at, mode, ownHz, carrierPower)
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
      mask: mask && { worstOffsetHz: MASK_STEP_HZ, worstMarginDb: bandUncertainty(spectrum, MASK_RBW_HZ) },
    },
    notes: overload ? [] : [...adjacentNotes(at, adjacent), ...maskNotes(at, mask)],
  }
}

/** The nominal frequency where the carrier is on it, else the carrier. */
function ownChannelHz({ recording, options }: At, carrierHz: number): number {
  if (options.nominalHz === null || recording.centreHz === null) return carrierHz
  const nominalHz = options.nominalHz - recording.centreHz
  return Math.abs(nominalHz - carrierHz) < ON_CHANNEL_HZ ? nominalHz : carrierHz
}

const isOfOthers = ({ beside }: At, hz: number, halfHz: number) =>
  beside.some(b => Math.abs(b.offsetHz - hz) < STRANGER_HZ + halfHz)

/** Whether what is read in a band is noise for a good part, or somebody else's. */
function isUntold(at: At, offsetHz: number, bandwidthHz: number, read: number): boolean {
  const noise = (at.found.floor * bandwidthHz) / at.spectrum.binHz
  return noise > NOISE_SHARE * read || isOfOthers(at, offsetHz, bandwidthHz / 2)
}

function adjacentOf(at: At, ownHz: number, carrierPower: number): AdjacentFigure[] {
  const { spectrum, options } = at
  return adjacentFigures(spectrum, ownHz, options.spacingHz, carrierPower).map(a => {
    const [hz, half] = [ownHz + a.offsetHz, a.bandwidthHz / 2]
    const read = bandPower(spectrum, hz - half, hz + half)
    return { ...a, bound: isUntold(at, a.offsetHz, a.bandwidthHz, read) ? 'at-most' : null }
  })
}

function maskOf(at: At, mode: Mode, ownHz: number, carrierPower: number): MaskFigure | null {
  const { options, spectrum } = at
  const parts = options.mask?.parts(mode, options.carrierW ?? ASSUMED_W)
  if (!parts || !options.mask) return null
  return maskFigure(spectrum, options.mask.ruleSetId, parts, ownHz, carrierPower, {
    untold: (offsetHz, read) => isUntold(at, offsetHz, MASK_RBW_HZ, read),
    guardDb: COVERAGE * bandUncertainty(spectrum, MASK_RBW_HZ),
  })
}

function adjacentNotes(at: At, adjacent: readonly AdjacentFigure[]): Note[] {
  const inNoise = adjacent.filter(a => a.bound !== null && !isOfOthers(at, a.offsetHz, a.bandwidthHz / 2))
  const words = message('note.adjacentInNoise', { count: inNoise.length, count2: adjacent.length })
  return [
    ...noteIf(adjacent.length === 0, 'no-span', message('note.noSpan')),
    ...noteIf(inNoise.length > 0, 'adjacent-in-noise', words),
  ]
}

function maskNotes({ options }: At, mask: MaskFigure | null): Note[] {
  const assumed = message('note.maskAssumed', { assumedw: ASSUMED_W })
  const none = message('note.noMask', { ruleSetId: options.mask?.ruleSetId ?? '' })
  return [
    ...noteIf(mask !== null && options.carrierW === null, 'mask-power-assumed', assumed),
    ...noteIf(mask?.pass === null, 'mask-not-judged', message('note.maskInNoise')),
    ...noteIf(options.mask !== null && mask === null, 'mask-not-judged', none),
  ]
}

import { message } from '../message'
import { dbToVoltageRatio, voltageDb } from '../quantity'
import { imbalanceOf, type RawHealth } from './channel/health'
import { NO_CORRECTION, type Correction } from './channel/correction'
import { noteIf, ratioToDb, type Health, type Note, type UncertaintyOf } from './result'
import type { Located } from './locate'

/** Mirrors weaker than this are below what the moments of a recording tell [dB]. */
const MIN_IMAGE_DBC = -62
/** A signal whose mirror lies on itself says nothing about I and Q [Hz]. */
const APART_HZ = 600
/**
 * The offset of a receiver is taken out when the signal is this far from it: nearer it may be the carrier
 * itself [Hz].
 */
const OFFSET_APART_HZ = 6000
/** An offset this far below the signal does no harm; it may be a far sideband of it. */
const OFFSET_SEEN = 1e-6
const LOW_DBFS = -60
/** Nearer than this to the centre a signal lies at it [Hz]. */
const AT_CENTRE_HZ = 100

/** Moments of n samples are uncertain by one part in the root of n. */
export function healthUncertainty(h: Health, count: number): UncertaintyOf<Health> {
  const part = 1 / Math.sqrt(Math.max(1, count))
  const of = (v: number | null, u: number) => (v === null ? null : u)
  return {
    clippedRatio: part,
    dcOffset: part,
    iqGainDb: of(h.iqGainDb, 8.7 * part),
    iqPhaseDeg: of(h.iqPhaseDeg, 57.3 * part),
    imageDbc: of(h.imageDbc, Math.min(20, (8.7 * part) / Math.max(dbToVoltageRatio(h.imageDbc ?? 0), 1e-6))),
  }
}

/**
 * Health as it is shown, and what is put right before measuring.
 * @param offsetIsOwn a sideband of the signal itself stands at the centre
 */
export function recordingHealth(
  raw: RawHealth,
  found: Located,
  occupiedHz: number,
  isIq: boolean,
  offsetIsOwn: boolean,
): { health: Health; correction: Correction; notes: Note[] } {
  const dcOffset = Math.hypot(raw.dcI, raw.dcQ)
  const apart = isIq && Math.abs(found.peakHz) > 0.75 * occupiedHz + APART_HZ
  const imbalance = apart ? imbalanceOf(raw) : null
  const imageDbc = imbalance ? Math.max(ratioToDb(imbalance.imageRatio), -90) : null
  const corrects = imageDbc !== null && imageDbc > MIN_IMAGE_DBC && !raw.overload
  const removes =
    !offsetIsOwn && Math.abs(found.peakHz) > OFFSET_APART_HZ && dcOffset ** 2 > OFFSET_SEEN * found.peakPower
  const health: Health = {
    clippedRatio: raw.clippedRatio,
    overload: raw.overload,
    dcOffset,
    iqGainDb: imbalance ? voltageDb(imbalance.gain) : null,
    iqPhaseDeg: imbalance ? (imbalance.phaseRad * 180) / Math.PI : null,
    imageDbc,
  }
  const correction: Correction = {
    ...NO_CORRECTION,
    ...(removes ? { dcI: raw.dcI, dcQ: raw.dcQ } : {}),
    ...(corrects ? { gain: imbalance!.gain, phaseRad: imbalance!.phaseRad } : {}),
  }
  return {
    health,
    correction,
    notes: notesOf(raw, { isIq, apart, corrects, removes, imageDbc }, found.peakHz),
  }
}

/** What was seen of I and Q, and done about it. */
interface HealthContext {
  readonly isIq: boolean
  readonly apart: boolean
  readonly corrects: boolean
  readonly removes: boolean
  readonly imageDbc: number | null
}

function notesOf(
  raw: RawHealth,
  { isIq, apart, corrects, removes, imageDbc }: HealthContext,
  peakHz: number,
): Note[] {
  const levelDb = ratioToDb(raw.meanPower)
  const overloaded = message('note.overload', { value: (100 * raw.clippedRatio).toFixed(2) })
  const corrected = message('note.imageCorrected', { imageDbc: imageDbc?.toFixed(1) ?? '' })
  const low = message('note.levelLow', { levelDb: levelDb.toFixed(0) })
  return [
    ...noteIf(raw.overload, 'overload', overloaded),
    ...noteIf(isIq && !apart, 'image-not-separable', message('note.imageCovered')),
    ...noteIf(corrects, 'image-corrected', corrected),
    ...noteIf(removes, 'dc-removed', message('note.dcRemoved')),
    ...noteIf(
      isIq && !removes && Math.abs(peakHz) < AT_CENTRE_HZ,
      'carrier-at-centre',
      message('note.carrierAtCentre'),
    ),
    ...noteIf(levelDb < LOW_DBFS, 'level-too-low', low),
  ]
}

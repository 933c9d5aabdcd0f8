import type { Recording } from '../recording'
import type { MeasuredRecording, Measurement } from './measurement'
import { NO_PICTURES } from './pictures'
import type { Health, Note } from './result'

type Empty = Omit<Measurement, 'health' | 'notes'>

/** A measurement without figures yet: what it is of, and every group empty. */
export function emptyMeasurement(recording: Recording, count: number): Empty {
  const { file, format, sampleRateHz, centreHz } = recording
  return {
    file,
    format,
    sampleRateHz,
    durationS: count / sampleRateHz,
    centreHz,
    mode: null,
    signalPresent: false,
    uncertainty: {},
    limitedBy: {},
    carrier: null,
    am: null,
    fm: null,
    ssb: null,
    audio: null,
    spectrum: null,
  }
}

/** Of a recording in which nothing can be read. */
export function nothingMeasured(
  recording: Recording,
  count: number,
  health: Health,
  notes: readonly Note[],
): MeasuredRecording {
  return { measurement: { ...emptyMeasurement(recording, count), health, notes }, pictures: NO_PICTURES }
}

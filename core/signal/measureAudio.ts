import { message } from '../message'
import type { Recording } from '../recording'
import { audioFigures } from './audio/audioFigures'
import type { RawHealth } from './channel/health'
import { emptyMeasurement } from './emptyMeasurement'
import type { MeasuredRecording, Measurement } from './measurement'
import type { Progress } from './options'
import { scan } from './passes'
import { NO_PICTURES } from './pictures'
import { noteIf, type Health, type Note } from './result'

/** Measures sound: one channel, held whole. @param toneHz the tone that was fed in; null = found by itself */
export async function measureAudio(
  recording: Recording,
  count: number,
  toneHz: number | null,
  early: readonly Note[],
  progress: Progress,
): Promise<MeasuredRecording> {
  const { health: raw } = await scan(recording, count, progress)
  const block = await recording.read(0, count)
  const found = audioFigures(Float64Array.from(block.i), recording.sampleRateHz, toneHz)
  progress.tell(1, 'done')
  const figures: Partial<Measurement> = found.signalPresent
    ? { signalPresent: true, uncertainty: { audio: found.uncertainty }, audio: found.values }
    : {}
  const overloaded = message('note.overloadAudio', { value: (100 * raw.clippedRatio).toFixed(2) })
  const products = found.values.harmonicsDbc.map((db, k) => ({
    name: message('note.harmonicOrder', { order: k + 2 }),
    db,
  }))
  return {
    measurement: {
      ...emptyMeasurement(recording, count),
      mode: 'audio',
      ...figures,
      limitedBy: found.limitedBy ? { audio: found.limitedBy } : {},
      health: healthOf(raw),
      notes: [...early, ...noteIf(raw.overload, 'overload', overloaded), ...found.notes],
    },
    pictures: { ...NO_PICTURES, products },
  }
}

/** Sound has one part: nothing is told of the balance of two. */
function healthOf({ clippedRatio, overload, dcI, dcQ }: RawHealth): Health {
  const dcOffset = Math.hypot(dcI, dcQ)
  return { clippedRatio, overload, dcOffset, iqGainDb: null, iqPhaseDeg: null, imageDbc: null }
}

import { message } from '../message'
import type { Recording } from '../recording'
import { CoreError } from '../errors'
import { measureAudio } from './measureAudio'
import { measureRadio } from './measureRadio'
import type { MeasuredRecording } from './measurement'
import { CHANNEL_RATE_HZ, DEFAULT_OPTIONS, SILENT, type MeasureOptions, type Progress } from './options'
import { noteIf, type Note } from './result'
import { loadFastTransforms } from './spectrum/fastFft'

/** Samples of a channel that are kept, at most: the bound on memory, whatever is recorded. */
const MAX_CHANNEL_SAMPLES = 8_000_000
const MIN_SAMPLES = 256

/**
 * Measures a recording: health, carrier, modulation, spectrum, each with its uncertainty and a reason where
 * it cannot be made.
 *
 * Memory: the channel at 64 to 128 kS/s, 32 bytes a sample while it is turned and its envelope read, at most
 * 8 million of them (256 MB; 60 s at 2 MS/s take 130 MB), the spectrum and one block of 65 536 samples; a
 * longer recording is measured in its beginning only, and says so.
 * @param recording complex or real samples, read block by block; full scale is 1
 * @param options what is known beforehand: nominal frequency, tone, mode, channel width, carrier power [W]
 * @param progress told the share done, asked whether to stop
 * @returns figures in SI, null where one cannot be made; uncertainties are one standard deviation; notes and
 * limits say what bounds a figure
 * @throws {CoreError} bad-recording (samples that are no numbers, too few of them, a cancel)
 * Source: the parts name theirs. Range and coverage: docs/formats, table of `npm run coverage`.
 */
export async function measureRecording(
  recording: Recording,
  options: MeasureOptions = DEFAULT_OPTIONS,
  progress: Progress = SILENT,
): Promise<MeasuredRecording> {
  await loadFastTransforms()
  const isAudio = options.as === 'audio' || (options.as === 'auto' && recording.kind === 'audio')
  const factor = isAudio ? 1 : Math.max(1, Math.floor(recording.sampleRateHz / CHANNEL_RATE_HZ))
  const count = Math.min(recording.sampleCount, MAX_CHANNEL_SAMPLES * factor)
  // That nothing was sent cannot be said of so little.
  if (count < MIN_SAMPLES)
    throw new CoreError(
      'bad-recording',
      message('error.tooFewSamples', { file: recording.file, count, minsamples: MIN_SAMPLES }),
    )
  const beginning = message('note.onlyBeginning', { count: (count / recording.sampleRateHz).toFixed(0) })
  const early: Note[] = [
    ...recording.notes.map(({ code, says }) => ({ code, says })),
    ...noteIf(count < recording.sampleCount, 'only-the-beginning', beginning),
  ]
  return isAudio
    ? measureAudio(recording, count, options.toneHz, early, progress)
    : measureRadio(recording, count, options, early, progress)
}

import { message } from '../message'
import type { Recording, SampleBlock } from '../recording'
import { channeliserOf } from './channel/channeliser'
import type { ChannelPlan } from './channel/channelPlan'
import { corrected, type Correction } from './channel/correction'
import { HealthCounter, type RawHealth } from './channel/health'
import { CoreError } from '../errors'
import type { MeasuringPhase, Progress } from './options'
import { SpectrumAverager, type PowerSpectrum } from './spectrum/powerSpectrum'
import { powerOfTwoTo } from './spectrum/fft'
import type { Series } from './series'

/** Samples that are read at once: some megabytes, whatever the length of the recording. */
const BLOCK = 65_536
/** Bins about this wide or narrower [Hz]. */
const BIN_HZ = 32
const LARGEST_TRANSFORM = 131_072
/** With so many segments their overlap adds nothing worth its time. */
const ENOUGH_SEGMENTS = 96

/** Reads a recording block by block. @throws {CoreError} bad-recording; nothing is measured after a cancel */
async function eachBlock(
  recording: Recording,
  count: number,
  progress: Progress,
  from: number,
  to: number,
  phase: MeasuringPhase,
  take: (block: SampleBlock) => void,
): Promise<void> {
  let block: SampleBlock | undefined
  for (let at = 0; at < count; at += BLOCK) {
    if (progress.cancelled()) throw new CoreError('bad-recording', message('error.cancelled'))
    block = await recording.read(at, Math.min(BLOCK, count - at), block)
    take(block)
    progress.tell(from + (to - from) * Math.min(1, (at + BLOCK) / count), phase)
  }
}

function averagerFor(recording: Recording, count: number): SpectrumAverager {
  const size = Math.max(
    64,
    Math.min(LARGEST_TRANSFORM, powerOfTwoTo((2 * recording.sampleRateHz) / BIN_HZ), powerOfTwoTo(count / 4)),
  )
  return new SpectrumAverager(size, count / size > ENOUGH_SEGMENTS ? size : size / 2, recording.kind !== 'iq')
}

/** First pass: health and spectrum of everything. */
export async function scan(
  recording: Recording,
  count: number,
  progress: Progress,
): Promise<{ health: RawHealth; spectrum: PowerSpectrum }> {
  const health = new HealthCounter(recording.steps)
  const averager = averagerFor(recording, count)
  await eachBlock(recording, count, progress, 0, 0.45, 'looking', block => {
    health.add(block)
    averager.add(block.i, block.q)
  })
  return {
    health: health.result(),
    spectrum: oneSided(averager.result(recording.sampleRateHz), recording.kind !== 'iq'),
  }
}

/**
 * A real signal stands at plus and minus: its power is shown where it is, once, as of the pointer that turns
 * there.
 */
function oneSided(s: PowerSpectrum, isReal: boolean): PowerSpectrum {
  if (!isReal) return s
  return { ...s, power: s.power.map((p, k) => (s.fromHz + k * s.binHz < 0 ? 0 : 4 * p)) }
}

/** Second pass: the channel, put right sample by sample; the spectrum anew where something was put right. */
export async function channelPass(
  recording: Recording,
  count: number,
  plan: ChannelPlan,
  correction: Correction,
  progress: Progress,
): Promise<{ channel: Series; spectrum: PowerSpectrum | null }> {
  const corrects =
    correction.gain !== 1 || correction.phaseRad !== 0 || correction.dcI !== 0 || correction.dcQ !== 0
  const isReal = recording.kind !== 'iq'
  const channeliser = channeliserOf(plan, recording.sampleRateHz, count, isReal)
  const averager = corrects ? averagerFor(recording, count) : null
  await eachBlock(recording, count, progress, 0.45, 0.8, 'tuning-in', block => {
    const good = corrects ? corrected(block, correction, isReal) : block
    averager?.add(good.i, good.q)
    channeliser.add(good.i, good.q)
  })
  return {
    channel: channeliser.result(),
    spectrum: averager ? oneSided(averager.result(recording.sampleRateHz), isReal) : null,
  }
}

import { message } from '../message'
import { CoreError } from '../errors'
import type { Recording } from '../recording'
import { besideOf, centroid, type Beside } from './channel/beside'
import { planChannel } from './channel/channelPlan'
import type { Correction } from './channel/correction'
import { filteredTo, isNoise, isOneOfConstantSize, type Channel } from './channel/filterTo'
import { emptyMeasurement, nothingMeasured } from './emptyMeasurement'
import { locate, type Located } from './locate'
import type { MeasuredRecording } from './measurement'
import { keyedPart, sentPart } from './keyed'
import type { ModeInput } from './modeInput'
import { byMode, type Part, type Place } from './modeParts'
import { CHANNEL_RATE_HZ, type MeasureOptions, type Progress } from './options'
import { channelPass, scan } from './passes'
import { healthUncertainty, recordingHealth } from './recordingHealth'
import { note, noteIf, type Health, type Note } from './result'
import type { Series } from './series'
import { bandPower, effectiveBandwidth, type PowerSpectrum } from './spectrum/powerSpectrum'
import { occupiedBandwidth } from './spectrum/spectrumFigures'

/** So much of the channel has to be keyed: less holds no figure [samples]. */
const MIN_KEYED = 512
/** Further from the nominal frequency than half a raster it is another channel [Hz]. */
const OFF_NOMINAL_HZ = 5000
/** The signal itself is looked for this far from its strongest line [Hz]. */
const OWN_HZ = 20_000
/**
 * Of real samples the channel keeps this much of the way to its mirror, and to the end of the band [ratio].
 */
const OF_REAL = { peak: 0.8, rate: 0.36 } as const
/** The band that noise fills behind the filter of the channel, over what it passes flat. */
const NOISE_OVER_PASS = 2 * 1.39
/** Ratios between common sample rates: a tone that is off by one of them tells a wrong rate. */
const RATE_RATIOS = [0.5, 2, 44.1 / 48, 48 / 44.1, 2.4 / 2.048, 2.048 / 2.4] as const

const NO_SIGNAL = note('no-signal', message('note.noSignal'))
const ONLY_AT_CENTRE = note('only-at-centre', message('note.onlyAtCentre'))
const unlessOfSignal = (notes: readonly Note[]) =>
  notes.filter(n => n.code !== 'image-not-separable' && n.code !== 'carrier-at-centre')

/** A recording as the first pass leaves it. */
interface Looked {
  readonly spectrum: PowerSpectrum
  readonly found: Located
  /** the nominal frequency in the recording; null = not known [Hz] */
  readonly nearHz: number | null
  readonly health: Health
  readonly correction: Correction
  readonly notes: readonly Note[]
}

/** Measures I and Q, or samples of the radio frequency itself: found, tuned in, and measured by its mode. */
export async function measureRadio(
  recording: Recording,
  count: number,
  options: MeasureOptions,
  early: readonly Note[],
  progress: Progress,
): Promise<MeasuredRecording> {
  const first = await look(recording, count, options, progress)
  const { found, health } = first
  const nothing = (why: Note) =>
    nothingMeasured(recording, count, health, [...early, ...unlessOfSignal(first.notes), why])
  if (!found.present) return nothing(found.onlyAtCentre ? ONLY_AT_CENTRE : NO_SIGNAL)
  const { channel: whole, spectrum } = await tuneIn(recording, count, first, progress)
  if (found.likeNoise && isNoise(whole.series, effectiveBandwidth(first.spectrum))) return nothing(NO_SIGNAL)
  const { part, notes } = measureChannel(recording, options, { ...first, spectrum }, whole)
  progress.tell(1, 'done')
  return {
    measurement: {
      ...emptyMeasurement(recording, count),
      signalPresent: true,
      health,
      ...part.measurement,
      uncertainty: { ...part.measurement.uncertainty, health: healthUncertainty(health, count) },
      notes: [...early, ...first.notes, ...notes, ...part.notes, ...rateNote(options.toneHz, part.toneHz)],
    },
    pictures: part.pictures,
  }
}

async function look(
  recording: Recording,
  count: number,
  options: MeasureOptions,
  progress: Progress,
): Promise<Looked> {
  const isIq = recording.kind === 'iq'
  const { spectrum, health: raw } = await scan(recording, count, progress)
  const isPlaced = options.nominalHz !== null && recording.centreHz !== null
  const nearHz = isPlaced ? options.nominalHz! - recording.centreHz! : null
  const found = locate(spectrum, nearHz, !isIq)
  const { peakHz, floor } = found
  const width = occupiedBandwidth(spectrum, floor, peakHz - OWN_HZ, peakHz + OWN_HZ)
  const widthHz = width ? width.highHz - width.lowHz : 0
  const mirrored = isMirrored(spectrum, centroid(spectrum, peakHz, floor))
  return { spectrum, found, nearHz, ...recordingHealth(raw, found, widthHz, isIq, mirrored) }
}

async function tuneIn(
  recording: Recording,
  count: number,
  { found, correction, spectrum }: Looked,
  progress: Progress,
): Promise<{ channel: Channel; spectrum: PowerSpectrum }> {
  const { sampleRateHz, kind } = recording
  const widestHz = kind === 'iq' ? null : Math.min(OF_REAL.peak * found.peakHz, OF_REAL.rate * sampleRateHz)
  const plan = planChannel(sampleRateHz, found.peakHz, CHANNEL_RATE_HZ, widestHz)
  const pass = await channelPass(recording, count, plan, correction, progress)
  progress.tell(0.82, 'measuring')
  const { rateHz } = pass.channel
  const noiseBandHz = Math.min(rateHz, plan.taps ? NOISE_OVER_PASS * plan.passHz : rateHz)
  return {
    channel: { series: pass.channel, passHz: plan.passHz, noiseBandHz },
    spectrum: pass.spectrum ?? spectrum,
  }
}

/** The wanted signal alone: what lies beside it is filtered out, and told. */
function measureChannel(
  recording: Recording,
  options: MeasureOptions,
  { spectrum, found, nearHz, health }: Looked,
  whole: Channel,
): { part: Part; notes: Note[] } {
  const { peakHz, floor } = found
  const noisePerHz = floor / spectrum.binHz
  const isOff = nearHz !== null && Math.abs(peakHz - nearHz) > OFF_NOMINAL_HZ
  const middleHz = centroid(spectrum, nearHz !== null && !isOff ? nearHz : peakHz, floor)
  const isAlone = recording.kind !== 'iq' || isOneOfConstantSize(whole, noisePerHz * whole.noiseBandHz)
  const beside: readonly Beside[] = isAlone
    ? []
    : besideOf(
        spectrum,
        options.as === 'am' ? peakHz : middleHz,
        floor,
        options.as === 'ssb',
        options.spacingHz,
      )
  const channel = filteredTo(whole, middleHz - peakHz, options.channelWidthHz, beside)
  const input: ModeInput = {
    channel: channel.series,
    passHz: channel.passHz,
    noisePower: noisePerHz * channel.noiseBandHz,
    noiseBandHz: channel.noiseBandHz,
    edgeRatio: channel.edgeRatio,
    centreHz: recording.kind === 'iq' ? -peakHz : null,
    toneHz: options.toneHz,
    givenDbfs: options.unmodulatedDbfs,
  }
  // A voice on one sideband sends nothing between its syllables: there all of it counts.
  const sent = options.as === 'ssb' ? sentPart : (s: Series, noise: number) => keyedPart(s, noise).series
  refuseTooShort(recording, sent(input.channel, input.noisePower))
  const nominalInChannelHz = nearHz === null ? null : nearHz - peakHz
  const at: Place = { recording, options, spectrum, found, channelHz: peakHz, nominalInChannelHz, beside }
  const off = message('note.offNominal', { peakHz: Math.round(peakHz - (nearHz ?? 0)) })
  return {
    part: byMode(at, input, health.overload),
    notes: [...noteIf(isOff, 'off-nominal', off), ...channel.notes],
  }
}

/** @throws {CoreError} bad-recording: something is sent, too short to read anything of it */
function refuseTooShort({ file }: Recording, { re, rateHz }: Series): void {
  if (re.length >= MIN_KEYED) return
  const ms = (samples: number) => ((1000 * samples) / rateHz).toFixed(1)
  throw new CoreError(
    'bad-recording',
    message('error.transmissionTooShort', { file, foundMs: ms(re.length), neededMs: ms(MIN_KEYED) }),
  )
}

/**
 * Whether what stands at 0 Hz has its like on the other side of the signal: then it is a sideband and no
 * offset of the receiver.
 */
function isMirrored(s: PowerSpectrum, middleHz: number): boolean {
  const at = (hz: number) => bandPower(s, hz - 3 * s.rbwHz, hz + 3 * s.rbwHz)
  return at(2 * middleHz) > 0.5 * at(0)
}

function rateNote(saidHz: number | null, toneHz: number | null): Note[] {
  if (saidHz === null || toneHz === null) return []
  const ratio = RATE_RATIOS.find(r => Math.abs(toneHz / saidHz / r - 1) < 0.002)
  if (!ratio) return []
  const words = message('note.rateSuspected', { toneHz: toneHz.toFixed(1), saidHz, ratio: ratio.toFixed(4) })
  return [note('rate-suspected', words)]
}

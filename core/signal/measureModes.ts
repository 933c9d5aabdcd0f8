import { amFigures } from './am/amFigures'
import { AM_AUDIO_HZ, type AmResult } from './am/amInput'
import { carrierByFrequency, carrierByPhase, stilled, type CarrierInChannel } from './carrier/carrierFigures'
import { coarseTrack, phaseAt } from './carrier/coarseTrack'
import { noiseAcross, noiseAlong } from './carrier/noiseUnder'
import { humTrack } from './carrier/humStill'
import { phaseTrack, type PhaseTrack } from './carrier/phaseTrack'
import { narrowed } from './channel/channeliser'
import { longest, stretchesOf, type Stretch } from './channel/stretches'
import { noiseOfDiscriminator } from './fm/fmWaveform'
import { fmFigures, instantaneousHz, meanFrequency } from './fm/fmFigures'
import { FM_AUDIO_HZ, type FmResult } from './fm/fmInput'
import { envelopeOf, meanPower, middlePart, part, shifted, type Series } from './series'
import { EXPLAINED_SAMPLES, explainAudio } from './tone/explain'
import { peakFrequency } from './tone/lines'
import { NOISE_KNOWN_TO, note, type Note } from './result'

/** Flat half-width of the channel that a deviation is read from [Hz]. */
const FM_PASS_HZ = 16_000
/** Ripple of the channel at its middle, and what a voice leaves in a mean [dB]. */
const LEVEL_FLOOR_DB = 5e-4
const LEVEL_OF_VOICE_DB = 0.01
/** The noise floor beside a channel is that inside it within this factor of power. */
const NOISE_SURELY = 4
/** Noise that is measured under the signal is known to this factor of power. */
const UNDER_SURELY = 1.5
const MOST_PEAK_SAMPLES = 131_072

export interface ModeInput {
  /** strongest line at 0 Hz within a few hertz */
  readonly channel: Series
  readonly passHz: number
  readonly noisePower: number
  /** band that this noise fills [Hz] */
  readonly noiseBandHz: number
  /**
   * amplitude at the edge of a narrowed channel, against the whole: what was cut there or leaked in; 0 = not
   * narrowed
   */
  readonly edgeRatio: number
  /** middle of the recording, in the channel [Hz]; null where there is none */
  readonly centreHz: number | null
  readonly toneHz: number | null
  /** level of the unmodulated carrier that was given [dBFS] */
  readonly givenDbfs: number | null
}

/** The part in which something is sent, without gaps. */
export function keyedPart(
  channel: Series,
  noisePower: number,
): { series: Series; from: number; stretches: readonly Stretch[] } {
  const stretches = stretchesOf(channel, noisePower)
  let best = { from: 0, to: channel.re.length, length: 0 }
  for (let k = 0, from = -1; k <= stretches.length; k++) {
    const s = stretches[k]
    if (s && s.doing !== 'off') from = from < 0 ? s.from : from
    else if (from >= 0) {
      const to = stretches[k - 1]!.to
      if (to - from > best.length) best = { from, to, length: to - from }
      from = -1
    }
  }
  const trim = Math.floor(0.02 * channel.rateHz)
  const from = best.from === 0 ? 0 : Math.min(best.from + trim, best.to)
  const to = best.to === channel.re.length ? best.to : Math.max(from, best.to - trim)
  return { series: part(channel, from, to), from, stretches }
}

/**
 * From the first moment that something is sent to the last: a voice on one sideband sends nothing in its
 * pauses.
 */
export function sentPart(channel: Series, noisePower: number): Series {
  const sent = stretchesOf(channel, noisePower).filter(s => s.doing !== 'off')
  return sent.length === 0 ? channel : part(channel, sent[0]!.from, sent.at(-1)!.to)
}

/** The middle of a series, as much as one line is looked for in. */
export function exactPeak(series: Series, startHz: number): number {
  const { re, im, rateHz } = middlePart(series, MOST_PEAK_SAMPLES)
  return peakFrequency(re, im, rateHz, startHz)
}

export interface ModeResult<T> {
  /** of the level of the carrier, standard [dB] */ readonly levelDb: number
  readonly carrier: CarrierInChannel
  readonly result: T
  readonly track: PhaseTrack | null
  readonly keyed: Series
  readonly power: number
  readonly notes: readonly Note[]
}

/** The part in which something is sent, its strongest line at 0 Hz: a copy of its own. */
export interface OnPeak {
  readonly series: Series
  /** its first sample in the channel */
  readonly from: number
  /** where the line lies in the channel */
  readonly hz: number
}

export function onPeak({ channel, noisePower }: ModeInput): OnPeak {
  const { series, from } = keyedPart(channel, noisePower)
  const hz = exactPeak(series, 0)
  return { series: shifted(series, hz), from, hz }
}

/** AM: carrier by its phase, then the envelope with the carrier held still. @param on is turned in place */
export function measureAm(
  { passHz, noisePower, noiseBandHz, edgeRatio, centreHz, toneHz, givenDbfs }: ModeInput,
  on: OnPeak,
): ModeResult<AmResult> {
  const { series: keyed, hz: fine, from } = on
  const coarse = coarseTrack(keyed)
  const calm = coarse ? stilled(keyed, coarse) : keyed
  const left = phaseTrack(calm)
  const slow = stilled(calm, left)
  const hum = humTrack(slow, noisePower)
  const still = hum ? stilled(slow, hum) : slow
  const track = coarse
    ? { ...left, phaseRad: left.phaseRad.map((p, b) => p + phaseAt(coarse, left.timeS[b]!)) }
    : left
  const byPhase = carrierByPhase(track, still.re.length / still.rateHz)
  const stretches = stretchesOf(still, noisePower)
  const modulated = longest(stretches, 'modulated', still.rateHz, still.re.length)
  const bareStretch = modulated ? longest(stretches, 'steady', still.rateHz, still.re.length) : null
  const stretch = modulated ? part(still, modulated.from, modulated.to) : still
  const audioHz = Math.min(AM_AUDIO_HZ, passHz)
  const under = noiseAcross(stretch, audioHz)
  const beside = (NOISE_SURELY * noisePower * Math.min(1, (2 * audioHz) / noiseBandHz)) / 2
  const made = explainAudio(
    envelopeOf(middlePart(stretch, EXPLAINED_SAMPLES)),
    stretch.rateHz,
    toneHz,
    audioHz,
    Math.max(beside, UNDER_SURELY * under.inAudio),
  )
  // A voice pauses and goes on: its peaks are those of all of it.
  const used = made.tonesHz.length > 0 ? stretch : still
  const result = amFigures({
    modulated: used,
    noisePower,
    noiseDoubt: Math.max(0, under.power - noisePower),
    noiseBandHz,
    edgeRatio,
    passHz,
    centreHz: centreHz === null ? null : centreHz - fine - byPhase.hz,
    ...made,
    givenDbfs,
    bare: bareStretch && {
      series: part(still, bareStretch.from, bareStretch.to),
      startS: (from + bareStretch.from) / still.rateHz,
    },
  })
  const notes = [
    ...(hum
      ? [note('hum-fm', 'Hum moves the frequency of the carrier: the envelope is read with it followed.')]
      : []),
    ...(still.re.length < 0.1 * still.rateHz
      ? [note('too-short', 'Less than a tenth of a second is sent: figures are coarse.')]
      : []),
  ]
  return {
    carrier: { ...byPhase, hz: byPhase.hz + fine, drift: byPhase.drift && shiftDrift(byPhase.drift, fine) },
    result,
    track,
    keyed: still,
    power: result.meanEnvelope ** 2,
    levelDb: Math.hypot(
      result.cycle ? LEVEL_FLOOR_DB : LEVEL_OF_VOICE_DB,
      (20 / Math.LN10) *
        Math.hypot(
          Math.sqrt(noisePower / 2 / used.re.length) / result.meanEnvelope,
          result.meanUncertaintyRatio,
        ),
    ),
    notes,
  }
}

type DriftFigures = NonNullable<CarrierInChannel['drift']>
const shiftDrift = (d: DriftFigures, hz: number): DriftFigures => ({
  ...d,
  startHz: d.startHz + hz,
  endHz: d.endHz + hz,
  finalHz: d.finalHz === null ? null : d.finalHz + hz,
})

/** FM: the frequency of every sample, in a channel about its own mean. */
export function measureFm(
  { channel, noisePower, noiseBandHz, edgeRatio, toneHz }: ModeInput,
  nominalHz: number | null,
): ModeResult<FmResult> & { readonly hz: Float64Array } {
  const first = keyedPart(channel, noisePower).series
  const rough = meanFrequency(instantaneousHz(first))
  const series = narrowed(shifted(first, rough), 3 * FM_PASS_HZ, FM_PASS_HZ)
  const band = Math.min(noiseBandHz, 2.3 * FM_PASS_HZ)
  const noise = (noisePower * band) / noiseBandHz
  const better = meanFrequency(instantaneousHz(series))
  const centred = shifted(series, better)
  const stretches = stretchesOf(centred, noise)
  const modulated = longest(stretches, 'modulated', centred.rateHz, centred.re.length)
  const stretch = modulated ? part(centred, modulated.from, modulated.to) : centred
  const under = noiseAlong(stretch, FM_AUDIO_HZ)
  const beside = NOISE_SURELY * noiseOfDiscriminator(stretch, noise / band) ** 2
  const made = explainAudio(
    instantaneousHz(stretch),
    stretch.rateHz,
    toneHz,
    FM_AUDIO_HZ,
    Math.max(beside, UNDER_SURELY * under.inAudio),
  )
  const used = made.tonesHz.length > 0 ? stretch : centred
  const hz = instantaneousHz(used)
  const shift = rough + better
  const carrier = carrierByFrequency(
    instantaneousHz(centred),
    centred.rateHz,
    Math.max(noise / band / Math.max(meanPower(centred) - noise, 1e-30), under.perCarrierHz),
  )
  const meanHz = meanFrequency(hz)
  const power = Math.max(meanPower(used), 1e-30)
  const result = fmFigures({
    series: used,
    hz,
    ...made,
    meanHz,
    referenceHz: nominalHz === null ? meanHz : nominalHz - shift,
    isNominal: nominalHz !== null,
    noisePower: noise,
    noiseBandHz: band,
    edgeRatio,
  })
  return {
    carrier: { ...carrier, hz: carrier.hz + shift, drift: carrier.drift && shiftDrift(carrier.drift, shift) },
    result,
    track: null,
    keyed: used,
    power: Math.max(power - noise, 1e-30),
    levelDb: Math.hypot(
      LEVEL_FLOOR_DB,
      (10 / Math.LN10) *
        Math.hypot(
          Math.sqrt((2 * noise) / power / used.re.length),
          (NOISE_KNOWN_TO * noise) / power,
          Math.max(0, under.power - noise) / power,
          Math.sqrt((2 * under.perCarrierHz) / (used.re.length / used.rateHz)),
        ),
    ),
    notes: [],
    hz,
  }
}

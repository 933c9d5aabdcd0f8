import { message } from '../../message'
import { narrowed } from '../channel/channeliser'
import { largestPart, type Limit } from '../limits'
import { note, ratioToDb, type AmFigures } from '../result'
import { envelopeOf, meanPower } from '../series'
import { middleOf, sinadOf, withoutTone } from '../audio/sinad'
import { lowerPeaks, upperPeaks, type Peaks } from '../tone/waveformPeaks'
import {
  AM_AUDIO_HZ,
  againstBare,
  bareCarrier,
  ofUnmodulated,
  referenceNotes,
  type AmInput,
  type AmResult,
  type BareCarrier,
} from './amInput'

/** Below this share of the carrier nothing is sent: ripple of the filter at a corner is less. */
const NOTHING_SENT = 0.015
/** Filter ripple and rounding [ratio of the carrier]. */
const FLOOR = 3e-4

/**
 * AM that no single tone explains: voice, noise, several tones, a tone with hum. Everything from the envelope
 * as it was sent.
 * @returns extremes, and what 0.1 and 1 % of the time pass, as ratios; uncertain by how few peaks there are
 */
export function amWaveform(input: AmInput): AmResult {
  const { modulated, noisePower } = input
  const { series, envelope, mean, noiseLeft, audioHz } = audioEnvelope(input)
  const sigma = Math.sqrt(noiseLeft / 2)
  const of = { waveform: envelope, rateHz: series.rateHz, audioHz, noise: sigma }
  const up = upperPeaks(of)
  const down = lowerPeaks(of)
  // Corners of a pinched-off carrier are sharp: they are looked at in all that the channel holds.
  const pinched = pinchedTime(envelopeOf(modulated), mean, Math.sqrt(noisePower / 2))
  const trough = pinched.share > 0 ? 0 : Math.max(0, down.extreme.value)
  const power = Math.max(meanPower(series) - noiseLeft, 1e-30)
  // What noise lifts on average is taken off: where all is noise a crest would come out below the mean.
  const crest = Math.max(up.extreme.value, mean)
  const bare = bareCarrier(input)
  const { toneHz, edgeRatio } = input
  const apart = toneHz === null ? null : withoutTone(middleOf(envelope), series.rateHz, toneHz)
  const values: AmFigures = {
    ...levelFigures(crest, trough, mean, power),
    depthFundamental: null,
    peaks: peakDepths(up, down, mean, pinched.share > 0),
    tonesHz: input.tonesHz,
    pinchedRatio: pinched.share,
    flatTopRatio: null,
    audioHz: toneHz,
    thd: null,
    sinadDb: apart && sinadOf(apart, 20, audioHz),
    unmodulated: againstBare(bare, crest, trough, mean),
    depthSynchronous: null,
  }
  return {
    values,
    uncertainty: uncertaintyOf(values, {
      up,
      down,
      mean,
      sigma,
      pinched: pinched.uncertainty,
      edgeRatio,
      bare,
    }),
    limitedBy: {
      depthPositive: limitOf(up.extreme, mean, sigma, edgeRatio, bare),
      depthNegative: limitOf(down.extreme, mean, sigma, edgeRatio, bare),
    },
    notes: [...wordsOf(input, pinched.share), ...referenceNotes(values)],
    meanEnvelope: mean,
    meanUncertaintyRatio: 0,
    cycle: null,
  }
}

/** The envelope in the width of the audio, its mean without the noise, and the noise power left in it. */
function audioEnvelope({ modulated, noisePower, noiseBandHz, passHz }: AmInput) {
  const audioHz = Math.min(AM_AUDIO_HZ, passHz)
  const series = narrowed(modulated, 4 * audioHz, audioHz)
  const noiseLeft = noisePower * Math.min(1, (2.3 * audioHz) / noiseBandHz)
  const envelope = envelopeOf(series)
  const average = envelope.reduce((a, b) => a + b, 0) / Math.max(1, envelope.length)
  const mean = Math.sqrt(Math.max(average ** 2 - noiseLeft / 2, 1e-30))
  return { series, envelope, mean, noiseLeft, audioHz }
}

/** @param power mean of the modulated signal, where the others are amplitudes */
function levelFigures(crest: number, trough: number, mean: number, power: number) {
  return {
    depthPositive: crest / mean - 1,
    depthNegative: 1 - trough / mean,
    depthTrough: (crest - trough) / Math.max(crest + trough, 1e-30),
    pepDbfs: ratioToDb(crest ** 2),
    meanPowerDbfs: ratioToDb(power),
    pepToCarrier: (crest / mean) ** 2,
    meanToCarrier: power / mean ** 2,
  }
}

function peakDepths(up: Peaks, down: Peaks, mean: number, pinched: boolean): NonNullable<AmFigures['peaks']> {
  const deep = (y: number) => 1 - (pinched ? Math.max(0, y) : y) / mean
  return {
    crest: Math.max(0, up.extreme.value / mean - 1),
    crest999: up.p999.value / mean - 1,
    crest99: up.p99.value / mean - 1,
    trough: pinched ? 1 : deep(down.extreme.value),
    trough999: deep(down.p999.value),
    trough99: deep(down.p99.value),
  }
}

/**
 * Time without carrier. What merely passes there spends as long in the next layer above: that is taken off.
 */
function pinchedTime(
  envelope: Float64Array,
  mean: number,
  sigma: number,
): { share: number; uncertainty: number } {
  const level = Math.max(NOTHING_SENT * mean, 4 * sigma)
  let [below, next] = [0, 0]
  for (const y of envelope) {
    if (y < level) below++
    else if (y < 2 * level) next++
  }
  const share = (below - next) / envelope.length
  const uncertainty = Math.hypot(
    (0.5 * next) / envelope.length,
    (2 / Math.sqrt(envelope.length)) * Math.sqrt(Math.max(below, 1) / envelope.length),
    1e-4,
  )
  // With so much noise that the layer fills the trough of any modulation nothing is told.
  return level > 0.3 * mean || share < 2 * uncertainty ? { share: 0, uncertainty } : { share, uncertainty }
}

/** What the uncertainties of a waveform are made of. */
interface WaveformBasis {
  readonly up: Peaks
  readonly down: Peaks
  readonly mean: number
  /** noise of a sample of the envelope */
  readonly sigma: number
  readonly pinched: number
  readonly edgeRatio: number
  readonly bare: BareCarrier | null
}

function uncertaintyOf(
  v: AmFigures,
  { up, down, mean, sigma, pinched, edgeRatio, bare }: WaveformBasis,
): AmResult['uncertainty'] {
  const of = (u: number) => Math.hypot(u / mean, FLOOR, edgeRatio)
  const [crest, trough] = [of(up.extreme.uncertainty), of(down.extreme.uncertainty)]
  const db = 20 / Math.LN10
  return {
    depthPositive: crest,
    depthNegative: trough,
    depthTrough: Math.hypot(crest, trough) / 2,
    pinchedRatio: pinched,
    pepDbfs: (db * crest) / (1 + v.depthPositive),
    meanPowerDbfs: db * FLOOR,
    pepToCarrier: 2 * (1 + v.depthPositive) * crest,
    meanToCarrier: 2 * FLOOR,
    audioHz: v.audioHz === null ? null : 0.01,
    tonesHz: v.tonesHz.map(() => 0.02),
    sinadDb: v.sinadDb === null ? null : 0.2,
    peaks: {
      crest,
      crest999: of(up.p999.uncertainty),
      crest99: of(up.p99.uncertainty),
      trough,
      trough999: of(down.p999.uncertainty),
      trough99: of(down.p99.uncertainty),
    },
    unmodulated: ofUnmodulated(v, bare, { crest, trough, mean: of(sigma / 10) }),
  }
}

/** An extreme is told by how much was sampled of it, unless noise is larger. */
function limitOf(
  { value, uncertainty }: Peaks['extreme'],
  mean: number,
  sigma: number,
  edgeRatio: number,
  bare: BareCarrier | null,
): Limit | null {
  const ofNoise = Math.min(sigma, uncertainty)
  const ofLength = Math.sqrt(Math.max(0, uncertainty ** 2 - ofNoise ** 2))
  return largestPart({
    noise: ofNoise / mean,
    length: ofLength / mean,
    recorder: FLOOR,
    neighbour: edgeRatio,
    gain: ((bare?.uncertainty ?? 0) * value) / mean,
  })
}

const hz = (f: number) => `${Math.round(f)} Hz`

function wordsOf({ toneHz, tonesHz }: AmInput, pinched: number) {
  return [
    toneHz !== null
      ? note('hum-beside-tone', message('note.humBesideTone', { hz: hz(toneHz) }))
      : severalOrNone(tonesHz),
    ...(pinched > 0
      ? [note('pinched-off', message('note.cutOff', { value: (100 * pinched).toFixed(1) }))]
      : []),
  ]
}

function severalOrNone(tonesHz: readonly number[]) {
  return tonesHz.length === 2
    ? note('two-tones', message('note.twoTones', { hz: hz(tonesHz[0]!), hz2: hz(tonesHz[1]!) }))
    : note('no-tone', message('note.noToneAm'))
}

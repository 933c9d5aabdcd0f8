import { carrierByFrequency } from './carrier/carrierFigures'
import { noiseAlong, type NoiseUnder } from './carrier/noiseUnder'
import { narrowed } from './channel/channeliser'
import { fmFigures, instantaneousHz, meanFrequency } from './fm/fmFigures'
import { FM_AUDIO_HZ, type FmResult } from './fm/fmInput'
import { noiseOfDiscriminator } from './fm/fmWaveform'
import { keyedPart, modulatedPart } from './keyed'
import {
  LEVEL_FLOOR_DB,
  NOISE_SURELY,
  UNDER_SURELY,
  shiftDrift,
  type ModeInput,
  type ModeResult,
} from './modeInput'
import { NOISE_KNOWN_TO } from './result'
import { meanPower, shifted, type Series } from './series'
import { explainAudio } from './tone/explain'

/** Flat half-width of the channel that a deviation is read from [Hz]. */
const FM_PASS_HZ = 16_000
/** What its filter lets through of noise, over that. */
const NOISE_OVER_PASS = 2.3
const DB = 10 / Math.LN10

/** FM: the frequency of every sample, in a channel about its own mean. */
export function measureFm(
  { channel, noisePower, noiseBandHz, edgeRatio, toneHz }: ModeInput,
  nominalHz: number | null,
): ModeResult<FmResult> & { readonly hz: Float64Array } {
  const { series: centred, shiftHz } = onMean(keyedPart(channel, noisePower).series)
  const band = Math.min(noiseBandHz, NOISE_OVER_PASS * FM_PASS_HZ)
  const noise = (noisePower * band) / noiseBandHz
  const { stretch } = modulatedPart(centred, noise)
  const under = noiseAlong(stretch, FM_AUDIO_HZ)
  const beside = NOISE_SURELY * noiseOfDiscriminator(stretch, noise / band) ** 2
  const noiseAtMost = Math.max(beside, UNDER_SURELY * under.inAudio)
  const explained = explainAudio(instantaneousHz(stretch), stretch.rateHz, toneHz, FM_AUDIO_HZ, noiseAtMost)
  const used = explained.tonesHz.length > 0 ? stretch : centred
  const hz = instantaneousHz(used)
  const perCarrierHz = noise / band / Math.max(meanPower(centred) - noise, 1e-30)
  const carrier = carrierByFrequency(
    instantaneousHz(centred),
    centred.rateHz,
    Math.max(perCarrierHz, under.perCarrierHz),
  )
  const meanHz = meanFrequency(hz)
  const result = fmFigures({
    ...explained,
    series: used,
    hz,
    meanHz,
    referenceHz: nominalHz === null ? meanHz : nominalHz - shiftHz,
    isNominal: nominalHz !== null,
    noisePower: noise,
    noiseBandHz: band,
    edgeRatio,
  })
  const { drift } = carrier
  return {
    carrier: { ...carrier, hz: carrier.hz + shiftHz, drift: drift && shiftDrift(drift, shiftHz) },
    result,
    track: null,
    keyed: used,
    power: Math.max(meanPower(used) - noise, 1e-30),
    levelDb: levelUncertaintyDb(used, noise, under),
    notes: [],
    hz,
  }
}

/** A channel about the mean of the frequency, as wide as a deviation needs. */
function onMean(sent: Series): { series: Series; shiftHz: number } {
  const rough = meanFrequency(instantaneousHz(sent))
  const series = narrowed(shifted(sent, rough), 3 * FM_PASS_HZ, FM_PASS_HZ)
  const better = meanFrequency(instantaneousHz(series))
  return { series: shifted(series, better), shiftHz: rough + better }
}

function levelUncertaintyDb(used: Series, noise: number, under: NoiseUnder): number {
  const power = Math.max(meanPower(used), 1e-30)
  const seconds = used.re.length / used.rateHz
  const ofNoise = Math.hypot(
    Math.sqrt((2 * noise) / power / used.re.length),
    (NOISE_KNOWN_TO * noise) / power,
    Math.max(0, under.power - noise) / power,
    Math.sqrt((2 * under.perCarrierHz) / seconds),
  )
  return Math.hypot(LEVEL_FLOOR_DB, DB * ofNoise)
}

import { message } from '../message'
import { amFigures } from './am/amFigures'
import { AM_AUDIO_HZ, type AmResult } from './am/amInput'
import { carrierByPhase, derotate } from './carrier/carrierFigures'
import { coarseTrack, phaseAt } from './carrier/coarseTrack'
import { humTrack } from './carrier/humStill'
import { noiseAcross } from './carrier/noiseUnder'
import { phaseTrack, type PhaseTrack } from './carrier/phaseTrack'
import { modulatedPart, type OnPeak } from './keyed'
import {
  LEVEL_FLOOR_DB,
  NOISE_SURELY,
  UNDER_SURELY,
  shiftDrift,
  type ModeInput,
  type ModeResult,
} from './modeInput'
import { noteIf, type Note } from './result'
import { envelopeOf, middlePart, part, type Series } from './series'
import { EXPLAINED_SAMPLES, explainAudio } from './tone/explain'

/** What a voice leaves in a mean [dB]. */
const LEVEL_OF_VOICE_DB = 0.01
/** Less than this is sent: figures are coarse [s]. */
const COARSE_S = 0.1
const DB = 20 / Math.LN10

/** AM: carrier by its phase, then the envelope with the carrier held still. @param on is turned in place */
export function measureAm(input: ModeInput, on: OnPeak): ModeResult<AmResult> {
  const { passHz, noisePower, noiseBandHz, edgeRatio, centreHz, toneHz, givenDbfs } = input
  const { still, track, hasHum } = heldStill(on.series, noisePower)
  const byPhase = carrierByPhase(track, still.re.length / still.rateHz)
  const { stretch, bare } = modulatedPart(still, noisePower)
  const audioHz = Math.min(AM_AUDIO_HZ, passHz)
  const under = noiseAcross(stretch, audioHz)
  const beside = (NOISE_SURELY * noisePower * Math.min(1, (2 * audioHz) / noiseBandHz)) / 2
  const noiseAtMost = Math.max(beside, UNDER_SURELY * under.inAudio)
  const envelope = envelopeOf(middlePart(stretch, EXPLAINED_SAMPLES))
  const explained = explainAudio(envelope, stretch.rateHz, toneHz, audioHz, noiseAtMost)
  // A voice pauses and goes on: its peaks are those of all of it.
  const modulated = explained.tonesHz.length > 0 ? stretch : still
  const result = amFigures({
    ...explained,
    modulated,
    noisePower,
    noiseDoubt: Math.max(0, under.power - noisePower),
    noiseBandHz,
    edgeRatio,
    passHz,
    centreHz: centreHz === null ? null : centreHz - on.hz - byPhase.hz,
    givenDbfs,
    bare: bare && { series: part(still, bare.from, bare.to), startS: (on.from + bare.from) / still.rateHz },
  })
  const { hz, drift } = byPhase
  return {
    carrier: { ...byPhase, hz: hz + on.hz, drift: drift && shiftDrift(drift, on.hz) },
    result,
    track,
    keyed: still,
    power: result.meanEnvelope ** 2,
    levelDb: levelUncertaintyDb(result, noisePower / modulated.re.length),
    notes: notesOf(hasHum, still),
  }
}

/**
 * A carrier that stands at phase zero all along, however it drifts and hums; the series is turned in place.
 */
function heldStill(keyed: Series, noisePower: number): { still: Series; track: PhaseTrack; hasHum: boolean } {
  const coarse = coarseTrack(keyed)
  const derotated = coarse ? derotate(keyed, coarse) : keyed
  const left = phaseTrack(derotated)
  const slow = derotate(derotated, left)
  const hum = humTrack(slow, noisePower)
  const phaseRad = coarse ? left.phaseRad.map((p, b) => p + phaseAt(coarse, left.timeS[b]!)) : left.phaseRad
  return { still: hum ? derotate(slow, hum) : slow, track: { ...left, phaseRad }, hasHum: hum !== null }
}

/** @param noisePerSample noise that an average over all samples leaves */
function levelUncertaintyDb(
  { cycle, meanEnvelope, meanUncertaintyRatio }: AmResult,
  noisePerSample: number,
): number {
  const ofNoise = Math.hypot(Math.sqrt(noisePerSample / 2) / meanEnvelope, meanUncertaintyRatio)
  return Math.hypot(cycle ? LEVEL_FLOOR_DB : LEVEL_OF_VOICE_DB, DB * ofNoise)
}

function notesOf(hasHum: boolean, { re, rateHz }: Series): Note[] {
  const isShort = re.length < COARSE_S * rateHz
  return [
    ...noteIf(hasHum, 'hum-fm', message('note.humFm')),
    ...noteIf(isShort, 'too-short', message('note.tooShort')),
  ]
}

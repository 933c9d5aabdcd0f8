import { message } from '../../message'
import { voltageDb } from '../../quantity'
import { TONE_SAMPLES, lineAmplitude, lineAt, strongestTone } from '../tone/lines'
import { hann } from '../spectrum/window'
import { frequencyDeviation, lineDeviation, noisePerHz } from '../tone/noisePerHz'
import { spectrumOfSamples, effectiveBandwidth, noiseFloor } from '../spectrum/powerSpectrum'
import { powerOfTwoTo } from '../spectrum/fft'
import { note, ratioToDb, type AudioFigures, type Measured, type Note } from '../result'
import { sinadOf, withoutTone } from './sinad'

/** Voice band of a SINAD [Hz] (common practice: 300 to 3400). */
export const VOICE_HZ = [300, 3400] as const
const LOWEST_HZ = 20
const MAX_HARMONICS = 10
const SILENCE_DBFS = -100
/** The tone must stand out of its own noise by this much to be one [dB]. */
const MIN_SNR_DB = 3

/**
 * One tone of sound: fundamental, distortion, noise (TIA-603 usage, from memory). SINAD over the whole band
 * is from 20 Hz to half the sample rate; THD is of the fundamental (THD-F), harmonics two to ten.
 * @param x sound, full scale 1
 * @param rateHz its samples a second
 * @param saidHz the tone that was fed in; null = the strongest is taken for it
 * @returns levels in dB and ratios, with uncertainties; null where there is no tone to refer to
 */
export function audioFigures(
  x: Float64Array,
  rateHz: number,
  saidHz: number | null = null,
): Measured<AudioFigures> & { signalPresent: boolean } {
  const mean = x.reduce((a, b) => a + b, 0) / x.length
  const ac = x.map(v => v - mean)
  const power = ac.reduce((a, b) => a + b * b, 0) / x.length
  const levelDbfs = ratioToDb(2 * power)
  const tone = levelDbfs > SILENCE_DBFS ? toneOf(ac, rateHz, saidHz) : null
  if (!tone || !standsOut(ac, rateHz, tone.hz)) return nothingRead(levelDbfs)
  const window = hann(ac.length)
  const at = (hz: number) => lineAmplitude(lineAt(ac, null, window.values, window.sum, hz / rateHz))
  const fundamental = at(tone.hz)
  const harmonics = Array.from({ length: MAX_HARMONICS - 1 }, (_, k) => (k + 2) * tone.hz)
    .filter(hz => hz < 0.49 * rateHz)
    .map(at)
  const apart = withoutTone(ac, rateHz, tone.hz)
  const { residual, tonePower } = apart
  const rest = residual.reduce((a, b) => a + b * b, 0) / residual.length
  const distortion = harmonics.reduce((a, b) => a + (b * b) / 2, 0)
  const noise = Math.max(rest - distortion, 1e-30)
  const values: AudioFigures = {
    fundamentalHz: tone.hz,
    levelDbfs,
    sinadDb: ratioToDb((tonePower + rest) / Math.max(rest, 1e-30)),
    sinadVoiceDb: sinadOf(apart, ...VOICE_HZ),
    thd: harmonics.length > 0 ? Math.sqrt(distortion / tonePower) : null,
    snrDb: ratioToDb(tonePower / noise),
    harmonicsDbc: harmonics.map(a => voltageDb(Math.max(a, 1e-15) / fundamental)),
  }
  const uncertainty = uncertaintyOf(values, { residual, rateHz, fundamental, harmonics, noise, tonePower })
  // Harmonics are steady; the noise of a SINAD is known as well as the length tells it.
  const limitedBy = {
    sinadDb: 'length',
    sinadVoiceDb: values.sinadVoiceDb === null ? null : 'length',
    thd: values.thd === null ? null : 'noise',
  } as const
  return {
    values,
    uncertainty,
    limitedBy,
    notes: [bandNote(rateHz)],
    signalPresent: true,
  }
}

function nothingRead(levelDbfs: number): Measured<AudioFigures> & { signalPresent: boolean } {
  const isSilent = levelDbfs <= SILENCE_DBFS
  const words = isSilent ? message('note.silence') : message('note.noTone')
  return {
    values: empty(levelDbfs),
    uncertainty: {},
    notes: [note('no-signal', words)],
    signalPresent: false,
  }
}

function bandNote(rateHz: number): Note {
  const topKhz = (rateHz / 2000).toFixed(1)
  const words = message('note.audioBand', {
    lowesthz: LOWEST_HZ,
    topKhz,
    voicehz: VOICE_HZ[0],
    voicehz2: VOICE_HZ[1],
  })
  return note('audio-band', words)
}

/** The tone that was said where it stands out of the noise, however strong hum may be; else the strongest. */
function toneOf(x: Float64Array, rateHz: number, saidHz: number | null) {
  const said = saidHz === null ? null : strongestTone(x, rateHz, saidHz * 0.97, saidHz * 1.03)
  return said && standsOut(x, rateHz, said.hz) ? said : strongestTone(x, rateHz, LOWEST_HZ, rateHz / 2)
}

interface Basis {
  readonly residual: Float64Array
  readonly rateHz: number
  readonly fundamental: number
  readonly harmonics: readonly number[]
  readonly noise: number
  readonly tonePower: number
}

/**
 * Standard deviation of a mean power of noise over that of as many independent values (by simulation; the
 * width of a band is told a little small).
 */
const POWER_OF_NOISE = 0.75
/** Rounding of a line [ratio]. */
const LINE_FLOOR = 2e-5
const DB = 20 / Math.LN10

/**
 * Each figure by the noise that the spectrum shows at its place; powers by how many independent values the
 * length holds.
 */
function uncertaintyOf(
  v: AudioFigures,
  { residual, rateHz, fundamental, harmonics, noise, tonePower }: Basis,
): Measured<AudioFigures>['uncertainty'] {
  const count = residual.length
  const seconds = count / rateHz
  const toneSeconds = Math.min(seconds, TONE_SAMPLES / rateHz)
  const perHz = noisePerHz(residual, null, rateHz)
  const lineNoise = (hz: number) => lineDeviation(perHz(hz), seconds)
  const ofLine = (hz: number, size: number) =>
    DB * Math.min(1, Math.hypot(lineNoise(hz) / Math.max(size, 1e-12), LINE_FLOOR))
  const told = count * Math.min(1, independentShare(residual, rateHz))
  const snr = tonePower / noise
  const partialCycle = 1 / (2 * Math.PI * v.fundamentalHz! * seconds) / 2 / Math.SQRT2
  const ofNoise = ((POWER_OF_NOISE * DB) / 2) * Math.sqrt(2 / told)
  const rest = Math.max(harmonics.reduce((a, b) => a + (b * b) / 2, 0) + noise, 1e-30)
  const voiceNoise = (DB / 2) * Math.sqrt(2 / Math.max(4, 2 * (VOICE_HZ[1] - VOICE_HZ[0]) * seconds * 0.6))
  return {
    fundamentalHz: frequencyDeviation(
      lineDeviation(perHz(v.fundamentalHz!), toneSeconds) / fundamental,
      toneSeconds,
    ),
    levelDbfs: Math.hypot(
      (DB / 2) * Math.sqrt((4 / snr + 2 / snr ** 2) / told),
      (DB / 2) * partialCycle,
      1e-5,
    ),
    sinadDb: Math.hypot((ofNoise * noise) / rest, 0.003),
    sinadVoiceDb: v.sinadVoiceDb === null ? null : Math.hypot(voiceNoise, 0.01),
    snrDb: Math.hypot(ofNoise, 0.003),
    harmonicsDbc: harmonics.map((a, k) => ofLine((k + 2) * v.fundamentalHz!, a)),
    thd:
      v.thd === null
        ? null
        : Math.hypot(...harmonics.map((a, k) => a * lineNoise((k + 2) * v.fundamentalHz!))) /
          Math.max(Math.hypot(...harmonics), 1e-12) /
          fundamental,
  }
}

/**
 * Noise that does not fill its band holds fewer independent values: by the width of an even band that would
 * hold as many.
 */
function independentShare(x: Float64Array, rateHz: number): number {
  return (
    effectiveBandwidth(spectrumOfSamples(x, null, rateHz, Math.min(512, powerOfTwoTo(x.length)), 256)) /
    rateHz
  )
}

function empty(levelDbfs: number): AudioFigures {
  return {
    fundamentalHz: null,
    levelDbfs,
    sinadDb: null,
    sinadVoiceDb: null,
    thd: null,
    snrDb: null,
    harmonicsDbc: [],
  }
}

/** Against the noise that the spectrum shows beside it, not against its own harmonics. */
function standsOut(x: Float64Array, rateHz: number, toneHz: number): boolean {
  const size = Math.min(powerOfTwoTo(x.length), 4096)
  const spectrum = spectrumOfSamples(x, null, rateHz, size)
  const bin = Math.round((toneHz - spectrum.fromHz) / spectrum.binHz)
  const peak = Math.max(spectrum.power[bin - 1] ?? 0, spectrum.power[bin] ?? 0, spectrum.power[bin + 1] ?? 0)
  const floor = noiseFloor(spectrum)
  return (
    peak > floor * (4 + 12 / Math.sqrt(spectrum.segments) + 20 / spectrum.segments) &&
    ratioToDb(peak / floor) > MIN_SNR_DB
  )
}

import type { Recording } from '../formats/recording'
import { CoreError } from '../errors'
import { audioFigures } from './audio/audioFigures'
import { classify, type SignalMode } from './classify'
import { besideOf, centroid, type Beside } from './channel/beside'
import { planChannel } from './channel/channelPlan'
import { filteredTo, isNoise, isOneOfConstantSize } from './channel/filterTo'
import { carrierFigures, type CarrierInChannel } from './carrier/carrierFigures'
import { locate, type Located } from './locate'
import {
  keyedPart,
  measureAm,
  measureFm,
  onPeak,
  sentPart,
  type ModeInput,
  type OnPeak,
} from './measureModes'
import type { MeasuredRecording, Measurement, SignalPictures } from './measurement'
import { DEFAULT_OPTIONS, SILENT, type MeasureOptions, type Progress } from './options'
import { channelPass, scan } from './passes'
import { amPictures, channelPicture, fmPictures, NO_PICTURES, spectrumPicture, ssbPictures } from './pictures'
import { healthUncertainty, recordingHealth } from './recordingHealth'
import type { LimitsOf } from './limits'
import { note, type CarrierFigures, type Health, type Measured, type Note } from './result'
import type { Series } from './series'
import { spectrumOf } from './spectrumOf'
import { loadFastTransforms } from './spectrum/fastFft'
import { bandPower, effectiveBandwidth, type PowerSpectrum } from './spectrum/powerSpectrum'
import { occupiedBandwidth } from './spectrum/spectrumFigures'
import { ssbFigures } from './ssb/ssbFigures'

/** Rate of the channel that is measured [samples a second]: 22 kHz flat on either side. */
const CHANNEL_RATE_HZ = 64_000
/** Samples of a channel that are kept, at most: the bound on memory, whatever is recorded. */
const MOST_CHANNEL_SAMPLES = 8_000_000
const LEAST_SAMPLES = 256
/** So much of the channel has to be keyed: less holds no figure [samples]. */
const LEAST_KEYED = 512
/** Further from the nominal frequency than half a raster it is another channel [Hz]. */
const OFF_NOMINAL_HZ = 5000
/** Ratios between common sample rates: a tone that is off by one of them tells a wrong rate. */
const RATE_RATIOS = [0.5, 2, 44.1 / 48, 48 / 44.1, 2.4 / 2.048, 2.048 / 2.4] as const

/**
 * Measures a recording: health, carrier, modulation, spectrum, each with its uncertainty and a reason where
 * it cannot be made.
 *
 * Memory: the channel at 64 to 128 kS/s, 32 bytes a sample while it is turned and its envelope read, at most
 * 8 million of them (256 MB; 60 s at 2 MS/s take 130 MB), the spectrum and one block of 65 536 samples; a
 * longer recording is measured in its beginning only, and says so.
 * @throws {CoreError} bad-recording (samples that are no numbers, too few of them, a cancel)
 */
export async function measureRecording(
  recording: Recording,
  options: MeasureOptions = DEFAULT_OPTIONS,
  progress: Progress = SILENT,
): Promise<MeasuredRecording> {
  await loadFastTransforms()
  const isAudio = options.as === 'audio' || (options.as === 'auto' && recording.kind === 'audio')
  const factor = isAudio ? 1 : Math.max(1, Math.floor(recording.sampleRateHz / CHANNEL_RATE_HZ))
  const count = Math.min(recording.sampleCount, MOST_CHANNEL_SAMPLES * factor)
  // That nothing was sent cannot be said of so little.
  if (count < LEAST_SAMPLES)
    throw new CoreError(
      'bad-recording',
      `${recording.file}: samples: ${count} are too few to measure anything, ${LEAST_SAMPLES} are needed`,
    )
  const early: Note[] = [
    ...recording.notes.map(({ code, words }) => ({ code, words })),
    ...(count < recording.sampleCount
      ? [
          note(
            'only-the-beginning',
            `Only the first ${(count / recording.sampleRateHz).toFixed(0)} s are measured.`,
          ),
        ]
      : []),
  ]
  return isAudio
    ? measureAudio(recording, count, options.toneHz, early, progress)
    : measureRadio(recording, count, options, early, progress)
}

const NO_SIGNAL = note('no-signal', 'Nothing stands out of the noise: nothing is read.')
const ONLY_AT_CENTRE = note(
  'only-at-centre',
  'A weak line stands at the centre of the recording, and nothing else: the offset of the receiver, or a carrier on it. Tune 10 kHz beside the carrier and record again.',
)
const unlessOfSignal = (notes: readonly Note[]) =>
  notes.filter(n => n.code !== 'image-not-separable' && n.code !== 'carrier-at-centre')

async function measureAudio(
  recording: Recording,
  count: number,
  toneHz: number | null,
  early: readonly Note[],
  progress: Progress,
): Promise<MeasuredRecording> {
  const { health: raw } = await scan(recording, count, progress)
  const block = await recording.read(0, count)
  const found = audioFigures(Float64Array.from(block.i), recording.sampleRateHz, toneHz)
  const health: Health = {
    clippedRatio: raw.clippedRatio,
    overload: raw.overload,
    dcOffset: Math.hypot(raw.dcI, raw.dcQ),
    iqGainDb: null,
    iqPhaseDeg: null,
    imageDbc: null,
  }
  progress.tell(1, 'done')
  const present = found.signalPresent
  return {
    measurement: {
      ...identity(recording, count),
      mode: 'audio',
      signalPresent: present,
      uncertainty: present ? { audio: found.uncertainty } : {},
      limitedBy: limits('audio', found),
      health,
      carrier: null,
      am: null,
      fm: null,
      ssb: null,
      spectrum: null,
      audio: present ? found.values : null,
      notes: [
        ...early,
        ...(raw.overload
          ? [
              note(
                'overload',
                `The recording is overloaded: ${(100 * raw.clippedRatio).toFixed(2)} % of its samples are cut off; distortion is that of the recording.`,
              ),
            ]
          : []),
        ...found.notes,
      ],
    },
    pictures: {
      ...NO_PICTURES,
      products: found.values.harmonicsDbc.map((db, k) => ({ name: `harmonic ${k + 2}`, db })),
    },
  }
}

const identity = (r: Recording, count: number) => ({
  file: r.file,
  format: r.format,
  sampleRateHz: r.sampleRateHz,
  durationS: count / r.sampleRateHz,
  centreHz: r.centreHz,
})

async function measureRadio(
  recording: Recording,
  count: number,
  options: MeasureOptions,
  early: readonly Note[],
  progress: Progress,
): Promise<MeasuredRecording> {
  const isIq = recording.kind === 'iq'
  const first = await scan(recording, count, progress)
  const nearHz =
    options.nominalHz !== null && recording.centreHz !== null ? options.nominalHz - recording.centreHz : null
  const found = locate(first.spectrum, nearHz, !isIq)
  const width = occupiedBandwidth(first.spectrum, found.floor, found.peakHz - 20_000, found.peakHz + 20_000)
  const { health, correction, notes } = recordingHealth(
    first.health,
    found,
    width ? width.highHz - width.lowHz : 0,
    isIq,
    isMirrored(first.spectrum, centroid(first.spectrum, found.peakHz, found.floor)),
  )
  if (!found.present)
    return nothing(recording, count, health, [
      ...early,
      ...unlessOfSignal(notes),
      found.onlyAtCentre ? ONLY_AT_CENTRE : NO_SIGNAL,
    ])
  const plan = planChannel(
    recording.sampleRateHz,
    found.peakHz,
    CHANNEL_RATE_HZ,
    isIq ? null : Math.min(0.8 * found.peakHz, 0.36 * recording.sampleRateHz),
  )
  const pass = await channelPass(recording, count, plan, correction, progress)
  progress.tell(0.82, 'measuring')
  const spectrum = pass.spectrum ?? first.spectrum
  const noiseBandHz = Math.min(pass.channel.rateHz, plan.taps ? 2 * plan.passHz * 1.39 : pass.channel.rateHz)
  const whole = { series: pass.channel, passHz: plan.passHz, noiseBandHz }
  if (found.likeNoise && isNoise(whole.series, effectiveBandwidth(first.spectrum)))
    return nothing(recording, count, health, [...early, ...unlessOfSignal(notes), NO_SIGNAL])
  const offNominal =
    nearHz !== null && Math.abs(found.peakHz - nearHz) > OFF_NOMINAL_HZ
      ? [
          note(
            'off-nominal',
            `The strongest signal lies ${Math.round(found.peakHz - nearHz)} Hz from the nominal frequency: that one is measured.`,
          ),
        ]
      : []
  const middleHz = centroid(
    spectrum,
    nearHz !== null && offNominal.length === 0 ? nearHz : found.peakHz,
    found.floor,
  )
  const beside =
    isIq && !isOneOfConstantSize(whole, (found.floor / spectrum.binHz) * noiseBandHz)
      ? besideOf(
          spectrum,
          options.as === 'am' ? found.peakHz : middleHz,
          found.floor,
          options.as === 'ssb',
          options.spacingHz,
        )
      : []
  const channel = filteredTo(whole, middleHz - found.peakHz, options.channelWidthHz, beside)
  refuseTooShort(
    recording,
    keyedPart(channel.series, (found.floor / spectrum.binHz) * channel.noiseBandHz).series,
  )
  const at: Place = {
    recording,
    options,
    spectrum,
    found,
    channelHz: found.peakHz,
    nominalInChannelHz: nearHz === null ? null : nearHz - found.peakHz,
    beside,
  }
  const noisePower = (found.floor / spectrum.binHz) * channel.noiseBandHz
  const part = byMode(
    at,
    {
      channel: channel.series,
      passHz: channel.passHz,
      noisePower,
      noiseBandHz: channel.noiseBandHz,
      edgeRatio: channel.edgeRatio,
      centreHz: isIq ? -found.peakHz : null,
      toneHz: options.toneHz,
      givenDbfs: options.unmodulatedDbfs,
    },
    health.overload,
  )
  progress.tell(1, 'done')
  return {
    measurement: {
      ...identity(recording, count),
      signalPresent: true,
      health,
      am: null,
      fm: null,
      ssb: null,
      audio: null,
      ...part.measurement,
      uncertainty: { ...part.measurement.uncertainty, health: healthUncertainty(health, count) },
      notes: [
        ...early,
        ...notes,
        ...offNominal,
        ...channel.notes,
        ...part.notes,
        ...rateNote(options.toneHz, part.toneHz),
      ],
    },
    pictures: part.pictures,
  }
}

/** @throws {CoreError} bad-recording: something is sent, too short to read anything of it */
function refuseTooShort({ file }: Recording, { re, rateHz }: Series): void {
  if (re.length >= LEAST_KEYED) return
  const ms = (samples: number) => ((1000 * samples) / rateHz).toFixed(1)
  throw new CoreError(
    'bad-recording',
    `${file}: length: the signal lasts ${ms(re.length)} ms in the channel that is measured, ${ms(LEAST_KEYED)} ms are needed`,
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

function nothing(
  recording: Recording,
  count: number,
  health: Health,
  notes: readonly Note[],
): MeasuredRecording {
  return {
    measurement: {
      ...identity(recording, count),
      mode: null,
      signalPresent: false,
      uncertainty: {},
      limitedBy: {},
      health,
      notes,
      carrier: null,
      am: null,
      fm: null,
      ssb: null,
      audio: null,
      spectrum: null,
    },
    pictures: NO_PICTURES,
  }
}

interface Place {
  readonly recording: Recording
  readonly options: MeasureOptions
  readonly spectrum: PowerSpectrum
  readonly found: Located
  readonly channelHz: number
  readonly nominalInChannelHz: number | null
  readonly beside: readonly Beside[]
}
interface Part {
  readonly measurement: Pick<Measurement, 'mode' | 'carrier' | 'uncertainty' | 'limitedBy' | 'spectrum'> &
    Partial<Pick<Measurement, 'am' | 'fm' | 'ssb'>>
  readonly notes: readonly Note[]
  readonly pictures: SignalPictures
  readonly toneHz: number | null
}

function byMode(at: Place, input: ModeInput, overload: boolean): Part {
  const { options } = at
  // The mode is guessed from what AM is measured from: looked for once.
  const on = options.as === 'fm' || options.as === 'ssb' ? null : onPeak(input)
  const mode = modeOf(options.as, on, input.noisePower)
  const told =
    options.as === 'auto'
      ? [
          note(
            'mode-guessed',
            `Taken for ${mode.toUpperCase()} by its envelope and sidebands; say the mode if it is another.`,
          ),
        ]
      : []
  const part =
    mode === 'fm'
      ? fmPart(at, input, overload)
      : mode === 'ssb'
        ? ssbPart(at, input, keyedPart(input.channel, input.noisePower).series, overload)
        : amPart(at, input, on ?? onPeak(input), overload)
  return { ...part, notes: [...told, ...part.notes, ...notThis(mode)] }
}

/** Radio that was said to be sound is taken for AM. */
function modeOf(as: MeasureOptions['as'], on: OnPeak | null, noisePower: number): SignalMode {
  if (as === 'auto' && on) return classify(on.series, noisePower)
  return as === 'fm' || as === 'ssb' ? as : 'am'
}

/** Why the other groups are empty. */
function notThis(mode: 'am' | 'fm' | 'ssb'): Note[] {
  return (['am', 'fm', 'ssb', 'audio'] as const)
    .filter(m => m !== mode)
    .map(m => note('not-applicable', `${m}: the recording was measured as ${mode.toUpperCase()}.`))
}

function amPart(at: Place, input: ModeInput, on: OnPeak, overload: boolean): Part {
  const { carrier, result, keyed, power, levelDb, notes, track } = measureAm(input, on)
  const figures = carrierFigures(
    carrier,
    at.channelHz,
    at.recording.centreHz,
    at.options.nominalHz,
    power,
    at.options.referencePpm,
  )
  const spectrum = spectrumOf(at, 'AM', at.channelHz + carrier.hz, power, overload)
  return {
    measurement: {
      mode: 'am',
      carrier: figures,
      am: overload ? null : result.values,
      spectrum: spectrum.values,
      uncertainty: {
        carrier: carrierUncertainty(figures, carrier, levelDb),
        ...(overload ? {} : { am: result.uncertainty }),
        spectrum: spectrum.uncertainty,
      },
      limitedBy: { carrier: carrierLimit(figures, carrier), ...(overload ? {} : limits('am', result)) },
    },
    notes: [...notes, ...(overload ? [] : result.notes), ...referenceNote(at), ...spectrum.notes],
    toneHz: result.values.audioHz,
    pictures: { ...amPictures(result, keyed, track), ...wide(at, spectrum.ownHz, power) },
  }
}

function fmPart(at: Place, input: ModeInput, overload: boolean): Part {
  const { carrier, result, power, levelDb, hz, keyed } = measureFm(input, at.nominalInChannelHz)
  const figures = carrierFigures(
    carrier,
    at.channelHz,
    at.recording.centreHz,
    at.options.nominalHz,
    power,
    at.options.referencePpm,
  )
  const spectrum = spectrumOf(at, 'FM', at.channelHz + carrier.hz, power, overload)
  return {
    measurement: {
      mode: 'fm',
      carrier: figures,
      fm: result.values,
      spectrum: spectrum.values,
      uncertainty: {
        carrier: carrierUncertainty(figures, carrier, levelDb),
        fm: result.uncertainty,
        spectrum: spectrum.uncertainty,
      },
      limitedBy: { carrier: carrierLimit(figures, carrier), ...limits('fm', result) },
    },
    notes: [...result.notes, ...referenceNote(at), ...spectrum.notes],
    toneHz: result.values.audioHz,
    pictures: { ...fmPictures(result, hz, keyed.rateHz), ...wide(at, spectrum.ownHz, power) },
  }
}

function ssbPart(at: Place, input: ModeInput, keyed: Series, overload: boolean): Part {
  const { recording, channelHz } = at
  const result = ssbFigures({
    series: keyed,
    whole: sentPart(input.channel, input.noisePower),
    noisePower: input.noisePower,
    nominalHz: at.nominalInChannelHz,
    centreHz: -channelHz,
    toneHz: at.options.toneHz,
    channelHz: recording.centreHz === null ? channelHz : recording.centreHz + channelHz,
  })
  const pep =
    bandPower(at.spectrum, channelHz - 5000, channelHz + 5000) * 10 ** ((result.values.pepToMeanDb ?? 0) / 10)
  const spectrum = spectrumOf(at, 'USB', channelHz + (result.suppressedHz ?? 0), pep, overload)
  const noCarrier = note(
    'carrier-not-found',
    'Single sideband has no carrier to read: see the suppressed carrier.',
  )
  return {
    measurement: {
      mode: 'ssb',
      carrier: null,
      ssb: overload ? null : result.values,
      spectrum: spectrum.values,
      uncertainty: { ...(overload ? {} : { ssb: result.uncertainty }), spectrum: spectrum.uncertainty },
      limitedBy: overload ? {} : limits('ssb', result),
    },
    notes: [...(overload ? [] : result.notes), noCarrier, ...spectrum.notes],
    toneHz: null,
    pictures: { ...ssbPictures(result), ...wide(at, spectrum.ownHz, pep) },
  }
}

const wide = (
  { spectrum, found, options }: Place,
  ownHz: number,
  power: number,
): Pick<SignalPictures, 'spectrum' | 'channels'> => ({
  spectrum: spectrumPicture(spectrum, ownHz, power, found.floor),
  channels: channelPicture(spectrum, ownHz, options.spacingHz),
})
const carrierUncertainty = (
  c: NonNullable<Measurement['carrier']>,
  { drift }: CarrierInChannel,
  levelDb: number,
): NonNullable<Measurement['uncertainty']['carrier']> => ({
  drift: drift && drift.uncertainty,
  frequencyHz: c.frequencyHz === null ? null : c.uncertaintyHz,
  offsetHz: c.uncertaintyHz,
  errorPpm:
    c.errorPpm === null || c.frequencyHz === null ? null : (c.uncertaintyHz / Math.abs(c.frequencyHz)) * 1e6,
  levelDbfs: levelDb,
})

/** A reference of which only the tolerance is known limits the frequency once it is the larger part. */
function carrierLimit(
  c: CarrierFigures,
  { uncertaintyHz, limitedBy }: CarrierInChannel,
): LimitsOf<CarrierFigures> {
  return { frequencyHz: c.uncertaintyHz > Math.SQRT2 * uncertaintyHz ? 'reference' : limitedBy }
}

const limits = <G extends 'am' | 'fm' | 'ssb' | 'audio'>(
  group: G,
  { limitedBy }: Pick<Measured<unknown>, 'limitedBy'>,
) => (limitedBy ? { [group]: limitedBy } : {})

function referenceNote({ recording, options }: Place): Note[] {
  return recording.centreHz !== null && options.referencePpm === null
    ? [
        note(
          'reference-unknown',
          'The uncertainty of the frequency holds the noise only: how far the receiver\u2019s own reference is off is not known (1 ppm is 27 Hz at 27 MHz).',
        ),
      ]
    : []
}

function rateNote(saidHz: number | null, toneHz: number | null): Note[] {
  if (saidHz === null || toneHz === null) return []
  const ratio = RATE_RATIOS.find(r => Math.abs(toneHz / saidHz / r - 1) < 0.002)
  return ratio
    ? [
        note(
          'rate-suspected',
          `The tone reads ${toneHz.toFixed(1)} Hz instead of ${saidHz}: ${ratio.toFixed(4)} times, as with a wrong sample rate.`,
        ),
      ]
    : []
}

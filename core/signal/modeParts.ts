import { message } from '../message'
import { dbToPowerRatio } from '../quantity'
import type { Recording } from '../recording'
import type { Beside } from './channel/beside'
import { carrierFigures, type CarrierInChannel } from './carrier/carrierFigures'
import { carrierLimit, carrierUncertainty, referenceNote } from './carrierPart'
import { classify, type SignalMode } from './classify'
import type { Located } from './locate'
import { keyedPart, onPeak, sentPart, type OnPeak } from './keyed'
import { measureAm } from './measureAm'
import { measureFm } from './measureFm'
import type { ModeInput } from './modeInput'
import type { Measurement, SignalPictures } from './measurement'
import type { MeasureOptions } from './options'
import { amPictures, channelPicture, fmPictures, spectrumPicture, ssbPictures } from './pictures'
import { note, noteIf, type Measured, type Note } from './result'
import type { Series } from './series'
import { bandPower, type PowerSpectrum } from './spectrum/powerSpectrum'
import { spectrumOf } from './spectrumOf'
import { ssbFigures } from './ssb/ssbFigures'

/** A recording with what was found out before its mode is looked at. */
export interface Place {
  readonly recording: Recording
  readonly options: MeasureOptions
  readonly spectrum: PowerSpectrum
  readonly found: Located
  readonly channelHz: number
  readonly nominalInChannelHz: number | null
  readonly beside: readonly Beside[]
}

/** What measuring in one mode has given. */
export interface Part {
  readonly measurement: Pick<Measurement, 'mode' | 'carrier' | 'uncertainty' | 'limitedBy' | 'spectrum'> &
    Partial<Pick<Measurement, 'am' | 'fm' | 'ssb'>>
  readonly notes: readonly Note[]
  readonly pictures: SignalPictures
  readonly toneHz: number | null
}

/** Measures the channel as what it was said to be, or as what it looks like. */
export function byMode(at: Place, input: ModeInput, overload: boolean): Part {
  const { options } = at
  // The mode is guessed from what AM is measured from: looked for once.
  const on = options.as === 'fm' || options.as === 'ssb' ? null : onPeak(input)
  const mode = modeOf(options.as, on, input.noisePower)
  const guessed = message('note.modeGuessed', { mode: mode.toUpperCase() })
  const part = partOf(mode, at, input, on, overload)
  return {
    ...part,
    notes: [...noteIf(options.as === 'auto', 'mode-guessed', guessed), ...part.notes, ...notThis(mode)],
  }
}

function partOf(mode: SignalMode, at: Place, input: ModeInput, on: OnPeak | null, overload: boolean): Part {
  switch (mode) {
    case 'fm':
      return fmPart(at, input, overload)
    case 'ssb':
      return ssbPart(at, input, keyedPart(input.channel, input.noisePower).series, overload)
    case 'am':
      return amPart(at, input, on ?? onPeak(input), overload)
  }
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
    .map(m => note('not-applicable', message('note.notThisMode', { m, mode: mode.toUpperCase() })))
}

function carrierOf({ channelHz, recording, options }: Place, carrier: CarrierInChannel, power: number) {
  const { nominalHz, referencePpm } = options
  return carrierFigures(carrier, channelHz, recording.centreHz, nominalHz, power, referencePpm)
}

function amPart(at: Place, input: ModeInput, on: OnPeak, overload: boolean): Part {
  const { carrier, result, keyed, power, levelDb, notes, track } = measureAm(input, on)
  const figures = carrierOf(at, carrier, power)
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
    notes: [
      ...notes,
      ...(overload ? [] : result.notes),
      ...referenceNote(at.recording.centreHz, at.options.referencePpm),
      ...spectrum.notes,
    ],
    toneHz: result.values.audioHz,
    pictures: { ...amPictures(result, keyed, track), ...wide(at, spectrum.ownHz, power) },
  }
}

function fmPart(at: Place, input: ModeInput, overload: boolean): Part {
  const { carrier, result, power, levelDb, hz, keyed } = measureFm(input, at.nominalInChannelHz)
  const figures = carrierOf(at, carrier, power)
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
    notes: [
      ...result.notes,
      ...referenceNote(at.recording.centreHz, at.options.referencePpm),
      ...spectrum.notes,
    ],
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
    bandPower(at.spectrum, channelHz - 5000, channelHz + 5000) *
    dbToPowerRatio(result.values.pepToMeanDb ?? 0)
  const spectrum = spectrumOf(at, 'USB', channelHz + (result.suppressedHz ?? 0), pep, overload)
  const noCarrier = note('carrier-not-found', message('note.noCarrierOnSideband'))
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

const limits = <G extends 'am' | 'fm' | 'ssb' | 'audio'>(
  group: G,
  { limitedBy }: Pick<Measured<unknown>, 'limitedBy'>,
) => (limitedBy ? { [group]: limitedBy } : {})

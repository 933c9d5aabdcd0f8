import { envelopeOf, meanPower, shifted, type Series } from '../series'
import { spectrumOfSamples, noiseFloor } from '../spectrum/powerSpectrum'
import { powerOfTwoTo } from '../spectrum/fft'
import { complexCycle, drawComplex, extremes } from '../tone/cycle'
import { peakFrequency } from '../tone/lines'
import { upperPeaks } from '../tone/waveformPeaks'
import { largestPart } from '../limits'
import { note, ratioToDb, type Measured, type Note, type SsbFigures } from '../result'
import {
  CLOSE_HZ,
  MOST_SAMPLES,
  frequencyUncertainty,
  lineMeter,
  type Found,
  type LineMeter,
} from './lineMeter'
import { ASSUMED_WITHIN_HZ, isProductOf, suppressedCarrier, type PlacedCarrier } from './suppressedCarrier'

/**
 * A crest this far below that of clean tones of the same sizes is flat-topped [dB] (definition of the
 * product).
 */
const FLAT_DB = 0.3
/** Tones further apart than this are told to be unequal [dB]. */
const UNEQUAL_DB = 0.5
/** Ripple of the channel between two lines [dB]. */
const LINE_FLOOR_DB = 0.005
const DB = 20 / Math.LN10
/** A product this many times above the noise of its window is seen. */
const SEEN_ABOVE = 4
/** A second tone is one within this of the first [dB]. */
const SECOND_WITHIN_DB = 15

export interface SsbInput {
  /** the longest stretch in which something is sent */
  readonly series: Series
  /** from the first moment that something is sent to the last */
  readonly whole: Series
  readonly noisePower: number
  /** suppressed carrier as it should be, in the channel [Hz]; null = not known */
  readonly nominalHz: number | null
  /** baseband zero of the recording, in the channel [Hz] */
  readonly centreHz: number
  readonly toneHz: number | null
  /** radio frequency of channel zero, or null */
  readonly channelHz: number | null
}

export interface SsbResult extends Measured<SsbFigures> {
  readonly suppressedHz: number | null
  /** envelope over one beat for a picture */ readonly cycle: Float64Array | null
  readonly products: readonly {
    readonly order: number
    readonly offsetHz: number
    readonly dbBelowTone: number
  }[]
}

/**
 * Tones hold this share of the power at least, whatever their products: a vowel holds less, or does not last.
 */
const HELD_BY_TONES = 0.9
const LASTS_S = 0.8

/** A tone lasts: for the better part of what is sent, or longer than any syllable. */
const isLong = ({ series, whole }: SsbInput) =>
  series.re.length > 0.5 * whole.re.length || series.re.length > LASTS_S * series.rateHz

/** Single sideband: two tones, one tone, or speech (C09 to C11). */
export function ssbFigures(input: SsbInput): SsbResult {
  const { series, noisePower } = input
  const lines = strongestLines(series)
  const [first, second] = lines
  if (!first) return speech(input)
  const held =
    lines.slice(0, 2).reduce((s, l) => s + l.amplitude ** 2, 0) /
    Math.max(meanPower(series) - noisePower, 1e-30)
  const two = second !== undefined && ratioToDb((first.amplitude / second.amplitude) ** 2) < SECOND_WITHIN_DB
  if (held < HELD_BY_TONES || !isLong(input)) return speech(input)
  return two
    ? twoTones(input, first.hz < second.hz ? [first, second] : [second, first])
    : oneTone(input, first)
}

/** The two strongest lines, to a small part of a hertz. */
function strongestLines(series: Series): Found[] {
  const size = Math.min(powerOfTwoTo(series.re.length), 65_536)
  if (size < 256) return []
  const spectrum = spectrumOfSamples(series.re, series.im, series.rateHz, size)
  const n = Math.min(series.re.length, MOST_SAMPLES)
  const found: Found[] = []
  const power = Float64Array.from(spectrum.power)
  const floor = noiseFloor(spectrum)
  const { at } = lineMeter(series, 0)
  for (let k = 0; k < 2; k++) {
    let best = 0
    for (let b = 1; b < power.length; b++) if (power[b]! > power[best]!) best = b
    if (power[best]! < 20 * floor) break
    const hz = peakFrequency(
      series.re.subarray(0, n),
      series.im.subarray(0, n),
      series.rateHz,
      spectrum.fromHz + best * spectrum.binHz,
    )
    found.push({ hz, amplitude: at(hz) })
    const around = Math.max(5, Math.ceil(CLOSE_HZ / spectrum.binHz))
    power.fill(0, Math.max(0, best - around), best + around + 1)
  }
  return found
}

function twoTones(input: SsbInput, [low, high]: readonly [Found, Found]): SsbResult {
  const { series, noisePower } = input
  const lines = lineMeter(series, noisePower)
  const spacing = high.hz - low.hz
  const tone = Math.max(low.amplitude, high.amplitude)
  const carrier = suppressedCarrier(input, lines, [low, high])
  const below = belowOf(lines, tone)
  const [imd3, imd5, imd7] = [1, 2, 3].map(n =>
    weaker(below(low.hz - n * spacing), below(high.hz + n * spacing)),
  ) as [Below, Below, Below]
  const { leak, opposite } = besideCarrier(carrier, lines, [low, high], below)
  const beat = beatEnvelope(series, low.hz, spacing)
  const crest = extremes(beat).max
  const mean = Math.max(meanPower(series) - noisePower, 1e-30)
  const pepAboveTone = 20 * Math.log10(crest / tone)
  const values: SsbFigures = {
    ...places(input, carrier.hz, carrier.hz === null ? null : (low.hz + high.hz) / 2 > carrier.hz, [
      low.hz,
      high.hz,
    ]),
    pepToMeanDb: ratioToDb((crest * crest) / mean),
    imd3DbBelowTone: imd3.db,
    imd3DbBelowPep: imd3.db + pepAboveTone,
    imd5DbBelowTone: imd5.db,
    imd5DbBelowPep: imd5.db + pepAboveTone,
    imd7DbBelowTone: imd7.db,
    ...ofCarrier(leak, opposite, pepAboveTone),
    pepDbfs: ratioToDb(crest * crest),
    meanPowerDbfs: ratioToDb(mean),
    bounds: boundsOf({
      imd3DbBelowTone: imd3,
      imd3DbBelowPep: imd3,
      imd5DbBelowTone: imd5,
      imd5DbBelowPep: imd5,
      imd7DbBelowTone: imd7,
      carrierDbBelowTone: leak,
      carrierDbBelowPep: leak,
      oppositeSidebandDb: opposite,
    }),
  }
  const apart = Math.abs(20 * Math.log10(low.amplitude / high.amplitude))
  const clean = ratioToDb((low.amplitude + high.amplitude) ** 2 / mean)
  const notes: Note[] = [
    ...carrier.notes,
    ...(values.pepToMeanDb! < clean - FLAT_DB
      ? [
          note(
            'flat-topped',
            `PEP lies ${values.pepToMeanDb!.toFixed(2)} dB above the mean; clean tones of these sizes give ${clean.toFixed(2)} dB: the crest is flat-topped.`,
          ),
        ]
      : []),
    ...(apart > UNEQUAL_DB
      ? [
          note(
            'unequal-tones',
            `The tones are ${apart.toFixed(1)} dB apart: figures below one tone refer to the stronger one; PEP is ${pepAboveTone.toFixed(2)} dB above it.`,
          ),
        ]
      : []),
    ...(
      [
        ['third', imd3],
        ['fifth', imd5],
        ['seventh', imd7],
      ] as const
    )
      .filter(([, x]) => x.isBound)
      .map(([order, { db }]) =>
        note(
          'product-in-noise',
          `The ${order}-order product is not above the noise: at least ${db.toFixed(0)} dB below the stronger tone.`,
        ),
      ),
  ]
  const products = [3, 5, 7].flatMap((order, k) =>
    [low.hz - (k + 1) * spacing, high.hz + (k + 1) * spacing].map(hz => ({
      order,
      offsetHz: hz,
      dbBelowTone: below(hz).db,
    })),
  )
  return {
    values,
    uncertainty: uncertaintyOf({ imd3, imd5, imd7, leak, opposite }, lines, [low, high], carrier),
    limitedBy: limitsOf({ imd3, leak }, carrier),
    notes,
    suppressedHz: carrier.hz,
    cycle: beat,
    products,
  }
}

/** Envelope over one beat of two tones. */
function beatEnvelope(series: Series, lowHz: number, spacing: number): Float64Array {
  const still = shifted(series, lowHz)
  const drawn = drawComplex(
    complexCycle(still.re, still.im, series.rateHz, spacing, Math.min(0.45 * series.rateHz, 12 * spacing)),
  )
  return drawn.re.map((x, n) => Math.hypot(x, drawn.im[n]!))
}

/** A line below a tone; one that is not seen above its noise is a bound: it lies at least so far below. */
interface Below {
  readonly db: number
  readonly isBound: boolean
  /** standard, by the noise beside it [dB] */
  readonly uncertaintyDb: number
}
const belowOf =
  ({ at, noiseAt }: LineMeter, tone: number) =>
  (hz: number): Below => {
    const [read, noise] = [at(hz), noiseAt(hz)]
    const isBound = read < SEEN_ABOVE * noise
    const taken = Math.max(isBound ? read + 2 * noise : read, 1e-12)
    return {
      db: 20 * Math.log10(tone / taken),
      isBound,
      uncertaintyDb: DB * Math.min(1, noise / Math.SQRT2 / taken),
    }
  }
const weaker = (a: Below, b: Below) => (a.db < b.db ? a : b)
const boundsOf = (figures: Partial<Record<keyof SsbFigures, Below | null>>) =>
  (Object.keys(figures) as (keyof SsbFigures)[]).filter(k => figures[k]?.isBound)
const ofCarrier = (leak: Below | null, opposite: Below | null, pepAboveTone: number) => ({
  carrierDbBelowTone: leak && leak.db,
  carrierDbBelowPep: leak && leak.db + pepAboveTone,
  oppositeSidebandDb: opposite && opposite.db,
})

/**
 * What is left of the carrier and of the other sideband. Where the place of the carrier is only assumed both
 * are looked for about it.
 */
function besideCarrier(
  carrier: PlacedCarrier,
  lines: LineMeter,
  tones: readonly Found[],
  below: (hz: number) => Below,
): { leak: Below | null; opposite: Below | null } {
  if (carrier.hz === null) return { leak: null, opposite: null }
  const about = (hz: number) =>
    below(
      carrier.isSeen
        ? hz
        : (lines.strongest(
            hz - carrier.withinHz,
            hz + carrier.withinHz,
            f => !tones.some(t => Math.abs(f - t.hz) < CLOSE_HZ),
          ) ?? hz),
    )
  const separable = tones.filter(t => !isProductOf(tones, 2 * carrier.hz! - t.hz))
  const strongest = Math.max(...tones.map(t => t.amplitude))
  const images = separable.map((t): Below => {
    const image = about(2 * carrier.hz! - t.hz)
    return { ...image, db: image.db + 20 * Math.log10(t.amplitude / strongest) }
  })
  const seen = images.filter(i => !i.isBound)
  const among = seen.length > 0 ? seen : images
  const opposite = among.length > 0 ? among.reduce(weaker) : null
  return {
    leak: carrier.isSeen ? below(carrier.hz) : { ...about(carrier.hz), isBound: true },
    opposite: opposite && !carrier.isSeen ? { ...opposite, isBound: true } : opposite,
  }
}

function oneTone(input: SsbInput, tone: Found): SsbResult {
  const lines = lineMeter(input.series, input.noisePower)
  const carrier = suppressedCarrier(input, lines, [tone])
  const { leak, opposite } = besideCarrier(carrier, lines, [tone], belowOf(lines, tone.amplitude))
  const mean = Math.max(meanPower(input.series) - input.noisePower, 1e-30)
  const values: SsbFigures = {
    ...places(input, carrier.hz, carrier.hz === null ? null : tone.hz > carrier.hz, [tone.hz]),
    pepToMeanDb: ratioToDb(tone.amplitude ** 2 / mean),
    imd3DbBelowTone: null,
    imd3DbBelowPep: null,
    imd5DbBelowTone: null,
    imd5DbBelowPep: null,
    imd7DbBelowTone: null,
    ...ofCarrier(leak, opposite, 0),
    pepDbfs: ratioToDb(tone.amplitude ** 2),
    meanPowerDbfs: ratioToDb(mean),
    bounds: boundsOf({ carrierDbBelowTone: leak, carrierDbBelowPep: leak, oppositeSidebandDb: opposite }),
  }
  return {
    values,
    uncertainty: uncertaintyOf(
      { imd3: null, imd5: null, imd7: null, leak, opposite },
      lines,
      [tone],
      carrier,
    ),
    limitedBy: limitsOf({ imd3: null, leak }, carrier),
    notes: [...carrier.notes, note('one-tone', 'One tone: products need two, and PEP is that of the tone.')],
    suppressedHz: carrier.hz,
    cycle: null,
    products: [],
  }
}

/** Speech has this much audio [Hz]: its size tells twice as many values a second as that. */
const SPEECH_HZ = 3000

/** Speech: the crest of what was sent, against the mean while something is sent. */
function speech(input: SsbInput): SsbResult {
  const { whole: series, noisePower, nominalHz } = input
  const noise = Math.sqrt(noisePower / 2)
  const { value, uncertainty: u } = upperPeaks({
    waveform: envelopeOf(series),
    rateHz: series.rateHz,
    audioHz: SPEECH_HZ,
    noise,
  }).extreme
  const pep = Math.max(value, 1e-15) ** 2
  const mean = Math.max(meanPower(series) - noisePower, 1e-30)
  const values: SsbFigures = {
    sideband: null,
    suppressedCarrierHz: nominalHz === null || input.channelHz === null ? null : input.channelHz + nominalHz,
    pepToMeanDb: ratioToDb(pep / mean),
    tonesHz: [],
    imd3DbBelowTone: null,
    imd3DbBelowPep: null,
    imd5DbBelowTone: null,
    imd5DbBelowPep: null,
    imd7DbBelowTone: null,
    carrierDbBelowTone: null,
    carrierDbBelowPep: null,
    oppositeSidebandDb: null,
    pepDbfs: ratioToDb(pep),
    meanPowerDbfs: ratioToDb(mean),
    bounds: [],
  }
  const assumed =
    nominalHz === null
      ? []
      : [
          note(
            'carrier-assumed',
            'The suppressed carrier is the nominal frequency: a voice does not tell where it is.',
          ),
        ]
  const crest = Math.hypot(((20 / Math.LN10) * u) / Math.max(value, 1e-15), LINE_FLOOR_DB)
  return {
    values,
    uncertainty: {
      pepToMeanDb: crest,
      pepDbfs: crest,
      meanPowerDbfs: LINE_FLOOR_DB,
      suppressedCarrierHz: nominalHz === null ? null : ASSUMED_WITHIN_HZ / Math.sqrt(3),
    },
    notes: [note('speech', 'No steady tones: speech, of which PEP and mean are told.'), ...assumed],
    suppressedHz: nominalHz,
    cycle: null,
    products: [],
  }
}

function places(
  { channelHz }: SsbInput,
  carrierHz: number | null,
  upper: boolean | null,
  tonesHz: readonly number[],
): Pick<SsbFigures, 'sideband' | 'suppressedCarrierHz' | 'tonesHz'> {
  return {
    sideband: upper === null ? null : upper ? 'USB' : 'LSB',
    suppressedCarrierHz: carrierHz === null ? null : (channelHz ?? 0) + carrierHz,
    tonesHz: tonesHz.map(hz => (carrierHz === null ? hz : Math.abs(hz - carrierHz))).sort((a, b) => a - b),
  }
}

interface Belows {
  readonly imd3: Below | null
  readonly imd5: Below | null
  readonly imd7: Below | null
  readonly leak: Below | null
  readonly opposite: Below | null
}

function limitsOf(
  { imd3, leak }: Pick<Belows, 'imd3' | 'leak'>,
  carrier: PlacedCarrier,
): Measured<SsbFigures>['limitedBy'] {
  const of = (b: Below | null) => b && largestPart({ noise: b.uncertaintyDb, recorder: LINE_FLOOR_DB })
  return { imd3DbBelowTone: of(imd3), carrierDbBelowPep: leak && (carrier.isSeen ? of(leak) : 'assumption') }
}

/**
 * A line of size a in noise n is uncertain by n/a; the audio of a tone by the place of the carrier as well.
 */
function uncertaintyOf(
  below: Belows,
  { noiseAt, seconds }: LineMeter,
  tones: readonly Found[],
  carrier: PlacedCarrier,
): Measured<SsbFigures>['uncertainty'] {
  const of = (b: Below | null) => b && Math.hypot(b.uncertaintyDb, LINE_FLOOR_DB)
  const ratios = tones.map(t => noiseAt(t.hz) / t.amplitude)
  const crest = Math.hypot(0.01, DB * Math.max(...ratios))
  const ofTones = ratios.map(ratio =>
    Math.hypot(frequencyUncertainty(ratio, seconds), carrier.uncertaintyHz ?? 0),
  )
  // Audio ascends with the frequency on the upper sideband, and against it on the lower one.
  const isLower = carrier.hz !== null && tones[0]!.hz < carrier.hz
  const [imd3, imd5, leak] = [of(below.imd3), of(below.imd5), of(below.leak)]
  return {
    tonesHz: isLower ? ofTones.reverse() : ofTones,
    pepToMeanDb: crest,
    pepDbfs: crest,
    meanPowerDbfs: 0.01,
    suppressedCarrierHz: carrier.uncertaintyHz,
    imd3DbBelowTone: imd3,
    imd3DbBelowPep: imd3,
    imd5DbBelowTone: imd5,
    imd5DbBelowPep: imd5,
    imd7DbBelowTone: of(below.imd7),
    carrierDbBelowTone: leak,
    carrierDbBelowPep: leak,
    oppositeSidebandDb: of(below.opposite),
  }
}

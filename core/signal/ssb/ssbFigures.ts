import { meanPower, shifted, type Series } from '../series'
import { SpectrumAverager, noiseFloor } from '../spectrum/powerSpectrum'
import { powerOfTwoTo } from '../spectrum/fft'
import { complexCycle, drawComplex, extremes } from '../tone/cycle'
import { peakFrequency } from '../tone/lines'
import { note, ratioToDb, type Measured, type Note, type SsbFigures } from '../result'
import { CLOSE_HZ, MOST_SAMPLES, lineMeter, type Found } from './lineMeter'
import { suppressedCarrier } from './suppressedCarrier'

/** PEP of two equal tones lies this far above one of them [dB]: twice the amplitude. */
const PEP_ABOVE_TONE_DB = 20 * Math.log10(2)
/** A product this many times above the noise of its window is seen. */
const SEEN_ABOVE = 4
/** A second tone is one within this of the first [dB]. */
const SECOND_WITHIN_DB = 15

export interface SsbInput {
  readonly series: Series
  readonly noisePower: number
  /** suppressed carrier as it should be, in the channel [Hz]; null = not known */
  readonly nominalHz: number | null
  /** baseband zero of the recording, in the channel [Hz] */
  readonly centreHz: number
  readonly toneHz: number | null
  /** radio frequency of channel zero, or null */
  readonly channelHz: number | null
}

export interface SsbResult extends Measured<SsbFigures> { readonly suppressedHz: number | null, /** envelope over one beat for a picture */ readonly cycle: Float64Array | null, readonly products: readonly { readonly order: number, readonly offsetHz: number, readonly dbBelowTone: number }[] }

/** Single sideband: two tones, one tone, or speech (C09 to C11). */
export function ssbFigures(input: SsbInput): SsbResult {
  const { series, noisePower } = input
  const lines = strongestLines(series)
  const [first, second] = lines
  if (!first) return speech(input)
  const held = (lines.slice(0, 2).reduce((s, l) => s + l.amplitude ** 2, 0)) / Math.max(meanPower(series) - noisePower, 1e-30)
  const two = second !== undefined && ratioToDb((first.amplitude / second.amplitude) ** 2) < SECOND_WITHIN_DB
  if (held < 0.6) return speech(input)
  return two ? twoTones(input, first.hz < second.hz ? [first, second] : [second, first]) : oneTone(input, first)
}

/** The two strongest lines, to a small part of a hertz. */
function strongestLines(series: Series): Found[] {
  const size = Math.min(powerOfTwoTo(series.re.length), 65_536)
  if (size < 256) return []
  const averager = new SpectrumAverager(size, size / 2)
  averager.add(series.re, series.im)
  const spectrum = averager.result(series.rateHz)
  const n = Math.min(series.re.length, MOST_SAMPLES)
  const found: Found[] = []
  const power = Float64Array.from(spectrum.power)
  const floor = noiseFloor(spectrum)
  const { at } = lineMeter(series, 0)
  for (let k = 0; k < 2; k++) {
    let best = 0
    for (let b = 1; b < power.length; b++) if (power[b]! > power[best]!) best = b
    if (power[best]! < 20 * floor) break
    const hz = peakFrequency(series.re.subarray(0, n), series.im.subarray(0, n), series.rateHz, spectrum.fromHz + best * spectrum.binHz)
    found.push({ hz, amplitude: at(hz) })
    const around = Math.max(5, Math.ceil(CLOSE_HZ / spectrum.binHz))
    power.fill(0, Math.max(0, best - around), best + around + 1)
  }
  return found
}

function twoTones(input: SsbInput, [low, high]: readonly [Found, Found]): SsbResult {
  const { series, noisePower } = input
  const lines = lineMeter(series, noisePower)
  const { at, noise } = lines
  const spacing = high.hz - low.hz
  const tone = Math.sqrt((low.amplitude ** 2 + high.amplitude ** 2) / 2)
  const product = (n: number) => Math.max(at(low.hz - n * spacing), at(high.hz + n * spacing))
  const below = (amplitude: number) => 20 * Math.log10(tone / Math.max(amplitude, 1e-15))
  const [imd3, imd5, imd7] = [below(product(1)), below(product(2)), below(product(3))]
  const carrier = suppressedCarrier(input, lines, [low, high])
  const leak = carrier.hz === null ? null : below(at(carrier.hz))
  const upper = carrier.hz === null ? null : (low.hz + high.hz) / 2 > carrier.hz
  const opposite = carrier.hz === null ? null : Math.min(...[low, high].map(t => 20 * Math.log10(t.amplitude / Math.max(at(2 * carrier.hz! - t.hz), 1e-15))))
  const still = shifted(series, low.hz)
  const beat = complexCycle(still.re, still.im, series.rateHz, spacing, Math.min(0.45 * series.rateHz, 12 * spacing))
  const drawn = drawComplex(beat)
  const envelope = drawn.re.map((x, n) => Math.hypot(x, drawn.im[n]!))
  const crest = extremes(envelope).max
  const pepToMeanDb = ratioToDb(crest * crest / Math.max(meanPower(series) - noisePower, 1e-30))
  const values: SsbFigures = {
    ...places(input, carrier.hz, upper, [low.hz, high.hz]), pepToMeanDb,
    imd3DbBelowTone: imd3, imd3DbBelowPep: imd3 + PEP_ABOVE_TONE_DB, imd5DbBelowTone: imd5, imd5DbBelowPep: imd5 + PEP_ABOVE_TONE_DB, imd7DbBelowTone: imd7,
    carrierDbBelowTone: leak, carrierDbBelowPep: leak === null ? null : leak + PEP_ABOVE_TONE_DB, oppositeSidebandDb: opposite,
  }
  const seen = (dbBelow: number) => tone * 10 ** (-dbBelow / 20) > SEEN_ABOVE * noise
  const notes: Note[] = [
    ...carrier.notes,
    ...(pepToMeanDb < 2.7 ? [note('flat-topped', `PEP lies ${pepToMeanDb.toFixed(2)} dB above the mean; two clean tones give 3.01 dB: the crest is flat-topped, or the tones are unequal.`)] : []),
    ...([['third', imd3], ['fifth', imd5], ['seventh', imd7]] as const).filter(([, db]) => !seen(db)).map(([order, db]) => note('product-in-noise', `The ${order}-order product is not above the noise: at least ${db.toFixed(0)} dB below one tone.`)),
  ]
  const products = [3, 5, 7].flatMap((order, k) => [low.hz - (k + 1) * spacing, high.hz + (k + 1) * spacing].map(hz => ({ order, offsetHz: hz, dbBelowTone: below(at(hz)) })))
  return { values, uncertainty: uncertaintyOf(values, noise / tone), notes, suppressedHz: carrier.hz, cycle: envelope, products }
}

function oneTone(input: SsbInput, tone: Found): SsbResult {
  const lines = lineMeter(input.series, input.noisePower)
  const { at, noise } = lines
  const carrier = suppressedCarrier(input, lines, [tone])
  const below = (hz: number) => 20 * Math.log10(tone.amplitude / Math.max(at(hz), 1e-15))
  const upper = carrier.hz === null ? null : tone.hz > carrier.hz
  const leak = carrier.hz === null ? null : below(carrier.hz)
  const values: SsbFigures = {
    ...places(input, carrier.hz, upper, [tone.hz]), pepToMeanDb: ratioToDb(tone.amplitude ** 2 / Math.max(meanPower(input.series) - input.noisePower, 1e-30)),
    imd3DbBelowTone: null, imd3DbBelowPep: null, imd5DbBelowTone: null, imd5DbBelowPep: null, imd7DbBelowTone: null,
    carrierDbBelowTone: leak, carrierDbBelowPep: leak === null ? null : leak + PEP_ABOVE_TONE_DB, oppositeSidebandDb: carrier.hz === null ? null : below(2 * carrier.hz - tone.hz),
  }
  return { values, uncertainty: uncertaintyOf(values, noise / tone.amplitude), notes: [...carrier.notes, note('one-tone', 'One tone: products need two.')], suppressedHz: carrier.hz, cycle: null, products: [] }
}

/** Speech: the crest that one sample in ten thousand passes, against the mean while something is sent. */
function speech(input: SsbInput): SsbResult {
  const { series, noisePower } = input
  const powers = Float64Array.from(series.re, (x, n) => x * x + series.im[n]! ** 2).sort()
  const pep = powers[Math.floor(powers.length * 0.9999)]!
  const mean = Math.max(powers.reduce((a, b) => a + b, 0) / powers.length - noisePower, 1e-30)
  const carrierHz = input.nominalHz
  const values: SsbFigures = {
    sideband: null, suppressedCarrierHz: carrierHz === null || input.channelHz === null ? null : input.channelHz + carrierHz, pepToMeanDb: ratioToDb(pep / mean), tonesHz: [], imd3DbBelowTone: null, imd3DbBelowPep: null, imd5DbBelowTone: null, imd5DbBelowPep: null, imd7DbBelowTone: null,
    carrierDbBelowTone: null, carrierDbBelowPep: null, oppositeSidebandDb: null,
  }
  return { values, uncertainty: { pepToMeanDb: 0.5 }, notes: [note('speech', 'No steady tones: speech, of which PEP and mean are told.')], suppressedHz: carrierHz, cycle: null, products: [] }
}

function places({ channelHz }: SsbInput, carrierHz: number | null, upper: boolean | null, tonesHz: readonly number[]): Pick<SsbFigures, 'sideband' | 'suppressedCarrierHz' | 'tonesHz'> {
  return {
    sideband: upper === null ? null : upper ? 'USB' : 'LSB', suppressedCarrierHz: carrierHz === null ? null : (channelHz ?? 0) + carrierHz,
    tonesHz: tonesHz.map(hz => carrierHz === null ? hz : Math.abs(hz - carrierHz)).sort((a, b) => a - b),
  }
}

/** A line of size a in noise n is uncertain by n/a. */
function uncertaintyOf(v: SsbFigures, noise: number): Measured<SsbFigures>['uncertainty'] {
  const of = (db: number | null) => db === null ? null : Math.hypot(20 / Math.LN10 * Math.min(1, noise * 10 ** (db / 20)), 0.02)
  const u = { imd3: of(v.imd3DbBelowTone), imd5: of(v.imd5DbBelowTone) }
  return {
    tonesHz: v.tonesHz.map(() => 0.01 + noise), pepToMeanDb: Math.hypot(0.01, 8.7 * noise), suppressedCarrierHz: v.suppressedCarrierHz === null ? null : 0.5, imd3DbBelowTone: u.imd3, imd3DbBelowPep: u.imd3, imd5DbBelowTone: u.imd5, imd5DbBelowPep: u.imd5, imd7DbBelowTone: of(v.imd7DbBelowTone),
    carrierDbBelowTone: of(v.carrierDbBelowTone), carrierDbBelowPep: of(v.carrierDbBelowTone), oppositeSidebandDb: of(v.oppositeSidebandDb),
  }
}

import { message } from '../../message'
import { voltageDb } from '../../quantity'
import { note, noteIf, ratioToDb, type Note, type SsbFigures } from '../result'
import { meanPower, shifted, type Series } from '../series'
import { complexCycle, drawComplex, extremes } from '../tone/cycle'
import { belowOf, besideCarrier, boundsOf, ofCarrier, weaker, type Below } from './below'
import { lineMeter, type Found } from './lineMeter'
import { toneOffsets, type SsbInput, type SsbResult } from './ssbInput'
import { limitsOf, uncertaintyOf, type Belows } from './ssbUncertainty'
import { suppressedCarrier } from './suppressedCarrier'

/**
 * A crest this far below that of clean tones of the same sizes is flat-topped [dB] (definition of the
 * product).
 */
const FLAT_DB = 0.3
/** Tones further apart than this are told to be unequal [dB]. */
const UNEQUAL_DB = 0.5
/** Orders of the products that are looked for. */
const ORDERS = [
  { order: 3, name: 'third' },
  { order: 5, name: 'fifth' },
  { order: 7, name: 'seventh' },
] as const

type TwoFound = readonly [Found, Found]
/** Both places of the product that lies n times the spacing beyond the tones. */
const orderOf = ([low, high]: TwoFound, n: number) => {
  const spacing = high.hz - low.hz
  return [low.hz - n * spacing, high.hz + n * spacing] as const
}

/** Two tones, the lower first: products, carrier and sideband below the stronger one, PEP by their beat. */
export function twoTones(input: SsbInput, tones: TwoFound): SsbResult {
  const { series, noisePower } = input
  const [low, high] = tones
  const lines = lineMeter(series, noisePower)
  const tone = Math.max(low.amplitude, high.amplitude)
  const carrier = suppressedCarrier(input, lines, tones)
  const below = belowOf(lines, tone)
  const [imd3, imd5, imd7] = ORDERS.map((_, k) => {
    const [lower, upper] = orderOf(tones, k + 1)
    return weaker(below(lower), below(upper))
  }) as [Below, Below, Below]
  const belows = { imd3, imd5, imd7, ...besideCarrier(carrier, lines, tones, below) }
  const beat = beatEnvelope(series, low.hz, high.hz - low.hz)
  const pep: Pep = {
    crest: extremes(beat).max,
    mean: Math.max(meanPower(series) - noisePower, 1e-30),
    aboveToneDb: voltageDb(extremes(beat).max / tone),
  }
  const isUpper = carrier.hz === null ? null : (low.hz + high.hz) / 2 > carrier.hz
  return {
    values: { ...toneOffsets(input, carrier.hz, isUpper, [low.hz, high.hz]), ...figuresOf(belows, pep) },
    uncertainty: uncertaintyOf(belows, lines, tones, carrier),
    limitedBy: limitsOf(belows, carrier),
    notes: [...carrier.notes, ...notesOf(tones, belows, pep)],
    suppressedHz: carrier.hz,
    cycle: beat,
    products: ORDERS.flatMap(({ order }, k) =>
      orderOf(tones, k + 1).map(hz => ({ order, offsetHz: hz, dbBelowTone: below(hz).db })),
    ),
  }
}

/** The crest of the beat, and what it is held against. */
interface Pep {
  readonly crest: number
  /** mean power */
  readonly mean: number
  readonly aboveToneDb: number
}

type Products = Belows & { readonly imd3: Below; readonly imd5: Below; readonly imd7: Below }
type Figures = Omit<SsbFigures, 'sideband' | 'suppressedCarrierHz' | 'tonesHz'>

function figuresOf(
  { imd3, imd5, imd7, leak, opposite }: Products,
  { crest, mean, aboveToneDb }: Pep,
): Figures {
  return {
    pepToMeanDb: ratioToDb((crest * crest) / mean),
    imd3DbBelowTone: imd3.db,
    imd3DbBelowPep: imd3.db + aboveToneDb,
    imd5DbBelowTone: imd5.db,
    imd5DbBelowPep: imd5.db + aboveToneDb,
    imd7DbBelowTone: imd7.db,
    ...ofCarrier(leak, opposite, aboveToneDb),
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
}

function notesOf(
  [low, high]: TwoFound,
  { imd3, imd5, imd7 }: Products,
  { crest, mean, aboveToneDb }: Pep,
): Note[] {
  const apartDb = Math.abs(voltageDb(low.amplitude / high.amplitude))
  const cleanDb = ratioToDb((low.amplitude + high.amplitude) ** 2 / mean)
  const pepDb = ratioToDb((crest * crest) / mean)
  const flat = message('note.flatToppedSideband', { pepDb: pepDb.toFixed(2), cleanDb: cleanDb.toFixed(2) })
  const unequal = message('note.unequalTones', {
    apartDb: apartDb.toFixed(1),
    aboveToneDb: aboveToneDb.toFixed(2),
  })
  const hidden = ({ db }: Below, name: string) => message('note.productInNoise', { name, db: db.toFixed(0) })
  return [
    ...noteIf(pepDb < cleanDb - FLAT_DB, 'flat-topped', flat),
    ...noteIf(apartDb > UNEQUAL_DB, 'unequal-tones', unequal),
    ...[imd3, imd5, imd7].flatMap((product, k) =>
      product.isBound ? [note('product-in-noise', hidden(product, ORDERS[k]!.name))] : [],
    ),
  ]
}

/** Envelope over one beat of two tones. */
function beatEnvelope(series: Series, lowHz: number, spacing: number): Float64Array {
  const still = shifted(series, lowHz)
  const drawn = drawComplex(
    complexCycle(still.re, still.im, series.rateHz, spacing, Math.min(0.45 * series.rateHz, 12 * spacing)),
  )
  return drawn.re.map((x, n) => Math.hypot(x, drawn.im[n]!))
}

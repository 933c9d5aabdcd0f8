import { message } from '../../message'
import { note, ratioToDb, type SsbFigures } from '../result'
import { meanPower } from '../series'
import { belowOf, besideCarrier, boundsOf, ofCarrier } from './below'
import { lineMeter, type Found } from './lineMeter'
import { NOTHING_BELOW, toneOffsets, type SsbInput, type SsbResult } from './ssbInput'
import { limitsOf, uncertaintyOf } from './ssbUncertainty'
import { suppressedCarrier } from './suppressedCarrier'

/** One tone: what is left of the carrier and of the other sideband. */
export function oneTone(input: SsbInput, tone: Found): SsbResult {
  const lines = lineMeter(input.series, input.noisePower)
  const carrier = suppressedCarrier(input, lines, [tone])
  const { leak, opposite } = besideCarrier(carrier, lines, [tone], belowOf(lines, tone.amplitude))
  const mean = Math.max(meanPower(input.series) - input.noisePower, 1e-30)
  const values: SsbFigures = {
    ...NOTHING_BELOW,
    ...toneOffsets(input, carrier.hz, carrier.hz === null ? null : tone.hz > carrier.hz, [tone.hz]),
    pepToMeanDb: ratioToDb(tone.amplitude ** 2 / mean),
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
    notes: [...carrier.notes, note('one-tone', message('note.oneTone'))],
    suppressedHz: carrier.hz,
    cycle: null,
    products: [],
  }
}

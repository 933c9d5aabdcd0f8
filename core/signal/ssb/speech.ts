import { message } from '../../message'
import { noteIf, note, ratioToDb, type SsbFigures } from '../result'
import { envelopeOf, meanPower } from '../series'
import { upperPeaks } from '../tone/waveformPeaks'
import { NOTHING_BELOW, type SsbInput, type SsbResult } from './ssbInput'
import { LINE_FLOOR_DB } from './ssbUncertainty'
import { ASSUMED_WITHIN_HZ } from './suppressedCarrier'

/** Speech has this much audio [Hz]: its size tells twice as many values a second as that. */
const SPEECH_HZ = 3000

/** Speech: the crest of what was sent, against the mean while something is sent. */
export function speech(input: SsbInput): SsbResult {
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
  const isPlaced = nominalHz !== null && input.channelHz !== null
  const values: SsbFigures = {
    ...NOTHING_BELOW,
    sideband: null,
    suppressedCarrierHz: isPlaced ? input.channelHz! + nominalHz! : null,
    pepToMeanDb: ratioToDb(pep / mean),
    tonesHz: [],
    pepDbfs: ratioToDb(pep),
    meanPowerDbfs: ratioToDb(mean),
    bounds: [],
  }
  const assumed = message('note.carrierAtNominal')
  const crest = Math.hypot(((20 / Math.LN10) * u) / Math.max(value, 1e-15), LINE_FLOOR_DB)
  return {
    values,
    uncertainty: {
      pepToMeanDb: crest,
      pepDbfs: crest,
      meanPowerDbfs: LINE_FLOOR_DB,
      suppressedCarrierHz: nominalHz === null ? null : ASSUMED_WITHIN_HZ / Math.sqrt(3),
    },
    notes: [
      note('speech', message('note.speech')),
      ...noteIf(nominalHz !== null, 'carrier-assumed', assumed),
    ],
    suppressedHz: nominalHz,
    cycle: null,
    products: [],
  }
}

import type { MeasurePoint, SetState } from './modelSheet'

/** Modulation of the generator while a receiver is measured. */
export type GeneratorModulation =
  | { readonly kind: 'none' }
  | { readonly kind: 'am'; readonly depthRatio: number }
  | { readonly kind: 'fm'; readonly deviationHz: number }

/** What a sensitivity is told by: without both it is a bare number. */
export interface ReceiverTest {
  readonly modulation: GeneratorModulation
  readonly criterion: 'sinad-12' | 'signal-noise-10'
  /**
   * noise bandwidth before the detector [Hz]: what the row says, else the narrowest that is usual in the mode
   */
  readonly bandwidthHz: number
}

/** Narrowest filters that are usual [Hz] (from memory): of speech, and of telegraphy. */
export const SPEECH_HZ = 2400
const TELEGRAPHY_HZ = 250

/**
 * What is usual in a mode (common practice): 30 % on AM, 1.5 kHz on FM, a bare carrier on sideband
 * and CW.
 */
const USUAL: Readonly<Record<SetState['mode'], ReceiverTest>> = {
  AM: { modulation: { kind: 'am', depthRatio: 0.3 }, criterion: 'signal-noise-10', bandwidthHz: SPEECH_HZ },
  FM: { modulation: { kind: 'fm', deviationHz: 1500 }, criterion: 'sinad-12', bandwidthHz: SPEECH_HZ },
  USB: { modulation: { kind: 'none' }, criterion: 'signal-noise-10', bandwidthHz: SPEECH_HZ },
  LSB: { modulation: { kind: 'none' }, criterion: 'signal-noise-10', bandwidthHz: SPEECH_HZ },
  CW: { modulation: { kind: 'none' }, criterion: 'signal-noise-10', bandwidthHz: TELEGRAPHY_HZ },
}

/** A row says it in either language: what people write into their sheets is not translated. */
const DEPTH = /AM (?:al )?(\d{1,3}) ?%/
const DEVIATION =
  /(\d(?:[.,]\d)?) ?kHz (?:of |de )?(?:deviation|desviaci\u00f3n)|desviaci\u00f3n de (\d(?:[.,]\d)?) ?kHz/i
const SINAD = /12 dB (?:de )?SINAD|SINAD (?:de|of) 12 dB/
const NUMBER = String.raw`(\d+(?:[.,]\d+)?) ?(k?)Hz`
const BANDWIDTH = new RegExp(`${NUMBER} (?:wide|filter|of bandwidth|bandwidth|de ancho)`)
const FILTER = new RegExp(`(?:filtro|ancho de banda) de ${NUMBER}`, 'i')
/** Where the detector leaves the width of the filter as it is. */
const AS_FILTERED: readonly SetState['mode'][] = ['USB', 'LSB', 'CW']
const decimal = (text: string) => Number(text.replace(',', '.'))
const SIGNAL_NOISE = /\(S\+N\)\/N/

/**
 * Generator and criterion of a row, as the row says them in its title and remarks; what it leaves open is the
 * usual of its mode.
 */
export function receiverTest({
  title,
  state,
  wants,
}: Pick<MeasurePoint, 'title' | 'state' | 'wants'>): ReceiverTest {
  const words = `${title} ${state.also ?? ''} ${state.setting}`
  const usual = USUAL[state.mode]
  const depth = DEPTH.exec(words)
  const deviation = DEVIATION.exec(words)
  const frequencyModulation: GeneratorModulation = deviation
    ? { kind: 'fm', deviationHz: decimal(deviation[1] ?? deviation[2]!) * 1000 }
    : usual.modulation
  const modulation: GeneratorModulation = depth
    ? { kind: 'am', depthRatio: Number(depth[1]) / 100 }
    : frequencyModulation
  const bySinad = SINAD.test(words) || wants.some(w => w.quantity === 'sinadDb')
  const otherwise = SIGNAL_NOISE.test(words) ? 'signal-noise-10' : usual.criterion
  const criterion = bySinad ? 'sinad-12' : otherwise
  return { modulation, criterion, bandwidthHz: bandwidthOf(words, state.mode) ?? usual.bandwidthHz }
}

/**
 * What a row says of the filter; of AM and FM the sound behind the detector decides, however wide the filter
 * is.
 */
function bandwidthOf(words: string, mode: SetState['mode']): number | null {
  const said = BANDWIDTH.exec(words) ?? FILTER.exec(words)
  if (!said || !AS_FILTERED.includes(mode)) return null
  return decimal(said[1]!) * (said[2] === 'k' ? 1000 : 1)
}

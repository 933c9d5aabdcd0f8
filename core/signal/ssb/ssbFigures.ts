import { ratioToDb } from '../result'
import { meanPower } from '../series'
import { oneTone } from './oneTone'
import { speech } from './speech'
import type { SsbInput, SsbResult } from './ssbInput'
import { strongestLines } from './ssbTones'
import { twoTones } from './twoTones'

/** A second tone is one within this of the first [dB]. */
const SECOND_WITHIN_DB = 15
/**
 * Tones hold this share of the power at least, whatever their products: a vowel holds less, or does not last.
 */
const HELD_BY_TONES = 0.9
const LASTS_S = 0.8

/** A tone lasts: for the better part of what is sent, or longer than any syllable. */
const isLong = ({ series, whole }: SsbInput) =>
  series.re.length > 0.5 * whole.re.length || series.re.length > LASTS_S * series.rateHz

/**
 * Single sideband: two tones, one tone, or speech (C09 to C11).
 * @param input channel about the (suppressed) carrier, its noise, and the sideband as far as it is known
 * @returns products and leaks in dB below the stronger tone; bounds where noise or an assumed carrier hides
 * them; PEP over mean in dB
 */
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

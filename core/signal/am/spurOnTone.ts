import { message } from '../../message'
import type { Cycle } from '../tone/cycle'
import { lineAmplitude } from '../tone/lines'
import { noteIf, type Note } from '../result'
import type { AmInput } from './amInput'

/** A side line is not its own from this share of its mirror on; and from this many times its noise. */
const UNLIKE = 0.02
const SEEN_ABOVE = 5

/**
 * Amplitude of what an offset of the receiver puts on a multiple of the tone: sidebands of AM are alike, a
 * spur stands on one side.
 */
export function spurAtCentre(
  { lines, harmonics, toneHz, samples }: Cycle,
  { centreHz, noisePower, modulated }: AmInput,
): number {
  if (centreHz === null) return 0
  const order = Math.round(centreHz / toneHz)
  if (
    order === 0 ||
    Math.abs(order) > harmonics ||
    Math.abs(centreHz - order * toneHz) > (4 * modulated.rateHz) / samples
  )
    return 0
  const excess = Math.abs(lineAmplitude(lines[harmonics + order]!) - lineAmplitude(lines[harmonics - order]!))
  const noise = Math.sqrt((noisePower * 1.5) / samples)
  return excess > Math.max(SEEN_ABOVE * noise, UNLIKE * lineAmplitude(lines[harmonics - order]!)) ? excess : 0
}

/** @param ratio of the spur to the carrier */
export function spurNotes(ratio: number): Note[] {
  const words = message('note.spurOnTone', { value: (100 * ratio).toFixed(1) })
  return noteIf(ratio > 0, 'spur-on-tone', words)
}

/** First intermediate frequency and second oscillator of the single-reference scheme [Hz]. */
const FIRST_IF_HZ = 10_695_000
const SECOND_OSCILLATOR_HZ = 10_240_000
const REFERENCE_HZ = 10_240_000

/**
 * Everything from one crystal: an error of the reference is the same share of every frequency.
 * @returns transmit frequency and second intermediate frequency [Hz] for a channel
 * Source: f_TX = f x (1 + eps); df_IF2 = -(f - 10.695 + 10.240 MHz) x eps (C17; an invented but consistent
 * scheme).
 * @example -9 ppm on 27.185 MHz: -244.7 Hz, second IF +240.6 Hz
 */
export function singleReference(
  referenceHz: number,
  channelHz: number,
): { readonly transmitHz: number; readonly secondIfHz: number } {
  const eps = referenceHz / REFERENCE_HZ - 1
  return {
    transmitHz: channelHz * (1 + eps),
    secondIfHz: FIRST_IF_HZ - SECOND_OSCILLATOR_HZ - (channelHz - FIRST_IF_HZ + SECOND_OSCILLATOR_HZ) * eps,
  }
}

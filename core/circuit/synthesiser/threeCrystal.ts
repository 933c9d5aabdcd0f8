/** Divider that makes the 10 kHz raster from the 10.240 MHz reference. */
const REFERENCE_DIVIDER = 1024
/** N = 150 + channel. */
const CHANNEL_OFFSET = 150

/** The three oscillators of a three-crystal set as they really run [Hz]. */
export interface ThreeCrystals {
  readonly referenceHz: number
  readonly txCrystalHz: number
  readonly rxCrystalHz: number
}

/**
 * Transmit frequency of a three-crystal synthesiser.
 * @param channel 1..40
 * @returns [Hz]
 * Source: f_TX = 2 f_XT + N x f_ref / 1024, N = 150 + channel (an invented but consistent scheme).
 * @example transmitHz({ referenceHz: 10.24e6, txCrystalHz: 13.045625e6, rxCrystalHz: 15.39625e6 }, 20) // =>
 * 27791250
 */
export function transmitHz(crystals: ThreeCrystals, channel: number): number {
  return 2 * crystals.txCrystalHz + ((CHANNEL_OFFSET + channel) * crystals.referenceHz) / REFERENCE_DIVIDER
}

/**
 * Where the second intermediate frequency lands for a signal exactly on channel.
 * @param carrierHz the received signal [Hz]
 * @returns [Hz], 455 kHz when all three crystals are right
 * Source: LO1 = f_XR + N x f_ref / 1024, low side; second oscillator is the same reference.
 */
export function secondIfHz(crystals: ThreeCrystals, channel: number, carrierHz: number): number {
  const lo1Hz = crystals.rxCrystalHz + ((CHANNEL_OFFSET + channel) * crystals.referenceHz) / REFERENCE_DIVIDER
  return carrierHz - lo1Hz - crystals.referenceHz
}

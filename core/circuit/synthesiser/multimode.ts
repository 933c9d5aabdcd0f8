/**
 * Oscillators of a multimode as they really run [Hz]: the mixing crystal with the offset of its mode, and the
 * carrier oscillator.
 */
export interface ModeOscillators {
  readonly referenceHz: number
  readonly mixingHz: number
  readonly carrierHz: number
}

/**
 * Nominal carrier oscillators; the mixing crystal is offset against them so that the sum is the channel in
 * every mode (C18).
 */
export const CARRIER_OSCILLATOR_HZ = {
  AM: 10_695_000,
  FM: 10_695_000,
  CW: 10_695_000,
  USB: 10_692_500,
  LSB: 10_697_500,
} as const

const REFERENCE_HZ = 10_240_000
/** N on D 19, and the raster. */
const N_AT_D19 = 150
const STEP_HZ = 10_000
const D19_HZ = 27_185_000
/** Each band has its own mixing crystal, 450 kHz apart, so that N stays between these channels. */
const BAND_STEP_HZ = 450_000

/** Nominal mixing frequency [Hz] and divider of a channel. */
export function mixingPlan(
  channelHz: number,
  carrierHz: number,
): { readonly mixingHz: number; readonly n: number } {
  const band = Math.round((channelHz - D19_HZ) / BAND_STEP_HZ)
  const n = N_AT_D19 + Math.round((channelHz - D19_HZ - band * BAND_STEP_HZ) / STEP_HZ)
  return { mixingHz: channelHz - carrierHz - n * STEP_HZ, n }
}

/**
 * Where the carrier of a mode lands, and what the VCO has to make [Hz].
 * Source: f = f_M(mode) + N x 10 kHz x (1 + eps) + f_C(mode) (C18; an invented but consistent scheme).
 */
export function multimodeHz(
  { referenceHz, mixingHz, carrierHz }: ModeOscillators,
  n: number,
): { readonly transmitHz: number; readonly vcoHz: number } {
  const vcoHz = mixingHz + (n * STEP_HZ * referenceHz) / REFERENCE_HZ
  return { transmitHz: vcoHz + carrierHz, vcoHz }
}

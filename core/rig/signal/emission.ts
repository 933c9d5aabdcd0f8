/**
 * What leaves the antenna socket, as a complex envelope around the channel. Voltages are square roots of
 * watts.
 */
export type Emission = { readonly kind: 'none' } | AmEmission | FmEmission | SsbEmission

export interface Tone {
  readonly hz: number
  /** AM: depth; FM: peak deviation [Hz]; SSB: drive, 1 = the one that saturates */
  readonly level: number
}

export interface AmEmission {
  readonly kind: 'am'
  /** of the carrier from the channel [Hz] */
  readonly offsetHz: number
  readonly carrierV: number
  /** highest envelope that its rail allows */
  readonly crestV: number
  readonly tones: readonly Tone[]
}

export interface FmEmission {
  readonly kind: 'fm'
  readonly offsetHz: number
  readonly carrierV: number
  readonly tones: readonly Tone[]
}

export interface SsbEmission {
  readonly kind: 'ssb'
  /** of the suppressed carrier from the channel [Hz] */
  readonly offsetHz: number
  /** +1 upper, -1 lower sideband */
  readonly side: 1 | -1
  readonly tones: readonly Tone[]
  /** carrier that leaks, as drive */
  readonly leak: number
  /** amplitude law of the output stage */
  readonly saturationV: number
  readonly threshold: number
  readonly sharpness: number
}

import { CoreError } from '../../errors'
import { memoryless } from '../part'

/** Coil and the load behind a pi-network. */
export interface PiNetwork {
  readonly inductanceH: number
  readonly coilQ: number
  readonly loadOhm: number
}
export interface PiInput {
  readonly plateF: number
  readonly loadF: number
  readonly frequencyHz: number
}
export interface PiState {
  /** what the plate sees [ohm] */
  readonly resistanceOhm: number
  readonly reactanceOhm: number
  /** into the load [ratio] */
  readonly efficiency: number
}

/**
 * Impedance at the plate and efficiency of a pi-network, exactly, coil losses included.
 * @throws {CoreError} out-of-range
 * Source: complex impedance of plate capacitor, coil and load capacitor; no approximation.
 */
export const piNetwork = memoryless(
  'pi-network',
  ({ inductanceH, coilQ, loadOhm }: PiNetwork, { plateF, loadF, frequencyHz }: PiInput): PiState => {
    if (!(inductanceH > 0 && coilQ > 0 && loadOhm > 0 && plateF > 0 && loadF > 0 && frequencyHz > 0))
      throw new CoreError('out-of-range', `${plateF} F, ${loadF} F, ${frequencyHz} Hz`)
    const w = 2 * Math.PI * frequencyHz
    // load in parallel with its capacitor
    const g = 1 / loadOhm
    const b = w * loadF
    const outR = g / (g * g + b * b)
    const outX = -b / (g * g + b * b)
    // through the coil
    const lossR = (w * inductanceH) / coilQ
    const seriesR = outR + lossR
    const seriesX = outX + w * inductanceH
    // plate capacitor across
    const size = seriesR ** 2 + seriesX ** 2
    const y = { g: seriesR / size, b: -seriesX / size + w * plateF }
    const ySize = y.g ** 2 + y.b ** 2
    return { resistanceOhm: y.g / ySize, reactanceOhm: -y.b / ySize, efficiency: outR / seriesR }
  },
)

/**
 * Parts of a pi-network for a match.
 * @throws {CoreError} out-of-range (Q too low for the transformation: needs Q^2 + 1 > RL/Ro)
 * Source: X1 = RL/Q; X2 = Ro sqrt((RL/Ro)/(Q^2 + 1 - RL/Ro)); XL = (Q RL + RL Ro/X2)/(Q^2 + 1) (C44).
 * @example piParts(2000, 50, 12, 14.2e6) // => 67.25 pF, 363.2 pF, 2.11 uH
 */
export function piParts(
  plateOhm: number,
  loadOhm: number,
  q: number,
  frequencyHz: number,
): { readonly plateF: number; readonly loadF: number; readonly inductanceH: number } {
  const rest = q * q + 1 - plateOhm / loadOhm
  if (!(rest > 0)) throw new CoreError('out-of-range', `Q ${q}, ${plateOhm} Ω : ${loadOhm} Ω`)
  const w = 2 * Math.PI * frequencyHz
  const x2 = loadOhm * Math.sqrt(plateOhm / loadOhm / rest)
  return {
    plateF: q / (w * plateOhm),
    loadF: 1 / (w * x2),
    inductanceH: (q * plateOhm + (plateOhm * loadOhm) / x2) / (q * q + 1) / w,
  }
}

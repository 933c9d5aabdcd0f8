import { memoryless } from '../part'

/** A diode and a needle on the RF line. */
export interface MeterMovement {
  /** at full deflection [W] */
  readonly fullScaleW: number
  /** diode threshold over the detector voltage at full scale, 0..0.5 */
  readonly thresholdRatio: number
  /** own error, 1 = right */
  readonly gain: number
}

/**
 * What the needle shows [W] of a bare carrier.
 * @param preset gain set by its preset, 1 = right
 * Source: C32: ((v - threshold) / (1 - threshold))^2 of full scale, v = sqrt(P / full scale); calibrated at
 * full scale.
 * @example threshold 0.2, 25 of 100 W // => 14.1 W
 */
export const meterMovement = memoryless(
  'meter movement',
  (
    { fullScaleW, thresholdRatio, gain }: MeterMovement,
    { powerW, preset }: { powerW: number; preset: number },
  ) => {
    const v = Math.sqrt(Math.max(0, powerW) / fullScaleW)
    return v <= thresholdRatio
      ? 0
      : fullScaleW * ((v - thresholdRatio) / (1 - thresholdRatio)) ** 2 * gain * preset
  },
)

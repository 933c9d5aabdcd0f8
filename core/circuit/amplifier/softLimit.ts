/**
 * Follows its input until it has no headroom left.
 *
 * @param drive relative to the one that would just reach the limit, >= 0
 * @param sharpness 1 = soft, 3 = a firm knee, large = a hard limit
 * @returns 0..1, rising monotonically
 * Source: u / (1 + u^2p)^(1/2p), the usual memoryless model of an amplifier's amplitude (from memory).
 * @example softLimit(1, 2) // => 0.841
 */
export function softLimit(drive: number, sharpness: number): number {
  if (!(drive > 0)) return 0
  if (drive > 1e6) return 1
  return drive / (1 + drive ** (2 * sharpness)) ** (1 / (2 * sharpness))
}

/**
 * Output of a stage that follows its drive until it has no headroom left.
 *
 * @param driveRatio drive relative to the one that would just saturate it, >= 0
 * @param saturatedW output far beyond saturation [W]
 * @returns [W], rising monotonically to saturatedW
 * Source: soft limiter g / sqrt(1 + g^2) on power; a model chosen for its shape, not fitted to a device.
 */
export function saturatedPowerW(driveRatio: number, saturatedW: number): number {
  const drive = Math.max(0, driveRatio)
  return saturatedW * drive / Math.hypot(1, drive)
}

/** Saturated output follows the square of the supply. Source: P ~ V^2 / R with a rail-limited collector swing. */
export function atSupply(powerW: number, supplyV: number, nominalV: number): number {
  return powerW * (supplyV / nominalV) ** 2
}

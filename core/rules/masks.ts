import type { Mode } from './mode'

/**
 * A part of an emission mask, measured from the channel centre; below the carrier (AM, FM) or the PEP (SSB).
 */
export interface EmissionMaskPart {
  readonly fromHz: number
  readonly toHz: number
  readonly belowDb: number
}

/** Far edge of what is looked at [Hz]. */
const FAR_HZ = 250_000

/**
 * Emission mask of R-US: 47 CFR 95.979 (from memory: check the current text). Beyond the last step 53 + 10
 * log P dB.
 * @param powerW carrier power, or PEP on SSB [W]
 */
export function emissionMask(
  ruleSetId: string,
  mode: Mode,
  powerW: number,
): readonly EmissionMaskPart[] | null {
  if (ruleSetId !== 'R-US') return null
  const farDb = 53 + 10 * Math.log10(powerW)
  const [a, b, c] = mode === 'USB' || mode === 'LSB' ? [2000, 6000, 10_000] : [4000, 8000, 20_000]
  return [
    { fromHz: a, toHz: b, belowDb: 25 },
    { fromHz: b, toHz: c, belowDb: 35 },
    { fromHz: c, toHz: FAR_HZ, belowDb: farDb },
  ]
}

/**
 * Most power in an adjacent channel [W], by rule set: R-EU7 20 uW, R-UK6 10 uW (from memory: check the
 * current text).
 */
export const ADJACENT_MOST_W: Readonly<Record<string, { readonly watts: number; readonly words: string }>> = {
  'R-EU': { watts: 20e-6, words: 'R-EU7: 20 µW max. in an adjacent channel' },
  'R-UK27': { watts: 10e-6, words: 'R-UK6: 10 µW max. in an adjacent channel' },
}

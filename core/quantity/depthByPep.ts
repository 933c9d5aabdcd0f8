import type { Measured } from './reading'
import { boundToStandard, expandedUncertainty } from './uncertainty'

/**
 * AM depth that a PEP over its carrier stands for (1 = full), with what both meters may put it off by:
 * m = sqrt(PEP / carrier) - 1, dm = (1 + m) / 2 times the relative errors.
 * Source: arithmetic of the AM envelope (C05, C07); 4 W and 100 % are 16 W PEP.
 * Limits: of a crest that is not flattened and a meter that shows the crest; it says nothing of the trough.
 * @param pep above 0 [W]
 * @param carrier unmodulated, above 0 [W]
 * @returns its uncertainty is null where that of one of them is not known
 */
export function depthByPep(pep: Measured, carrier: Measured): Measured {
  const root = Math.sqrt(pep.value / carrier.value)
  const bounds = [pep, carrier].map(expandedUncertainty)
  const isKnown = bounds.every(b => b !== null)
  const relative = isKnown ? bounds[0]! / pep.value + bounds[1]! / carrier.value : null
  return {
    value: root - 1,
    standardUncertainty: relative === null ? null : boundToStandard((root / 2) * relative),
  }
}

import { voltageRatioToDb } from '../quantity'
import { modulationOf, samePower } from '../sheet'
import type { Turn } from './staleBy'
import type { TakenReading } from './takenReading'
import type { RowConditions } from './jobEvent'

/**
 * Supply differences up to this move a saturated stage's power by about 0.06 dB [V] (computed from P ~ V^2).
 */
const SUPPLY_TOLERANCE_V = 0.1
/** Cold readings compare only when taken this close on the warm-up curve [s]. */
const COLD_TOLERANCE_S = 5 * 60
/** Levels of tone or generator within this count as the same [dB]. */
const LEVEL_TOLERANCE_DB = 0.5

/** One condition that differs between two readings, so that they cannot be compared. */
export type Difference =
  | { readonly kind: 'supply'; readonly beforeV: number; readonly afterV: number }
  | { readonly kind: 'load'; readonly before: string; readonly after: string }
  | { readonly kind: 'instrument'; readonly before: string | null; readonly after: string | null }
  | { readonly kind: 'tone'; readonly beforeHz: number | null; readonly afterHz: number | null }
  | { readonly kind: 'modulation' }
  | { readonly kind: 'drive'; readonly beforeV: number | null; readonly afterV: number | null }
  | { readonly kind: 'input'; readonly beforeV: number | null; readonly afterV: number | null }
  | { readonly kind: 'channel' }
  | { readonly kind: 'mode' }
  | { readonly kind: 'power-switch' }
  | { readonly kind: 'coverage' }
  | { readonly kind: 'setting'; readonly before: string; readonly after: string }
  | { readonly kind: 'warm-up'; readonly beforeS: number; readonly afterS: number }
  | { readonly kind: 'unknown'; readonly what: 'supply' | 'warm-up' }
  /** the reading "as found" was taken when these had been turned: it is not how the set came */
  | { readonly kind: 'turned-before'; readonly turns: readonly Turn[] }

/**
 * Whether two readings of the same cell may be compared.
 * @param warmUpS time that a set of this kind takes to warm up
 * @returns the differing conditions; empty = comparable
 * Source: thresholds chosen so that the condition alone moves the result by less than about 0.1 to 0.2 dB.
 */
export function comparability(before: TakenReading, after: TakenReading, warmUpS: number): Difference[] {
  const a = before.row.conditions
  const b = after.row.conditions
  const out = physicalDifferences(a, b)
  if (before.reading.instrument !== after.reading.instrument)
    out.push({ kind: 'instrument', before: before.reading.instrument, after: after.reading.instrument })
  if (before.turnedBefore.length > 0) out.push({ kind: 'turned-before', turns: before.turnedBefore })
  return [...out, ...warmUp(before.reading.quantity, a.onTimeS, b.onTimeS, warmUpS)]
}

/**
 * How the set and the bench stood differently, as far as it was written down: mode, channel, controls, drive,
 * load, supply.
 */
export function physicalDifferences(a: RowConditions, b: RowConditions): Difference[] {
  const out: Difference[] = []
  if (a.mode !== b.mode) out.push({ kind: 'mode' })
  if (a.channel !== b.channel) out.push({ kind: 'channel' })
  if (!samePower(a, b)) out.push({ kind: 'power-switch' })
  if (a.coverage !== b.coverage) out.push({ kind: 'coverage' })
  if (a.setting !== b.setting) out.push({ kind: 'setting', before: a.setting, after: b.setting })
  if (a.toneHz !== b.toneHz) out.push({ kind: 'tone', beforeHz: a.toneHz, afterHz: b.toneHz })
  else if (modulationOf(a) !== modulationOf(b)) out.push({ kind: 'modulation' })
  if (levelsDiffer(a.toneV, b.toneV)) out.push({ kind: 'drive', beforeV: a.toneV, afterV: b.toneV })
  if (levelsDiffer(a.inputV, b.inputV)) out.push({ kind: 'input', beforeV: a.inputV, afterV: b.inputV })
  if (a.load !== b.load) out.push({ kind: 'load', before: a.load, after: b.load })
  return [...out, ...supply(a.supplyV, b.supplyV)]
}

function levelsDiffer(beforeV: number | null, afterV: number | null): boolean {
  if (!beforeV || !afterV) return beforeV !== afterV
  return Math.abs(voltageRatioToDb(afterV / beforeV)) > LEVEL_TOLERANCE_DB + 1e-9
}

function supply(beforeV: number | null, afterV: number | null): Difference[] {
  if (beforeV === null && afterV === null) return []
  if (beforeV === null || afterV === null) return [{ kind: 'unknown', what: 'supply' }]
  // A tenth of a volt is meant as read on the meter: binary fractions must not push 0.1 over 0.1.
  return Math.abs(beforeV - afterV) > SUPPLY_TOLERANCE_V + 1e-9 ? [{ kind: 'supply', beforeV, afterV }] : []
}

/** Warm-up moves frequencies; powers of a solid-state set hardly. */
function warmUp(
  quantity: string,
  beforeS: number | null,
  afterS: number | null,
  warmUpS: number,
): Difference[] {
  if (quantity !== 'carrierHz' && quantity !== 'referenceHz') return []
  if (beforeS === null || afterS === null)
    return beforeS === afterS ? [] : [{ kind: 'unknown', what: 'warm-up' }]
  const bothWarm = beforeS >= warmUpS && afterS >= warmUpS
  return bothWarm || Math.abs(beforeS - afterS) <= COLD_TOLERANCE_S
    ? []
    : [{ kind: 'warm-up', beforeS, afterS }]
}

import { validEvents, type JobEvent, type PowerTried } from '../run'
import type { ModelSheet } from '../sheet'
import { partsOut, powerVerdict } from './firstPower'

/**
 * What a try on the current-limited supply says beside the one before it: `fell-without` = the current fell
 * when these were disconnected; `back-with` = the fault came back with them; `still-without` = it is
 * elsewhere, or in more than one part; `holds-with` = they draw nothing wrong at DC; `over` = healthy,
 * everything in.
 */
export interface IsolationFinding {
  readonly kind: 'fell-without' | 'back-with' | 'still-without' | 'holds-with' | 'over'
  readonly parts: readonly string[]
}

export interface IsolationTry {
  readonly tried: PowerTried
  /** null = it says nothing: nothing was changed, or parts were taken out and put back at once */
  readonly says: IsolationFinding | null
}

/**
 * How a short was isolated, parts disconnected one after the other: from the first try that had to be
 * stopped, or had a part out.
 * Source: common practice, from the output backwards; limits: direct current only.
 * @returns empty = there was none
 */
export function isolation(sheet: ModelSheet, events: readonly JobEvent[]): IsolationTry[] {
  const all = validEvents(events).filter(e => e.kind === 'power-tried')
  const begin = all.findIndex(t => powerVerdict(sheet, t) === 'stop' || partsOut(t).length > 0)
  return begin < 0
    ? []
    : all.slice(begin).map((tried, i, tries) => ({ tried, says: saidBy(sheet, tries[i - 1], tried) }))
}

/** Above what the sheet says is not healthy either; with a part out less than that is nothing strange. */
const isHealthy = (sheet: ModelSheet, tried: PowerTried) =>
  !['stop', 'above'].includes(powerVerdict(sheet, tried))

function saidBy(sheet: ModelSheet, before: PowerTried | undefined, now: PowerTried): IsolationFinding | null {
  const [a, b] = [before ? partsOut(before) : [], partsOut(now)]
  const taken = b.filter(p => !a.includes(p))
  const put = a.filter(p => !b.includes(p))
  const wasHealthy = before !== undefined && isHealthy(sheet, before)
  if (isHealthy(sheet, now)) {
    if (b.length === 0) return powerVerdict(sheet, now) === 'go-on' ? { kind: 'over', parts: [] } : null
    if (wasHealthy) return put.length > 0 && taken.length === 0 ? { kind: 'holds-with', parts: put } : null
    return before && taken.length > 0 && put.length === 0 ? { kind: 'fell-without', parts: taken } : null
  }
  if (wasHealthy && put.length > 0 && taken.length === 0) return { kind: 'back-with', parts: put }
  return b.length > 0 ? { kind: 'still-without', parts: b } : null
}

import type { RuleSet } from '../../core/rules'
import { keyDownTotals, type ComparedCell, type JobEvent, type OpenItem, type RunState } from '../../core/run'

export interface Compliance { readonly kind: 'inside' | 'outside' | 'unproven', readonly words: string, readonly detail: readonly string[] }

/** Does the set leave within its rule set? In plain words, and honest about what was not measured. */
export function compliance(cells: readonly ComparedCell[], rules: RuleSet, stale: ReadonlySet<string>): Compliance {
  const limited = cells.filter(c => c.after.asked.limit !== null && c.after.asked.limit.kind === 'legal')
  const legalVerdict = (c: ComparedCell) => stale.has(c.point.id) ? null : c.after.judgement?.reasons.find(r => r.rule === 'limit')?.verdict ?? null
  const outside = limited.filter(c => legalVerdict(c) === 'above' || legalVerdict(c) === 'below')
  const unproven = limited.filter(c => legalVerdict(c) === null || legalVerdict(c) === 'cannot-tell')
  const names = (list: readonly ComparedCell[]) => [...new Set(list.map(c => `${c.point.title}: ${c.after.asked.limit!.rule.words}`))]
  if (rules.kind !== 'legal') return { kind: 'unproven', words: 'No legal rule set is chosen: compliance was not judged.', detail: [] }
  if (outside.length > 0) return { kind: 'outside', words: `This set does NOT comply with ${rules.name} as measured.`, detail: names(outside) }
  if (unproven.length > 0) return { kind: 'unproven', words: `It is not shown that this set complies with ${rules.name}.`, detail: names(unproven) }
  return { kind: 'inside', words: `Every limit of ${rules.name} that was measured is kept, with the uncertainty of the instruments allowed for.`, detail: ['Harmonics, spurious and adjacent-channel power were not measured here.'] }
}

/** What was done, from the record: adjusters turned, steps confirmed, accepted, skipped. */
export function workDone(run: RunState, events: readonly JobEvent[] = []): string[] {
  const { totalS } = keyDownTotals(events)
  const turned = [...new Set(run.history.turns.map(t => t.name ? `${t.designator} (${t.name})` : t.designator))]
  const done = run.steps.filter(s => s.satisfied && s.status === 'inside').map(s => s.step.title)
  return [
    turned.length > 0 ? `Adjusted: ${turned.join(', ')}` : 'Nothing was adjusted',
    done.length > 0 ? `Measured and inside: ${done.join(', ')}` : '',
    totalS > 0 ? `Keyed ${totalS < 100 ? `${totalS.toFixed(0)} s` : `${(totalS / 60).toFixed(1)} min`} in all` : '',
    ...events.flatMap(e => e.kind === 'gate-passed' ? [`Begun before it was warm: step ${e.stepId}${e.reason ? `, ${e.reason}` : ''}`] : []),
    ...run.notes.map(n => `Note: ${n.text}`),
  ].filter(Boolean)
}

export function unsettled(items: readonly OpenItem[]): OpenItem[] {
  return items.filter(i => i.settled === null)
}

import { expandedUncertainty } from '../quantity'
import { lastMending, validEvents, type ComparedCell, type JobEvent, type RunState, type Turn } from '../run'

/** What the record says was adjusted: said, inferred, or neither although readings changed. */
export interface AdjustedSummary {
  readonly declared: readonly Turn[]
  /** turned, and put back to its mark at last */
  readonly returned: readonly Turn[]
  /** nobody said so: a reading moved more than drift and noise explain; one of these, or several */
  readonly inferred: readonly Turn[]
  /** comparable cells that changed beyond both uncertainties with neither a turn nor a repair on record */
  readonly unexplained: readonly ComparedCell[]
  /** by the sheet of another model, before it was changed */
  readonly elsewhere: readonly string[]
}

/**
 * One turn of each adjuster, the last one.
 * @param events of the job: where a part was replaced or a spot treated, a changed reading is explained
 */
export function adjusted(
  run: RunState,
  compared: readonly ComparedCell[],
  events: readonly JobEvent[],
): AdjustedSummary {
  const last = (turns: readonly Turn[]) => [...new Map(turns.map(t => [t.designator, t])).values()]
  const said = last(run.history.turns.filter(t => !t.inferred))
  const [declared, returned] = [said.filter(t => !t.isReturned), said.filter(t => t.isReturned)]
  const inferred = last(run.history.turns.filter(t => t.inferred)).filter(
    t => !said.some(d => d.designator === t.designator),
  )
  const elsewhere = run.turnedElsewhere
  const isSaid = said.length + elsewhere.length > 0 || lastMending(validEvents(events)) >= 0
  return { declared, returned, inferred, unexplained: isSaid ? [] : compared.filter(changed), elsewhere }
}

function changed({ before, after, differences }: ComparedCell): boolean {
  if (!before.latest || !after.latest || differences === null || differences.length > 0) return false
  const [a, b] = [before.latest.reading, after.latest.reading]
  const [ofA, ofB] = [expandedUncertainty(a), expandedUncertainty(b)]
  return ofA !== null && ofB !== null && Math.abs(b.value - a.value) > Math.hypot(ofA, ofB)
}

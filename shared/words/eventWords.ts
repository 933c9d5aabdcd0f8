import type { JobEvent } from '#core/run'
import { QUANTITIES, showPlain } from '#core/quantity'
import { lineValueWords, lineWords } from './sheetWords'

const STEP_OUTCOMES = { 'done': 'confirmed', 'as-is': 'accepted as is', 'skipped': 'skipped' } as const
const because = (reason: string) => (reason ? `: ${reason}` : '')
const driftWords = (hzPerMin: number | null) =>
  hzPerMin === null ? '' : `, drifting ${hzPerMin.toFixed(1)} Hz/min`

/** An entry of the record in one line, for the log of the run. */
export function eventWords(e: JobEvent): string {
  switch (e.kind) {
    case 'row-taken':
      return (
        `${e.stepId ? `step ${e.stepId}` : e.phase.replace('-', ' ')}, ` +
        `${e.pointId}: ` +
        `${e.readings.map(r => `${QUANTITIES[r.quantity].symbol} ${showPlain(r.value, r.quantity)}`).join(', ')}`
      )
    case 'reading-struck':
      return `a reading struck out: ${e.reason}`
    case 'adjuster-turned':
      return `adjusted ${e.designators.join(', ')}`
    case 'step-confirmed':
      return `step ${e.stepId} ${STEP_OUTCOMES[e.outcome]}${because(e.reason)}`
    case 'step-reopened':
      return `step ${e.stepId} reopened: ${e.reason}`
    case 'note':
      return `note: ${e.text}`
    case 'sheet-amended':
      return e.changes.map(c => `sheet corrected, ${lineWords(c.line)}: ${lineValueWords(c.to)}`).join('; ')
    case 'line-confirmed':
      return `confirmed, ${lineWords(e.line)}`
    case 'gate-passed':
      return `step ${e.stepId} begun before warm-up${driftWords(e.driftHzPerMin)}${because(e.reason)}`
    case 'keyed':
      return `keyed ${e.lengthS.toFixed(1)} s${e.stepId ? ` in step ${e.stepId}` : ''}`
    case 'turn-answered':
      return e.designators.length > 0
        ? `adjusted ${e.designators.join(', ')}, answered later`
        : 'nothing was adjusted, answered later'
    case 'event-struck':
      return `an entry struck out: ${e.reason}`
    case 'unlisted-turned':
      return `adjusted ${e.name}, not on the sheet`
    case 'position-noted':
      return `starting position of ${e.designator}: ${e.position}`
    case 'warm-up-begun':
      return 'switched on to warm up'
    case 'item-inspected':
      return `inspected ${e.itemId}: ${e.state}`
    case 'wait-begun':
      return `on hold: ${e.text}`
    case 'part-changed':
      return `${e.designator}: ${e.partIn} fitted`
    default:
      return `${e.kind.replaceAll('-', ' ')}${'text' in e && e.text ? `: ${e.text}` : ''}`
  }
}

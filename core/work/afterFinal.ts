import { settlements, type JobEvent } from '../run'
import { kindHas, type ModelSheet } from '../sheet'

/**
 * What a replaced final or driver owes, in this order: bias before the first key-down (F52, F65: common
 * practice).
 */
const OWED: readonly { readonly id: string; readonly title: string; readonly why: string }[] = [
  {
    id: 'bias',
    title: 'Bias of the new device, before any key-down',
    why: 'far too high a gate or base bias kills the new device in seconds',
  },
  { id: 'cause', title: 'Cause of the failure', why: 'the same fault would destroy the new device' },
  {
    id: 'coils',
    title: 'Input and output coils peaked, band balanced',
    why: 'another device has another capacitance',
  },
  { id: 'harmonics', title: 'Harmonics', why: 'the stages behind the final were affected' },
  { id: 'heat', title: 'Current and temperature', why: 'mounting, insulator, paste' },
]
const NEUTRALISING = {
  id: 'neutralising',
  title: 'Neutralising, before full power',
  why: 'another valve has another capacitance',
}

export interface Owed {
  readonly id: string
  readonly title: string
  readonly why: string
}

/** Work that follows from a replaced final, as open items; empty while none was replaced. */
export function owedAfterFinal(sheet: ModelSheet, events: readonly JobEvent[]): Owed[] {
  const changed = events.findLast(e => e.kind === 'part-changed' && e.isFinal)
  if (!changed) return []
  const list = kindHas(sheet.kind, 'valves') ? [OWED[0]!, NEUTRALISING, ...OWED.slice(1)] : OWED
  return list.map(o => ({ ...o, id: `final:${changed.id.slice(0, 8)}:${o.id}` }))
}

/** True from the change of a final until its bias is settled: the next key-down must wait. */
export function biasBeforeKey(sheet: ModelSheet, events: readonly JobEvent[]): boolean {
  const bias = owedAfterFinal(sheet, events)[0]
  return bias !== undefined && !settlements(events).some(s => s.itemId === bias.id)
}

import { jobKindOf, settlements, type JobEvent } from '../run'
import { kindHas, type ModelSheet, type Step } from '../sheet'

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

/** What another device in the place of the old one owes beside it (F52). */
const CLAMP = {
  id: 'clamp',
  title: 'Insulator of the new device, and the gate clamp of a MOSFET, before any key-down',
  why: 'a tab on the chassis, or an overdriven gate, destroys it at once',
}
/** A sheet without a step for it leaves open whether the stage has a bias at all: in class C it has none. */
const BIAS_IF_ANY = {
  ...OWED[0]!,
  title: 'Bias of the new device, where its stage has one, before any key-down',
}
/** A converted set may have come whole. */
const CAUSE_IF_FAILED = { ...OWED[1]!, title: 'Cause, where the old device had failed' }
const HEADROOM = {
  id: 'headroom',
  title: 'PEP that the new device reaches',
  why: 'at 100 % modulation a carrier needs four times its power as PEP',
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
  const list = jobKindOf(events) === 'conversion' ? ofConversion(sheet) : ofRepair(sheet)
  const isSet = isBiasSet(sheet, events.slice(events.indexOf(changed)))
  return list
    .filter(o => !(isSet && o.id === 'bias'))
    .map(o => ({ ...o, id: `final:${changed.id.slice(0, 8)}:${o.id}` }))
}

const biasSteps = (sheet: ModelSheet) => sheet.procedure.filter(s => s.bias !== undefined && s.bias !== null)

/** Every step that sets a bias was confirmed since, not begun again, and nothing of it turned after. */
function isBiasSet(sheet: ModelSheet, since: readonly JobEvent[]): boolean {
  const steps = biasSteps(sheet)
  const isDone = ({ id, adjusters }: Step) => {
    const last = since.findLast(
      e =>
        ((e.kind === 'step-confirmed' || e.kind === 'step-reopened') && e.stepId === id) ||
        (e.kind === 'adjuster-turned' && e.designators.some(d => adjusters.includes(d))) ||
        (e.kind === 'unlisted-turned' && e.role === 'bias'),
    )
    return last?.kind === 'step-confirmed' && last.outcome === 'done'
  }
  return steps.length > 0 && steps.every(isDone)
}

function ofRepair(sheet: ModelSheet): readonly Owed[] {
  const bias = biasSteps(sheet).length > 0 ? OWED[0]! : BIAS_IF_ANY
  const valves = kindHas(sheet.kind, 'valves') ? [NEUTRALISING] : []
  return [bias, ...valves, ...OWED.slice(1)]
}

/** Valves have neither tab nor gate, and what has no AM has no carrier that needs headroom. */
function ofConversion(sheet: ModelSheet): readonly Owed[] {
  const usual = ofRepair(sheet).map(o => (o.id === 'cause' ? CAUSE_IF_FAILED : o))
  return [
    ...(kindHas(sheet.kind, 'valves') ? [] : [CLAMP]),
    ...usual,
    ...(sheet.matrix.some(p => p.state.mode === 'AM') ? [HEADROOM] : []),
  ]
}

/** True from the change of a final until its bias is settled: the next key-down must wait. */
export function biasBeforeKey(sheet: ModelSheet, events: readonly JobEvent[]): boolean {
  const bias = owedAfterFinal(sheet, events).find(o => o.id.endsWith(':bias'))
  return bias !== undefined && !settlements(events).some(s => s.itemId === bias.id)
}

import type { RigAction } from '../rig'
import type { PracticeRecord } from './session'

/** Work inside the set that was done with the power on, in time of the session. */
export interface PoweredHands {
  readonly atS: number
  readonly what: string
}

/** Hands or an iron in the set; turning adjusters is done under power and is not meant. */
const INSIDE: readonly RigAction['kind'][] = ['replace', 'remove', 'wash', 'fit-trimmer']

/**
 * Parts replaced, taken out or fitted while the set was switched on: where the sheet has a plate voltage,
 * this kills (common practice: plug out, discharge, measure below 30 V).
 */
export function poweredHands({ start, log }: Pick<PracticeRecord, 'start' | 'log'>): PoweredHands[] {
  let on = start.controls.powerOn
  return log.flatMap(({ action, atS }) => {
    if (action.kind === 'control') on = action.controls.powerOn ?? on
    if (!on || action.kind === 'pass' || !INSIDE.includes(action.kind)) return []
    if (action.kind === 'replace') return [{ atS, what: action.designator ?? action.group }]
    return [{ atS, what: action.kind === 'remove' ? action.group : action.kind }]
  })
}

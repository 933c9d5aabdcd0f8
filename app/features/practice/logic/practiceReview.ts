import type { Logged, Outside, PoweredHands, Review, TracePoint } from '#core/practice'
import { quantityInfo, showPlain } from '#core/quantity'
import { GROUP_NAMES } from './practiceHands'

/** What a hand did, in words. */
export function actionWords(action: Logged['action']): string {
  switch (action.kind) {
    case 'turn':
      return [
        `${action.designator} to ${Number(action.position.toFixed(3))}`,
        ...(action.forced ? ['forced'] : []),
        ...(action.tool === 'steel screwdriver' ? ['steel screwdriver'] : []),
      ].join(', ')
    case 'soften':
      return `wax of ${action.designator} softened`
    case 'clean':
      return `${action.designator} cleaned`
    case 'wash':
      return 'glue washed off'
    case 'fit-trimmer':
      return 'trimmer fitted'
    case 'replace':
      return `${action.designator ?? GROUP_NAMES[action.group] ?? action.group} replaced`
    case 'remove':
      return `${GROUP_NAMES[action.group] ?? action.group} removed`
    case 'pass':
      return `${Math.round(action.seconds / 60)} min passed`
    case 'control':
      return controlWords(action.controls)
    case 'stimulus':
      if (action.stimulus.tones) {
        if (action.stimulus.tones.length > 0) return 'tone on'
        return 'tone off'
      }
      return 'generator or microphone'

    case 'surroundings':
      return 'supply'
  }
}

function controlWords(c: Extract<Logged['action'], { kind: 'control' }>['controls']): string {
  if (c.keyed !== undefined) return c.keyed ? 'keyed' : 'key released'
  if (c.channel !== undefined) return `channel ${c.channel}`
  if (c.mode !== undefined) return `mode ${c.mode}`
  if (c.powerOn !== undefined) return c.powerOn ? 'switched on' : 'switched off'
  return 'front panel'
}

export const clock = (s: number) => `${Math.floor(s / 60)}:${String(Math.floor(s % 60)).padStart(2, '0')}`

/** Work inside with the power on, and what it can do. */
export function poweredWords({ atS, what }: PoweredHands, plateV: number | null): string {
  const name =
    what === 'fit-trimmer'
      ? 'trimmer fitted'
      : what === 'wash'
        ? 'glue washed off'
        : `${GROUP_NAMES[what as keyof typeof GROUP_NAMES] ?? what} changed`
  const danger =
    plateV === null
      ? 'Switch off first: a slip destroys parts.'
      : `${plateV} V inside: lethal. Unplug, wait, discharge, check for less than 30 V. One hand.`
  return `At ${clock(atS)} ${name} with the set switched on. ${danger}`
}

/** A value that the set would not keep, with its window. */
export function outsideWords({ quantity, value, low, high }: Outside): string {
  const { label } = quantityInfo(quantity)
  const shown = (x: number) => showPlain(x, quantity)
  const window =
    low !== null && high !== null
      ? `${shown(low)} to ${shown(high)}`
      : low !== null
        ? `at least ${shown(low)}`
        : `at most ${shown(high!)}`
  return `${label} ${shown(value)}, tolerance ${window}`
}

/** One line that says how it went. */
export function verdictWords(review: Review): string {
  if (review.plateV !== null && review.powered.length > 0)
    return 'Worked inside under high voltage. Nothing else counts until that habit is gone.'
  if (review.faults.length === 0)
    return review.damage.length === 0
      ? 'Lesson finished, nothing destroyed.'
      : 'Lesson finished, something was destroyed.'
  const cured = review.faults.filter(f => f.cured).length
  const named = review.faults.filter(f => f.named).length
  if (cured === review.faults.length)
    return named === cured
      ? 'Fault found and repaired.'
      : 'Repaired without being identified: would you find it again?'
  return named > 0 ? 'Fault found, but not repaired.' : 'Fault not found.'
}

/** State at a moment: the last point of the trace before it, and what was done last. */
export function momentOf(
  trace: readonly TracePoint[],
  log: readonly Logged[],
  atS: number,
): { readonly point: TracePoint | null; readonly done: readonly Logged[] } {
  return {
    point: trace.findLast(t => t.atS <= atS) ?? trace[0] ?? null,
    done: log.filter(l => l.atS <= atS).slice(-3),
  }
}

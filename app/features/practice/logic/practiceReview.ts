import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import type { Logged, Outside, PoweredHands, Review, TracePoint } from '#core/practice'
import { showPlain } from '#core/quantity'
import { groupName } from './practiceHands'

/** What a hand did, in words. */
export function actionWords(action: Logged['action']): string {
  switch (action.kind) {
    case 'turn':
      return [
        t('practice.turnedTo', {
          designator: action.designator,
          position: Number(action.position.toFixed(3)),
        }),
        ...(action.forced ? ['forced'] : []),
        ...(action.tool === 'steel screwdriver' ? [t('practice.steelScrewdriver')] : []),
      ].join(', ')
    case 'soften':
      return t('practice.waxOfSoftened', { designator: action.designator })
    case 'clean':
      return t('practice.cleaned', { designator: action.designator })
    case 'wash':
      return t('practice.glueWashedOff')
    case 'fit-trimmer':
      return t('practice.trimmerFitted')
    case 'replace':
      return t('practice.replaced', {
        designator: action.designator ?? groupName(action.group),
      })
    case 'remove':
      return t('practice.removed', { group: groupName(action.group) })
    case 'pass':
      return t('practice.minPassed', { seconds: Math.round(action.seconds / 60) })
    case 'control':
      return controlWords(action.controls)
    case 'stimulus':
      if (action.stimulus.tones) {
        if (action.stimulus.tones.length > 0) return t('practice.toneOn')
        return t('practice.toneOff')
      }
      return t('practice.generatorOrMicrophone')

    case 'surroundings':
      return t('practice.supplyPanel')
  }
}

function controlWords(c: Extract<Logged['action'], { kind: 'control' }>['controls']): string {
  if (c.keyed !== undefined) return c.keyed ? t('practice.keyedMoment') : t('practice.keyReleased')
  if (c.channel !== undefined) return t('practice.channelSet', { channel: c.channel })
  if (c.mode !== undefined) return t('practice.mode', { mode: c.mode })
  if (c.powerOn !== undefined) return c.powerOn ? t('practice.switchedOn') : t('practice.switchedOff')
  return t('practice.frontPanelUsed')
}

export const clock = (s: number) => `${Math.floor(s / 60)}:${String(Math.floor(s % 60)).padStart(2, '0')}`

/** Work inside with the power on, and what it can do. */
export function poweredWords({ atS, what }: PoweredHands, plateV: number | null): string {
  const danger =
    plateV === null
      ? t('practice.switchOffFirstASlipDestroys')
      : t('practice.vInsideLethalUnplugWaitDischarge', { plateV })
  return t('practice.atWithTheSetSwitchedOn', { clock: clock(atS), name: handWords(what), danger })
}

function handWords(what: string): string {
  if (what === 'fit-trimmer') return t('practice.trimmerFitted')
  return what === 'wash' ? t('practice.glueWashedOff') : t('practice.changed', { group: groupName(what) })
}

/** A value that the set would not keep, with its window. */
export function outsideWords({ quantity, value, low, high }: Outside): string {
  const label = quantityLabel(quantity)
  const shown = (x: number) => showPlain(x, quantity)
  const ends = () => {
    if (low === null) return t('practice.atMost', { high: shown(high!) })
    return high === null
      ? t('practice.atLeast', { low: shown(low) })
      : t('practice.windowFromTo', { low: shown(low), high: shown(high) })
  }
  return t('practice.tolerance', { label, value: shown(value), window: ends() })
}

/** One line that says how it went. */
export function verdictWords(review: Review): string {
  if (review.plateV !== null && review.powered.length > 0)
    return t('practice.workedInsideUnderHighVoltageNothing')
  if (review.faults.length === 0)
    return review.damage.length === 0
      ? t('practice.lessonFinishedNothingDestroyed')
      : t('practice.lessonFinishedSomethingWasDestroyed')
  const cured = review.faults.filter(f => f.cured).length
  const named = review.faults.filter(f => f.named).length
  if (cured === review.faults.length)
    return named === cured
      ? t('practice.faultFoundAndRepaired')
      : t('practice.repairedWithoutBeingIdentifiedWouldYou')
  return named > 0 ? t('practice.faultFoundButNotRepaired') : t('practice.faultNotFound')
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

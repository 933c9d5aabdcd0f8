import { t, type MessageCode } from '#shared/i18n'
import { groupDigits } from '#core/quantity'
import type { ANSWERS, ITEM_STATES, POWER_SEEN, WAITS_FOR } from '#core/run'
import type { FirstPowerPlan, PowerVerdict, WaitsFor, Warning } from '#core/work'
import { day, localDay } from './dateWords'

export const ITEM_STATE_WORDS: Record<(typeof ITEM_STATES)[number], MessageCode> = {
  fine: 'work.ok',
  seen: 'work.defect',
  treated: 'work.putRight',
  ask: 'work.askOwner',
}
export const POWER_SEEN_WORDS: Record<(typeof POWER_SEEN)[number], MessageCode> = {
  normal: 'work.normal',
  rising: 'work.rising',
  limit: 'work.limitReached',
  smoke: 'work.smellOrSmoke',
}
export const ANSWER_WORDS: Record<(typeof ANSWERS)[number], MessageCode> = {
  yes: 'work.yes',
  no: 'work.no',
  other: 'work.other',
}
export const WAIT_WORDS: Record<(typeof WAITS_FOR)[number], MessageCode> = {
  owner: 'work.theOwner',
  parts: 'work.parts',
  manual: 'work.aManual',
  other: 'work.somethingElse',
}

export const POWER_VERDICT_WORDS: Record<PowerVerdict, MessageCode> = {
  'go-on': 'work.continueTheSetMayStayOn',
  'above': 'work.idleCurrentHighFindTheCause',
  'below': 'work.idleCurrentLowCheckThatEvery',
  'parts-out': 'work.partsAreOut',
  'stop': 'work.switchOffNowIsolateTheShort',
}

export const WARNING_WORDS: Record<Warning, MessageCode> = {
  'stays-off': 'work.thisSetWasSwitchedOffAt',
  'parts-out': 'work.partsAreOutDoNotKey',
  'bias-before-key': 'work.finalReplacedSetTheBiasBefore',
}

const ampere = (a: number) => `${groupDigits(a, 2)}\u2009A`

export function powerPlanWords(plan: FirstPowerPlan, supplyV: number): string[] {
  return [
    t('work.checkSupplyInputResistanceBothPolarities'),
    t('work.supplyVCurrentLimitExpectTo', {
      supplyV,
      limitA: ampere(plan.limitA),
      lowA: ampere(plan.idleA.low),
      highA: ampere(plan.idleA.high),
    }),
    t('work.firstKeyDown2SOn', { ampere: ampere(plan.keyedLimitA) }),
  ]
}

export function waitWords(w: WaitsFor): string {
  const since = t('work.since', { day: day(localDay(w.sinceMs)) })
  return t('work.waitingFor', {
    wait: t(WAIT_WORDS[w.who]),
    since,
    what: w.untilDay ? t('work.until', { day: day(w.untilDay) }) : '',
  })
}

/** 2 h 05 min, 40 min. */
export function durationWords(ms: number): string {
  const minutes = Math.max(0, Math.round(ms / 60_000))
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')} min`
}

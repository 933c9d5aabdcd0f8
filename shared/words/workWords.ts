import { groupDigits } from '#core/quantity'
import type { ANSWERS, ITEM_STATES, PartTested, POWER_SEEN, WAITS_FOR } from '#core/run'
import {
  gainOfOtherDie,
  partVerdict,
  type FirstPowerPlan,
  type PartDoubt,
  type PowerVerdict,
  type WaitsFor,
  type Warning,
} from '#core/work'
import { day } from './runWords'

export const ITEM_STATE_WORDS: Record<(typeof ITEM_STATES)[number], string> = {
  fine: 'OK',
  seen: 'Defect',
  treated: 'Put right',
  ask: 'Ask owner',
}
export const POWER_SEEN_WORDS: Record<(typeof POWER_SEEN)[number], string> = {
  normal: 'Normal',
  rising: 'Rising',
  limit: 'Limit reached',
  smoke: 'Smell or smoke',
}
export const ANSWER_WORDS: Record<(typeof ANSWERS)[number], string> = { yes: 'Yes', no: 'No', other: 'Other' }
export const WAIT_WORDS: Record<(typeof WAITS_FOR)[number], string> = {
  owner: 'the owner',
  parts: 'parts',
  manual: 'a manual',
  other: 'something else',
}

export const POWER_VERDICT_WORDS: Record<PowerVerdict, string> = {
  'go-on': 'Continue: the set may stay on.',
  'above': 'Idle current high. Find the cause before keying.',
  'below': 'Idle current low. Check that every stage has supply.',
  'stop': 'Switch off now. Isolate the short before switching on again.',
}

/** What the tests of one part prove, with the reason: a test that was made is never asked for again. */
export function partVerdictWords(t: PartTested): string {
  const verdict = partVerdict(t)
  if (verdict === 'accepted') return 'accepted: it makes its RF power'
  if (verdict === 'rejected') return 'rejected'
  const share =
    t.rfPowerW !== null && t.rfReferenceW
      ? `${groupDigits((100 * t.rfPowerW) / t.rfReferenceW, 0)} % of the reference power`
      : ''
  if (verdict === 'doubtful') return `doubtful: ${[gainWords(t), share].filter(Boolean).join(', ')}`
  if (share) return `not proven: ${share}, but not watched for 5 s keyed`
  return t.dcGain === null
    ? 'not proven: no test decides yet. Test at RF.'
    : 'not proven: DC gain does not expose counterfeits. Test at RF.'
}

export const WARNING_WORDS: Record<Warning, string> = {
  'stays-off':
    'This set was switched off at first power. Keep it off ' +
    'until the short is isolated and first power is normal.',
  'bias-before-key': 'Final replaced: set the bias before keying. Then close the open item under Handover.',
}

const ampere = (a: number) => `${groupDigits(a, 2)}\u2009A`

export function powerPlanWords(plan: FirstPowerPlan, supplyV: number): string[] {
  return [
    'Check supply input resistance (both polarities) and fuse rating.',
    `Supply ${supplyV} V, current limit ${ampere(plan.limitA)}. Expect ` +
      `${ampere(plan.idleA.low)} to ${ampere(plan.idleA.high)} on receive.`,
    `First key-down 2 s on the dummy load, limit raised to ${ampere(plan.keyedLimitA)}. ` +
      'Switch off if there is current but no RF, or if power falls.',
  ]
}

export function waitWords(w: WaitsFor): string {
  const since = `since ${day(new Date(w.sinceMs).toISOString().slice(0, 10))}`
  return `Waiting for ${WAIT_WORDS[w.who]} ${since}${w.untilDay ? `, until ${day(w.untilDay)}` : ''}`
}

/** 2 h 05 min, 40 min. */
export function durationWords(ms: number): string {
  const minutes = Math.max(0, Math.round(ms / 60_000))
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')} min`
}

export function partDoubtWords(d: PartDoubt): string {
  return d.kind === 'not-preferred'
    ? `${d.text} is not an E24 value. Check the circuit diagram.`
    : `${d.factor > 1 ? groupDigits(d.factor, 0) : `1/${groupDigits(1 / d.factor, 0)}`} ` +
        'times the old value: decade error? Check the circuit diagram.'
}

/** What was measured on a part, in what and with what, and where the part came from. */
export function partTestWords(t: PartTested): string {
  const ofType = t.gainFrom || t.gainTo ? ` (type ${t.gainFrom ?? '?'} to ${t.gainTo ?? '?'})` : ''
  const inSet = [
    t.testSet ? `in ${t.testSet}` : '',
    t.meter ? `on ${t.meter}` : '',
    t.scale ? `scale ${t.scale}` : '',
  ]
    .filter(Boolean)
    .join(', ')
  const rf = t.rfPowerW === null ? '' : `RF ${t.rfPowerW} W of ${t.rfReferenceW ?? '?'} W`
  const parts = [
    t.dcGain === null ? '' : `DC gain ${t.dcGain}${ofType}`,
    rf,
    inSet,
    t.fallsWhileKeyed ? 'falls while keyed' : '',
    t.heat ?? '',
    t.boughtAt ? `from ${t.boughtAt}` : '',
    t.text,
  ]
  return parts.filter(Boolean).join(', ')
}

const gainWords = (t: Parameters<typeof gainOfOtherDie>[0]) =>
  gainOfOtherDie(t) ? "its DC gain is far from its type's range" : ''

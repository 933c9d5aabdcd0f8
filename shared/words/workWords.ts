import { groupDigits } from '../../core/quantity'
import type { ANSWERS, ITEM_STATES, PartTested, POWER_SEEN, WAITS_FOR } from '../../core/run'
import {
  gainOfOtherDie,
  partVerdict,
  type FirstPowerPlan,
  type PartDoubt,
  type PowerVerdict,
  type WaitsFor,
  type Warning,
} from '../../core/work'
import { day } from './runWords'

export const ITEM_STATE_WORDS: Record<(typeof ITEM_STATES)[number], string> = {
  fine: 'Fine',
  seen: 'Seen',
  treated: 'Treated',
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
  'go-on': 'Go on: the set may stay on.',
  'above': 'More than the sheet allows: find out why before the first key-down.',
  'below': 'Less than the sheet says: something does not come on.',
  'stop': 'Off at once. Do not switch on again before the short is isolated.',
}

/** What the tests of one part prove, with the reason: a test that was made is never asked for again. */
export function partVerdictWords(t: PartTested): string {
  const verdict = partVerdict(t)
  if (verdict === 'accepted') return 'accepted: it makes its RF power'
  if (verdict === 'rejected') return 'rejected'
  const share =
    t.rfPowerW !== null && t.rfReferenceW
      ? `${groupDigits((100 * t.rfPowerW) / t.rfReferenceW, 0)} % of a good one's RF power`
      : ''
  if (verdict === 'doubtful') return `doubtful: ${[gainWords(t), share].filter(Boolean).join(', ')}`
  if (share) return `not proved: ${share}, but nobody watched 5 s keyed for a fall`
  return t.dcGain === null
    ? 'not proved: nothing decides yet, test it with RF'
    : 'not proved: DC gain alone passes counterfeits, test it with RF'
}

export const WARNING_WORDS: Record<Warning, string> = {
  'stays-off':
    'This set was switched off at first power. It stays off until the short is isolated and first power is normal.',
  'bias-before-key':
    'A final was replaced. Bias before key: set it, then settle that item on the handover page.',
}

const ampere = (a: number) => `${groupDigits(a, 2)}\u2009A`

export function powerPlanWords(plan: FirstPowerPlan, supplyV: number): string[] {
  return [
    'Resistance of the supply input first, both polarities; fuse as rated.',
    `Supply ${supplyV} V, current limit ${ampere(plan.limitA)}. Expect ` +
      `${ampere(plan.idleA.low)} to ${ampere(plan.idleA.high)} receiving.`,
    'First key-down 2 s on the dummy load, limit raised to ' +
      `${ampere(plan.keyedLimitA)}. Current without power, or power that falls while keyed: off.`,
  ]
}

export function waitWords(w: WaitsFor): string {
  const since = `since ${day(new Date(w.sinceMs).toISOString().slice(0, 10))}`
  return `Waits for ${WAIT_WORDS[w.who]} ${since}${w.untilDay ? `, until ${day(w.untilDay)}` : ''}`
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
    ? `"${d.text}" is no preferred value (E24): look at the drawing.`
    : `${d.factor > 1 ? groupDigits(d.factor, 0) : `1/${groupDigits(1 / d.factor, 0)}`} ` +
        'times what came out: a slip of the decade? Look at the drawing.'
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
  gainOfOtherDie(t) ? 'its gain is far from what its type is sold with' : ''

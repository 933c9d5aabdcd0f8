import { t, type MessageCode, translated } from '#shared/i18n'
import type { JobEvent, Phase, SettingsNoted } from '#core/run'
import { QUANTITIES, showPlain, groupDigits } from '#core/quantity'
import { fieldValueWords, fieldPathWords } from './sheetWords'
import { complaintTriedWords } from './complaintWords'
import { connectedWords, positionsText } from './settingsWords'
import { jobKindWords } from './jobKindWords'
import { triedWords } from './isolationWords'
import { ANSWER_WORDS, ITEM_STATE_WORDS } from './workWords'
import { midSentence } from './sentence'

/** Why a job has another sheet, as the message chooses by it. */
const CHANGE_SAID = { 'conversion': 'conversion', 'wrong-model': 'wrong', 'own-sheet': 'better' } as const

const STEP_OUTCOMES = {
  'done': 'entry.confirmed',
  'as-is': 'entry.acceptedAsIs',
  'skipped': 'common.skipped',
} as const
const after = (text: string) => (text ? `: ${text}` : '')
const driftWords = (hzPerMin: number | null) =>
  hzPerMin === null ? '' : t('entry.driftingHzMin', { hzPerMin: groupDigits(hzPerMin, 1) })

const PHASE_WORDS: Readonly<Record<Phase, MessageCode>> = {
  'as-found': 'entry.asFound',
  'adjusting': 'entry.alignment',
  'as-left': 'entry.asLeft',
  'soak': 'entry.soakTest',
}
export const phaseWords = (phase: Phase): string => t(PHASE_WORDS[phase])

/** The log has no sheet: a channel goes by its number. */
const placeWords = ({ channel, mode, connectedTo }: SettingsNoted) =>
  [
    channel === null ? t('entry.allBands') : t('entry.channelNumber', { channel }),
    mode,
    connectedTo && connectedWords(connectedTo),
  ]
    .filter(Boolean)
    .join(', ')

type Words = { readonly [K in JobEvent['kind']]: (e: Extract<JobEvent, { kind: K }>) => string }

const WORDS: Words = {
  'row-taken': e =>
    `${e.stepId ? t('entry.step', { stepId: e.stepId }) : phaseWords(e.phase)}, ` +
    `${e.pointId}: ` +
    `${e.readings.map(r => `${QUANTITIES[r.quantity].symbol} ${showPlain(r.value, r.quantity)}`).join(', ')}`,
  'reading-struck': e => t('entry.aReadingStruckOut', { reason: translated(e.reason) }),
  'adjuster-turned': e =>
    e.isReturned
      ? t('entry.putBackToMark', { list: e.designators.join(', ') })
      : t('entry.adjusted', { list: e.designators.join(', ') }),
  'step-confirmed': e =>
    t('entry.stepConfirmed', {
      stepId: e.stepId,
      stepoutcomes: t(STEP_OUTCOMES[e.outcome]),
      because: after(e.reason),
    }),
  'step-reopened': e => t('entry.stepReopened', { stepId: e.stepId, reason: e.reason }),
  'note': e => t('entry.note', { text: e.text }),
  'sheet-amended': e =>
    e.changes
      .map(c => t('entry.sheetCorrected', { line: fieldPathWords(c.line), lineValue: fieldValueWords(c.to) }))
      .join('; '),
  'line-confirmed': e => t('entry.lineConfirmed', { line: fieldPathWords(e.line) }),
  'gate-passed': e =>
    t('entry.stepBegunBeforeWarmUp', {
      stepId: e.stepId,
      drift: driftWords(e.driftHzPerMin),
      because: after(e.reason),
    }),
  'keyed': e =>
    t('entry.keyedS', {
      lengthS: groupDigits(e.lengthS, 1),
      what: e.stepId ? ` ${t('entry.inStep', { stepId: e.stepId })}` : '',
    }),
  'turn-answered': e =>
    e.designators.length > 0
      ? t('entry.adjustedAnsweredLater', { list: e.designators.join(', ') })
      : t('entry.nothingWasAdjustedAnsweredLater'),
  'event-struck': e => t('entry.anEntryStruckOut', { reason: translated(e.reason) }),
  'entries-reviewed': e =>
    t(e.released ? 'entry.released' : 'entry.turnedDown', { count: e.eventIds.length, text: after(e.text) }),
  'job-kind-set': e =>
    t('entry.jobKindSet', { kind: midSentence(jobKindWords(e.jobKind)), because: after(e.reason) }),
  'job-withdrawn': e => t('entry.jobWithdrawn', { reason: e.reason }),
  'model-changed': e =>
    t('entry.modelChanged', {
      because: CHANGE_SAID[e.because],
      reason: after(e.reason),
    }),
  'unlisted-turned': e => t('entry.adjustedNotOnTheSheet', { name: e.name }),
  'position-noted': e => t('entry.startingPositionOf', { designator: e.designator, position: e.position }),
  'settings-noted': e => t('entry.settingsNoted', { what: placeWords(e), positions: positionsText(e) }),
  'warm-up-begun': () => t('entry.switchedOnToWarmUp'),
  'item-inspected': e => t('entry.inspected', { itemId: e.itemId, state: t(ITEM_STATE_WORDS[e.state]) }),
  'wait-begun': e => t('entry.onHold', { text: e.text }),
  'wait-ended': e => t('entry.holdEnded', { text: after(e.text) }),
  'part-changed': e => t('entry.fitted', { designator: e.designator, partIn: e.partIn }),
  'part-tested': e => t('entry.partTested', { part: e.part, text: after(e.text) }),
  'power-tried': e => t('entry.powerTried', { seen: triedWords(e) }),
  'reminder-set': e => t('entry.reminderSet', { text: e.text }),
  'question-asked': e => t('entry.questionAsked', { text: e.text }),
  'question-answered': e =>
    t('entry.questionAnswered', { answer: midSentence(t(ANSWER_WORDS[e.answer])), text: after(e.text) }),
  'complaint-tried': e => t('entry.complaintTried', { words: complaintTriedWords(e) }),
  'trial-noted': e => t('entry.trialNoted', { text: e.text }),
  'set-altered': e => t('entry.setAltered', { text: e.text }),
  'treated': e => t('entry.treated', { what: e.what, text: after(e.text) }),
  'soak-begun': e => t('entry.soakBegun', { hours: e.hours }),
  'soak-ended': e => t(e.passed ? 'entry.soakPassed' : 'entry.soakFailed', { text: after(e.text) }),
  'test-made': e => t('entry.testMade', { outcome: e.outcome, text: after(e.text) }),
  'cause-confirmed': e => t('entry.causeConfirmed', { text: after(e.text) }),
  'challenge-kept': e => t('entry.challengeKept', { reason: e.reason }),
  'item-settled': e => t('entry.itemSettled', { text: e.text }),
  'items-settled': e => t('entry.itemsSettled', { count: e.itemIds.length, text: e.text }),
  'handed-over': e => t('entry.handedOver', { text: after(e.text) }),
}

/** An entry of the record in one line, for the log of the run. */
export function eventWords(e: JobEvent): string {
  return (WORDS[e.kind] as (e: JobEvent) => string)(e)
}

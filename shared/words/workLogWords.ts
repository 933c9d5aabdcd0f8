import { translated, t, type MessageCode } from '#shared/i18n'
import { GOES_STALE } from '#core/sheet'
import type { WorkEntry, WorkLogged } from '#core/work'
import { day, dayAndTime } from './dateWords'
import { PART_KIND_WORDS, partTestWords, partVerdictWords } from './partWords'
import { topicWords } from './quantityWords'
import { ROLE_WORDS } from './roleWords'
import { ANSWER_WORDS, WAIT_WORDS } from './workWords'

export const WORK_LOGGED_WORDS: Readonly<Record<WorkLogged, MessageCode>> = {
  'part-changed': 'repair.partReplaced',
  'treated': 'repair.workDone',
  'part-tested': 'repair.partTested',
  'unlisted-turned': 'repair.otherTurned',
  'question-asked': 'repair.question',
  'wait-begun': 'repair.onHold',
}

/** One entry of the log: of which kind, what it is about, what is to be known of it. */
export interface EntryWords {
  readonly label: string
  readonly about: string
  readonly details: readonly string[]
}

type Of<K extends WorkLogged> = WorkEntry & { readonly event: Extract<WorkEntry['event'], { kind: K }> }
type Words = { readonly [K in WorkLogged]: (e: Of<K>) => Omit<EntryWords, 'label'> & { label?: string } }

/** What goes stale with something that is not on the sheet. */
export const turnedOtherWords = (role: keyof typeof GOES_STALE): string =>
  t('job.recheckThenBecause', {
    list: GOES_STALE[role].topics.map(topicWords).join(', '),
    because: translated(GOES_STALE[role].because),
  })

const WORDS: Words = {
  'part-changed': ({ event: { designator, partOut, partIn, isFinal, text } }) => ({
    about: designator,
    details: [
      partOut ? t('repair.removedAndFitted', { partOut, partIn }) : t('repair.fitted', { partIn }),
      isFinal ? t('repair.finalOrDriver') : '',
      text,
    ],
  }),
  'treated': ({ event: { what, where, text } }) => ({ about: what, details: [where, text] }),
  'part-tested': ({ event }) => ({
    label: t('repair.testOf', { kind: t(PART_KIND_WORDS[event.partKind ?? 'transistor']) }),
    about: event.part,
    details: [partVerdictWords(event), partTestWords(event)],
  }),
  'unlisted-turned': ({ event: { name, role, startPosition } }) => ({
    about: name,
    details: [
      t(ROLE_WORDS[role]),
      t('repair.stoodAt', { startPosition: startPosition || t('job.unknown') }),
      turnedOtherWords(role),
    ],
  }),
  'question-asked': ({ event, answered }) => ({
    about: event.text,
    details: [
      event.price,
      event.consequence ? t('repair.ifDeclined', { consequence: event.consequence }) : '',
      answered
        ? t('repair.answered', {
            answer: [t(ANSWER_WORDS[answered.answer]), answered.text].filter(Boolean).join(': '),
            when: dayAndTime(answered.atMs),
          })
        : t('repair.notAnswered'),
    ],
  }),
  'wait-begun': ({ event, ended }) => ({
    about: event.text,
    details: [
      t('repair.waitsFor', { who: t(WAIT_WORDS[event.waitsFor]) }),
      event.untilDay ? t('repair.expected', { day: day(event.untilDay) }) : '',
      ended ? t('repair.received', { when: dayAndTime(ended.atMs) }) : '',
    ],
  }),
}

export function workEntryWords(entry: WorkEntry): EntryWords {
  const { kind } = entry.event
  const words = (WORDS[kind] as (e: WorkEntry) => ReturnType<Words[WorkLogged]>)(entry)
  return { label: t(WORK_LOGGED_WORDS[kind]), ...words, details: words.details.filter(Boolean) }
}

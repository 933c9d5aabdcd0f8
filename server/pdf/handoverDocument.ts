import { t } from '#shared/i18n'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { carrierAdvice } from '#core/handover'
import { validEvents, type JobEvent } from '#core/run'
import { eachRuleSet, type RuleSet } from '#core/rules'
import type { ModelSheet } from '#core/sheet'
import { jobState, type JobState } from '#core/work'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'
import {
  familyWords,
  alignedWords,
  convertedWords,
  handoverCautions,
  mendedWords,
  openForOwner,
  operatingAdvice,
  rulesWords,
} from '#shared/words/ownerWords'
import { rangeWordsOfCompared } from '#shared/words/powerRangeWords'
import { remarksOfCompared } from '#shared/words/rowRemarks'
import { lessPowerWords, measuredWords } from '#shared/words/ownerReadings'
import { dayAndTime } from '#shared/words/dateWords'
import { jobKindWords } from '#shared/words/jobKindWords'
import { closedItemLines, openItemLines } from '#shared/words/itemWords'
import { menuAsLeft } from '#shared/words/menuAsLeft'
import { capital } from '#shared/words/sentence'
import { workLines } from '#shared/words/workLines'
import { readRows, sidesOf, unreadRows } from '#shared/words/compareGauge'
import { compareTable, heading, list, words } from './blocks'
import {
  claims,
  complaintTried,
  handedWords,
  orNone,
  plannedFor,
  turnedOrNothing,
  complianceParts,
} from './paperParts'
import { photoAboutWords } from '#shared/words/photoWords'
import { bandPictures, photoPages } from './paperPictures'
import type { PaperPhoto } from './photos'
import { settingsPart } from './settingsTable'
import { trialsPart } from './trialsPart'

export type Copy = 'owner' | 'shop'

/** What a handover on paper is made of. issue null = a draft that nobody has handed over. */
export interface Handover {
  readonly job: Job
  readonly sheet: ModelSheet
  /** sheet of the model that the set came as: the same, but after a conversion */
  readonly found: ModelSheet
  readonly rules: RuleSet
  readonly events: readonly JobEvent[]
  readonly issue: { readonly number: number; readonly checksum: string; readonly atMs: number } | null
  readonly photos: readonly PaperPhoto[]
}

/** The handover as a document: for the owner in plain words, for the shop with everything. */
export function handoverDocument(h: Handover, copy: Copy): TDocumentDefinitions {
  const state = jobState(h.sheet, h.rules, h.events, h.found)
  const stale = new Set(state.asLeft.filter(r => r.stale).map(r => r.point.id))
  const tag = jobTag(h.job.number)
  const status = h.issue
    ? t('paper.issueOf', { number: h.issue.number, dayAndTime: dayAndTime(h.issue.atMs) })
    : t('paper.draftNotHandedOver')
  return {
    info: { title: t('paper.handover', { tag, model: h.sheet.model }), creator: t('paper.diapason') },
    pageSize: 'A4',
    pageMargins: [40, 40, 40, 46],
    defaultStyle: { font: 'Latin', fontSize: 9.5, lineHeight: 1.15 },
    footer: (page, pages) => footer(h, tag, status, page, pages),
    content: [
      words(t('paper.modelAndSerial', { model: h.sheet.model, serial: h.job.serial }), {
        bold: true,
        fontSize: 18,
      }),
      words(
        t('paper.forWord', {
          tag,
          owner: h.job.owner,
          status: `${capital(status)}. ${jobKindWords(state.run.jobKind)}`,
        }),
        {
          color: '#45524d',
          margin: [0, 1, 0, 6],
        },
      ),
      ...[...new Set([h.found, h.sheet].flatMap(familyWords))].map(text =>
        words(text, { margin: [0, 0, 0, 6] }),
      ),
      ...(copy === 'owner' ? ownerCopy(h, state) : shopCopy(h, state, stale)),
      heading(t('common.ruleSet')),
      ...eachRuleSet(h.rules).map(rules => words(rulesWords(rules))),
      ...(h.issue ? [frozen(h, h.issue.checksum)] : []),
    ],
  }
}

function footer(h: Handover, tag: string, status: string, page: number, pages: number): Content {
  return words(
    t('paper.pageOf', {
      tag,
      status,
      what: h.issue ? t('paper.sha256', { checksum: h.issue.checksum.slice(0, 16) }) : '',
      page,
      pages,
    }),
    { margin: [40, 10, 40, 0], fontSize: 7.5, color: '#5d6b66' },
  )
}

/** What the record was frozen from, and the sum that proves it. */
function frozen(h: Handover, checksum: string): Content {
  return words(t('paper.frozenRecordOfThisHandoverSheet', { revision: h.sheet.revision, checksum }), {
    fontSize: 7.5,
    color: '#45524d',
    margin: [0, 8, 0, 0],
  })
}

function ownerCopy(h: Handover, state: JobState): Content[] {
  const events = validEvents(h.events)
  const [less, mended, open] = [
    lessPowerWords(h.sheet, state.compared),
    mendedWords(h.sheet, events),
    openForOwner(state.items),
  ]
  const advice = carrierAdvice(h.sheet, h.rules, state.run)
  return [
    heading(t('common.complaint')),
    words(h.job.complaint),
    ...complaintTried(events),
    ...claims(h.job, state),
    heading(t('paper.compliance')),
    ...complianceParts(h.sheet, h.rules, state),
    ...readings(h, state),
    ...bandPictures(h.sheet, state.compared, sidesOf(state.stages)),
    ...trialsPart(events, h.rules, state.items),
    ...(less.length > 0 ? [heading(t('paper.whyTheMeterMayReadLess')), list(less)] : []),
    heading(t('common.workDone')),
    list(
      orNone(
        [
          ...convertedWords(h.sheet, h.found),
          ...alignedWords(state.run),
          ...menuAsLeft(state.compared),
          ...mended,
        ],
        turnedOrNothing(state),
      ),
    ),
    ...(open.length > 0 ? [heading(t('paper.outstanding')), list(open)] : []),
    ...plannedFor(events),
    heading(t('paper.howToOperateIt')),
    list(operatingAdvice(h.sheet, advice, events)),
    ...settingsPart(h.sheet, state, events),
    ...handedWords(h.events),
  ]
}

const readingsTitle = ({ stages }: JobState) =>
  sidesOf(stages).length === 2 ? t('paper.beforeAndAfter') : t('paper.readings')

/** Before and after for an owner, or how it is where one phase alone belongs to the job. */
function readings({ sheet }: Handover, state: JobState): Content[] {
  const sides = sidesOf(state.stages)
  return [
    heading(readingsTitle(state)),
    list(
      orNone(
        [
          ...measuredWords(sheet, state.compared, sides),
          ...rangeWordsOfCompared(sheet, state.compared, sides),
        ],
        t(sides.length === 2 ? 'paper.noReadingWasTakenBothBefore' : 'paper.noReadingWasTaken'),
      ),
    ),
  ]
}

/** Every row of which something was read, and the names of the others. */
function readingsTable(sheet: ModelSheet, state: JobState, stale: ReadonlySet<string>): Content[] {
  const { compared } = state
  const sides = sidesOf(state.stages)
  const [read, unread] = [readRows(compared, sides), unreadRows(compared, sides)]
  return [
    ...(read.length > 0 ? [compareTable(read, stale, sides)] : []),
    ...remarksOfCompared(sheet, state, sides).map(w => words(w)),
    ...(unread.length > 0
      ? [words(t('paper.rowsNotRead', { list: unread.join('; ') }), { fontSize: 8, margin: [0, 4, 0, 0] })]
      : []),
  ]
}

function shopCopy(h: Handover, state: JobState, stale: ReadonlySet<string>): Content[] {
  const events = validEvents(h.events)
  const closed = closedItemLines(state.items)
  return [
    heading(t('common.complaint')),
    words(h.job.complaint),
    ...complaintTried(events),
    words(
      t('paper.accessoriesApprovedInAdvance', {
        accessories: h.job.accessories || t('paper.noneNoted'),
        mayDo: h.job.mayDo || t('paper.nothingNoted'),
      }),
      {
        color: '#45524d',
      },
    ),
    ...claims(h.job, state),
    heading(t('paper.compliance')),
    ...complianceParts(h.sheet, h.rules, state),
    heading(readingsTitle(state)),
    words(t('paper.hollowAsFoundFilledAsLeft'), {
      fontSize: 7.5,
      color: '#45524d',
      margin: [0, 0, 0, 3],
    }),
    ...readingsTable(h.sheet, state, stale),
    ...bandPictures(h.sheet, state.compared, sidesOf(state.stages)),
    ...trialsPart(events, h.rules, state.items),
    heading(t('common.workDone')),
    list(workLines(h, state, events)),
    heading(t('paper.openItems')),
    list(orNone(openItemLines(state.items), t('paper.none'))),
    ...(closed.length > 0 ? [heading(t('paper.closedItems')), list(closed)] : []),
    ...plannedFor(events),
    ...settingsPart(h.sheet, state, events),
    heading(t('paper.cautions')),
    list(handoverCautions(h.sheet)),
    ...handedWords(h.events),
    ...photoPages(h.photos, about => photoAboutWords(about, h.sheet, events)),
  ]
}

import { t } from '#shared/i18n'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { settleClaim } from '#core/claims'
import { adjusted, carrierAdvice, compliance } from '#core/handover'
import { validEvents, type JobEvent } from '#core/run'
import type { RuleSet } from '#core/rules'
import type { ModelSheet } from '#core/sheet'
import { jobState, type JobState } from '#core/work'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'
import { OUTCOME_WORDS, claimWords, factorWords, settledWords } from '#shared/words/claimWords'
import { complianceWords, workDone } from '#shared/words/handoverWords'
import {
  alignedWords,
  beforeAfterWords,
  handoverCautions,
  lessPowerWords,
  mendedWords,
  openForOwner,
  operatingAdvice,
  rulesWords,
} from '#shared/words/ownerWords'
import { dayAndTime, dayMonthYear } from '#shared/words/dateWords'
import { closedItemLines, openItemLines } from '#shared/words/itemWords'
import { capital } from '#shared/words/sentence'
import { bandCharts } from '#shared/words/bandChart'
import { bandChartSvg } from './bandChartSvg'
import { compareTable, heading, list, words } from './blocks'
import { MAX_ON_PAPER, type PaperPhoto } from './photos'

export type Copy = 'owner' | 'shop'

/** What a handover on paper is made of. issue null = a draft that nobody has handed over. */
export interface Handover {
  readonly job: Job
  readonly sheet: ModelSheet
  readonly rules: RuleSet
  readonly events: readonly JobEvent[]
  readonly issue: { readonly number: number; readonly checksum: string; readonly atMs: number } | null
  readonly photos: readonly PaperPhoto[]
}

/** The handover as a document: for the owner in plain words, for the shop with everything. */
export function handoverDocument(h: Handover, copy: Copy): TDocumentDefinitions {
  const state = jobState(h.sheet, h.rules, h.events)
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
          status: capital(status),
        }),
        {
          color: '#45524d',
          margin: [0, 1, 0, 6],
        },
      ),
      ...(copy === 'owner' ? ownerCopy(h, state) : shopCopy(h, state, stale)),
      heading(t('common.ruleSet')),
      words(rulesWords(h.rules)),
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

function claims(h: Handover, state: JobState): Content[] {
  const settled = h.job.claims.map(c => settleClaim(c, state.asFound, state.claimContext))
  if (settled.length === 0) return []
  return [
    heading(t('paper.yourReportAndOurMeasurements')),
    list(
      settled.map(
        s =>
          `${t(OUTCOME_WORDS[s.outcome])}: ${claimWords(s.claim)}. ${settledWords(s)}. ${factorWords(s) ?? ''}`,
      ),
    ),
  ]
}

function ownerCopy(h: Handover, state: JobState): Content[] {
  const legal = complianceWords(compliance(h.sheet, h.rules, state.run), h.rules)
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
    ...claims(h, state),
    heading(t('paper.compliance')),
    words(legal.words, { bold: true }),
    ...(legal.detail.length > 0 ? [list(legal.detail)] : []),
    heading(t('paper.beforeAndAfter')),
    list(orNone(beforeAfterWords(h.sheet, state.compared), t('paper.noReadingWasTakenBothBefore'))),
    ...bandPictures(h, state),
    ...(less.length > 0 ? [heading(t('paper.whyTheMeterMayReadLess')), list(less)] : []),
    heading(t('common.workDone')),
    list(orNone([...alignedWords(state.run), ...mended], t('paper.noWorkRecorded'))),
    ...(open.length > 0 ? [heading(t('paper.outstanding')), list(open)] : []),
    heading(t('paper.howToOperateIt')),
    list(operatingAdvice(h.sheet, advice, events)),
    ...handedWords(h),
  ]
}

function shopCopy(h: Handover, state: JobState, stale: ReadonlySet<string>): Content[] {
  const legal = complianceWords(compliance(h.sheet, h.rules, state.run), h.rules)
  const events = validEvents(h.events)
  const closed = closedItemLines(state.items)
  return [
    heading(t('common.complaint')),
    words(h.job.complaint),
    words(
      t('paper.accessoriesApprovedInAdvance', {
        accessories: h.job.accessories || t('paper.noneNoted'),
        mayDo: h.job.mayDo || t('paper.nothingNoted'),
      }),
      {
        color: '#45524d',
      },
    ),
    ...claims(h, state),
    heading(t('paper.compliance')),
    words(legal.words, { bold: true }),
    ...(legal.detail.length > 0 ? [list(legal.detail)] : []),
    heading(t('paper.beforeAndAfter')),
    words(t('paper.hollowAsFoundFilledAsLeft'), {
      fontSize: 7.5,
      color: '#45524d',
      margin: [0, 0, 0, 3],
    }),
    compareTable(state.compared, stale),
    ...bandPictures(h, state),
    heading(t('common.workDone')),
    list([
      ...workDone(state.run, adjusted(state.run, state.compared), events),
      ...mendedWords(h.sheet, events),
    ]),
    heading(t('paper.openItems')),
    list(orNone(openItemLines(state.items), t('paper.none'))),
    ...(closed.length > 0 ? [heading(t('paper.closedItems')), list(closed)] : []),
    heading(t('paper.cautions')),
    list(handoverCautions(h.sheet)),
    ...handedWords(h),
    ...photoPages(h.photos),
  ]
}

/** Power and frequency error over the channels, side by side. */
function bandPictures({ sheet }: Handover, { compared }: JobState): Content[] {
  const pictures = bandCharts(compared, sheet).flatMap(chart => {
    const svg = bandChartSvg(chart)
    return svg
      ? [
          {
            stack: [
              words(t('paper.beforeHollowDashedAfterFilled', { title: chart.title, unit: chart.unit }), {
                fontSize: 8,
              }),
              { svg, width: 250 },
            ],
            width: 256,
          },
        ]
      : []
  })
  return pictures.length > 0 ? [{ columns: pictures, margin: [0, 8, 0, 0], unbreakable: true }] : []
}

function photoPages(photos: readonly PaperPhoto[]): Content[] {
  if (photos.length === 0) return []
  return [
    heading(
      photos.length === MAX_ON_PAPER
        ? t('paper.photosTheFirst', { maxonpaper: MAX_ON_PAPER })
        : t('paper.photos'),
    ),
    ...photos.map((p): Content => ({
      unbreakable: true,
      margin: [0, 0, 0, 8],
      stack: [
        { image: p.dataUrl, fit: [340, 250] },
        words([p.name, p.about].filter(Boolean).join(', ') || 'photo', { fontSize: 7.5, color: '#45524d' }),
      ],
    })),
  ]
}

function handedWords(h: Handover): Content[] {
  const last = h.events.findLast(e => e.kind === 'handed-over')
  if (!last) return []
  const on = dayMonthYear(last.atMs)
  return [
    ...(last.text ? [heading(t('paper.explainedToTheOwner')), words(`${last.text} (${on})`)] : []),
    ...(last.author ? [words(t('paper.releasedBy', { name: last.author.name, on }))] : []),
  ]
}

function orNone(lines: readonly string[], none: string): readonly string[] {
  return lines.length > 0 ? lines : [none]
}

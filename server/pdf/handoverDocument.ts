import { format } from 'date-fns'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { settleClaim } from '#core/claims'
import { adjusted, carrierAdvice, compliance } from '#core/handover'
import { validEvents, type JobEvent } from '#core/run'
import type { RuleSet } from '#core/rules'
import type { ModelSheet } from '#core/sheet'
import { jobState, type JobState } from '#core/work'
import { jobTag, type Job } from '#shared/job'
import { OUTCOME_WORDS, claimWords, factorWords, settledWords } from '#shared/words/claimWords'
import { complianceWords, unsettled, workDone } from '#shared/words/handoverWords'
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
import { dayAndTime, itemWords } from '#shared/words/runWords'
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
  const status = h.issue ? `issue ${h.issue.number} of ${dayAndTime(h.issue.atMs)}` : 'draft, not handed over'
  return {
    info: { title: `${tag} ${h.sheet.model} handover`, creator: 'Diapason' },
    pageSize: 'A4',
    pageMargins: [40, 40, 40, 46],
    defaultStyle: { font: 'Latin', fontSize: 9.5, lineHeight: 1.15 },
    footer: (page, pages) =>
      words(
        `${tag}, ${status}${h.issue ? `, SHA-256 ${h.issue.checksum.slice(0, 16)}` : ''}. Page ${page} of ${pages}.`,
        { margin: [40, 10, 40, 0], fontSize: 7.5, color: '#5d6b66' },
      ),
    content: [
      words(`${h.sheet.model}, serial ${h.job.serial}`, { bold: true, fontSize: 18 }),
      words(`${tag} for ${h.job.owner}. ${status[0]!.toUpperCase()}${status.slice(1)}.`, {
        color: '#45524d',
        margin: [0, 1, 0, 6],
      }),
      ...(copy === 'owner' ? ownerCopy(h, state) : shopCopy(h, state, stale)),
      heading('Rule set'),
      words(rulesWords(h.rules)),
      ...(h.issue
        ? [
            words(
              `Frozen record of this handover: sheet revision ${h.sheet.revision}, SHA-256 ${h.issue.checksum}.`,
              { fontSize: 7.5, color: '#45524d', margin: [0, 8, 0, 0] },
            ),
          ]
        : []),
    ],
  }
}

function claims(h: Handover, state: JobState): Content[] {
  const settled = h.job.claims.map(c => settleClaim(c, state.asFound, state.claimContext))
  if (settled.length === 0) return []
  return [
    heading('Your report and our measurements'),
    list(
      settled.map(
        s =>
          `${OUTCOME_WORDS[s.outcome]}: ${claimWords(s.claim)}. ${settledWords(s)}. ${factorWords(s) ?? ''}`,
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
    heading('Complaint'),
    words(h.job.complaint),
    ...claims(h, state),
    heading('Compliance'),
    words(legal.words, { bold: true }),
    ...(legal.detail.length > 0 ? [list(legal.detail)] : []),
    heading('Before and after'),
    list(orNone(beforeAfterWords(h.sheet, state.compared), 'No reading was taken both before and after.')),
    ...bandPictures(h, state),
    ...(less.length > 0 ? [heading('Why the meter may read less'), list(less)] : []),
    heading('Work done'),
    list(orNone([...alignedWords(state.run), ...mended], 'No work recorded.')),
    ...(open.length > 0 ? [heading('Outstanding'), list(open)] : []),
    heading('How to operate it'),
    list(operatingAdvice(h.sheet, advice, events)),
    ...handedWords(h),
  ]
}

function shopCopy(h: Handover, state: JobState, stale: ReadonlySet<string>): Content[] {
  const legal = complianceWords(compliance(h.sheet, h.rules, state.run), h.rules)
  const events = validEvents(h.events)
  const settled = state.items.filter(i => i.settled !== null)
  return [
    heading('Complaint'),
    words(h.job.complaint),
    words(
      `Accessories: ${h.job.accessories || 'none noted'}. ` +
        `Approved in advance: ${h.job.mayDo || 'nothing noted'}.`,
      {
        color: '#45524d',
      },
    ),
    ...claims(h, state),
    heading('Compliance'),
    words(legal.words, { bold: true }),
    ...(legal.detail.length > 0 ? [list(legal.detail)] : []),
    heading('Before and after'),
    words('Hollow: as found. Filled: as left. Shaded: tolerance. Tick: target. Thick bar: uncertainty.', {
      fontSize: 7.5,
      color: '#45524d',
      margin: [0, 0, 0, 3],
    }),
    compareTable(state.compared, stale),
    ...bandPictures(h, state),
    heading('Work done'),
    list([
      ...workDone(state.run, adjusted(state.run, state.compared), events),
      ...mendedWords(h.sheet, events),
    ]),
    heading('Open items'),
    list(
      orNone(
        unsettled(state.items).map(i => `${i.title} (${itemWords(i)}): ${i.detail}`),
        'None.',
      ),
    ),
    ...(settled.length > 0
      ? [heading('Closed items'), list(settled.map(i => `${i.title}: ${i.settled}`))]
      : []),
    heading('Cautions'),
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
              words(`${chart.title}, ${chart.unit}: before hollow, dashed; after filled`, { fontSize: 8 }),
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
    heading(photos.length === MAX_ON_PAPER ? `Photos, the first ${MAX_ON_PAPER}` : 'Photos'),
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
  return last?.text
    ? [heading('Explained to the owner'), words(`${last.text} (${format(last.atMs, 'd MMM yyyy')})`)]
    : []
}

function orNone(lines: readonly string[], none: string): readonly string[] {
  return lines.length > 0 ? lines : [none]
}

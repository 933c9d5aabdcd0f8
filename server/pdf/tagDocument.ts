import { t } from '#shared/i18n'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import type { JobKind } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { jobKindWords } from '#shared/words/jobKindWords'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'
import { day } from '#shared/words/dateWords'
import { words } from './blocks'

const MM = 72 / 25.4

/**
 * A tag to tie to the set, 80 x 50 mm: the job number as QR code and in figures that read across the bench.
 */
export function tagDocument(job: Job, sheet: ModelSheet, jobKind: JobKind): TDocumentDefinitions {
  const tag = jobTag(job.number)
  return {
    info: { title: t('paper.tag', { tag }), creator: t('paper.diapason') },
    pageSize: { width: 80 * MM, height: 50 * MM },
    pageMargins: 10,
    defaultStyle: { font: 'Latin', fontSize: 8.5 },
    content: [
      {
        columns: [
          { width: 82, qr: tag, fit: 78, eccLevel: 'M' },
          {
            width: '*',
            stack: [
              words(tag, { bold: true, fontSize: 22 }),
              words(sheet.model, { bold: true, fontSize: 11 }),
              words(t('paper.serialOnTag', { serial: job.serial })),
              words(job.owner, { margin: [0, 4, 0, 0] }),
              words(job.promisedOn ? t('paper.due', { day: day(job.promisedOn) }) : t('common.noDueDate')),
              words(jobKindWords(jobKind)),
            ],
          },
        ],
        columnGap: 10,
      },
      words(job.accessories ? t('paper.accessoriesOnTag', { accessories: job.accessories }) : '', {
        margin: [0, 6, 0, 0],
        fontSize: 7.5,
      }),
    ],
  }
}

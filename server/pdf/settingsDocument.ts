import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { jobState } from '#core/work'
import { t } from '#shared/i18n'
import { jobTag } from '#shared/jobTag'
import { dayMonthYear } from '#shared/words/dateWords'
import { itemDetail } from '#shared/words/itemWords'
import { handoverCautions } from '#shared/words/ownerWords'
import { shortestKeyDownWords } from '#shared/words/runWords'
import { capital, sentence } from '#shared/words/sentence'
import { heading, list, words } from './blocks'
import type { Handover } from './handoverDocument'
import { settingsTable } from './settingsTable'

/**
 * A card that lies beside the set: what its operator sets band by band, and what kills it.
 * @param h of a job on which settings were written
 */
export function settingsDocument(h: Handover): TDocumentDefinitions {
  const state = jobState(h.sheet, h.rules, h.events, h.found)
  const tag = jobTag(h.job.number)
  const missing = state.items.filter(i => i.kind === 'settings-missing')
  const lastMs = Math.max(...state.card.map(l => l.noted.atMs))
  return {
    info: { title: t('paper.settingsCardOf', { model: h.sheet.model }), creator: t('paper.diapason') },
    pageSize: 'A4',
    pageOrientation: 'landscape',
    pageMargins: [40, 36, 40, 36],
    defaultStyle: { font: 'Latin', fontSize: 12, lineHeight: 1.15 },
    content: [
      words(t('paper.settingsCardOf', { model: h.sheet.model }), { bold: true, fontSize: 20 }),
      words(
        t('paper.writtenOn', {
          day: dayMonthYear(lastMs),
          tag,
          serial: h.job.serial,
          owner: h.job.owner,
        }),
        { color: '#45524d', margin: [0, 1, 0, 8] },
      ),
      ...settingsTable(h.sheet, state.card, h.events),
      ...missing.map(i => words(sentence(capital(itemDetail(i))), { margin: [0, 6, 0, 0] })),
      words(t('paper.cardIsOfThisSet'), { margin: [0, 6, 0, 0] }),
      heading(t('paper.operatorsCautions')),
      list([shortestKeyDownWords(h.sheet), ...handoverCautions(h.sheet)]),
    ],
  }
}

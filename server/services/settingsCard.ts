import { jobState } from '#core/work'
import { t, withTextsTranslated } from '#shared/i18n'
import { jobTag } from '#shared/jobTag'
import { pool } from '../db/pool'
import { renderPdf } from '../pdf/renderPdf'
import { settingsDocument } from '../pdf/settingsDocument'
import { ApiError } from '../utils/apiError'
import { inLanguage } from '../utils/language'
import { languageOfCopy } from './handoverPaper'
import { jobWithEvents } from './jobs'
import { rulesOfJob } from './rules'
import { sheetsOfJob } from './sheetBook'

/**
 * The settings card as it stands now, in the language of the owner.
 * @throws {ApiError} unknown-settings: none was written by the sheet that the job is measured by
 */
export async function settingsCardPdf(jobId: string): Promise<{ name: string; pdf: Buffer }> {
  const { job, events } = await jobWithEvents(jobId)
  const sheets = await sheetsOfJob(pool, job, events)
  const { now, found } = sheets
  const rules = await rulesOfJob(pool, job, sheets)
  if (jobState(now, rules, events, found).card.length === 0)
    throw new ApiError(404, 'unknown-settings', t('server.noSettingsWritten'))
  const pdf = await inLanguage(languageOfCopy('owner', job), () =>
    renderPdf(
      settingsDocument({
        job,
        sheet: withTextsTranslated(now),
        found: withTextsTranslated(found),
        rules: withTextsTranslated(rules),
        events,
        issue: null,
        photos: [],
      }),
    ),
  )
  return { name: `${jobTag(job.number)}-settings.pdf`, pdf }
}

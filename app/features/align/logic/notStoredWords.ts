import { errorWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
/** What is said where a browser cannot keep an entry: it is lost unless somebody writes it down. */
export function notStoredWords(error: unknown): string {
  const why = errorWords(error)
  return t('align.notSavedBrowserStorageFailedWrite', { why })
}

import { parentPort, workerData } from 'node:worker_threads'
import { readLanguageFrom, type Language } from '#shared/i18n'
import { provideEveryLanguage } from '#shared/i18n/everyLanguage'
import type { WireError } from '#shared/errors'
import type { SheetFile } from '#shared/sheetFile'
import { toWire } from '../utils/apiError'
import { checkedSheetFile } from './checkSheetFile'

/** What the web server gives to this thread. */
export interface Wanted {
  readonly upload: Uint8Array
  readonly language: Language
}
/** What it gets back: the file, or why not, as a request is answered. */
export type Read =
  { readonly file: SheetFile } | { readonly refusal: { readonly status: number; readonly body: WireError } }

/** A thread that reads one file of a sheet, while the web server goes on answering everybody else. */
const { upload, language } = workerData as Wanted
provideEveryLanguage()
readLanguageFrom(() => language)
const read: Read = await checkedSheetFile(upload).then(
  file => ({ file }),
  (error: unknown) => ({ refusal: toWire(error) }),
)
parentPort!.postMessage(read)

import { once } from 'node:events'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { language, t } from '#shared/i18n'
import type { SheetFile } from '#shared/sheetFile'
import type { Read, Wanted } from '../reader/main'
import { ApiError } from '../utils/apiError'

/** The fullest file, five hundred revisions of the largest sheet, takes ten seconds. */
const LONGEST_MS = 60_000
/** What is needed beyond that is no sheet; the thread ends, and the server does not. */
const MOST_MB = 768
let last: Promise<unknown> = Promise.resolve()

/**
 * Reads a file of a sheet in a thread of its own, one at a time: a long one would hold up everybody.
 * @throws {ApiError} what is wrong with it, in words; body-too-large when it takes too long or too much
 */
export function readSheetFile(upload: Buffer): Promise<SheetFile> {
  const wanted: Wanted = { upload, language: language() }
  const file = last.then(() => inThread(wanted))
  last = file.catch(() => {})
  return file
}

async function inThread(wanted: Wanted): Promise<SheetFile> {
  const thread = new Worker(join(process.env.PROCESSES ?? '', 'reader.mjs'), {
    workerData: wanted,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
  })
  const tooLong = AbortSignal.timeout(LONGEST_MS)
  try {
    const [read] = (await once(thread, 'message', { signal: tooLong })) as [Read]
    if ('file' in read) return read.file
    const { status, body } = read.refusal
    throw new ApiError(status, body.code, body.message, body.field)
  } catch (error) {
    const isTooMuch = (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY'
    if (isTooMuch || tooLong.aborted)
      throw new ApiError(413, 'body-too-large', t('server.fileTakesTooLong'), 'file')
    throw error
  } finally {
    await thread.terminate()
  }
}

import { t } from '#shared/i18n'
import type { NewView, SavedView, SearchQuery, SearchResult } from '#shared/search'
import { jobTag } from '#shared/jobTag'
import { pool } from '../db/pool'
import {
  NEWEST_JOBS,
  deleteView,
  isIndexed,
  searchJobs,
  selectPieces,
  selectViews,
  upsertView,
  wordsOf,
} from '../db/queries/search'
import { ApiError } from '../utils/apiError'
import { freshIndex } from './jobIndex'

const PAGE = 50
/** Letters of an excerpt on either side of the word. */
const AROUND = 60

/** A page of what was found, each with the piece of text that holds the words when its own line does not. */
export async function search(q: SearchQuery): Promise<SearchResult> {
  await freshIndex()
  const rows = await searchJobs(pool, q, PAGE + 1)
  const words = wordsOf(q.words)
  const page = rows.slice(0, PAGE)
  const hidden = page.filter(
    job =>
      !words.every(w =>
        `${jobTag(job.number)} ${job.owner} ${job.sheetId.replaceAll('-', ' ')} ${job.serial} ${job.complaint}`
          .toLocaleLowerCase()
          .includes(w),
      ),
  )
  const pieces =
    words.length > 0 && hidden.length > 0
      ? await selectPieces(
          pool,
          hidden.map(j => j.id),
          words,
        )
      : new Map<string, string>()
  const jobs = page.map(job => ({ ...job, excerpt: excerpt(pieces.get(job.id) ?? '', words) }))
  return {
    jobs,
    next: rows.length > PAGE ? jobs.at(-1)!.number : null,
    amongNewest: isIndexed(words) ? null : NEWEST_JOBS,
  }
}

function excerpt(text: string, words: readonly string[]): string {
  const lower = text.toLocaleLowerCase()
  const at = words
    .map(w => lower.indexOf(w))
    .filter(i => i >= 0)
    .sort((a, b) => b - a)[0]
  if (at === undefined) return ''
  const from = Math.max(0, at - AROUND)
  const to = Math.min(text.length, at + AROUND)
  return `${from > 0 ? '\u2026' : ''}${text.slice(from, to).trim()}${to < text.length ? '\u2026' : ''}`
}

export const views = () => selectViews(pool)

/** @throws {ApiError} name-taken: replaced only by whoever saw it */
export async function saveView({ replaces, ...view }: NewView): Promise<SavedView> {
  const kept = await upsertView(pool, view, replaces)
  if (!kept) throw new ApiError(409, 'name-taken', t('server.aSavedSearchHasThisName'), 'name')
  return kept
}

export async function removeView(id: string): Promise<void> {
  if (!(await deleteView(pool, id))) throw new ApiError(404, 'unknown-view', t('server.savedSearchNotFound'))
}

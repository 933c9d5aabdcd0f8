import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { ref, shallowRef } from 'vue'
import type { FoundJob, ModelHistory, SavedQuery, SavedView, SearchResult } from '#shared/search'
import { failureOf, type Failure } from '~/data/failureWords'

export const EMPTY_QUERY: SavedQuery = { words: '', sheetId: '', state: 'any', causeId: '' }

/** Everything that came over the bench: found as one types, seen against its model. */
export const useSearchStore = defineStore('search', () => {
  const found = shallowRef<readonly FoundJob[] | null>(null)
  const next = ref<number | null>(null)
  const amongNewest = ref<number | null>(null)
  const failure = ref<Failure | null>(null)
  const views = shallowRef<SavedView[]>([])
  let asked = 0

  /**
   * Only the latest question is answered: an answer that comes late belongs to words that are no longer
   * there.
   */
  async function ask(query: SavedQuery, before: number | null = null) {
    const mine = ++asked
    try {
      const result = await $api<SearchResult>('/api/search', {
        query: { ...query, ...(before === null ? {} : { before }) },
      })
      if (mine !== asked) return
      found.value = before === null ? result.jobs : [...(found.value ?? []), ...result.jobs]
      next.value = result.next
      amongNewest.value = result.amongNewest
      failure.value = null
    } catch (error) {
      if (mine === asked) failure.value = failureOf(error)
    }
  }

  const loadViews = async () =>
    (views.value = await $api<SavedView[]>('/api/search/views').catch(() => views.value))

  /** @param overwrite the view of this name, which the user has seen */
  async function keepView(name: string, query: SavedQuery, overwrite: boolean): Promise<Failure | null> {
    const same = views.value.find(v => v.name.toLowerCase() === name.toLowerCase())
    const replaces = overwrite ? (same?.id ?? null) : null
    try {
      await $api('/api/search/views', { method: 'POST', body: { id: uuid(), name, query, replaces } })
      await loadViews()
      return null
    } catch (error) {
      await loadViews()
      return failureOf(error)
    }
  }

  async function dropView(id: string) {
    await $api(`/api/search/views/${id}`, { method: 'DELETE' }).catch(() => undefined)
    await loadViews()
  }

  const historyOf = (sheetId: string, jobId: string | null) =>
    $api<ModelHistory>(`/api/models/${sheetId}/history`, {
      query: jobId ? { job: jobId } : {},
    }).catch(() => null)

  return { found, next, amongNewest, failure, views, ask, loadViews, keepView, dropView, historyOf }
})

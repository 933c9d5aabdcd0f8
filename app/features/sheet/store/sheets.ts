import { useLocalStorage } from '@vueuse/core'
import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { shallowRef } from 'vue'
import type { ModelSheet } from '#core/sheet'
import type { SheetSummary, SheetView } from '#shared/sheetFile'
import { failureOf, type Failure } from '~/data/failureWords'

const key = (id: string, revision: number) => `${id}@${revision}`
const REMEMBERED = 'diapason.sheets'

export interface Imported {
  readonly id: string
  readonly revision: number
  readonly kind: 'new' | 'revision' | 'same'
}

/** Model sheets: the list, and every revision that somebody looked at. Revisions never change. */
export const useSheetsStore = defineStore('sheets', () => {
  /** what this browser saw last until the server answers: a set can be taken in all the same */
  const list = useLocalStorage<readonly SheetSummary[]>(REMEMBERED, [], { shallow: true })
  const known = new Map<string, ModelSheet>()
  const failure = shallowRef<Failure | null>(null)

  async function asked<T>(ask: () => Promise<T>): Promise<T | null> {
    failure.value = null
    try {
      return await ask()
    } catch (error) {
      failure.value = failureOf(error)
      return null
    }
  }

  async function load() {
    const answer = await asked(() => $api<SheetSummary[]>('/api/sheets'))
    if (answer) list.value = answer
  }
  const summary = (id: string) => list.value.find(s => s.id === id) ?? null
  const nameOf = (id: string) => summary(id)?.model ?? id

  function keep(sheet: ModelSheet): ModelSheet {
    known.set(key(sheet.id, sheet.revision), sheet)
    return sheet
  }
  const view = (id: string, revision?: number) =>
    asked(async () => {
      const answer = await $api<SheetView>(`/api/sheets/${id}`, {
        query: revision ? { revision } : {},
      })
      keep(answer.sheet)
      return answer
    })
  /** A revision, from memory if it was ever seen; null without an answer. */
  async function revision(id: string, number: number): Promise<ModelSheet | null> {
    return known.get(key(id, number)) ?? (await view(id, number))?.sheet ?? null
  }

  const add = (sheet: ModelSheet, who: string, reason: string) =>
    asked(() => $api<ModelSheet>('/api/sheets', { method: 'POST', body: { sheet, who, reason } }))
  const revise = (sheet: ModelSheet, from: number, who: string, reason: string) =>
    asked(() =>
      $api<ModelSheet>(`/api/sheets/${sheet.id}`, {
        method: 'PUT',
        body: { from, sheet, who, reason },
      }),
    )
  const importFile = (file: Blob) =>
    asked(() =>
      $api<Imported>('/api/sheets/import', {
        method: 'POST',
        body: file,
        headers: { 'content-type': 'application/json' },
      }),
    )
  const keepPicture = (file: Blob) =>
    asked(() => $api<{ id: string }>(`/api/sheet-pictures/${uuid()}`, { method: 'PUT', body: file }))

  return { list, failure, load, summary, nameOf, keep, view, revision, add, revise, importFile, keepPicture }
})

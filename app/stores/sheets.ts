import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { shallowRef } from 'vue'
import { SHEETS, type ModelSheet } from '../../core/sheet'
import type { SheetSummary, SheetView } from '../../shared/sheetFile'
import { failureOf, type Failure } from '../logic/failureWords'

const key = (id: string, revision: number) => `${id}@${revision}`
/** What ships is known without asking anybody. */
const SHIPPED: readonly SheetSummary[] = SHEETS.map(s => ({ ...s, adjusters: s.adjusters.length, steps: s.procedure.length, shipped: true, jobs: 0 }))

export interface Imported { readonly id: string, readonly revision: number, readonly kind: 'new' | 'revision' | 'same' }

/** Model sheets: the list, and every revision that somebody looked at. Revisions never change. */
export const useSheetsStore = defineStore('sheets', () => {
  const list = shallowRef<readonly SheetSummary[]>(SHIPPED)
  const known = new Map<string, ModelSheet>(SHEETS.map(s => [key(s.id, s.revision), s]))
  const failure = shallowRef<Failure | null>(null)

  async function asked<T>(ask: () => Promise<T>): Promise<T | null> {
    failure.value = null
    try {
      return await ask()
    }
    catch (error) {
      failure.value = failureOf(error)
      return null
    }
  }

  async function load() {
    list.value = await asked(() => $fetch<SheetSummary[]>('/api/sheets', { retry: 0, timeout: 8000 })) ?? list.value
  }
  const summary = (id: string) => list.value.find(s => s.id === id) ?? null
  const nameOf = (id: string) => summary(id)?.model ?? id

  function keep(sheet: ModelSheet): ModelSheet {
    known.set(key(sheet.id, sheet.revision), sheet)
    return sheet
  }
  const view = (id: string, revision?: number) => asked(async () => {
    const answer = await $fetch<SheetView>(`/api/sheets/${id}`, { query: revision ? { revision } : {}, retry: 0, timeout: 8000 })
    keep(answer.sheet)
    return answer
  })
  /** A revision, from memory if it was ever seen; null without an answer. */
  async function revision(id: string, number: number): Promise<ModelSheet | null> {
    return known.get(key(id, number)) ?? (await view(id, number))?.sheet ?? null
  }

  const add = (sheet: ModelSheet, who: string, reason: string) => asked(() => $fetch<ModelSheet>('/api/sheets', { method: 'POST', body: { sheet, who, reason }, retry: 0 }))
  const revise = (sheet: ModelSheet, from: number, who: string, reason: string) => asked(() => $fetch<ModelSheet>(`/api/sheets/${sheet.id}`, { method: 'PUT', body: { from, sheet, who, reason }, retry: 0 }))
  const importFile = (file: Blob) => asked(() => $fetch<Imported>('/api/sheets/import', { method: 'POST', body: file, headers: { 'content-type': 'application/json' }, retry: 0 }))
  const keepPicture = (file: Blob) => asked(() => $fetch<{ id: string }>(`/api/sheet-pictures/${uuid()}`, { method: 'PUT', body: file, retry: 0 }))

  return { list, failure, load, summary, nameOf, keep, view, revision, add, revise, importFile, keepPicture }
})

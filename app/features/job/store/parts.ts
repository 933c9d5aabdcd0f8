import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { ref, shallowRef } from 'vue'
import type { PartTested } from '#core/run'
import { failureOf, type Failure } from '~/data/failureWords'

/** Loose parts of the drawers, with how they were tested. */
export const usePartsStore = defineStore('parts', () => {
  const items = shallowRef<PartTested[] | null>(null)
  const failure = ref<Failure | null>(null)

  async function load() {
    try {
      items.value = await $api<PartTested[]>('/api/parts')
      failure.value = null
    } catch (error) {
      failure.value = failureOf(error)
    }
  }

  /** @returns whether it was kept */
  async function add(part: Omit<PartTested, 'id' | 'atMs'>): Promise<boolean> {
    try {
      await $api('/api/parts', {
        method: 'POST',
        body: { ...part, id: uuid(), atMs: Date.now() },
      })
      await load()
      return true
    } catch (error) {
      failure.value = failureOf(error)
      return false
    }
  }

  return { items, failure, load, add }
})

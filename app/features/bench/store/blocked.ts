import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { ref, shallowRef } from 'vue'
import type { BlockedPeriod } from '#core/work'
import { failureOf, type Failure } from '~/data/failureWords'

/** Weeks in which other work takes the bench. */
export const useBlockedStore = defineStore('blocked', () => {
  const items = shallowRef<BlockedPeriod[]>([])
  const failure = ref<Failure | null>(null)

  async function ask(request: () => Promise<BlockedPeriod[]>): Promise<boolean> {
    try {
      items.value = await request()
      failure.value = null
      return true
    } catch (error) {
      failure.value = failureOf(error)
      return false
    }
  }

  const load = () => ask(() => $fetch<BlockedPeriod[]>('/api/blocked-periods', { retry: 0, timeout: 8000 }))
  const add = (period: Omit<BlockedPeriod, 'id'>) =>
    ask(() =>
      $fetch<BlockedPeriod[]>('/api/blocked-periods', {
        method: 'POST',
        body: { ...period, id: uuid() },
        retry: 0,
      }),
    )
  const remove = (id: string) =>
    ask(() => $fetch<BlockedPeriod[]>(`/api/blocked-periods/${id}`, { method: 'DELETE', retry: 0 }))

  return { items, failure, load, add, remove }
})

import { $api } from '~/data/api'
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

  const load = () => ask(() => $api<BlockedPeriod[]>('/api/blocked-periods'))
  const add = (period: Omit<BlockedPeriod, 'id'>) =>
    ask(() =>
      $api<BlockedPeriod[]>('/api/blocked-periods', {
        method: 'POST',
        body: { ...period, id: uuid() },
      }),
    )
  const remove = (id: string) =>
    ask(() => $api<BlockedPeriod[]>(`/api/blocked-periods/${id}`, { method: 'DELETE' }))

  return { items, failure, load, add, remove }
})

import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Passkey } from '#shared/people'
import { $api } from '~/data/api'
import { failureOf, type Failure } from '~/data/failureWords'

/** Whoever is signed in, and the keys of his devices. */
export const usePasskeysStore = defineStore('passkeys', () => {
  const passkeys = shallowRef<Passkey[]>([])
  const failure = ref<Failure | null>(null)

  /** @returns whether it was done */
  async function attempt(work: () => Promise<Passkey[]>): Promise<boolean> {
    failure.value = null
    try {
      passkeys.value = await work()
      return true
    } catch (error) {
      failure.value = failureOf(error)
      return false
    }
  }
  const load = () => attempt(() => $api<Passkey[]>('/api/me/passkeys'))
  const add = (name: string, password: string) =>
    attempt(async () => {
      const { made } = await import('../logic/passkeys')
      const options = await $api('/api/me/passkeys/offer', { method: 'POST', body: { password } })
      const response = await made(options as Parameters<typeof made>[0])
      const body = { id: crypto.randomUUID(), name, response }
      return $api<Passkey[]>('/api/me/passkeys', { method: 'POST', body })
    })
  const remove = (id: string) =>
    attempt(() => $api<Passkey[]>(`/api/me/passkeys/${id}`, { method: 'DELETE' }))

  return { passkeys, failure, load, add, remove }
})

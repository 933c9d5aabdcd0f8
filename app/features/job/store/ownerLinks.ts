import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { HandoverLink, NewHandoverLink } from '#shared/handoverLink'
import type { WayIn } from '#shared/network'
import { $api } from '~/data/api'
import { failureOf, type Failure } from '~/data/failureWords'
import { isThisMachine } from '~/data/oneAddress'

/** The addresses by which the owner of the open job reads his copy. */
export const useOwnerLinksStore = defineStore('owner-links', () => {
  const links = shallowRef<readonly HandoverLink[]>([])
  const failure = shallowRef<Failure | null>(null)
  /** told once: the server keeps no more than its hash */
  const made = shallowRef<{ address: string; opensElsewhere: boolean } | null>(null)
  let asked = ''

  async function attempt(work: () => Promise<readonly HandoverLink[]>) {
    failure.value = null
    const jobId = asked
    try {
      const now = await work()
      if (jobId === asked) links.value = now
    } catch (error) {
      failure.value = failureOf(error)
    }
  }
  async function load(jobId: string) {
    if (asked !== jobId) links.value = []
    asked = jobId
    made.value = null
    await attempt(() => $api<HandoverLink[]>(`/api/jobs/${jobId}/links`))
  }
  const make = (jobId: string, days: number) =>
    attempt(async () => {
      const body = { id: crypto.randomUUID(), days }
      const path = `/api/jobs/${jobId}/links`
      const answer = await $api<NewHandoverLink>(path, { method: 'POST', body, repeatable: true })
      const base = await baseAddress()
      made.value = { address: base + answer.path, opensElsewhere: !isThisMachine(new URL(base).hostname) }
      return answer.links
    })
  const end = (id: string) =>
    attempt(() => $api<HandoverLink[]>(`/api/handover-links/${id}`, { method: 'DELETE' }))

  return { links, failure, made, load, make, end }
})

/** Where this page is shown to this machine only, an owner needs another address. */
async function baseAddress(): Promise<string> {
  if (!isThisMachine(location.hostname)) return location.origin
  const { addresses } = await $api<WayIn>('/api/network')
  return addresses[0] ?? location.origin
}

import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { AuditEntry, Person, Role } from '#shared/people'
import { $api } from '~/data/api'
import { failureOf, type Failure } from '~/data/failureWords'

/** The people of the workshop, for its owner. */
export const usePeopleStore = defineStore('people', () => {
  const people = ref<Person[]>([])
  const audit = ref<AuditEntry[]>([])
  const failure = ref<Failure | null>(null)

  /** @returns whether it went well; else `failure` says why it did not */
  async function attempt(work: () => Promise<Person[] | null>): Promise<boolean> {
    failure.value = null
    try {
      const now = await work()
      if (now) people.value = now
      audit.value = await $api<AuditEntry[]>('/api/audit')
      return true
    } catch (error) {
      failure.value = failureOf(error)
      return false
    }
  }
  const load = () => attempt(() => $api<Person[]>('/api/people'))
  const add = (person: { id: string; name: string; role: Role; password: string }) =>
    attempt(() => $api<Person[]>('/api/people', { method: 'POST', body: person }))
  const change = ({ id, name, role, active, version }: Person) =>
    attempt(() =>
      $api<Person[]>(`/api/people/${id}`, { method: 'PUT', body: { name, role, active, version } }),
    )
  const resetPassword = (id: string, password: string) =>
    attempt(() => $api(`/api/people/${id}/password`, { method: 'PUT', body: { password } }).then(() => null))

  return { people, audit, failure, load, add, change, resetPassword }
})

import { $api } from './api'
import { ENTERED_BY, MADE_BY_SHEET, NOBODY } from '#shared/people'
import { t } from '#shared/i18n'
import { personHere, traineeHere } from './whoIsHere'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { JobEvent } from '#core/run'
import { failureOf, type Failure } from './failureWords'
import { drop, keep, markRefused, waiting, type OutboxEntry } from './outboxDb'

const RETRY_MS = [500, 1000, 2000, 5000]
/** So often the server may fail over one entry before it is set aside. */
const MAX_FAILURES = 4

/** What waits never changes but for its refusal; keys count up and are not given twice. */
const isSame = (a: readonly OutboxEntry[], b: readonly OutboxEntry[]) =>
  a.length === b.length && a.every((e, i) => e.key === b[i]!.key && e.refused === b[i]!.refused)

/**
 * Carries events to the server, in order and exactly once: kept on disk first, sent until acknowledged, and
 * the server knows each id. A passing failure keeps the queue waiting; a refusal is set aside with its words.
 */
export const useOutboxStore = defineStore('outbox', () => {
  const entries = shallowRef<OutboxEntry[]>([])
  const trouble = ref<string | null>(null)
  let sending: Promise<void> | null = null
  let failures = 0
  /** how often the server failed over an entry, by its key */
  const failedOver = new Map<number, number>()
  const sentListeners = new Set<(entry: OutboxEntry) => void>()

  const unsent = computed(() => entries.value.filter(e => e.refused === null))
  const refused = computed(() => entries.value.filter(e => e.refused !== null))

  /** Ids of entries that are not stored and will not be in a moment: refused, or the server is away. */
  const stuck = computed(
    () =>
      new Set(entries.value.filter(e => e.refused !== null || trouble.value !== null).map(e => e.event.id)),
  )

  async function reload() {
    const now = await waiting()
    // Everything that is shown of a job is worked out again from a new list.
    if (!isSame(now, entries.value)) entries.value = now
  }

  /**
   * Resolves when the event is safe in this browser; sending goes on behind.
   * @param madeBy sheet that it speaks of; null = of none
   * @throws when the browser cannot keep it
   */
  async function append(jobId: string, event: JobEvent, madeBy: string | null = null) {
    await keep(jobId, event, { enteredBy: personHere.value, byTrainee: traineeHere.value, madeBy })
    await reload()
    void flush()
  }

  /** Sends what waits; whoever asks meanwhile waits for the same round. */
  function flush(): Promise<void> {
    sending ??= sendAll().finally(() => (sending = null))
    return sending
  }

  /** Sends what waits. @returns whether the server has stored this entry */
  async function sendNow(eventId: string): Promise<boolean> {
    await flush()
    return !entries.value.some(e => e.event.id === eventId)
  }

  async function sendAll() {
    await reload()
    for (let next = unsent.value.find(isOurs); next; next = unsent.value.find(isOurs)) {
      if (!(await send(next))) return
      await reload()
    }
    trouble.value = unsent.value.length > 0 ? t('frame.waitsForWhoEnteredIt') : null
    failures = 0
  }

  /** Somebody else's wait until he or she is here again: the record names who entered what. */
  const isOurs = ({ enteredBy }: OutboxEntry) => enteredBy === NOBODY || enteredBy === personHere.value

  /** @returns false when it is worth waiting */
  async function send(entry: OutboxEntry): Promise<boolean> {
    try {
      await $api(`/api/jobs/${entry.jobId}/events`, {
        method: 'POST',
        body: entry.event,
        headers: {
          [ENTERED_BY]: entry.enteredBy,
          ...(entry.madeBy === null ? {} : { [MADE_BY_SHEET]: entry.madeBy }),
        },
      })
      await drop(entry.key)
      sentListeners.forEach(tell => tell(entry))
      return true
    } catch (error) {
      const failure = failureOf(error)
      if (!failure.passing || isHopeless(entry.key, failure)) {
        await markRefused(entry, failure.words)
        return true
      }
      trouble.value = failure.words
      setTimeout(() => void flush(), RETRY_MS[Math.min(failures++, RETRY_MS.length - 1)])
      return false
    }
  }

  /** An entry that the server fails over again and again must not hold up all that come after it. */
  function isHopeless(key: number, { code }: Failure): boolean {
    if (code !== 'internal') return false
    const times = (failedOver.get(key) ?? 0) + 1
    failedOver.set(key, times)
    return times >= MAX_FAILURES
  }

  /** One that was set aside is sent once more. */
  async function sendAgain(key: number) {
    const entry = entries.value.find(e => e.key === key)
    if (!entry) return
    failedOver.delete(key)
    await markRefused(entry, null)
    await flush()
  }

  async function giveUp(key: number) {
    await drop(key)
    await reload()
  }

  function onSent(tell: (entry: OutboxEntry) => void) {
    sentListeners.add(tell)
    return () => sentListeners.delete(tell)
  }

  return {
    entries,
    unsent,
    refused,
    stuck,
    trouble,
    append,
    flush,
    sendNow,
    reload,
    sendAgain,
    giveUp,
    onSent,
  }
})

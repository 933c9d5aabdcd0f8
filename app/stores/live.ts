import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Quantity } from '../../core/quantity'
import { KEYED_ABOVE_W, NOT_KEYED, keyDownStep, keyDownView, type KeyDown } from '../../core/run'
import type { LiveHello, LiveLink, LivePoll } from '../../shared/live'
import { EMPTY_BOOK, bestEntry, freshness, withHello, withLink, withPoll, type LiveBook, type LiveEntry } from '../logic/liveBook'

const RECONNECT_MS = 1000
/** What the trend shows [ms]. */
const TREND_MS = 30_000
const TICK_MS = 200

/** Live readings of the bench, the key-down clock that measured RF drives, and a clock for "how old is this". */
export const useLiveStore = defineStore('live', () => {
  const book = shallowRef<LiveBook>(EMPTY_BOOK)
  const nowMs = ref(0)
  const connected = ref(false)
  const keyDown = shallowRef<KeyDown>(NOT_KEYED)
  const keyDownLimitS = ref<number | null>(null)
  const manualKey = ref(false)
  const trends = new Map<Quantity, { atMs: number, value: number }[]>()
  let source: EventSource | null = null
  let ticker: ReturnType<typeof setInterval> | null = null

  const links = computed(() => [...book.value.links.values()])
  const clock = computed(() => keyDownView(keyDown.value, keyDownLimitS.value, nowMs.value))

  function connect() {
    if (source) return
    tick()
    ticker ??= setInterval(tick, TICK_MS)
    source = new EventSource('/api/live')
    source.addEventListener('open', () => (connected.value = true))
    source.addEventListener('hello', e => take(JSON.parse(e.data) as LiveHello, withHello))
    source.addEventListener('link', e => take(JSON.parse(e.data) as LiveLink, withLink))
    source.addEventListener('poll', e => takePoll(JSON.parse(e.data) as LivePoll))
    source.addEventListener('error', () => {
      connected.value = false
      source?.close()
      source = null
      setTimeout(connect, RECONNECT_MS)
    })
  }

  function take<T>(message: T, into: (book: LiveBook, message: T) => LiveBook) {
    book.value = into(book.value, message)
    tick()
  }

  function takePoll(poll: LivePoll) {
    nowMs.value = Date.now()
    book.value = withPoll(book.value, poll)
    for (const r of poll.readings) {
      if (r.value === null) continue
      const trend = trends.get(r.quantity) ?? []
      trend.push({ atMs: poll.receivedAtMs, value: r.value })
      while (trend[0] && trend[0].atMs < poll.receivedAtMs - TREND_MS) trend.shift()
      trends.set(r.quantity, trend)
      if (r.quantity === 'powerW') followKey(r.value > KEYED_ABOVE_W)
    }
  }

  function followKey(keyed: boolean) {
    manualKey.value = false
    keyDown.value = keyDownStep(keyDown.value, keyed, nowMs.value)
  }

  /** The K key, for benches whose power meter does not talk. */
  function toggleKey() {
    manualKey.value = !manualKey.value
    keyDown.value = keyDownStep(keyDown.value, manualKey.value, Date.now())
  }

  function tick() {
    nowMs.value = Date.now()
    // A meter that fell silent cannot say that the key was let go.
    const power = bestEntry(book.value, 'powerW', nowMs.value)
    if (!manualKey.value && keyDown.value.keyedSinceMs !== null && power?.freshness !== 'live') keyDown.value = keyDownStep(keyDown.value, false, power?.entry.receivedAtMs ?? nowMs.value)
  }

  /** What may be taken: live and nothing else. */
  function liveOf(quantity: Quantity): LiveEntry | null {
    const best = bestEntry(book.value, quantity, Date.now())
    return best?.freshness === 'live' ? best.entry : null
  }

  function shown(quantity: Quantity) {
    return bestEntry(book.value, quantity, nowMs.value)
  }

  function trendOf(quantity: Quantity) {
    return trends.get(quantity) ?? []
  }

  function stop() {
    source?.close()
    source = null
    if (ticker) clearInterval(ticker)
    ticker = null
  }

  return { book, links, nowMs, connected, clock, keyDown, keyDownLimitS, connect, stop, toggleKey, liveOf, shown, trendOf, isFresh: (e: LiveEntry) => freshness(book.value, e, nowMs.value) === 'live' }
})

import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Quantity } from '../../core/quantity'
import { COLD, KEYED_ABOVE_W, NOT_KEYED, heatStep, heatView, keyDownStep, keyDownView, restOf, type Heat, type KeyDown } from '../../core/run'
import type { SetKind } from '../../core/sheet'
import type { LiveHello, LiveLink, LivePoll } from '../../shared/live'
import { EMPTY_BOOK, bestEntry, freshness, withHello, withLink, withPoll, type LiveBook, type LiveEntry } from '../logic/liveBook'
import { newTrends, withReading } from '../logic/trends'

const RECONNECT_MS = 1000
const TICK_MS = 200
/** A click of the relay is no key-down that anybody keeps [ms]. */
const LEAST_KEYED_MS = 300

/** One key-down, by the clock of the gateway: every screen that saw it says the same. */
export interface KeyedSpan { readonly fromMs: number, readonly untilMs: number }

/** Live readings of the bench, the key-down clock that measured RF drives, and a clock for "how old is this". */
export const useLiveStore = defineStore('live', () => {
  const book = shallowRef<LiveBook>(EMPTY_BOOK)
  const nowMs = ref(0)
  const connected = ref(false)
  const keyDown = shallowRef<KeyDown>(NOT_KEYED)
  const heat = shallowRef<Heat>(COLD)
  const keyDownLimitS = ref<number | null>(null)
  /** what stands on the bench decides rest and heat */
  const kind = ref<SetKind>('fm-mobile')
  /** step that is on the screen, for the record of seconds keyed */
  const stepAtHand = ref<string | null>(null)
  const manualKey = ref(false)
  const trends = newTrends()
  const keyedListeners = new Set<(span: KeyedSpan) => void>()
  let keyedFromMs: number | null = null
  let source: EventSource | null = null
  let ticker: ReturnType<typeof setInterval> | null = null

  const links = computed(() => [...book.value.links.values()])
  const clock = computed(() => keyDownView(keyDown.value, keyDownLimitS.value, nowMs.value, restOf(kind.value)))
  const warmth = computed(() => heatView(heat.value, keyDownLimitS.value, kind.value))

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
      withReading(trends, r.quantity, { atMs: poll.receivedAtMs, value: r.value })
      if (r.quantity === 'powerW') followKey(r.value > KEYED_ABOVE_W, poll.receivedAtMs)
    }
  }

  function followKey(keyed: boolean, atMs: number) {
    manualKey.value = false
    setKey(keyed, nowMs.value)
    if (keyed) keyedFromMs ??= atMs
    else if (keyedFromMs !== null) tellKeyed(atMs)
  }
  function tellKeyed(untilMs: number) {
    const span = { fromMs: keyedFromMs!, untilMs }
    keyedFromMs = null
    if (untilMs - span.fromMs >= LEAST_KEYED_MS) keyedListeners.forEach(tell => tell(span))
  }
  function setKey(keyed: boolean, atMs: number) {
    heat.value = heatStep(heat.value, keyDown.value.keyedSinceMs !== null, atMs, kind.value)
    keyDown.value = keyDownStep(keyDown.value, keyed, atMs)
  }

  /** The K key, for benches whose power meter does not talk. */
  function toggleKey() {
    manualKey.value = !manualKey.value
    setKey(manualKey.value, Date.now())
  }

  function tick() {
    nowMs.value = Date.now()
    heat.value = heatStep(heat.value, keyDown.value.keyedSinceMs !== null, nowMs.value, kind.value)
    // A meter that fell silent cannot say that the key was let go.
    const power = bestEntry(book.value, 'powerW', nowMs.value)
    if (manualKey.value || keyDown.value.keyedSinceMs === null || power?.freshness === 'live') return
    setKey(false, power?.entry.receivedAtMs ?? nowMs.value)
    if (keyedFromMs !== null && power) tellKeyed(power.entry.receivedAtMs)
  }

  /** What may be taken: live and nothing else. */
  function liveOf(quantity: Quantity): LiveEntry | null {
    const best = bestEntry(book.value, quantity, Date.now())
    return best?.freshness === 'live' ? best.entry : null
  }

  function shown(quantity: Quantity) {
    return bestEntry(book.value, quantity, nowMs.value)
  }

  function onKeyed(tell: (span: KeyedSpan) => void) {
    keyedListeners.add(tell)
    return () => keyedListeners.delete(tell)
  }

  function stop() {
    source?.close()
    source = null
    if (ticker) clearInterval(ticker)
    ticker = null
  }

  return {
    book, links, nowMs, connected, clock, warmth, keyDown, keyDownLimitS, kind, stepAtHand, connect, stop, toggleKey, liveOf, shown, onKeyed,
    trendOf: (q: Quantity) => trends.recent.get(q) ?? [], driftOf: (q: Quantity) => trends.long.get(q) ?? [], isFresh: (e: LiveEntry) => freshness(book.value, e, nowMs.value) === 'live',
  }
})

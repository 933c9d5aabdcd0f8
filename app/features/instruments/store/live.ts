import { defineStore } from 'pinia'
import { computed, readonly, ref, shallowRef } from 'vue'
import type { Quantity } from '#core/quantity'
import {
  COLD,
  NOT_KEYED,
  heatStep,
  heatView,
  keyDownStep,
  keyDownView,
  keyedBy,
  sensesKey,
  restOf,
  stretchNames,
  type Heat,
  type KeyDown,
  type KeyedBy,
  type RfSeen,
} from '#core/run'
import type { LivePoll } from '#shared/live'
import { newKeyedSpans, type KeyedSpan } from '~/features/align/logic/keyedSpans'
import {
  EMPTY_BOOK,
  bestEntry,
  freshness,
  withHello,
  withLink,
  withPoll,
  type LiveBook,
  type LiveEntry,
} from '../logic/liveBook'
import { openLive } from '../logic/liveConnection'
import { useBenchAtHand } from '../logic/useBenchAtHand'
import { newTrends, sinceChange, withReading } from '~/features/align/logic/trends'

const TICK_MS = 200
const KEY_SIGNS: readonly Quantity[] = ['powerW', 'supplyA', 'stageIdleA', 'plateA']
const NO_NAMES = { stretch: '', alike: '' }

/**
 * Live readings of the bench, the key-down clock that measured RF drives, and a clock for "how old is this".
 */
export const useLiveStore = defineStore('live', () => {
  const book = shallowRef<LiveBook>(EMPTY_BOOK)
  const nowMs = ref(0)
  const connected = ref(false)
  const keyDown = shallowRef<KeyDown>(NOT_KEYED)
  const heat = shallowRef<Heat>(COLD)
  /** K pressed by hand, for benches where nothing else shows the key */
  const manualKey = ref(false)
  /** key line of the simulated set; null = there is none */
  const keyLine = ref<boolean | null>(null)
  const { kind, currents, at, keyDownLimitS, stepAtHand, ...bench } = useBenchAtHand()
  const trends = newTrends()
  const keyedListeners = new Set<(span: KeyedSpan) => void>()
  /** how it is known that the set is keyed; null = nothing shows it */
  const keyed = ref<KeyedBy | null>(null)
  const spans = newKeyedSpans(span => keyedListeners.forEach(tell => tell(span)))
  let closeLive: (() => void) | null = null
  let ticker: ReturnType<typeof setInterval> | null = null

  const links = computed(() => [...book.value.links.values()])
  const clock = computed(() =>
    keyDownView(keyDown.value, keyDownLimitS.value, nowMs.value, restOf(kind.value)),
  )
  const warmth = computed(() => heatView(heat.value, keyDownLimitS.value, kind.value))

  function connect() {
    if (closeLive) return
    tick()
    ticker ??= setInterval(tick, TICK_MS)
    closeLive = openLive(news => {
      if (news.kind === 'hello') take(news.message, withHello)
      else if (news.kind === 'link') take(news.message, withLink)
      else if (news.kind === 'poll') takePoll(news.message)
      else connected.value = news.kind === 'open'
    })
  }

  function take<T>(message: T, into: (book: LiveBook, message: T) => LiveBook) {
    book.value = into(book.value, message)
    tick()
  }

  function takePoll(poll: LivePoll) {
    nowMs.value = Date.now()
    book.value = withPoll(book.value, poll)
    if (poll.readings.some(r => KEY_SIGNS.includes(r.quantity))) {
      followLive(poll.receivedAtMs)
      followKey(poll.receivedAtMs)
    }
    for (const r of poll.readings) {
      if (r.value === null) continue
      withReading(trends, r.quantity, {
        atMs: poll.receivedAtMs,
        value: r.value,
        ...namesOf(r.quantity, poll.instrument),
      })
    }
  }

  function namesOf(quantity: Quantity, instrument: string) {
    return at.value
      ? stretchNames(quantity, { ...at.value, keyed: keyed.value !== null }, instrument)
      : NO_NAMES
  }

  /** What tells the key now; a meter that fell silent says nothing. */
  function keySigns() {
    const live = (q: Quantity) => liveOf(q)?.value ?? null
    return {
      rfW: live('powerW'),
      supplyA: live('supplyA'),
      stageA: live('stageIdleA') ?? live('plateA'),
      keyLine: keyLine.value,
      byHand: manualKey.value,
    }
  }
  /** false = no instrument would show a keyed set: that nothing shows one means nothing */
  const keySensed = computed(() => nowMs.value > 0 && sensesKey(keySigns(), currents.value))
  /** Takes in what the signs say. @param atMs of the instruments' clock where one spoke */
  function followKey(atMs: number) {
    keyed.value = keyedBy(keySigns(), currents.value)
    // What shows the key by itself ends what was pressed by hand.
    if (keyed.value !== 'hand' && keyed.value !== null) manualKey.value = false
    setKey(keyed.value !== null, nowMs.value)
    spans.any(keyed.value !== null, atMs)
  }
  /** The key as the readings alone show it, by the clock of the gateway. */
  function followLive(atMs: number) {
    spans.live(keyedBy({ ...keySigns(), keyLine: null, byHand: false }, currents.value) !== null, atMs)
  }
  function setKey(keyed: boolean, atMs: number) {
    heat.value = heatStep(heat.value, keyDown.value.keyedSinceMs !== null, atMs, kind.value)
    keyDown.value = keyDownStep(keyDown.value, keyed, atMs)
  }

  /** The K key, for benches where nothing shows the key. */
  function toggleKey() {
    manualKey.value = !manualKey.value
    followKey(Date.now())
  }
  function setKeyLine(on: boolean | null) {
    if (keyLine.value === on) return
    keyLine.value = on
    followKey(Date.now())
  }

  function tick() {
    nowMs.value = Date.now()
    heat.value = heatStep(heat.value, keyDown.value.keyedSinceMs !== null, nowMs.value, kind.value)
    // A meter that fell silent cannot say that the key was let go: the last moment that it was seen counts.
    if (keyed.value === null || keyedBy(keySigns(), currents.value) !== null) return
    const lastSeenMs = bestEntry(book.value, 'powerW', nowMs.value)?.entry.receivedAtMs ?? nowMs.value
    followLive(lastSeenMs)
    followKey(lastSeenMs)
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
    closeLive?.()
    closeLive = null
    if (ticker) clearInterval(ticker)
    ticker = null
  }

  /** What is known of RF and key, for whoever asks whether a reading means anything. */
  const rfSeen = (): RfSeen => ({ rfW: liveOf('powerW')?.value ?? null, keyedBy: keyed.value })
  /**
   * Under what a quantity is read now; changes when anything does that it depends on, but for turns: a guide
   * waits for those.
   */
  function stretchOf(quantity: Quantity): string {
    const instrument = shown(quantity)?.entry.instrument ?? null
    return at.value
      ? stretchNames(quantity, { ...at.value, turns: 0, keyed: keyed.value !== null }, instrument).stretch
      : ''
  }

  return {
    book,
    links,
    nowMs,
    connected,
    clock,
    warmth,
    keyDown,
    keyed,
    keySensed,
    stepAtHand: readonly(stepAtHand),
    ...bench,
    connect,
    stop,
    toggleKey,
    setKeyLine,
    liveOf,
    shown,
    onKeyed,
    rfSeen,
    stretchOf,
    trendOf: (q: Quantity) => sinceChange(trends.recent.get(q) ?? []),
    driftOf: (q: Quantity) => trends.long.get(q) ?? [],
    isFresh: (e: LiveEntry) => freshness(book.value, e, nowMs.value) === 'live',
  }
})

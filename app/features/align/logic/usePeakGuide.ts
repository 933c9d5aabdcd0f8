import { powerDb } from '#core/quantity'
import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { NEW_GUIDE, guided, resumedGuide } from '#core/run'

/** A reading of the needle that is watched, as a level that is larger when it is better. */
export interface NeedleReading {
  readonly atMs: number
  readonly value: number
}

/** A change of the level between two readings that shows which way it goes [ratio]. */
const MOVING = 0.004

/**
 * Guides a hand to the peak of one core, from readings alone.
 * @param shown the reading itself, in its own unit, for the best so far
 */
export function usePeakGuide(reading: Ref<NeedleReading | null>, shown: () => number | null = () => null) {
  const on = ref(false)
  const guide = shallowRef(NEW_GUIDE)
  const best = ref<number | null>(null)
  const trend = ref<'up' | 'down' | 'level'>('level')
  let smooth: number | null = null
  const last = computed(() => guide.value.looks.at(-1) ?? null)
  const bestDb = computed(() =>
    guide.value.looks.length > 0 ? Math.max(...guide.value.looks.map(l => l.levelDb)) : null,
  )
  const nowDb = computed(() => (reading.value ? powerDb(Math.max(1e-12, reading.value.value)) : null))
  const belowDb = computed(() =>
    nowDb.value !== null && bestDb.value !== null ? Math.max(0, bestDb.value - nowDb.value) : null,
  )

  function begin() {
    guide.value = NEW_GUIDE
    smooth = null
    best.value = null
    on.value = true
  }
  function end() {
    on.value = false
  }
  /** Keyed again, or something changed: what was seen before is not compared with what comes. */
  function resume() {
    // Once it has said stop, the core is left alone.
    if (last.value?.word === 'stop') return
    guide.value = resumedGuide(guide.value)
    smooth = null
    best.value = null
    trend.value = 'level'
  }
  watch(reading, r => {
    if (!r) return
    const before = smooth ?? r.value
    smooth = before + (r.value - before) * 0.3
    const change = (smooth - before) / Math.max(1e-12, before)
    const moved = change > 0 ? 'up' : 'down'
    trend.value = Math.abs(change) > MOVING ? moved : 'level'
    // Once it has said stop, the core is left alone.
    if (!on.value || last.value?.word === 'stop') return
    const looks = guide.value.looks.length
    guide.value = guided(guide.value, r.atMs / 1000, r.value)
    // The level of the last look is the best one: so was the reading that stood then.
    if (guide.value.looks.length > looks && last.value!.levelDb === bestDb.value) best.value = shown()
  })

  return {
    on,
    last,
    best,
    belowDb,
    trend,
    looks: computed(() => guide.value.looks.length),
    begin,
    end,
    resume,
  }
}

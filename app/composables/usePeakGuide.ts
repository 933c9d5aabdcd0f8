import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { NEW_GUIDE, guided } from '../../core/run'

/** A reading of the needle that is watched. */
export interface NeedleReading { readonly atMs: number, readonly value: number }

/** Guides a hand to the peak of one core, from readings alone. */
export function usePeakGuide(reading: Ref<NeedleReading | null>) {
  const on = ref(false)
  const guide = shallowRef(NEW_GUIDE)
  const last = computed(() => guide.value.looks.at(-1) ?? null)
  const bestDb = computed(() => guide.value.looks.length > 0 ? Math.max(...guide.value.looks.map(l => l.levelDb)) : null)
  const belowDb = computed(() => last.value && bestDb.value !== null ? bestDb.value - last.value.levelDb : null)

  function begin() {
    guide.value = NEW_GUIDE
    on.value = true
  }
  function end() {
    on.value = false
  }
  watch(reading, (r) => {
    // Once it has said stop, the core is left alone.
    if (!on.value || !r || last.value?.word === 'stop') return
    guide.value = guided(guide.value, r.atMs / 1000, r.value)
  })

  return { on, last, belowDb, looks: computed(() => guide.value.looks.length), begin, end }
}

<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, nextTick, ref } from 'vue'
import type { BenchMove, BenchOrder, JobSummary } from '#shared/bench'
import { BENCHES } from '#shared/benches'
import { useDragBetween } from '../logic/useDragBetween'
import JobRow from '~/features/job/components/JobRow.vue'

/**
 * What lies on each bench and on the shelf; a row is moved by its handle, with the finger, the mouse or the
 * arrow keys.
 */
const props = defineProps<{ here: readonly JobSummary[]; nowMs: number }>()
const emit = defineEmits<{ move: [move: BenchMove] }>()
const PLACES = [
  ...BENCHES.map(b => ({
    bench: b as number | null,
    title: t('bench.bench', { b }),
    empty: t('bench.emptyDragASetHere'),
  })),
  { bench: null, title: t('bench.shelf'), empty: t('bench.noSetsWaiting') },
]
const lists = computed(() =>
  PLACES.map(p => ({ ...p, items: props.here.filter(i => i.job.bench === p.bench) })),
)

function tell(changed: (bench: number | null) => readonly JobSummary[]) {
  const listed = (of: (bench: number | null) => readonly JobSummary[]): BenchOrder =>
    PLACES.flatMap(p => of(p.bench).map(i => ({ id: i.job.id, bench: p.bench })))
  const now = (bench: number | null) => lists.value.find(l => l.bench === bench)!.items
  emit('move', { order: listed(changed), was: listed(now) })
}
const elements = ref<HTMLElement[]>([])
useDragBetween(elements, ({ fromList, fromPlace, toList, toPlace }) => {
  const orders = lists.value.map(l => [...l.items])
  const [item] = orders[fromList]!.splice(fromPlace, 1)
  if (item) orders[toList]!.splice(toPlace, 0, item)
  tell(b => orders[PLACES.findIndex(p => p.bench === b)]!)
})
function byKey(event: KeyboardEvent, item: JobSummary) {
  const at = PLACES.findIndex(p => p.bench === item.job.bench)
  const own = lists.value[at]!.items
  const from = own.indexOf(item)
  const step = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  if (step === undefined) return
  event.preventDefault()
  const to = from + step
  if (to >= 0 && to < own.length) {
    const moved = own.filter(i => i !== item)
    moved.splice(to, 0, item)
    tell(b => (b === item.job.bench ? moved : lists.value.find(l => l.bench === b)!.items))
  } else {
    const target = PLACES[at + step]
    if (!target) return
    tell(b => {
      const items = lists.value.find(l => l.bench === b)!.items.filter(i => i !== item)
      if (b === target.bench) {
        if (step > 0) return [item, ...items]
        return [...items, item]
      }
      return items
    })
  }
  const handle = event.currentTarget as HTMLElement
  void nextTick(
    () => document.querySelector<HTMLElement>(`[data-handle="${item.job.id}"]`)?.focus() ?? handle.focus(),
  )
}
</script>

<template>
  <section v-for="l in lists" :key="l.title" class="bench" :aria-label="l.title">
    <h2>{{ l.title }}</h2>
    <div ref="elements" class="list">
      <div v-for="i in l.items" :key="i.job.id" class="line">
        <button
          type="button"
          class="handle"
          :data-handle="i.job.id"
          :aria-label="t('bench.moveArrowUpArrowDown', { serial: i.job.serial })"
          :title="t('bench.dragOrArrowKeys')"
          @keydown="e => byKey(e, i)"
        >
          <svg viewBox="0 0 16 20" aria-hidden="true"><path d="M3 4h10M3 10h10M3 16h10" /></svg>
        </button>
        <JobRow v-bind="i" :now-ms="nowMs" />
      </div>
      <p v-if="l.items.length === 0" class="quiet empty">{{ l.empty }}</p>
    </div>
  </section>
</template>

<style scoped>
h2 {
  margin: 10px 0 0;
  font-size: 14px;
  color: var(--ink2);
}
.list {
  min-height: 20px;
}
.line {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr);
  align-items: center;
}
.handle {
  width: 44px;
  height: 56px;
  cursor: grab;
  color: var(--ink2);
  touch-action: none;
}
.handle svg {
  width: 16px;
  height: 20px;
  stroke: currentColor;
  stroke-width: 1.6;
}
.empty {
  margin: 4px 0 4px 48px;
}
</style>

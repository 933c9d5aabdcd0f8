import { computed, ref, watch } from 'vue'
import type { RowState } from '#core/run'
import { useBenchKeys } from './useBenchKeys'

/** Which row is at hand, and the keys that move between rows. `take` and `type` act on the active one. */
export function useMatrixPage(
  rows: () => readonly RowState[],
  act: {
    take: (pointId: string) => void
    type: (pointId: string, first: string) => void
    table: () => void
    undo: () => void
  },
) {
  const chosen = ref<string | null>(null)
  const firstOpen = () => rows().find(r => r.isOpen)?.point.id ?? rows()[0]?.point.id ?? ''
  const active = computed(() => chosen.value ?? firstOpen())

  function move(by: number) {
    const list = rows()
    const index = list.findIndex(r => r.point.id === active.value)
    chosen.value = list[Math.max(0, Math.min(list.length - 1, index + by))]?.point.id ?? null
  }

  // A row that is taken now hands over to the next open one; one that was complete before stays chosen.
  watch(
    () => ({ id: active.value, rowId: rows().find(r => r.point.id === active.value)?.row?.id }),
    (now, before) => {
      const isTaken = now.id === before.id && now.rowId !== before.rowId
      if (isTaken && rows().find(r => r.point.id === active.value)?.isOpen === false) chosen.value = null
    },
  )

  useBenchKeys({
    ' ': () => act.take(active.value),
    't': () => act.type(active.value, ''),
    'g': () => act.table(),
    'u': () => act.undo(),
    'ArrowDown': () => move(1),
    'ArrowUp': () => move(-1),
    ...Object.fromEntries([...'0123456789'].map(d => [d, () => act.type(active.value, d)])),
  })
  return { active, choose: (id: string) => (chosen.value = id) }
}

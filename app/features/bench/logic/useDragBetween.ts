import { onBeforeUnmount, onMounted, type Ref } from 'vue'
import type Sortable from 'sortablejs'

/** Where a row was taken and where it was put: place of its list, place within it. */
export interface Dragged {
  readonly fromList: number
  readonly fromPlace: number
  readonly toList: number
  readonly toPlace: number
}

/**
 * Rows dragged by their handle between lists, with mouse or finger. The page's own order is what counts: the
 * row goes back to where it was, and whoever listens changes the order.
 * @param lists every list's element, in order; rows carry the class "line", handles the class "handle"
 */
export function useDragBetween(lists: Ref<readonly HTMLElement[]>, moved: (drag: Dragged) => void) {
  let made: Sortable[] = []
  let gone = false
  onBeforeUnmount(() => {
    gone = true
    made.forEach(s => s.destroy())
  })
  onMounted(async () => {
    const { default: Sorting } = await import('sortablejs')
    if (gone) return
    let next: Node | null = null
    made = lists.value.map(list =>
      Sorting.create(list, {
        group: 'bench',
        handle: '.handle',
        draggable: '.line',
        animation: 120,
        onStart: e => {
          next = e.item.nextSibling
        },
        onEnd: e => {
          e.from.insertBefore(e.item, next)
          const fromList = lists.value.indexOf(e.from)
          const toList = lists.value.indexOf(e.to)
          if (fromList >= 0 && toList >= 0)
            moved({ fromList, fromPlace: e.oldDraggableIndex!, toList, toPlace: e.newDraggableIndex! })
        },
      }),
    )
  })
}

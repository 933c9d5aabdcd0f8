import { ON_OFF } from './onOff'
import { useLocalStorage } from '@vueuse/core'
import { watch, type Ref } from 'vue'
import type { RunPosition } from '#shared/jobLive'
import { SCREEN } from '~/features/job/logic/useJobLive'

const KEY = 'diapason-follow'
/** A phone in the hand follows the screen on the bench unless told otherwise [px]. */
const PHONE_PX = 700

/**
 * Two screens of one run: each tells where it is, and one that follows goes there.
 * @param at of this screen
 * @param told by another screen
 */
export function useFollowing(
  at: () => { stepId: string; pointId: string },
  told: Ref<RunPosition | null>,
  send: (position: RunPosition) => void,
  go: (stepId: string, pointId: string) => void,
) {
  const following = useLocalStorage(KEY, window.innerWidth < PHONE_PX, ON_OFF)
  watch(
    () => `${at().stepId} ${at().pointId}`,
    () => {
      const { stepId, pointId } = at()
      const there = told.value
      if (there?.stepId !== stepId || there.pointId !== pointId) send({ stepId, pointId, screen: SCREEN })
    },
  )
  watch([told, following], () => {
    if (following.value && told.value) go(told.value.stepId, told.value.pointId)
  })
  function toggle() {
    following.value = !following.value
  }
  return { following, toggle }
}

<script setup lang="ts">
import { t } from '#shared/i18n'
import type { Mark } from '#shared/words/verdictWords'

/**
 * A state by its shape; colour only repeats it. Its word is that of a verdict: where it marks anything else the
 * text beside it says the state, and the mark is hidden from readers of the screen.
 */
const props = withDefaults(defineProps<{ mark: Mark; size?: number }>(), { size: 14 })
const WORDS: Record<Mark, string> = {
  'inside': t('frame.within'),
  'above': t('common.above'),
  'below': t('common.below'),
  'cannot-tell': t('common.cannotTell'),
  'stale': t('frame.recheck'),
  'unjudged': t('frame.measuredNotJudged'),
  'none': t('common.notMeasured'),
  'partial': t('frame.inProgress'),
  'skipped': t('common.skipped'),
}
</script>

<template>
  <svg
    class="state-mark"
    :width="props.size"
    :height="props.size"
    viewBox="0 0 14 14"
    role="img"
    :aria-label="WORDS[mark]"
  >
    <circle v-if="mark === 'inside'" cx="7" cy="7" r="6" fill="var(--in)" />
    <path v-else-if="mark === 'above'" d="M7 1 13.200 12.500H.8z" fill="var(--out)" />
    <path v-else-if="mark === 'below'" d="M7 13 .8 1.500h12.400z" fill="var(--out)" />
    <path
      v-else-if="mark === 'cannot-tell'"
      d="M7 1 13 7 7 13 1 7z"
      fill="none"
      stroke="var(--unsure)"
      stroke-width="1.800"
    />
    <circle
      v-else-if="mark === 'stale'"
      cx="7"
      cy="7"
      r="5.200"
      fill="none"
      stroke="var(--ink2)"
      stroke-width="1.800"
      stroke-dasharray="2.600 2"
    />
    <path
      v-else-if="mark === 'partial'"
      d="M7 2.500a4.500 4.500 0 1 0 0 9z M7 2.500a4.500 4.500 0 0 1 0 9"
      fill="none"
      stroke="var(--ink2)"
      stroke-width="1.600"
    />
    <circle v-else-if="mark === 'unjudged'" cx="7" cy="7" r="3.500" fill="var(--ink2)" />
    <path v-else-if="mark === 'skipped'" d="M2 7h10" stroke="var(--ink2)" stroke-width="2" />
    <circle v-else cx="7" cy="7" r="3.500" fill="none" stroke="var(--ink2)" stroke-width="1.600" />
  </svg>
</template>

<style scoped>
.state-mark {
  flex: none;
}
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'
/** A field of the sheet that can be corrected by a press; one that was corrected says so. */
defineProps<{ label: string; text: string; mark: string | null }>()
const emit = defineEmits<{ amend: [] }>()
</script>

<template>
  <dt>{{ label }}</dt>
  <dd>
    <button type="button" :aria-label="t('align.correctOrConfirmIt', { label, text })" @click="emit('amend')">
      {{ text || t('align.notKnown') }}</button><span v-if="mark" class="mark">{{ mark }}</span>
  </dd>
</template>

<style scoped>
dt {
  color: var(--ink2);
  padding: 3px 0;
}
dd {
  margin: 0;
}
button {
  color: var(--ink);
  border-bottom: 1px dotted var(--edge);
  padding: 3px 0;
  text-align: left;
  min-height: 28px;
}
@media (pointer: coarse) {
  button {
    min-height: 44px;
  }
}
.mark {
  display: block;
  font-size: 12px;
  color: var(--unsure);
}
</style>

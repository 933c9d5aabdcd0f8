<script setup lang="ts">
import { t } from '#shared/i18n'

/** Recordings that are open, one of them looked at and one compared with it. */
defineProps<{
  open: readonly { readonly key: string; readonly name: string }[]
  shownKey: string | null
  againstKey: string | null
}>()
const emit = defineEmits<{ show: [key: string]; compare: [key: string]; close: [key: string] }>()
</script>

<template>
  <div class="tabs" role="group" :aria-label="t('signals.openRecordings')">
    <span v-for="r in open" :key="r.key" class="tab" :class="{ on: r.key === shownKey }"
      ><button type="button" :aria-pressed="r.key === shownKey" @click="emit('show', r.key)">
        {{ r.name }}</button
      ><button
        v-if="r.key !== shownKey"
        type="button"
        :aria-pressed="r.key === againstKey"
        @click="emit('compare', r.key)"
      >
        {{ againstKey === r.key ? t('signals.compared') : t('signals.compare') }}</button
      ><button type="button" :aria-label="t('signals.close', { name: r.name })" @click="emit('close', r.key)">
        &times;
      </button></span
    >
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  margin-top: 14px;
}
.tab button {
  min-height: 44px;
  min-width: 40px;
  padding: 0 10px;
  color: var(--ink);
}
.tab.on button:first-child {
  font-weight: 650;
  color: var(--accent);
}
</style>

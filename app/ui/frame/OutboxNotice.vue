<script setup lang="ts">
import { eventWords } from '#shared/words/eventWords'
import { t } from '#shared/i18n'
import { ref } from 'vue'
import type { JobEvent } from '#core/run'

/** What waits in this browser, and what the server refused. Nothing disappears without a decision. */
defineProps<{
  waiting: number
  trouble: string | null
  refused: readonly { key: number; event: JobEvent; refused: string | null }[]
}>()
const emit = defineEmits<{ giveUp: [key: number]; sendAgain: [key: number] }>()
const shown = ref(false)
</script>

<template>
  <div v-if="trouble || refused.length > 0" class="notice no-print" role="status">
    <p v-if="trouble">
      <b>{{ t('frame.entriesNotSentYetTheyAre', { waiting }) }}</b>
      {{ trouble }}
    </p>
    <template v-if="refused.length > 0">
      <p>
        <b>{{ t('frame.theServerRejectedEntries', { count: refused.length }) }}</b>
        {{ t('frame.theyAreStillStoredHere', { count: refused.length }) }}
        <button type="button" @click="shown = !shown">{{ shown ? t('frame.hide') : t('frame.show') }}</button>
      </p>
      <ul v-if="shown">
        <li v-for="r in refused" :key="r.key">
          {{ eventWords(r.event) }}: {{ r.refused }}
          <button type="button" @click="emit('sendAgain', r.key)">{{ t('common.tryAgain') }}</button>
          <button type="button" @click="emit('giveUp', r.key)">{{ t('common.discard') }}</button>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.notice {
  border-left: 4px dashed var(--unsure);
  background: var(--sheet);
  padding: 8px 16px;
  font-size: 14px;
  border-bottom: 1px solid var(--line2);
}
.notice p {
  margin: 0;
}
.notice button {
  color: var(--accent);
  text-decoration: underline;
  min-height: 44px;
  padding: 0 8px;
}
</style>

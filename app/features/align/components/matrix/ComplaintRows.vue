<script setup lang="ts">
import { computed } from 'vue'
import { complaintRows } from '#core/claims'
import type { RowState } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { t } from '#shared/i18n'
import { topicWords } from '#shared/words/quantityWords'

/** Rows that settle what the owner complains of, as his words have it: where to begin. */
const props = defineProps<{ sheet: ModelSheet; complaint: string; rows: readonly RowState[] }>()
const emit = defineEmits<{ select: [pointId: string] }>()
const AT_MOST = 4
const found = computed(() =>
  complaintRows(props.sheet, props.complaint).map(({ topic, said, rowIds }) => {
    const rows = props.rows.filter(r => rowIds.includes(r.point.id))
    return { topic, said, rows: rows.slice(0, AT_MOST), more: Math.max(0, rows.length - AT_MOST) }
  }),
)
</script>

<template>
  <section v-if="found.length > 0" class="complaint no-print" :aria-label="t('align.complaintRows')">
    <p v-for="f in found" :key="f.topic">
      {{ t('align.wordsPointTo', { said: f.said, topic: topicWords(f.topic) }) }}
      <button v-for="r in f.rows" :key="r.point.id" type="button" @click="emit('select', r.point.id)">
        {{ r.point.title }}
      </button>
      <span v-if="f.more > 0" class="quiet">{{ t('align.moreRows', { count: f.more }) }}</span>
    </p>
  </section>
</template>

<style scoped>
p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 16px;
  margin: 0;
}
button {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  color: var(--accent);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>

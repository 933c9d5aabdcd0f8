<script setup lang="ts">
import { t } from '#shared/i18n'
import type { OpenItem } from '#core/run'
import { itemWords, itemTitle, itemDetail } from '#shared/words/itemWords'
import StateMark from '~/ui/gauge/StateMark.vue'

defineProps<{ items: readonly OpenItem[] }>()
const emit = defineEmits<{ settle: [itemId: string] }>()
</script>

<template>
  <p v-if="items.length === 0" class="quiet">{{ t('job.noOpenItems') }}</p>
  <ul v-else class="items">
    <li v-for="i in items" :key="i.id">
      <StateMark aria-hidden="true" :mark="i.settled ? 'inside' : 'none'" />
      <span
        ><b>{{ itemTitle(i) }}</b
        >{{ ' ' }} <span class="quiet">{{ itemWords(i) }}{{ i.detail ? `: ${itemDetail(i)}` : '' }}</span
        ><template v-if="i.settled"><br />{{ t('job.closed', { settled: i.settled }) }}</template></span
      >
      <v-btn v-if="!i.settled" class="no-print" size="small" height="44" @click="emit('settle', i.id)">{{
        t('job.close')
      }}</v-btn>
    </li>
  </ul>
</template>

<style scoped>
.items {
  list-style: none;
  padding: 0;
  margin: 0;
}
.items li {
  display: grid;
  grid-template-columns: 20px 1fr auto;
  gap: 12px;
  align-items: center;
  min-height: 46px;
  border-bottom: 1px solid var(--line);
  padding: 4px 0;
}
</style>

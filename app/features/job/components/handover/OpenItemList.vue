<script setup lang="ts">
import { computed } from 'vue'
import { t, type MessageCode } from '#shared/i18n'
import { itemGroups, type ItemGroup, type OpenItem } from '#core/run'
import { itemDetail, itemTitle, itemWords, manyWords } from '#shared/words/itemWords'
import StateMark from '~/ui/gauge/StateMark.vue'

/** Open items by where they come from; many of a kind are one line, and what is closed is folded away. */
const props = defineProps<{ items: readonly OpenItem[] }>()
const emit = defineEmits<{ settle: [itemIds: string[]] }>()
const GROUP_WORDS: Readonly<Record<ItemGroup, MessageCode>> = {
  seen: 'job.itemsSeen',
  asked: 'job.itemsAsked',
  due: 'job.itemsDue',
  owed: 'job.itemsOwed',
}
const groups = computed(() => itemGroups(props.items))
const closed = computed(() => props.items.filter(i => i.settled !== null))
const said = (i: OpenItem) => [itemWords(i), itemDetail(i)].filter(Boolean).join(': ')
</script>

<template>
  <p v-if="items.length === 0" class="quiet">{{ t('job.noOpenItems') }}</p>
  <template v-for="g in groups" :key="g.group">
    <h3>{{ t(GROUP_WORDS[g.group]) }}</h3>
    <ul class="items">
      <li v-for="l in g.lines" :key="l.items[0]!.id">
        <StateMark aria-hidden="true" mark="none" />
        <span v-if="l.common === null"
          ><b>{{ itemTitle(l.items[0]!) }}</b
          >{{ ' ' }} <span class="quiet">{{ said(l.items[0]!) }}</span></span
        >
        <details v-else>
          <summary>
            <b>{{ manyWords(l.common, l.items.length) }}</b>
          </summary>
          <p v-for="i in l.items" :key="i.id">
            {{ itemTitle(i) }}{{ ' ' }}<span class="quiet">{{ itemDetail(i) }}</span>
            <v-btn class="no-print" variant="text" height="44" @click="emit('settle', [i.id])">{{
              t('job.close')
            }}</v-btn>
          </p>
        </details>
        <v-btn
          class="no-print"
          height="44"
          @click="
            emit(
              'settle',
              l.items.map(i => i.id),
            )
          "
          >{{ l.common === null ? t('job.close') : t('job.closeAll', { count: l.items.length }) }}</v-btn
        >
      </li>
    </ul>
  </template>
  <details v-if="closed.length > 0" class="closed">
    <summary>{{ t('job.closedItems', { count: closed.length }) }}</summary>
    <ul class="items">
      <li v-for="i in closed" :key="i.id">
        <span class="wide"
          ><b>{{ itemTitle(i) }}</b
          >{{ ' ' }} <span class="quiet">{{ said(i) }}</span><br />{{
            t('job.closed', { settled: i.settled! })
          }}</span
        >
      </li>
    </ul>
  </details>
</template>

<style scoped>
h3 {
  margin: 14px 0 2px;
  font-size: 15px;
}
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
details p {
  margin: 0;
}
summary {
  min-height: 44px;
  display: list-item;
  align-content: center;
  cursor: pointer;
}
.wide {
  grid-column: 1 / 3;
}
.closed {
  margin-top: 12px;
}
/* On paper nothing is folded away. */
@media print {
  details::details-content {
    content-visibility: visible;
    block-size: auto;
  }
}
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'
import { reactive, ref } from 'vue'
import { ITEM_STATES, type ItemInspected } from '#core/run'
import type { InspectedItem } from '#core/work'
import { ITEM_STATE_WORDS } from '#shared/words/workWords'
import { BAD_LOOKS } from '../../logic/badLooks'
import type { NewWorkEvent } from '../../logic/useEventForm'
import BadLooks from './BadLooks.vue'

/** What is looked at, item by item: one press says how it is, words come with it where they are needed. */
const props = defineProps<{ items: readonly InspectedItem[] }>()
const emit = defineEmits<{ send: [event: NewWorkEvent] }>()
const notes = ref<Record<string, string>>({})
/** Items that are OK and that somebody wants to write at all the same, or to photograph. */
const opened = reactive(new Set<string>())
const hasFields = ({ item, last }: InspectedItem) =>
  last !== null && (last.state !== 'fine' || last.text !== '' || opened.has(item.id))

function say(item: InspectedItem, state: ItemInspected['state']) {
  emit('send', {
    kind: 'item-inspected',
    itemId: item.item.id,
    state,
    text: notes.value[item.item.id] ?? item.last?.text ?? '',
  })
}
function keepNote(item: InspectedItem) {
  const text = notes.value[item.item.id]
  if (item.last && text !== undefined && text !== item.last.text)
    emit('send', { kind: 'item-inspected', itemId: item.item.id, state: item.last.state, text })
}
function restFine() {
  for (const i of props.items.filter(x => x.last === null)) say(i, 'fine')
}
</script>

<template>
  <section :aria-label="t('job.inspection')">
    <div class="top">
      <h2>{{ t('job.inspection') }}</h2>
      <span class="quiet">{{
        t('job.ofChecked', { checked: items.filter(i => i.last).length, total: items.length })
      }}</span><v-btn v-if="items.some(i => i.last === null)" size="small" @click="restFine">{{
        t('job.markTheRestOk')
      }}</v-btn>
    </div>
    <ol class="list">
      <li v-for="i in items" :key="i.item.id" :data-item="i.item.id" :data-state="i.last?.state ?? 'open'">
        <div>
          <b>{{ i.item.lookFor }}</b><br /><span class="quiet">{{
            t('job.bad', {
              good: i.item.good,
              bad: i.item.bad,
              what: i.item.needsConsent ? t('job.treatmentNeedsTheOwnersConsent') : '',
            })
          }}</span>
          <button
            v-if="i.last && !hasFields(i)"
            type="button"
            class="more no-print"
            :aria-label="t('job.writeAtItem', { lookFor: i.item.lookFor })"
            @click="opened.add(i.item.id)"
          >
            {{ t('job.noteOrPhoto') }}
          </button>
        </div>
        <BadLooks v-if="BAD_LOOKS[i.item.id]" :looks="BAD_LOOKS[i.item.id]!" />
        <div class="states" role="group" :aria-label="i.item.lookFor">
          <button
            v-for="s in ITEM_STATES"
            :key="s"
            type="button"
            :aria-pressed="i.last?.state === s"
            :class="{ on: i.last?.state === s }"
            @click="say(i, s)"
          >
            {{ t(ITEM_STATE_WORDS[s]) }}
          </button>
        </div>
        <input
          v-if="i.last && hasFields(i)"
          :value="notes[i.item.id] ?? i.last.text"
          :aria-label="t('job.noteOn', { lookFor: i.item.lookFor })"
          :placeholder="t('job.findingOrWorkDone')"
          maxlength="2000"
          @input="notes[i.item.id] = ($event.target as HTMLInputElement).value"
          @change="keepNote(i)"
        />
        <div v-if="hasFields(i)" class="photos"><slot :item="i.item" /></div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.top {
  display: flex;
  gap: 16px;
  align-items: baseline;
  margin-top: 22px;
}
.top h2 {
  margin: 0;
}
.list {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
  border-top: 1px solid var(--line2);
}
.list li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 2px 20px;
  align-items: center;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
  line-height: 1.3;
}
.quiet {
  font-size: 13px;
}
.states {
  display: flex;
  grid-column: 3;
}
.more {
  margin-left: 8px;
  font-size: 13px;
  color: var(--accent);
  text-decoration: underline;
}
@media (pointer: coarse) {
  .more {
    min-height: 44px;
  }
}
.states button {
  font-size: 14px;
  min-width: 82px;
  min-height: 44px;
  border: 1px solid var(--edge);
  border-left-width: 0;
  background: var(--paper);
  color: var(--ink2);
}
.states button:first-child {
  border-left-width: 1px;
  border-radius: 6px 0 0 6px;
}
.states button:last-child {
  border-radius: 0 6px 6px 0;
}
.states button.on {
  background: var(--accent);
  border-color: var(--accent);
  color: var(--paper);
  font-weight: 650;
}
input,
.photos {
  grid-column: 1 / -1;
}
@media (max-width: 760px) {
  .list li {
    grid-template-columns: 1fr;
  }
  .states {
    grid-column: 1;
  }
  .states button {
    flex: 1;
    min-width: 0;
  }
}
</style>

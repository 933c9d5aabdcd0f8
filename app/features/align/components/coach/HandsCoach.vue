<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import type { StepAction } from '#core/sheet'
import { actionWords } from '#shared/words/sheetWords'
import KeySequence from './KeySequence.vue'

/** What the hands do before the reading; keys in time and held keys are shown large, one after the other. */
const props = defineProps<{
  actions: readonly StepAction[]
  originals: readonly { readonly entry: string; readonly words: string }[]
}>()
const running = ref<StepAction | null>(null)
const timed = (a: StepAction) => a.kind === 'keys' || a.kind === 'hold'
const rereads = (a: StepAction) =>
  a.kind === 'power-cycle' ? props.originals.filter(o => a.reread.includes(o.entry)) : []
</script>

<template>
  <ul class="hands" :aria-label="t('align.byHand')">
    <li v-for="(a, i) in actions" :key="i">
      <span
        >{{ actionWords(a)
        }}<span v-for="o in rereads(a)" :key="o.entry" class="fig"
          >{{ ' ' }}{{ t('align.mustRead', { entry: o.entry, words: o.words }) }}</span
        ></span
      >{{ ' ' }}
      <v-btn v-if="timed(a)" height="44" @click="running = a">{{ t('align.enlarge') }}</v-btn>
    </li>
    <KeySequence v-if="running" :action="running" @close="running = null" />
  </ul>
</template>

<style scoped>
.hands {
  list-style: none;
  padding: 0;
  margin: 8px 0;
  border-left: 4px solid var(--accent);
  padding-left: 14px;
}
li {
  display: flex;
  gap: 14px;
  align-items: center;
  min-height: 44px;
  font-size: 17px;
}
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { CoreError } from '../../../../core/errors'
import { parseTyped, showPlain, type Quantity } from '../../../../core/quantity'
import { menuState, type MenuGoal, type MenuReading } from '../../../../core/run'
import { codeWords, menuWords } from '../../../../shared/words/coachWords'
import CoachLine from './CoachLine.vue'

/** Menu values: what was read with which, the one to write next, and the one to go back to. */
const props = defineProps<{ entry: string, readings: readonly MenuReading[], goal: MenuGoal | null, quantity: Quantity, original: number | null, canTake: boolean }>()
const emit = defineEmits<{ take: [code: number] }>()
const text = ref('')
const problem = ref('')
const code = computed(() => {
  if (text.value.trim() === '') return null
  try {
    return parseTyped(text.value, 'menuCode').value
  }
  catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
})
const state = computed(() => props.goal ? menuState(props.readings, props.goal, code.value) : null)
const shown = (value: number) => showPlain(value, props.quantity)
const words = computed(() => state.value?.proposal ? menuWords(state.value.proposal, shown) : { say: `Entry ${props.entry}: type the value that stands there`, how: 'then key and take the reading: value and reading are kept together' })
function take() {
  problem.value = ''
  if (code.value === null) return void (problem.value = text.value.trim() === '' ? 'Type the menu value first: without it the reading cannot be set again.' : 'That is no menu value: 5E, 0x5E or 5Eh.')
  emit('take', code.value)
}
const propose = () => state.value?.proposal && (text.value = state.value.proposal.code.toString(16).toUpperCase().padStart(2, '0'))
</script>

<template>
  <section aria-label="Menu values">
    <CoachLine :say="words.say" :how="words.how" :tone="state?.proposal?.why === 'there' ? 'good' : 'plain'">
      <p v-if="state?.tooHigh" class="warn" role="alert"><b>{{ codeWords(code!) }} would pass the limit:</b> about {{ shown(state.expected!) }}. Do not write it.</p>
      <p v-else-if="state?.expected != null && code !== null" class="quiet mb-0">{{ codeWords(code) }} should read about {{ shown(state.expected) }}</p>
    </CoachLine>
    <div class="line">
      <label>Value in the menu <input v-model="text" class="fig" maxlength="8" aria-label="value in the menu, hexadecimal" @keydown.enter.prevent="take"></label>
      <v-btn height="44" variant="flat" color="primary" :disabled="!canTake" @click="take">Take at this value</v-btn>
      <v-btn v-if="state?.proposal && state.proposal.why !== 'there'" height="44" @click="propose">Use the proposal</v-btn>
      <span v-if="original !== null" class="quiet">was <b class="fig">{{ codeWords(original) }}</b> as found: the way back</span>
    </div>
    <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
    <p v-if="readings.length > 0" class="quiet">read: <span v-for="(r, i) in readings" :key="i" class="fig">{{ i ? ', ' : '' }}{{ codeWords(r.code) }} {{ shown(r.value) }}</span></p>
  </section>
</template>

<style scoped>
.line { display: flex; gap: 10px; align-items: center; flex-wrap: wrap; } input { width: 110px; height: 46px; font-size: 20px; padding: 0 10px; border: 1.5px solid var(--edge); border-radius: 6px; background: var(--sheet); color: var(--ink); margin-left: 6px; }
.warn { color: var(--out); margin: 4px 0 0; } p { margin: 4px 0; }
</style>

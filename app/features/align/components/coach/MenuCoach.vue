<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import { CoreError } from '#core/errors'
import { parseMenuValue, showMenuValue, showPlain, type MenuFormat, type Quantity } from '#core/quantity'
import { menuState, type MenuGoal, type MenuReading } from '#core/run'
import { codeWords, menuWords } from '#shared/words/coachWords'
import CoachLine from './CoachLine.vue'

/** Menu values: what was read with which, the one to write next, and the one to go back to. */
const props = defineProps<{
  entry: string
  readings: readonly MenuReading[]
  goal: MenuGoal | null
  quantity: Quantity
  original: number | null
  canTake: boolean
  /** as the set writes it */
  format: MenuFormat
}>()
const emit = defineEmits<{ take: [code: number] }>()
const text = ref('')
const problem = ref('')
const code = computed(() => {
  if (text.value.trim() === '') return null
  try {
    return parseMenuValue(text.value, props.format)
  } catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
})
const state = computed(() => (props.goal ? menuState(props.readings, props.goal, code.value) : null))
const shown = (value: number) => showPlain(value, props.quantity)
const words = computed(() =>
  state.value?.proposal
    ? menuWords(state.value.proposal, shown, props.format, props.goal?.isBoundKnown)
    : {
        say: t('align.entryTypeItsPresentValue', { entry: props.entry }),
        how: t('align.thenKeyAndTakeTheReading'),
      },
)
function take() {
  problem.value = ''
  if (code.value === null)
    return void (problem.value =
      text.value.trim() === ''
        ? t('align.typeTheMenuValueFirstWithout')
        : t('align.notAMenuValueTypeOne', {
            min: showMenuValue(props.format.min, props.format),
            max: showMenuValue(props.format.max, props.format),
          }))
  emit('take', code.value)
}
const propose = () =>
  state.value?.proposal &&
  (text.value = showMenuValue(state.value.proposal.code, props.format).replace('\u2212', '-'))
</script>

<template>
  <section :aria-label="t('align.menuValues')">
    <CoachLine :say="words.say" :how="words.how" :tone="state?.proposal?.why === 'there' ? 'good' : 'plain'">
      <p v-if="state?.tooHigh" class="warn" role="alert">
        <b>{{ t('align.doNotSet', { code: codeWords(code!, format) }) }}</b>
        {{ t('align.itWouldExceedTheLimitAbout', { expected: shown(state.expected!) }) }}
      </p>
      <p v-else-if="state?.expected != null && code !== null" class="quiet mb-0">
        {{ t('align.shouldReadAbout', { code: codeWords(code, format), expected: shown(state.expected) }) }}
      </p>
    </CoachLine>
    <div class="line">
      <label
        >{{ t('align.menuValue') }}
        <input
          v-model="text"
          class="fig"
          maxlength="12"
          :aria-label="format.radix === 16 ? t('align.menuValueHexadecimal') : t('common.menuValue')"
          @keydown.enter.prevent="take"
      /></label>
      <v-btn height="44" variant="flat" color="primary" :disabled="!canTake" @click="take">{{
        t('align.takeReadingAtThisValue')
      }}</v-btn>
      <v-btn v-if="state?.proposal && state.proposal.why !== 'there'" height="44" @click="propose">{{
        t('align.useProposedValue')
      }}</v-btn>
      <span v-if="original !== null" class="quiet"
        >{{ t('align.was') }} <b class="fig">{{ codeWords(original, format) }}</b>
        {{ t('align.asFoundStartingValue') }}</span
      >
    </div>
    <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
    <p v-if="readings.length > 0" class="quiet">
      {{ t('align.readValue') }}
      <span v-for="(r, i) in readings" :key="i" class="fig"
        >{{ i ? ', ' : '' }}{{ codeWords(r.code, format) }} {{ shown(r.value) }}</span
      >
    </p>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
input {
  width: 110px;
  font-size: 20px;
  margin-left: 6px;
}
.warn {
  color: var(--out);
  margin: 4px 0 0;
}
p {
  margin: 4px 0;
}
</style>

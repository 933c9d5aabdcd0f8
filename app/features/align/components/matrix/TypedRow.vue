<script setup lang="ts">
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { nextTick, onMounted, ref } from 'vue'
import { quantityInfo, type Quantity, type Typed } from '#core/quantity'
import type { Measurand } from '#core/sheet'
import type { TypedInstrument } from '../../logic/typedInstrument'
import { readText, typedValue, withTick, type TypedValue } from '../../logic/typedText'
import InstrumentChoice from './InstrumentChoice.vue'

/** A whole row by hand: number, Enter, number, Enter. The instrument is the last one used, and can be changed. */
const props = defineProps<{
  wants: readonly Measurand[]
  first: string
  optionsFor: (q: Quantity) => TypedInstrument[]
  typedWith: (q: Quantity) => TypedInstrument | null
  /** one tick of the set's own meter [A] */
  tickA?: number | null
}>()
const emit = defineEmits<{
  done: [values: TypedValue[]]
  cancel: []
  choose: [quantity: Quantity, name: string, fullScale?: number]
}>()
const texts = ref<string[]>(props.wants.map((_, i) => (i === 0 ? props.first : '')))
const problems = ref<(string | null)[]>(props.wants.map(() => null))
const fields = ref<HTMLInputElement[]>([])

onMounted(() => focus(0))
function focus(index: number) {
  void nextTick(() => fields.value[index]?.focus())
}
/** An empty field is left for later; a wrong one is named and keeps what was typed. */
function read(index: number): Typed | null {
  const { typed, problem } = readText(texts.value[index]!, props.wants[index]!, props.tickA ?? null)
  problems.value[index] = problem
  return typed
}
function enter(index: number) {
  read(index)
  if (problems.value[index]) return
  if (index < props.wants.length - 1) return focus(index + 1)
  finish()
}
function finish() {
  const values = props.wants.flatMap(({ quantity }, i) => {
    const typed = read(i)
    const from = withTick(props.typedWith(quantity), quantity, props.tickA ?? null)
    return typed ? [typedValue(typed, quantity, from)] : []
  })
  const wrong = problems.value.findIndex(p => p !== null)
  if (wrong >= 0) return focus(wrong)
  if (values.length > 0) emit('done', values)
  else emit('cancel')
}
</script>

<template>
  <div class="typed" @keydown.esc.stop="emit('cancel')">
    <div v-for="(want, i) in wants" :key="want.quantity" class="field">
      <label :for="`typed-${want.quantity}`">{{ quantityLabel(want.quantity) }}</label>
      <div class="entry">
        <input
          :id="`typed-${want.quantity}`"
          :ref="
            el => {
              if (el) fields[i] = el as HTMLInputElement
            }
          "
          v-model="texts[i]"
          class="fig"
          inputmode="decimal"
          autocomplete="off"
          :aria-invalid="problems[i] !== null"
          :aria-describedby="`typed-${want.quantity}-note`"
          @keydown.enter.prevent="enter(i)"
        />
        <span>{{ quantityInfo(want.quantity).shownUnit }}</span>
      </div>
      <InstrumentChoice
        :quantity="want.quantity"
        :options="optionsFor(want.quantity)"
        :chosen="typedWith(want.quantity)"
        @choose="(name, fullScale) => emit('choose', want.quantity, name, fullScale)"
      />
      <p :id="`typed-${want.quantity}-note`" class="problem" role="alert">{{ problems[i] }}</p>
    </div>
    <div class="go">
      <v-btn variant="flat" color="primary" @click="finish"
        >{{ t('align.saveTypedReadings') }} <kbd>{{ t('align.enter') }}</kbd></v-btn
      >
      <v-btn @click="emit('cancel')"
        >{{ t('common.cancel') }} <kbd>{{ t('common.esc') }}</kbd></v-btn
      >
    </div>
  </div>
</template>

<style scoped>
.typed {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  padding: 10px 0 12px;
  align-items: flex-start;
}
.field {
  width: 210px;
}
label {
  font-size: 12.5px;
  color: var(--ink2);
  display: block;
}
.entry {
  display: flex;
  align-items: baseline;
  gap: 6px;
}
input {
  width: 150px;
  font-size: 20px;
}
input[aria-invalid='true'] {
  border-color: var(--out);
  border-width: 2px;
}
.problem {
  color: var(--out);
  font-size: 13px;
  margin: 3px 0 0;
}
.go {
  display: flex;
  gap: 10px;
  padding-top: 18px;
}
</style>

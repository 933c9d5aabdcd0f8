<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { computed } from 'vue'
import type { Quantity } from '#core/quantity'
import { quantityLabel } from '#shared/words/quantityWords'
import { scaleOf, type TypedInstrument } from '../../logic/typedInstrument'

/** From which instrument a value is typed, and on which of its scales. */
const props = defineProps<{
  quantity: Quantity
  options: readonly TypedInstrument[]
  /** null = not stated */
  chosen: TypedInstrument | null
}>()
const emit = defineEmits<{ choose: [name: string, fullScale?: number] }>()
/** Scales that power meters have (common practice); the one in use is offered even if it is another. */
const SCALES_W = [1, 2, 5, 10, 15, 20, 30, 50, 60, 100, 150, 200, 300, 400, 500, 1000, 2000]
const NONE = ''
const scaleW = computed(() => scaleOf(props.quantity, props.chosen))
const scales = computed(() =>
  [...new Set([...SCALES_W, ...(scaleW.value === null ? [] : [scaleW.value])])].sort((a, b) => a - b),
)
const valueOf = (event: Event) => (event.target as HTMLSelectElement).value
</script>

<template>
  <select
    :value="chosen?.name ?? NONE"
    :aria-label="t('align.instrumentFor', { label: quantityLabel(quantity) })"
    @change="emit('choose', valueOf($event))"
  >
    <option v-for="o in options" :key="o.name" :value="o.name" :title="o.words">
      {{ translated(o.name) }}
    </option>
    <option :value="NONE">{{ t('align.instrumentNotStated') }}</option>
  </select>
  <select
    v-if="scaleW !== null"
    :value="scaleW"
    :aria-label="t('align.scaleFor', { label: quantityLabel(quantity) })"
    @change="emit('choose', chosen!.name, Number(valueOf($event)))"
  >
    <option v-for="w in scales" :key="w" :value="w">{{ t('align.wScale', { w }) }}</option>
  </select>
</template>

<style scoped>
select {
  width: 100%;
  margin-top: 4px;
  min-height: 32px;
  font: inherit;
  font-size: 12.5px;
  color: var(--ink2);
  background: transparent;
  border: 0;
  border-bottom: 1px solid var(--line2);
}
select option {
  background: var(--sheet);
  color: var(--ink);
}
</style>

<script setup lang="ts">
import { ref } from 'vue'
import { HEATS } from '../../../core/run'
import type { NewWorkEvent } from '../../composables/useEventForm'

/** DC rejects, RF accepts: both are asked, neither is forced. */
defineProps<{ wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent] }>()
const empty = () => ({ part: '', boughtAt: '', dcGain: '', rf: '', reference: '4', falls: null as boolean | null, heat: null as typeof HEATS[number] | null })
const form = ref(empty())
const FALLS = [{ value: null, title: 'not tried' }, { value: false, title: 'steady' }, { value: true, title: 'falls' }]
const HEAT = [{ value: null, title: 'not felt' }, ...HEATS.map(h => ({ value: h, title: h }))]

/** An empty field is "not tested"; what is no number is refused by the shared check. */
const numberOf = (text: string) => text.trim() === '' ? null : Number(text.trim().replace(',', '.'))
function send() {
  const { part, boughtAt, dcGain, rf, reference, falls, heat } = form.value
  const rfPowerW = numberOf(rf)
  emit('send', { kind: 'part-tested', part, boughtAt, dcGain: numberOf(dcGain), rfPowerW, rfReferenceW: rfPowerW === null ? null : numberOf(reference), fallsWhileKeyed: falls, heat, text: '' })
  form.value = empty()
}
</script>

<template>
  <div class="test-form">
    <v-text-field v-model="form.part" label="Part" placeholder="2SC1969, drawer 3" :error-messages="wrong('part')" />
    <v-text-field v-model="form.boughtAt" label="Bought at" />
    <v-text-field v-model="form.dcGain" label="DC gain" inputmode="decimal" :error-messages="wrong('dcGain')" />
    <v-text-field v-model="form.rf" label="RF in the test set" suffix="W" inputmode="decimal" :error-messages="wrong('rfPowerW')" />
    <v-text-field v-model="form.reference" label="A good one makes" suffix="W" inputmode="decimal" :error-messages="wrong('rfReferenceW')" />
    <v-select v-model="form.falls" label="5 s keyed" :items="FALLS" />
    <v-select v-model="form.heat" label="Case" :items="HEAT" />
    <v-btn size="large" :disabled="form.part.trim() === ''" @click="send">Note</v-btn>
  </div>
</template>

<style scoped>
.test-form { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 10px; align-items: start; }
@media (max-width: 760px) { .test-form { grid-template-columns: 1fr 1fr; } }
</style>

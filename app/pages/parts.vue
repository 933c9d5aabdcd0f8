<script setup lang="ts">
import { onMounted } from 'vue'
import PartTestForm from '../components/work/PartTestForm.vue'
import PartTestList from '../components/work/PartTestList.vue'
import type { NewWorkEvent } from '../composables/useEventForm'
import { usePartsStore } from '../stores/parts'

/** Loose parts from a drawer, tested before they are fitted. */
const store = usePartsStore()
const wrong = (field: string) => (store.failure?.field === field ? store.failure.words : undefined)
async function keep(event: NewWorkEvent, kept?: () => void) {
  if (event.kind === 'part-tested' && (await store.add(event))) kept?.()
}
onMounted(() => void store.load())
useHead({ title: 'Parts' })
</script>

<template>
  <div class="page">
    <h1>Parts from a drawer</h1>
    <p class="lead">
      Tested before they are fitted: DC gain rejects, only RF in a healthy test set accepts. Fresh print over
      a sanded surface, wrong weight, unknown seller: suspect.
    </p>
    <p class="care">
      A valve set as test set: several hundred volts or more inside, lethal. Plug out, wait, discharge,
      measure below 30 V, one hand; only people competent for it.
    </p>
    <PartTestForm :wrong="wrong" @send="keep" />
    <p v-if="store.failure && !store.failure.field" class="care" role="alert">{{ store.failure.words }}</p>
    <p v-if="store.items?.length === 0" class="lead">Nothing tested yet.</p>
    <PartTestList v-else-if="store.items" :tested="store.items" />
  </div>
</template>

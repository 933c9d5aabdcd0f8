<script setup lang="ts">
import { onMounted } from 'vue'
import { useHead } from '#imports'
import PartTestForm from '~/features/job/components/work/PartTestForm.vue'
import PartTestList from '~/features/job/components/work/PartTestList.vue'
import type { NewWorkEvent } from '~/features/job/logic/useEventForm'
import { usePartsStore } from '~/features/job/store/parts'

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
    <h1>Stock parts</h1>
    <p class="lead">
      Test parts before fitting them. A DC test can reject a part; only an RF test can accept it. Suspect
      fresh print on a sanded surface, a wrong weight, an unknown seller.
    </p>
    <p class="care">
      A valve set as test set: several hundred volts or more inside, lethal. Unplug, wait, discharge, check
      for less than 30 V, one hand. Competent persons only.
    </p>
    <PartTestForm :wrong="wrong" @send="keep" />
    <p v-if="store.failure && !store.failure.field" class="care" role="alert">{{ store.failure.words }}</p>
    <p v-if="store.items?.length === 0" class="lead">No parts tested yet.</p>
    <PartTestList v-else-if="store.items" :tested="store.items" />
  </div>
</template>

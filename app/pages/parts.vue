<script setup lang="ts">
import { t } from '#shared/i18n'
import { onMounted } from 'vue'
import { useHead } from '#imports'
import PartTestForm from '~/features/job/components/work/add/PartTestForm.vue'
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
useHead({ title: t('job.parts') })
</script>

<template>
  <div class="page">
    <h1>{{ t('job.stockPartsTitle') }}</h1>
    <p class="lead">
      {{ t('job.testPartsBeforeFittingThemA') }}
    </p>
    <p class="care">
      {{ t('job.aValveSetAsTestSet') }}
    </p>
    <PartTestForm class="fields" :wrong="wrong" :tested="store.items ?? []" @send="keep" />
    <p v-if="store.failure && !store.failure.field" class="care" role="alert">{{ store.failure.words }}</p>
    <p v-if="store.items?.length === 0" class="lead">{{ t('job.noPartsTestedYet') }}</p>
    <PartTestList v-else-if="store.items" :tested="store.items" />
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(310px, 100%), 1fr));
  gap: 10px;
  align-items: start;
  margin-bottom: 14px;
}
</style>

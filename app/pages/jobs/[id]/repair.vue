<script setup lang="ts">
import { computed } from 'vue'
import { WORK_LOGGED, owedAfterFinal } from '#core/work'
import { t, withTextsTranslated } from '#shared/i18n'
import SetCautions from '~/features/job/components/work/SetCautions.vue'
import WorkLog from '~/features/job/screens/WorkLog.vue'
import { useJobStore } from '~/features/job/store/job'

const store = useJobStore()
const owed = computed(() => withTextsTranslated(owedAfterFinal(store.sheet!, store.events)))
</script>

<template>
  <div class="page">
    <h1>{{ t('job.repair') }}</h1>
    <p class="lead">
      {{ t('job.questionsToTheOwnerPartsRemoved') }}
      <NuxtLink to="/parts">{{ t('repair.stockParts') }}</NuxtLink>
    </p>
    <SetCautions :sheet="store.sheet!" />
    <section v-if="owed.length" class="care" :aria-label="t('job.afterANewFinalInThis')">
      <b>{{ t('job.afterANewFinalInThis') }}</b>
      <ol>
        <li v-for="o in owed" :key="o.id">
          {{ o.title }} <span class="quiet">{{ o.why }}</span>
        </li>
      </ol>
    </section>
    <WorkLog :kinds="WORK_LOGGED" />
  </div>
</template>

<style scoped>
.care {
  margin: 4px 0 12px;
}
.care ol {
  margin: 2px 0;
  padding-left: 20px;
}
</style>

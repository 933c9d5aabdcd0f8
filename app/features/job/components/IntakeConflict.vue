<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { Intake, Job } from '#shared/job'
import { differing } from '#shared/words/intakeWords'

/** Somebody else saved this intake meanwhile: what is different, and whose word stands. */
const props = defineProps<{ mine: Intake; theirs: Job; ruleSetName: (id: string) => string }>()
const emit = defineEmits<{ keep: []; take: [] }>()
const fields = computed(() => differing(props.mine, props.theirs, props.ruleSetName))
</script>

<template>
  <section class="conflict" role="alert" :aria-label="t('job.changedBySomeoneElse')">
    <b>{{ t('job.someoneElseHasChangedThisIntake') }}</b>
    <table class="plain">
      <thead>
        <tr>
          <th>{{ t('job.field') }}</th>
          <th>{{ t('job.yourVersion') }}</th>
          <th>{{ t('job.savedVersion') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="f in fields" :key="f.label">
          <td>{{ f.label }}</td>
          <td>{{ f.mine }}</td>
          <td>{{ f.theirs }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="fields.length === 0" class="quiet">{{ t('job.theVersionsAreIdentical') }}</p>
    <div class="acts">
      <v-btn @click="emit('keep')">{{ t('job.useMyVersion') }}</v-btn><v-btn @click="emit('take')">{{
        t('job.useSavedVersion')
      }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.conflict {
  border-left: 4px dashed var(--unsure);
  padding: 4px 0 4px 14px;
  margin-bottom: 18px;
  max-width: 780px;
}
.acts {
  display: flex;
  gap: 10px;
  margin-top: 10px;
}
td {
  white-space: pre-wrap;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { Intake, Job } from '#shared/job'
import { differing } from '#shared/words/intakeWords'

/** Somebody else saved this intake meanwhile: what is different, and whose word stands. */
const props = defineProps<{ mine: Intake; theirs: Job; ruleSetName: (id: string) => string }>()
const emit = defineEmits<{ keep: []; take: [] }>()
const fields = computed(() => differing(props.mine, props.theirs, props.ruleSetName))
</script>

<template>
  <section class="conflict" role="alert" aria-label="Changed by someone else">
    <b>Someone else has changed this intake. Nothing is lost. Compare and choose.</b>
    <table class="plain">
      <thead>
        <tr>
          <th>Field</th>
          <th>Your version</th>
          <th>Saved version</th>
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
    <p v-if="fields.length === 0" class="quiet">The versions are identical.</p>
    <div class="acts">
      <v-btn @click="emit('keep')">Use my version</v-btn
      ><v-btn @click="emit('take')">Use saved version</v-btn>
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

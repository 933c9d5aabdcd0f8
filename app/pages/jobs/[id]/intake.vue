<script setup lang="ts">
import { computed, ref } from 'vue'
import EarlierJobs from '../../../components/job/EarlierJobs.vue'
import IntakeForm from '../../../components/job/IntakeForm.vue'
import type { Failure } from '../../../logic/failureWords'
import { useSaid } from '../../../composables/useSaid'
import { useJobStore } from '../../../stores/job'
import { useJobsStore } from '../../../stores/jobs'
import type { Intake } from '../../../../shared/job'

const store = useJobStore()
const jobs = useJobsStore()
const busy = ref(false)
const failure = ref<Failure | null>(null)
const { said, say } = useSaid()
const initial = computed<Intake>(() => {
  const { owner, contact, sheetId, ruleSetId, serial, complaint, claims, accessories, mayDo, promisedOn } = store.job!
  return { owner, contact, sheetId, ruleSetId, serial, complaint, claims, accessories, mayDo, promisedOn }
})
onMounted(() => void jobs.lookUpSet(store.job!.sheetId, store.job!.serial, store.job!.id))
async function save(intake: Intake) {
  busy.value = true
  const { sheetId: _model, ...patch } = intake
  failure.value = await store.change({ ...patch, promisedOn: patch.promisedOn || null })
  busy.value = false
  if (!failure.value) say('Intake corrected')
}
</script>

<template>
  <div class="page">
    <h1>Intake</h1>
    <p class="lead">Whose set, what is wrong in the owner's words, what may be done. Everything can be corrected until the handover; the model stays, since the readings belong to its sheet.</p>
    <div class="with-aside">
      <IntakeForm :initial="initial" action="Save corrections" :busy="busy" :failure="failure" model-fixed @done="save" @set="(sheetId, serial) => jobs.lookUpSet(sheetId, serial, store.job!.id)">
        <v-btn class="ml-3" size="large" :href="`/api/jobs/${store.job!.id}/tag.pdf`" target="_blank">Tag</v-btn>
        <span v-if="said" class="ml-4" role="status">{{ said.text }}</span>
      </IntakeForm>
      <EarlierJobs v-if="jobs.earlier.length > 0" :jobs="jobs.earlier" />
    </div>
    <h2>Before anything is powered</h2>
    <ul><li v-for="c in store.sheet!.cautions" :key="c">{{ c }}</li></ul>
  </div>
</template>

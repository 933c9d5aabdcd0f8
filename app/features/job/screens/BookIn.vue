<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, nextTick, onMounted, ref } from 'vue'
import { navigateTo } from '#imports'
import { JOB_KINDS, USUAL_JOB_KIND, type JobKind } from '#core/run'
import { t } from '#shared/i18n'
import type { Intake, NewModel } from '#shared/job'
import { sheetIdOf } from '#shared/sheet/sheetId'
import { jobKindWords, phasesOfKind } from '#shared/words/jobKindWords'
import type { Failure } from '~/data/failureWords'
import { useBlockedStore } from '~/features/bench/store/blocked'
import { useSessionStore } from '~/features/people/store/session'
import { useRulesStore } from '~/features/rules/store/rules'
import { useSheetsStore } from '~/features/sheet/store/sheets'
import EarlierJobs from '../components/EarlierJobs.vue'
import IntakeForm from '../components/IntakeForm.vue'
import NewModelDialog from '../components/NewModelDialog.vue'
import { promiseWords, withNewModel } from '../logic/intakeChoices'
import { useJobsStore } from '../store/jobs'

/** A set is booked in: its intake, and what it was here for before. */
defineEmits<{ cancel: [] }>()
const store = useJobsStore()
const rules = useRulesStore()
const session = useSessionStore()
const blocked = useBlockedStore()
const sheets = useSheetsStore()
const busy = ref(false)
const failure = ref<Failure | null>(null)
/** Model of the set that was asked about; '' = by its serial number alone. */
const lookedUp = ref('')
const suggested = ref('')
/** What the last set that was booked in here was here for. */
const remembered = useLocalStorage<string>('jobKind', USUAL_JOB_KIND)
const jobKind = computed<JobKind>({
  get: () => JOB_KINDS.find(k => k === remembered.value) ?? USUAL_JOB_KIND,
  set: kind => (remembered.value = kind),
})
/** A model that has no sheet yet; it is kept with the job. */
const newModel = ref<NewModel | null>(null)
const asksModel = ref(false)
const models = computed(() => withNewModel(sheets.list, newModel.value))
async function takeNewModel(model: NewModel) {
  newModel.value = model
  asksModel.value = false
  // The same name with another family is chosen anew, with its rules.
  suggested.value = ''
  await nextTick()
  suggested.value = sheetIdOf(model.model)
}
const kinds = JOB_KINDS.map(value => ({ value, title: jobKindWords(value) }))
const EMPTY: Intake = {
  owner: '',
  contact: '',
  // A set that was not looked at is no model: nothing is chosen beforehand.
  sheetId: '',
  ruleSetId: '',
  serial: '',
  complaint: '',
  claims: [],
  accessories: '',
  boxNote: '',
  mayDo: '',
  promisedOn: null,
  ownerLanguage: '',
}

async function start(intake: Intake) {
  busy.value = true
  const isNew = newModel.value !== null && intake.sheetId === sheetIdOf(newModel.value.model)
  const beside = { jobKind: jobKind.value, newModel: isNew ? newModel.value : null }
  const result = await store.start({ ...intake, ...beside })
  busy.value = false
  if ('words' in result) failure.value = result
  else await navigateTo(`/jobs/${result.id}/inspection`)
}
function lookUpSet(sheetId: string, serial: string) {
  lookedUp.value = sheetId
  void store.lookUpSet(sheetId, serial)
}
const modelOf = (sheetId: string) => sheets.list.find(s => s.id === sheetId)?.model ?? sheetId
onMounted(() => {
  void sheets.load()
  store.forgetSet()
})
</script>

<template>
  <h1>{{ t('bench.bookInASet') }}</h1>
  <p class="lead">
    {{ t('bench.ownerModelSerialNumberAndComplaint') }}
    <button type="button" class="text-button" @click="asksModel = true">
      {{ t('job.noSheetYet') }}&hellip;
    </button>
  </p>
  <div class="with-aside">
    <IntakeForm
      :initial="EMPTY"
      :rule-sets="rules.all"
      :models="models"
      :promise="day => promiseWords(day, blocked.items, jobKind)"
      :usual-rule-set-id="session.me.ruleSetId"
      :suggested="suggested"
      :action="t('bench.startTheJob')"
      :busy="busy"
      :failure="failure"
      @done="start"
      @set="lookUpSet"
      ><template #kind
        ><v-select
          v-model="jobKind"
          :label="t('kind.kindOfJob')"
          :items="kinds"
          :hint="phasesOfKind(jobKind)"
          persistent-hint /></template
      ><v-btn class="ml-3" size="large" @click="$emit('cancel')">{{ t('common.cancel') }}</v-btn></IntakeForm
    >
    <NewModelDialog :open="asksModel" :models="sheets.list" @close="asksModel = false" @done="takeNewModel" />
    <EarlierJobs
      v-if="store.earlier.length > 0"
      :jobs="store.earlier"
      v-bind="lookedUp === '' ? { modelOf } : {}"
      @choose="suggested = $event"
    />
  </div>
</template>

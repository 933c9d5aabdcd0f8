<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { navigateTo } from '#imports'
import { t } from '#shared/i18n'
import type { Intake } from '#shared/job'
import type { Failure } from '~/data/failureWords'
import { useBlockedStore } from '~/features/bench/store/blocked'
import { useSessionStore } from '~/features/people/store/session'
import { useRulesStore } from '~/features/rules/store/rules'
import { useSheetsStore } from '~/features/sheet/store/sheets'
import EarlierJobs from '../components/EarlierJobs.vue'
import IntakeForm from '../components/IntakeForm.vue'
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
  const result = await store.start(intake)
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
  <p class="lead">{{ t('bench.ownerModelSerialNumberAndComplaint') }}</p>
  <div class="with-aside">
    <IntakeForm
      :initial="EMPTY"
      :rule-sets="rules.all"
      :models="sheets.list"
      :blocked="blocked.items"
      :usual-rule-set-id="session.me.ruleSetId"
      :suggested="suggested"
      :action="t('bench.startTheJob')"
      :busy="busy"
      :failure="failure"
      @done="start"
      @set="lookUpSet"
      ><v-btn class="ml-3" size="large" @click="$emit('cancel')">{{ t('common.cancel') }}</v-btn></IntakeForm
    >
    <EarlierJobs
      v-if="store.earlier.length > 0"
      :jobs="store.earlier"
      v-bind="lookedUp === '' ? { modelOf } : {}"
      @choose="suggested = $event"
    />
  </div>
</template>

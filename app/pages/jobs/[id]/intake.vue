<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, onMounted, ref } from 'vue'
import EarlierJobs from '~/features/job/components/EarlierJobs.vue'
import IntakeConflict from '~/features/job/components/IntakeConflict.vue'
import JobPhotos from '~/features/job/screens/JobPhotos.vue'
import ChangeModel from '~/features/job/screens/ChangeModel.vue'
import WithdrawJob from '~/features/job/screens/WithdrawJob.vue'
import IntakeForm from '~/features/job/components/IntakeForm.vue'
import type { Failure } from '../../../data/failureWords'
import { useNotice } from '../../../ui/useNotice'
import { useJobStore } from '~/features/job/store/job'
import { useRulesStore } from '~/features/rules/store/rules'
import { useJobsStore } from '~/features/job/store/jobs'
import { useSheetsStore } from '~/features/sheet/store/sheets'
import type { Intake, Job } from '#shared/job'

const store = useJobStore()
const rules = useRulesStore()
const jobs = useJobsStore()
const sheets = useSheetsStore()
onMounted(() => void sheets.load())
const busy = ref(false)
const failure = ref<Failure | null>(null)
const { said, say } = useNotice()
const initial = computed<Intake>(() => {
  const {
    owner,
    contact,
    sheetId,
    ruleSetId,
    serial,
    complaint,
    claims,
    accessories,
    boxNote,
    mayDo,
    promisedOn,
    ownerLanguage,
  } = store.job!
  return {
    owner,
    contact,
    sheetId,
    ruleSetId,
    serial,
    complaint,
    claims,
    accessories,
    boxNote,
    mayDo,
    promisedOn,
    ownerLanguage,
  }
})
onMounted(() => void jobs.lookUpSet(store.job!.sheetId, store.job!.serial, store.job!.id))
/** Version that the form was filled from: the job may be loaded anew underneath it. */
const base = ref(store.job!.version)
const conflict = ref<{ mine: Intake; theirs: Job } | null>(null)

async function save(intake: Intake) {
  busy.value = true
  const { sheetId: _model, ...change } = intake
  failure.value = await store.change({ ...change, promisedOn: change.promisedOn || null }, base.value)
  const theirs = failure.value?.code === 'changed-meanwhile' ? await store.peek() : null
  conflict.value = theirs ? { mine: intake, theirs } : null
  busy.value = false
  if (theirs) failure.value = null
  if (failure.value || theirs) return
  base.value = store.job!.version
  say(t('job.intakeCorrected'))
}
function keepMine({ mine, theirs }: NonNullable<typeof conflict.value>) {
  base.value = theirs.version
  return save(mine)
}
function takeTheirs({ theirs }: NonNullable<typeof conflict.value>) {
  store.adopt(theirs)
  base.value = theirs.version
  conflict.value = null
}
</script>

<template>
  <div class="page">
    <h1>{{ t('job.intake') }}</h1>
    <p class="lead">
      {{ t('job.whoseSetItIsTheComplaint') }}
    </p>
    <IntakeConflict
      v-if="conflict"
      :rule-set-name="id => rules.of(id)?.name ?? id"
      :mine="conflict.mine"
      :theirs="conflict.theirs"
      @keep="keepMine(conflict)"
      @take="takeTheirs(conflict)"
    />
    <div class="with-aside">
      <IntakeForm
        :key="base"
        :initial="initial"
        :rule-sets="rules.all"
        :models="sheets.list"
        :action="t('job.saveCorrections')"
        :busy="busy"
        :failure="failure"
        model-fixed
        @done="save"
        @set="(sheetId, serial) => jobs.lookUpSet(sheetId, serial, store.job!.id)"
      >
        <v-btn class="ml-3" size="large" :href="`/api/jobs/${store.job!.id}/tag.pdf`" target="_blank">{{
          t('job.tag')
        }}</v-btn>
        <span v-if="said" class="ml-4" role="status">{{ said.text }}</span>
      </IntakeForm>
      <EarlierJobs v-if="jobs.earlier.length > 0" :jobs="jobs.earlier" />
    </div>
    <h2>{{ t('job.photosAndVoiceNotes') }}</h2>
    <p class="quiet">{{ t('job.eachSideTheSealBeforeIt') }}</p>
    <JobPhotos about="" :label="t('job.photosOfTheJob')" />
    <h2>{{ t('job.beforeItIsPowered') }}</h2>
    <ul>
      <li v-for="c in store.sheet!.cautions" :key="c">{{ c }}</li>
    </ul>
    <ChangeModel /><WithdrawJob />
  </div>
</template>

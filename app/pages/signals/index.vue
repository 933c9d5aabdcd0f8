<script setup lang="ts">
import type { MeasurePoint } from '#core/sheet'
import { t } from '#shared/i18n'
import { onMounted, ref } from 'vue'
import { useCookie, useHead, useRoute } from '#imports'
import { useOutboxStore } from '~/data/outbox'
import { saveFile } from '~/data/saveFile'
import { useJobsStore } from '~/features/job/store/jobs'
import { usePracticeRecording } from '~/features/practice/logic/usePracticeRecording'
import { usePracticeStore } from '~/features/practice/store/practice'
import { useRulesStore } from '~/features/rules/store/rules'
import { useSheetsStore } from '~/features/sheet/store/sheets'
import DropRecording from '~/features/signals/components/DropRecording.vue'
import LogOnJob from '~/features/signals/components/LogOnJob.vue'
import OpenRecordings from '~/features/signals/components/OpenRecordings.vue'
import SavedRecordings from '~/features/signals/components/SavedRecordings.vue'
import SignalReport from '~/features/signals/components/SignalReport.vue'
import SignalSettings from '~/features/signals/components/SignalSettings.vue'
import TablePreview from '~/features/signals/components/TablePreview.vue'
import { packRecording } from '~/features/signals/logic/packRecording'
import { signalRow } from '~/features/signals/logic/signalRow'
import { useJudged } from '~/features/signals/store/useJudged'
import { useSoundRecorder } from '~/features/signals/logic/useSoundRecorder'
import { useTaking } from '~/features/signals/store/useTaking'
import { useSignalsStore } from '~/features/signals/store/signals'

/** A recording becomes every number the bench needs, and is logged like any instrument. */
const store = useSignalsStore()
const rules = useRulesStore()
const jobs = useJobsStore()
const outbox = useOutboxStore()
const sheets = useSheetsStore()
const route = useRoute()
const soundCard = useSoundRecorder()
const dongle = usePracticeRecording()
const practice = usePracticeStore()
const night = useCookie<'day' | 'night'>('theme', { default: () => 'day' })
const said = ref<string | null>(null)
let rulesKnown: Promise<void> = Promise.resolve()
const { rulesOf, judged, second, wattLimit, pictures } = useJudged()
const taking = useTaking(rulesOf, () => rulesKnown)
const { progress, failure, asking, annotate, cancel, reply, change, reopen } = taking

async function take(files: File[]) {
  said.value = null
  await taking.take(files)
}
async function log(jobId: string, phase: 'as-found' | 'as-left', point: MeasurePoint | null, load: string) {
  const recording = store.shown!
  const kept = await store.keep(recording, packRecording(recording.files), {
    jobId,
    phase: point ? phase : '',
    pointId: point?.id ?? '',
  })
  if (!kept) return
  said.value = t('signals.recordingSaved')
  if (point) {
    const row = signalRow(judged.value!, recording.name, phase, point, load)
    if (!(await jobs.append(jobId, row))) return
    const { title } = point
    said.value = (await outbox.sendNow(row.id))
      ? t('signals.addedToWithTheRecording', { title })
      : t('signals.recordingSavedReadingsHere', { title })
  }
  await store.load()
}
async function recordSound() {
  const file = await soundCard.record()
  if (file) await take([file])
  else failure.value = soundCard.failure.value
}
async function recordPractice() {
  const files = await dongle.record()
  if (files) await take(files)
  else failure.value = dongle.failure.value
}
/** Numbers that JSON cannot write are no numbers. */
const plain = (_key: string, v: unknown) => (typeof v === 'number' && !Number.isFinite(v) ? null : v)
function saveJson() {
  const text = JSON.stringify(store.shown!.measured.measurement, plain, 2)
  saveFile(new Blob([text], { type: 'application/json' }), `${store.shown!.name}.json`)
}
async function saveAnnotated() {
  const { name } = store.shown!
  const archive = await annotate(store.shown!)
  if (archive) saveFile(archive, `${name.replace(/\.[^.]*$/, '')}-annotated.sigmf`)
}
useHead({ title: t('signals.signals') })
onMounted(() => {
  store.recall()
  rulesKnown = rules.load()
  void jobs.load()
  void store.load(typeof route.query.job === 'string' ? route.query.job : null)
  if (typeof route.query.recording === 'string') void reopen(route.query.recording)
})
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>{{ t('signals.signals') }}</h1>
      <NuxtLink to="/signals/live" class="live" prefetch-on="interaction">{{
        t('signals.soundCardSinadZeroBeatTones')
      }}</NuxtLink>
    </div>
    <DropRecording :busy="progress !== null" :progress="progress" @files="take" @cancel="cancel"
      ><v-btn :loading="soundCard.recording.value" @click="recordSound">{{
        t('signals.record5SOfSound')
      }}</v-btn
      ><v-btn v-if="practice.state" :loading="dongle.recording.value" @click="recordPractice">{{
        t('signals.recordTheSimulatedSet')
      }}</v-btn></DropRecording
    >
    <p v-if="failure" class="care" role="alert">{{ failure }}</p>
    <TablePreview
      v-if="asking"
      :name="asking.file.name"
      :preview="asking.preview"
      @yes="reply(true)"
      @no="reply(false)"
    />
    <SignalSettings
      :key="store.shownKey ?? ''"
      class="settings no-print"
      :options="store.shown?.options ?? store.options"
      :rule-sets="rules.all"
      :unmodulated="store.unmodulated"
      @change="change"
    />
    <OpenRecordings
      v-if="store.open.length > 1"
      class="no-print"
      :open="store.open"
      :shown-key="store.shownKey"
      :against-key="store.againstKey"
      @show="store.show"
      @compare="store.compare"
      @close="store.close"
    />
    <template v-if="store.shown && judged">
      <SignalReport
        :shown="store.shown"
        :judged="judged"
        :against="store.against"
        :second="second"
        :rule-set="rulesOf(store.shown.options).name"
        :watt-limit="wattLimit"
        :pictures="pictures"
        :night="night === 'night'"
        @json="saveJson"
        @annotated="saveAnnotated"
      />
      <LogOnJob
        :judged="judged"
        :jobs="jobs.items ?? []"
        :revision="sheets.revision"
        :job-id="typeof route.query.job === 'string' ? route.query.job : null"
        :sending="store.sending"
        :kept="said"
        :failure="store.failure?.words ?? jobs.failure?.words ?? null"
        @log="log"
      />
    </template>
    <template v-else-if="!progress">
      <p class="lead">
        {{ t('signals.aShortRecordingOfTheTransmitter') }}
      </p>
      <SavedRecordings v-if="store.kept.length > 0" :kept="store.kept" @open="reopen" />
    </template>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  align-items: baseline;
  gap: 24px;
  margin-bottom: 12px;
}
.live {
  color: var(--accent);
}
.settings {
  margin-top: 16px;
}
</style>

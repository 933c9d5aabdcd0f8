<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import type { Phase } from '#core/run'
import { phaseWords } from '#shared/words/eventWords'
import { errorWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useCookie, useHead, useRoute } from '#imports'
import { v4 as uuid } from 'uuid'
import { emissionMask } from '#core/rules'
import { judgeSignal } from '#core/signal'
import { operatingPoint, type MeasurePoint } from '#core/sheet'
import { previewScopeCsv, type ScopePreview } from '#core/recording'
import type { KeptOptions } from '#shared/recording'
import { adjacentLimitWords, findingWords, verdictLine } from '#shared/words/signalWords'
import { dayAndTime } from '#shared/words/dateWords'
import DropRecording from '~/features/signals/components/DropRecording.vue'
import FigureTable from '~/features/signals/components/FigureTable.vue'
import LogOnJob from '~/features/signals/components/LogOnJob.vue'
import SignalPicture from '~/features/signals/components/SignalPicture.vue'
import SignalSettings from '~/features/signals/components/SignalSettings.vue'
import TablePreview from '~/features/signals/components/TablePreview.vue'
import { useSoundRecorder } from '~/features/signals/logic/useSoundRecorder'
import { useMeasuring } from '~/features/signals/logic/useMeasuring'
import { usePracticeRecording } from '~/features/practice/logic/usePracticeRecording'
import { saveFile } from '../../data/saveFile'
import { packRecording, recordingsIn } from '~/features/signals/logic/packRecording'
import { picturesOf } from '~/features/signals/logic/signalPictures'
import { useJobsStore } from '~/features/job/store/jobs'
import { useSheetsStore } from '~/features/sheet/store/sheets'
import { useRulesStore } from '~/features/rules/store/rules'
import { usePracticeStore } from '~/features/practice/store/practice'
import { useSignalsStore } from '~/features/signals/store/signals'

/** A recording becomes every number the bench needs, and is logged like any instrument. */
const store = useSignalsStore()
const rules = useRulesStore()
const jobs = useJobsStore()
const sheets = useSheetsStore()
const route = useRoute()
const { progress, failure, measure, annotate, cancel } = useMeasuring()
const soundCard = useSoundRecorder()
const dongle = usePracticeRecording()
const practice = usePracticeStore()
const night = useCookie<'day' | 'night'>('theme', { default: () => 'day' })
const said = ref<string | null>(null)
const asking = shallowRef<{ file: File; preview: ScopePreview } | null>(null)
const inks = shallowRef({ ink: '#000', ink2: '#555', accent: '#33a', out: '#a00', win: '#cdc', line: '#ccc' })
/** A recording that is opened with the page is not measured against the mask of another rule set. */
let rulesKnown: Promise<void> = Promise.resolve()
const rulesOf = (o: KeptOptions) => rules.all.find(r => r.id === o.ruleSetId) ?? rules.all[0]!
const judged = computed(
  () =>
    store.shown &&
    judgeSignal(store.shown.measured.measurement, rulesOf(store.shown.options), store.shown.options.carrierW),
)
const second = computed(
  () =>
    store.against &&
    judgeSignal(
      store.against.measured.measurement,
      rulesOf(store.against.options),
      store.against.options.carrierW,
    ),
)
const mask = computed(() =>
  store.shown && judged.value?.mode
    ? emissionMask(rulesOf(store.shown.options).mask, judged.value.mode, store.shown.options.carrierW ?? 4)
    : null,
)
/** Neighbours are limited in watts: only the carrier power makes a verdict of them. */
const wattLimit = computed(
  () => store.shown && adjacentLimitWords(rulesOf(store.shown.options), store.shown.options.carrierW),
)
const pictures = computed(() =>
  store.shown
    ? picturesOf(
        store.shown.measured.pictures,
        store.against?.measured.pictures ?? null,
        [store.shown.name, store.against?.name ?? ''],
        mask.value,
        store.shown.options.spacingHz,
        inks.value,
      )
    : [],
)

async function take(files: File[]) {
  said.value = null
  for (const group of recordingsIn(files)) {
    const table = group.find(f => /\.(csv|txt|tsv)$/i.test(f.name))
    if (table && !(await confirmed(table))) continue
    await run(group, store.options)
  }
}
/** A table is shown as it was understood before it is measured. */
async function confirmed(file: File): Promise<boolean> {
  try {
    const preview = await previewScopeCsv({
      name: file.name,
      size: file.size,
      read: async (from, length) => new Uint8Array(await file.slice(from, from + length).arrayBuffer()),
    })
    return await new Promise(done => {
      answer = done
      asking.value = { file, preview }
    })
  } catch (error) {
    failure.value = errorWords(error)
    return false
  }
}
let answer: (yes: boolean) => void = () => undefined
function reply(yes: boolean) {
  asking.value = null
  answer(yes)
}
async function run(
  files: readonly File[],
  options: KeptOptions,
  key?: string,
  kept = null as Parameters<typeof store.put>[0]['kept'],
) {
  await rulesKnown
  const measured = await measure(files, options, rulesOf(options).mask)
  if (measured)
    store.put(
      {
        name: kept?.name ?? files.find(f => f.name.endsWith('meta'))?.name ?? files[0]!.name,
        files,
        options,
        measured,
        kept,
      },
      key,
    )
}
async function change(options: KeptOptions) {
  store.remember(options)
  if (store.shown) await run(store.shown.files, options, store.shown.key, null)
}
async function reopen(id: string) {
  const found = await store.fetchKept(id)
  if (found) await run([found.file], found.kept.options, found.kept.id, found.kept)
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
  if (point && !(await jobs.append(jobId, rowOf(phase, point, load)))) return
  if (point) said.value = t('signals.addedToWithTheRecording', { title: point.title })
  await store.load()
}
function rowOf(phase: 'as-found' | 'as-left', point: MeasurePoint, load: string) {
  const asked = new Set(point.wants.map(w => w.quantity))
  const readings = judged
    .value!.readings.filter(r => asked.has(r.quantity))
    .map(({ quantity, value, standardUncertainty, spread, bound }) => ({
      id: uuid(),
      quantity,
      value,
      standardUncertainty,
      spread,
      ...(bound ? { bound } : {}),
      source: 'instrument' as const,
      instrument: t('signals.recording', { name: store.shown!.name }).slice(0, 100),
    }))
  return {
    kind: 'row-taken' as const,
    id: uuid(),
    atMs: Date.now(),
    phase,
    stepId: null,
    pointId: point.id,
    conditions: { ...operatingPoint(point.state), supplyV: null, load, onTimeS: null },
    readings,
  }
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
function saveJson() {
  saveFile(
    new Blob(
      [
        JSON.stringify(
          store.shown!.measured.measurement,
          (_k, v: unknown) => (typeof v === 'number' && !Number.isFinite(v) ? null : v),
          2,
        ),
      ],
      { type: 'application/json' },
    ),
    `${store.shown!.name}.json`,
  )
}
async function saveAnnotated() {
  const { name } = store.shown!
  const archive = await annotate(store.shown!)
  if (archive) saveFile(archive, `${name.replace(/\.[^.]*$/, '')}-annotated.sigmf`)
}
useHead({ title: t('signals.signals') })
onMounted(() => {
  store.recall()
  const style = getComputedStyle(document.documentElement)
  const token = (name: string) =>
    getComputedStyle(document.querySelector('.v-application') ?? document.documentElement)
      .getPropertyValue(name)
      .trim() || style.getPropertyValue(name).trim()
  inks.value = {
    ink: token('--ink'),
    ink2: token('--ink2'),
    accent: token('--accent'),
    out: token('--out'),
    win: token('--win'),
    line: token('--line'),
  }
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
    <div
      v-if="store.open.length > 1"
      class="tabs no-print"
      role="group"
      :aria-label="t('signals.openRecordings')"
    >
      <span v-for="r in store.open" :key="r.key" class="tab" :class="{ on: r.key === store.shownKey }"
        ><button type="button" :aria-pressed="r.key === store.shownKey" @click="store.show(r.key)">
          {{ r.name }}</button
        ><button
          v-if="r.key !== store.shownKey"
          type="button"
          :aria-pressed="r.key === store.againstKey"
          @click="store.compare(r.key)"
        >
          {{ store.againstKey === r.key ? t('signals.compared') : t('signals.compare') }}</button
        ><button type="button" :aria-label="t('signals.close', { name: r.name })" @click="store.close(r.key)">
          &times;
        </button></span
      >
    </div>
    <template v-if="store.shown && judged">
      <p class="verdict" role="status">{{ verdictLine(judged) }}</p>
      <ul v-if="judged.findings.length > 1" class="rest">
        <li v-for="(f, n) in judged.findings.slice(1).filter(f => f.kind !== 'neighbours')" :key="n">
          {{ findingWords(f) }}
        </li>
      </ul>
      <p class="quiet what">
        {{
          t('signals.sAtKsSRuleSet', {
            name: store.shown.name,
            durationS: groupDigits(store.shown.measured.measurement.durationS, 2),
            sampleRateHz: groupDigits(store.shown.measured.measurement.sampleRateHz / 1000, 1),
            mode: judged.mode ?? store.shown.measured.measurement.mode ?? t('common.noSignal'),
            what: judged.channel ? t('signals.channel', { channel: judged.channel }) : '',
            name2: rulesOf(store.shown.options).name,
          })
        }}<span v-if="store.shown.kept">{{
          t('signals.saved', { dayAndTime: dayAndTime(store.shown.kept.createdAtMs) })
        }}</span
        >. <button type="button" class="link" @click="saveJson">{{ t('signals.allFiguresAsJson') }}</button>{{
          ' '
        }}
        <button v-if="judged.mode" type="button" class="link ml-4" @click="saveAnnotated">
          {{ t('signals.sigmfWithAnnotations') }}
        </button>
      </p>
      <FigureTable
        part="judged"
        :judged="judged"
        :measurement="store.shown.measured.measurement"
        :second="second"
        :second-measurement="store.against?.measured.measurement ?? null"
        :watt-limit="wattLimit"
      />
      <div class="pictures">
        <SignalPicture
          v-for="p in pictures"
          :key="p.id"
          :picture="p"
          :night="night === 'night'"
          :name="store.shown.name"
        />
      </div>
      <FigureTable
        part="others"
        :carrier-w="store.shown.options.carrierW"
        class="others"
        :judged="judged"
        :measurement="store.shown.measured.measurement"
        :second="second"
        :second-measurement="store.against?.measured.measurement ?? null"
      />
      <details class="notes">
        <summary>
          {{
            t('signals.referencesAndLimitations', { count: store.shown.measured.measurement.notes.length })
          }}
        </summary>
        <ul>
          <li v-for="(n, k) in store.shown.measured.measurement.notes" :key="k">{{ n.words }}</li>
        </ul>
      </details>
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
      <template v-if="store.kept.length > 0"
        ><h2>{{ t('signals.savedRecordings') }}</h2>
        <ul class="kept">
          <li v-for="k in store.kept" :key="k.id">
            <button type="button" class="link" @click="reopen(k.id)">{{ k.name }}</button>{{ ' ' }}
            <span class="quiet">{{
              t('signals.mb', {
                dayAndTime: dayAndTime(k.createdAtMs),
                bytes: groupDigits(k.bytes / 1e6, 1),
                what: k.phase ? `, ${phaseWords(k.phase as Phase).toLowerCase()}` : '',
              })
            }}</span>
          </li>
        </ul></template
      >
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
.verdict {
  font-size: 22px;
  font-weight: 650;
  margin: 18px 0 4px;
  max-width: 60ch;
  line-height: 1.25;
}
.rest {
  margin: 0 0 6px;
}
.what {
  margin: 0 0 10px;
}
.others {
  margin-top: 22px;
}
.pictures {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 18px 28px;
  margin-top: 20px;
}
.link {
  font: inherit;
  color: var(--accent);
  background: none;
  border: 0;
  padding: 10px 0;
  min-height: 44px;
  text-decoration: underline;
  cursor: pointer;
}
.tabs {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  margin-top: 14px;
}
.tab {
  border: 1px solid var(--line2);
  border-radius: 6px;
}
.tab.on {
  border-color: var(--accent);
}
.tab button {
  min-height: 44px;
  min-width: 40px;
  padding: 0 10px;
  font: inherit;
  background: none;
  border: 0;
  color: var(--ink);
  cursor: pointer;
}
.tab.on button:first-child {
  font-weight: 650;
  color: var(--accent);
}
.notes {
  margin-top: 16px;
}
.notes summary {
  min-height: 44px;
  cursor: pointer;
  padding-top: 10px;
}
.kept {
  list-style: none;
  padding: 0;
}
@media (max-width: 900px) {
  .pictures {
    grid-template-columns: 1fr;
  }
}
</style>

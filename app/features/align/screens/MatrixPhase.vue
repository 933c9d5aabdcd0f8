<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, onBeforeUnmount, onMounted, proxyRefs, ref, watch } from 'vue'
import FoldedSection from '~/ui/frame/FoldedSection.vue'
import TextDialog from '~/ui/frame/TextDialog.vue'
import SettledClaims from '~/features/job/components/claims/SettledClaims.vue'
import DueReminders from '~/features/job/components/work/DueReminders.vue'
import StartPositions from '~/features/job/components/work/StartPositions.vue'
import { shortestKeyDownWords } from '#shared/words/runWords'
import { STRIKE_REASONS, panelTickA } from '#core/run'
import { operatingPoint } from '#core/sheet'
import { startPositions } from '#core/work'
import SettingsCard from '~/features/job/screens/SettingsCard.vue'
import JobPhotos from '~/features/job/screens/JobPhotos.vue'
import RowsApart from '../components/matrix/RowsApart.vue'
import ComplaintRows from '../components/matrix/ComplaintRows.vue'
import FromRecording from '../components/matrix/FromRecording.vue'
import MatrixScreen from '../components/matrix/MatrixScreen.vue'
import { laterComponent } from '~/ui/laterComponent'
import { useMatrixPage } from '../logic/useMatrixPage'
import { useMatrixEntries } from '../store/useMatrixEntries'
import { useNotice } from '~/ui/useNotice'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useJobStore } from '~/features/job/store/job'
import { useLiveStore } from '~/features/instruments/store/live'
import { useOutboxStore } from '~/data/outbox'

const TypedGrid = laterComponent(() => import('../components/matrix/TypedGrid.vue'))
/** As found and as left: the same matrix, taken alike. */
const props = defineProps<{ phase: 'as-found' | 'as-left' }>()
const TEXTS = {
  'as-found': {
    title: t('common.asFound'),
    lead: t('align.beforeAnyAdjustmentSetUpThe'),
  },
  'as-left': {
    title: t('common.asLeft'),
    lead: t('align.theSameRowsUnderTheSame'),
  },
}
const job = useJobStore()
const live = useLiveStore()
const outbox = useOutboxStore()
const instruments = useInstrumentsStore()
const { said, say } = useNotice()
const entries = proxyRefs(useMatrixEntries(props.phase, say))
/** The table takes the place of the rows while it is typed in. */
const asTable = ref(false)
const { active, choose } = useMatrixPage(() => entries.listed, {
  take: id => void entries.takeRow(id),
  type: (pointId, first) => entries.isClosed || (entries.typing = { pointId, first }),
  table: () => (asTable.value = !entries.isClosed),
  undo: entries.strikeLast,
})
const cautions = computed(() => [
  t('align.dummyLoadOnTheAntennaSocket'),
  t('align.vAtTheSetWhileKeyed', { nominalSupplyV: entries.sheet.nominalSupplyV }),
  shortestKeyDownWords(entries.sheet),
])
function typeRow(pointId: string) {
  if (entries.isClosed) return
  choose(pointId)
  entries.typing = { pointId, first: '' }
}
watch(
  [active, () => job.run?.history.turns.length ?? 0] as const,
  ([id, turns]) => {
    const state = entries.rows.find(r => r.point.id === id)?.point.state
    live.readUnder(state ? { ...operatingPoint(state), also: state.also, turns } : null)
  },
  { immediate: true },
)
onMounted(() => live.workOn(null))
onBeforeUnmount(() => live.leave())
</script>

<template>
  <div v-if="asTable" class="page table">
    <h1>{{ TEXTS[phase].title }}</h1>
    <p class="care">{{ cautions.join(' ') }}</p>
    <TypedGrid
      :rows="entries.rows.filter(r => entries.listed.includes(r))"
      :sheet="entries.sheet"
      :tick-a="panelTickA(entries.sheet)"
      :options-for="instruments.optionsFor"
      :typed-with="instruments.typedWith"
      :save="entries.takeTypedRow"
      :doubts="entries.doubts"
      :told="said"
      @choose="instruments.chooseTypedWith"
      @close="asTable = false"
    />
  </div>
  <MatrixScreen
    v-else
    :phase="phase"
    :title="TEXTS[phase].title"
    :lead="
      entries.isClosed ? t('align.readBeforeConversion', { model: entries.sheet.model }) : TEXTS[phase].lead
    "
    :closed="entries.isClosed"
    :rows="entries.rows"
    :listed="entries.listed"
    :apart-from="entries.listed.find(r => entries.apart.includes(r))?.point.id ?? null"
    :sheet="entries.sheet"
    :doubts="entries.doubts"
    :active="active"
    :typing="entries.typing"
    :said="said"
    :options-for="instruments.optionsFor"
    :typed-with="instruments.typedWith"
    :tick-a="panelTickA(entries.sheet)"
    :stuck="outbox.stuck"
    :cautions="cautions"
    @select="choose"
    @take="entries.takeRow"
    @type="typeRow"
    @typed="entries.takeTypedRow"
    @cancel="entries.typing = null"
    @keep="d => (entries.keeping = d)"
    @strike="id => (entries.striking = id)"
    @choose="instruments.chooseTypedWith"
    @table="asTable = true"
  >
    <StartPositions
      v-if="phase === 'as-found' && !entries.isClosed && entries.sheet.adjusters.length > 0"
      :positions="startPositions(entries.sheet, job.foundEvents)"
      @note="(designator, position) => job.append({ kind: 'position-noted', designator, position })"
      ><JobPhotos about="positions" :label="t('align.photosOfTheStartingPositions')" small
    /></StartPositions>
    <FoldedSection
      v-if="job.hasCard && !entries.isClosed"
      :title="t('settings.card')"
      :state="t('settings.count', { count: job.card.length })"
      ><SettingsCard
    /></FoldedSection>
    <FromRecording v-if="!entries.isClosed" :job-id="job.job!.id" />
    <ComplaintRows
      v-if="phase === 'as-found' && !entries.isClosed"
      :sheet="entries.sheet"
      :complaint="job.job!.complaint"
      :rows="entries.rows"
      @select="choose"
    />
    <DueReminders :reminders="job.reminders" />
    <SettledClaims v-if="phase === 'as-found' && job.claims.length > 0" :claims="job.claims" />
    <template #apart
      ><RowsApart
        v-if="!entries.isClosed"
        :rows="entries.apart"
        :left-out="entries.leftOut"
        @leave-out="ids => (entries.leavingOut = ids)"
        @type="typeRow"
    /></template>
  </MatrixScreen>
  <TextDialog
    :open="entries.leavingOut.length > 0"
    :title="t('align.leaveOutTitle')"
    :hint="t('align.leaveOutHint')"
    :label="t('common.reason')"
    :action="t('align.leaveOut', { count: entries.leavingOut.length })"
    @close="entries.leavingOut = []"
    @done="entries.leaveOut"
  />
  <TextDialog
    :open="entries.keeping !== null"
    :title="t('align.confirmImplausibleReading')"
    :hint="entries.keeping?.words ?? ''"
    :label="t('common.reason')"
    :action="t('align.confirmReadingAction')"
    @close="entries.keeping = null"
    @done="entries.keep"
  />
  <TextDialog
    :open="entries.striking !== null"
    :title="t('align.strikeOutTheReading')"
    :hint="t('align.itStaysInTheLogWith')"
    :label="t('common.reason')"
    :action="t('align.strikeOutAction')"
    :suggestions="STRIKE_REASONS"
    @close="entries.striking = null"
    @done="entries.strike"
  />
</template>

<style scoped>
.page.table {
  max-width: none;
}
</style>

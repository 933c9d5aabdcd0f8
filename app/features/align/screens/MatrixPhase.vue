<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import TextDialog from '~/ui/frame/TextDialog.vue'
import SettledClaims from '~/features/job/components/claims/SettledClaims.vue'
import DueReminders from '~/features/job/components/work/DueReminders.vue'
import StartPositions from '~/features/job/components/work/StartPositions.vue'
import { shortestKeyDownWords } from '#shared/words/runWords'
import { STRIKE_REASONS, panelTickA } from '#core/run'
import { USUAL_KEY_DOWN_S, operatingPoint } from '#core/sheet'
import { startPositions } from '#core/work'
import JobPhotos from '~/features/job/screens/JobPhotos.vue'
import RowsApart from '../components/matrix/RowsApart.vue'
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
const {
  rows,
  apart,
  listed,
  leftOut,
  leavingOut,
  leaveOut,
  sheet,
  isClosed,
  doubts,
  typing,
  takeRow,
  takeTypedRow,
  striking,
  strikeLast,
  strike,
  keeping,
  keep,
} = useMatrixEntries(props.phase, say)
/** The table takes the place of the rows while it is typed in. */
const asTable = ref(false)
const { active, choose } = useMatrixPage(() => listed.value, {
  take: id => void takeRow(id),
  type: (pointId, first) => isClosed.value || (typing.value = { pointId, first }),
  table: () => (asTable.value = !isClosed.value),
  undo: strikeLast,
})
const cautions = computed(() => [
  t('align.dummyLoadOnTheAntennaSocket'),
  t('align.vAtTheSetWhileKeyed', { nominalSupplyV: sheet.value.nominalSupplyV }),
  shortestKeyDownWords(sheet.value),
])
function typeRow(pointId: string) {
  if (isClosed.value) return
  choose(pointId)
  typing.value = { pointId, first: '' }
}
watch(
  [active, () => job.run?.history.turns.length ?? 0] as const,
  ([id, turns]) => {
    const state = rows.value.find(r => r.point.id === id)?.point.state
    live.readUnder(state ? { ...operatingPoint(state), also: state.also, turns } : null)
  },
  { immediate: true },
)
onMounted(() => live.workOn({ id: null, keyDownLimitS: USUAL_KEY_DOWN_S }))
onBeforeUnmount(() => live.leave())
</script>

<template>
  <div v-if="asTable" class="page table">
    <h1>{{ TEXTS[phase].title }}</h1>
    <p class="care">{{ cautions.join(' ') }}</p>
    <TypedGrid
      :rows="rows.filter(r => listed.includes(r))"
      :sheet="sheet"
      :tick-a="panelTickA(sheet)"
      :options-for="instruments.optionsFor"
      :typed-with="instruments.typedWith"
      :save="takeTypedRow"
      :doubts="doubts"
      :told="said"
      @choose="instruments.chooseTypedWith"
      @close="asTable = false"
    />
  </div>
  <MatrixScreen
    v-else
    :title="TEXTS[phase].title"
    :lead="isClosed ? t('align.readBeforeConversion', { model: sheet.model }) : TEXTS[phase].lead"
    :closed="isClosed"
    :rows="rows"
    :listed="listed"
    :apart-from="listed.find(r => apart.includes(r))?.point.id ?? null"
    :sheet="sheet"
    :doubts="doubts"
    :active="active"
    :typing="typing"
    :said="said"
    :options-for="instruments.optionsFor"
    :typed-with="instruments.typedWith"
    :tick-a="panelTickA(sheet)"
    :stuck="outbox.stuck"
    :cautions="cautions"
    @select="choose"
    @take="takeRow"
    @type="typeRow"
    @typed="takeTypedRow"
    @cancel="typing = null"
    @keep="d => (keeping = d)"
    @strike="id => (striking = id)"
    @choose="instruments.chooseTypedWith"
    @table="asTable = true"
  >
    <StartPositions
      v-if="phase === 'as-found' && !isClosed && sheet.adjusters.length > 0"
      :positions="startPositions(sheet, job.foundEvents)"
      @note="(designator, position) => job.append({ kind: 'position-noted', designator, position })"
      ><JobPhotos about="positions" :label="t('align.photosOfTheStartingPositions')" small
    /></StartPositions>
    <FromRecording v-if="!isClosed" :job-id="job.job!.id" />
    <DueReminders :reminders="job.reminders" />
    <SettledClaims v-if="phase === 'as-found' && job.claims.length > 0" :claims="job.claims" />
    <template #apart
      ><RowsApart
        v-if="!isClosed"
        :rows="apart"
        :left-out="leftOut"
        @leave-out="ids => (leavingOut = ids)"
        @type="typeRow"
    /></template>
  </MatrixScreen>
  <TextDialog
    :open="leavingOut.length > 0"
    :title="t('align.leaveOutTitle')"
    :hint="t('align.leaveOutHint')"
    :label="t('common.reason')"
    :action="t('align.leaveOut', { count: leavingOut.length })"
    @close="leavingOut = []"
    @done="leaveOut"
  />
  <TextDialog
    :open="keeping !== null"
    :title="t('align.confirmImplausibleReading')"
    :hint="keeping?.words ?? ''"
    :label="t('common.reason')"
    :action="t('align.confirmReadingAction')"
    @close="keeping = null"
    @done="keep"
  />
  <TextDialog
    :open="striking !== null"
    :title="t('align.strikeOutTheReading')"
    :hint="t('align.itStaysInTheLogWith')"
    :label="t('common.reason')"
    :action="t('align.strikeOutAction')"
    :suggestions="STRIKE_REASONS"
    @close="striking = null"
    @done="strike"
  />
</template>

<style scoped>
.page.table {
  max-width: none;
}
</style>

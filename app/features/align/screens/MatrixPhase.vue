<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import TextDialog from '~/ui/frame/TextDialog.vue'
import SettledClaims from '~/features/job/components/claims/SettledClaims.vue'
import StartPositions from '~/features/job/components/work/StartPositions.vue'
import { shortestKeyDownWords } from '#shared/words/runWords'
import { STRIKE_REASONS, TAKEN_AGAIN, panelTickA } from '#core/run'
import { USUAL_KEY_DOWN_S, operatingPoint } from '#core/sheet'
import { startPositions } from '#core/work'
import JobPhotos from '~/features/job/screens/JobPhotos.vue'
import MatrixScreen from '../components/matrix/MatrixScreen.vue'
import type { TypedValue } from '../components/matrix/TypedRow.vue'
import { useMatrixPage } from '../logic/useMatrixPage'
import { useRowTaking } from '../logic/useRowTaking'
import { useNotice } from '~/ui/useNotice'
import { doubting as doubtingOf, rowDoubts, type Doubt } from '../logic/doubts'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useJobStore } from '~/features/job/store/job'
import { useLiveStore } from '~/features/instruments/store/live'
import { useOutboxStore } from '~/data/outbox'

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
const rows = computed(() => (props.phase === 'as-found' ? job.asFound : job.asLeft))
const doubting = doubtingOf(job, instruments, () => rows.value)
const { typing, take, takeTyped } = useRowTaking({
  sheet: () => job.sheet!,
  phase: props.phase,
  doubting,
  liveOf: live.liveOf,
  shown: live.shown,
  rfSeen: live.rfSeen,
  append: job.append,
  say,
})
const { active, choose } = useMatrixPage(() => rows.value, {
  take: id => void takeRow(id),
  type: (pointId, first) => (typing.value = { pointId, first }),
  undo: strikeLast,
})
const striking = ref<string | null>(null)
const doubts = computed(() => Object.fromEntries(rows.value.map(r => [r.point.id, rowDoubts(doubting(), r)])))
const keeping = ref<Doubt | null>(null)

/** Readings of a row that count now and are current: what is read once more replaces them. */
const currentIds = (pointId: string) =>
  rows.value
    .find(r => r.point.id === pointId)
    ?.cells.flatMap(c => (c.latest && c.latest.staleBy.length === 0 ? [c.latest.reading.id] : [])) ?? []

async function replacing(pointId: string, reason: string, taken: Promise<boolean>) {
  const before = currentIds(pointId)
  if (!(await taken)) return
  const still = currentIds(pointId)
  for (const readingId of before.filter(id => !still.includes(id)))
    await job.append({ kind: 'reading-struck', readingId, reason })
}
const takeRow = (id: string) => replacing(id, TAKEN_AGAIN, take(null, id))
const takeTypedRow = (id: string, values: TypedValue[]) =>
  replacing(id, t('align.misreadTypedAgain'), takeTyped(null, id, values))

function strikeLast() {
  striking.value =
    job.run!.history.readings.findLast(
      t => t.row.phase === props.phase && t.row.stepId === null && t.struck === null,
    )?.reading.id ?? null
}
async function strike(reason: string) {
  await job.append({ kind: 'reading-struck', readingId: striking.value!, reason })
  striking.value = null
  say(t('align.struckOutItStaysInThe'))
}
async function keep(reason: string) {
  await job.append({
    kind: 'challenge-kept',
    readingId: keeping.value!.readingId,
    rule: keeping.value!.rule,
    reason,
  })
  keeping.value = null
  say(t('align.confirmedWithYourReasonInThe'))
}
function typeRow(pointId: string) {
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
  <MatrixScreen
    :title="TEXTS[phase].title"
    :lead="TEXTS[phase].lead"
    :rows="rows"
    :plan-id="job.sheet!.planId"
    :doubts="doubts"
    :active="active"
    :typing="typing"
    :said="said"
    :options-for="instruments.optionsFor"
    :typed-with="instruments.typedWith"
    :tick-a="panelTickA(job.sheet!)"
    :stuck="outbox.stuck"
    :cautions="[
      t('align.dummyLoadOnTheAntennaSocket'),
      t('align.vAtTheSetWhileKeyed', { nominalSupplyV: job.sheet!.nominalSupplyV }),
      shortestKeyDownWords(job.sheet!),
    ]"
    @select="choose"
    @take="takeRow"
    @type="typeRow"
    @typed="takeTypedRow"
    @cancel="typing = null"
    @keep="d => (keeping = d)"
    @strike="id => (striking = id)"
    @choose="instruments.chooseTypedWith"
  >
    <StartPositions
      v-if="phase === 'as-found'"
      :positions="startPositions(job.sheet!, job.events)"
      @note="(designator, position) => job.append({ kind: 'position-noted', designator, position })"
      ><JobPhotos about="positions" :label="t('align.photosOfTheStartingPositions')" small
    /></StartPositions>
    <p class="no-print from-recording">
      <NuxtLink :to="`/signals?job=${job.job!.id}`" prefetch-on="interaction" class="to-signals">{{
        t('align.readDepthDeviationOrProductsFrom')
      }}</NuxtLink>
    </p>
    <SettledClaims v-if="phase === 'as-found' && job.claims.length > 0" :claims="job.claims" />
  </MatrixScreen>
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
.from-recording {
  margin: 0;
}
.to-signals {
  color: var(--accent);
  display: inline-block;
  min-height: 44px;
  padding-top: 10px;
}
</style>

<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import TextDialog from '~/ui/frame/TextDialog.vue'
import SettledClaims from '~/features/job/components/claims/SettledClaims.vue'
import StartPositions from '~/features/job/components/work/StartPositions.vue'
import { shortestKeyDownWords } from '#shared/words/runWords'
import { STRIKE_REASONS, TAKEN_AGAIN, panelTickA } from '#core/run'
import { operatingPoint } from '#core/sheet'
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

/** As found and as left: the same matrix, taken alike. */
const props = defineProps<{ phase: 'as-found' | 'as-left' }>()
const TEXTS = {
  'as-found': {
    title: 'As found',
    lead: 'Before any adjustment. Set up the row, key, press Space. All instruments are read.',
  },
  'as-left': {
    title: 'As left',
    lead:
      'The same rows under the same conditions, warm, with the same ' +
      'instruments. Rows under different conditions are not compared.',
  },
}
const job = useJobStore()
const live = useLiveStore()
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
  replacing(id, 'misread, typed again', takeTyped(null, id, values))

function strikeLast() {
  striking.value =
    job.run!.history.readings.findLast(
      t => t.row.phase === props.phase && t.row.stepId === null && t.struck === null,
    )?.reading.id ?? null
}
async function strike(reason: string) {
  await job.append({ kind: 'reading-struck', readingId: striking.value!, reason })
  striking.value = null
  say('Struck out; it stays in the log')
}
async function keep(reason: string) {
  await job.append({
    kind: 'challenge-kept',
    readingId: keeping.value!.readingId,
    rule: keeping.value!.rule,
    reason,
  })
  keeping.value = null
  say('Confirmed, with your reason in the log')
}
function typeRow(pointId: string) {
  choose(pointId)
  typing.value = { pointId, first: '' }
}
watch(
  [active, () => job.run?.history.turns.length ?? 0] as const,
  ([id, turns]) => {
    const state = rows.value.find(r => r.point.id === id)?.point.state
    live.at = state ? { ...operatingPoint(state), also: state.also, turns } : null
  },
  { immediate: true },
)
onMounted(() => (live.keyDownLimitS = 20))
onBeforeUnmount(() => (live.at = null))
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
    :cautions="[
      'Dummy load on the antenna socket, never an antenna.',
      `${job.sheet!.nominalSupplyV} V at the set while keyed.`,
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
      ><JobPhotos about="positions" label="photos of the starting positions" small
    /></StartPositions>
    <p class="no-print from-recording">
      <NuxtLink :to="`/signals?job=${job.job!.id}`" prefetch-on="interaction" class="to-signals"
        >Read depth, deviation or products from a recording</NuxtLink
      >
    </p>
    <SettledClaims v-if="phase === 'as-found' && job.claims.length > 0" :claims="job.claims" />
  </MatrixScreen>
  <TextDialog
    :open="keeping !== null"
    title="Confirm implausible reading"
    :hint="keeping?.words ?? ''"
    label="Reason"
    action="Confirm reading"
    @close="keeping = null"
    @done="keep"
  />
  <TextDialog
    :open="striking !== null"
    title="Strike out the reading"
    hint="It stays in the log with your reason but is no longer used."
    label="Reason"
    action="Strike out"
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

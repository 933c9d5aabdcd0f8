<script setup lang="ts">
import { errorWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import {
  USUAL_KEY_DOWN_S,
  inOrder,
  moveStep,
  type MeasurePoint,
  type ModelSheet,
  type Step,
} from '#core/sheet'
import { moveRefusedWords } from '#shared/words/sheetWords'
import { useDragBetween } from '~/features/bench/logic/useDragBetween'
import StepGraph from '../StepGraph.vue'
import StepFields from './StepFields.vue'

/** The order of work. Steps are dragged where their needs leave it open; what stands in the way is told. */
const props = defineProps<{ sheet: ModelSheet; fresh: MeasurePoint }>()
const emit = defineEmits<{ change: [procedure: Step[]]; say: [words: string] }>()
/** the step whose fields are shown */
const open = defineModel<string | null>('open', { default: null })
const list = ref<HTMLElement | null>(null)
const steps = computed(() => props.sheet.procedure)
useDragBetween(
  computed(() => (list.value ? [list.value] : [])),
  d => move(d.fromPlace, d.toPlace),
)

function move(from: number, to: number) {
  if (from === to || to < 0 || to >= steps.value.length) return
  const moved = moveStep(steps.value, from, to)
  if ('why' in moved) return emit('say', moveRefusedWords(moved))
  emit('change', [...moved])
}
function arrange() {
  try {
    emit('change', inOrder(steps.value))
  } catch (error) {
    emit('say', errorWords(error))
  }
}
function add() {
  const ids = steps.value.map(s => s.id)
  const id = Array.from({ length: 200 }, (_, k) => String(ids.length + 1 + k)).find(n => !ids.includes(n))!
  emit('change', [
    ...steps.value,
    {
      id,
      title: t('sheet.newStep'),
      instruction: '',
      why: '',
      cautions: [],
      points: [{ ...props.fresh, id: 'row-1' }],
      criterion: null,
      adjusters: [],
      needs: [],
      skipIf: null,
      decides: false,
      keyDownLimitS: USUAL_KEY_DOWN_S,
    },
  ])
  open.value = id
}
function put(i: number, step: Step) {
  open.value = step.id
  emit(
    'change',
    steps.value.map((s, k) => (k === i ? step : s)),
  )
}
</script>

<template>
  <div>
    <StepGraph :steps="steps" />
    <div ref="list" class="list">
      <div v-for="(s, i) in steps" :key="s.id" class="line">
        <div class="head">
          <button
            type="button"
            class="handle"
            :aria-label="t('sheet.moveWithTheArrowKeysOr', { title: s.title })"
            @keydown.up.prevent="move(i, i - 1)"
            @keydown.down.prevent="move(i, i + 1)"
          >
            &#8942;&#8942;
          </button>
          <button
            type="button"
            class="open"
            :aria-expanded="open === s.id"
            @click="open = open === s.id ? null : s.id"
          >
            <b class="fig">{{ s.id }}</b> {{ s.title }}
            <span class="quiet"
              >{{
                s.adjusters.length
                  ? t('sheet.adjusts', { list: s.adjusters.join(' ') })
                  : t('sheet.noAdjuster')
              }}{{ s.needs.length ? t('sheet.after', { list: s.needs.join(', ') }) : '' }}</span
            >
          </button>
          <button
            type="button"
            class="out"
            @click="
              emit(
                'change',
                steps.filter((_, k) => k !== i),
              )
            "
          >
            {{ t('sheet.remove') }}
          </button>
        </div>
        <StepFields v-if="open === s.id" :step="s" :sheet="sheet" :fresh="fresh" @change="v => put(i, v)" />
      </div>
    </div>
    <div class="acts">
      <v-btn height="44" @click="add">{{ t('sheet.addStep') }}</v-btn><v-btn height="44" @click="arrange">{{
        t('sheet.sortByDependency')
      }}</v-btn>
    </div>
  </div>
</template>

<style scoped>
.list {
  margin-top: 8px;
}
.line {
  border-bottom: 1px solid var(--line);
}
.head {
  display: flex;
  align-items: center;
}
button {
  color: var(--ink);
  min-height: 44px;
  text-align: left;
}
.handle {
  width: 44px;
  cursor: grab;
  color: var(--ink2);
  touch-action: none;
}
.open {
  flex: 1;
}
.out {
  font-size: 13px;
  color: var(--accent);
  text-decoration: underline;
}
.acts {
  display: flex;
  gap: 10px;
  margin-top: 10px;
  flex-wrap: wrap;
}
</style>

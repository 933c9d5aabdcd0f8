<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { computed } from 'vue'
import { GOES_STALE, adjusterOf, fieldPath, type ModelSheet, type Step } from '#core/sheet'
import type { Turn } from '#core/run'
import type { FieldTrust } from '#shared/sheetFile'
import { clockTime, dayMonth } from '#shared/words/dateWords'
import { keyDownWords } from '#shared/words/runWords'
import { confidenceWords } from '#shared/words/sheetWords'
import type { NewWorkEvent } from '~/features/job/logic/useEventForm'
import BoardMap from '~/features/sheet/components/board/BoardMap.vue'
import OtherTurned from '~/features/job/components/work/OtherTurned.vue'
import AdjusterOrder from './AdjusterOrder.vue'
import AmendableField from './AmendableField.vue'

/** What the hands do: which adjuster, where, with what, and what it spoils. A press on a field corrects it. */
const props = defineProps<{
  sheet: ModelSheet
  step: Step
  turns: readonly Turn[]
  trust: readonly FieldTrust[]
}>()
const emit = defineEmits<{
  turned: [designators: string[]]
  putBack: [designator: string]
  other: [event: NewWorkEvent, kept?: () => void]
  show: []
  amend: [path: string]
}>()
const adjusters = computed(() => props.step.adjusters.map(d => adjusterOf(props.sheet, d)))
const single = computed(() => (adjusters.value.length === 1 ? adjusters.value[0]! : null))
const cautions = computed(() => [
  ...props.step.cautions,
  ...new Set(adjusters.value.flatMap(a => (a.caution ? [a.caution] : []))),
])
const lastTurn = (designator: string) => props.turns.findLast(t => t.designator === designator)
const spoils = computed(() =>
  [...new Set(adjusters.value.map(a => translated(GOES_STALE[a.role].because)))].join('; '),
)
const FIELDS = [
  [t('align.where'), 'where'],
  [t('common.direction'), 'turn'],
  [t('common.tool'), 'tool'],
] as const
const ofAdjuster = (field: string, designator = single.value?.designator ?? '') =>
  fieldPath('adjuster', designator, field)
const turnedField = computed(() => fieldPath('step', props.step.id, 'adjusters'))
function mark(path: string): string | null {
  const trust = props.trust.find(t => t.path === path)
  if (!trust) return null
  const day = trust.correctedAtMs === null ? null : dayMonth(trust.correctedAtMs)
  return confidenceWords(day, trust.confirmed)
}
</script>

<template>
  <section class="hands" tabindex="0" :aria-label="t('align.atTheSet')">
    <h3>{{ t('align.atTheSet') }}</h3>
    <button type="button" class="show" :aria-label="t('align.showOnTheBoardEnlarged')" @click="emit('show')">
      <BoardMap :sheet="sheet" :wanted="step.adjusters" />
    </button>
    <dl v-if="single">
      <AmendableField
        :label="t('common.adjuster')"
        :text="`${single.designator} ${single.name}`"
        :mark="mark(turnedField)"
        @amend="emit('amend', turnedField)"
      />
      <AmendableField
        v-for="[label, field] in FIELDS"
        :key="field"
        :label="label"
        :text="single[field]"
        :mark="mark(ofAdjuster(field))"
        @amend="emit('amend', ofAdjuster(field))"
      />
      <dt>{{ t('common.affects') }}</dt>
      <dd>{{ single.moves }}; {{ spoils }}</dd>
    </dl>
    <template v-else-if="adjusters.length > 0">
      <AdjusterOrder
        :adjusters="adjusters"
        :turned-at-ms="designator => lastTurn(designator)?.atMs ?? null"
        :mark="designator => mark(ofAdjuster('where', designator))"
        @amend="designator => emit('amend', ofAdjuster('where', designator))"
      />
      <dl>
        <dt>{{ t('common.tool') }}</dt>
        <dd>{{ adjusters[0]!.tool }}</dd>
        <dt>{{ t('common.direction') }}</dt>
        <dd>{{ adjusters[0]!.turn }}</dd>
      </dl>
    </template>
    <p v-else class="quiet none">{{ t('align.nothingToAdjustInThisStep') }}</p>
    <div v-if="adjusters.length > 0" class="turned">
      <v-btn size="small" height="44" block @click="emit('turned', step.adjusters as string[])"
        >{{ t('align.logAdjustment') }} <kbd>A</kbd></v-btn
      >
      <p v-if="single && lastTurn(single.designator)?.isReturned" class="quiet">
        {{ t('align.putBackAt', { clockTime: clockTime(lastTurn(single.designator)!.atMs) }) }}
      </p>
      <p v-else-if="single && lastTurn(single.designator)" class="quiet">
        {{
          t('align.adjustedAt', {
            clockTime: clockTime(lastTurn(single.designator)!.atMs),
            what: lastTurn(single.designator)!.inferred ? ` ${t('align.inferredFromTheReading')}` : '',
          })
        }}
        <v-btn
          v-if="single.kind !== 'menu-value'"
          size="small"
          height="44"
          variant="text"
          @click="emit('putBack', single.designator)"
          >{{ t('align.putBackToItsMark') }}</v-btn
        >
      </p>
    </div>
    <OtherTurned
      class="other"
      size="small"
      height="44"
      variant="text"
      @send="(event, kept) => emit('other', event, kept)"
    />
    <div class="care">
      <p v-for="c in cautions" :key="c">{{ c }}</p>
      <p>{{ keyDownWords(step) }}</p>
    </div>
  </section>
</template>

<style scoped>
.hands {
  border-left: 1px solid var(--line);
  padding: 14px 16px;
  overflow: auto;
}
.show {
  display: block;
  width: 100%;
  padding: 0;
  cursor: zoom-in;
}
h3 {
  margin: 0 0 8px;
  font-size: 12.5px;
  font-weight: 600;
  color: var(--ink2);
}
dl {
  margin: 6px 0 0;
  display: grid;
  grid-template-columns: 66px 1fr;
  font-size: 14px;
  align-items: start;
}
dt {
  color: var(--ink2);
}
dd {
  margin: 0;
}
.none {
  margin: 10px 0 0;
}
.turned {
  margin-top: 10px;
}
.turned p {
  margin: 4px 0 0;
  font-size: 12.5px;
}
.care {
  margin-top: 12px;
}
.care p {
  margin: 0 0 4px;
}
.care p::first-letter {
  text-transform: uppercase;
}
</style>

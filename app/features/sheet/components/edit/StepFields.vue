<script setup lang="ts">
import { numberForField } from '#core/quantity'
import { enteredNumber } from '~/ui/enteredNumber'
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { Quantity } from '#core/quantity'
import { planOf } from '#core/rules'
import type { MeasurePoint, ModelSheet, Step } from '#core/sheet'
import ActionFields from './ActionFields.vue'
import PointList from './PointList.vue'

/** One step: what to do, why, what is turned, what must come first, what is measured. */
const props = defineProps<{ step: Step; sheet: ModelSheet; fresh: MeasurePoint }>()
const emit = defineEmits<{ change: [step: Step] }>()
const put = (change: Partial<Step>) => emit('change', { ...props.step, ...change })
const text = (e: Event) => (e.target as HTMLInputElement).value
const others = computed(() => props.sheet.procedure.filter(s => s.id !== props.step.id))
const measured = computed(() => [...new Set(props.step.points.flatMap(p => p.wants.map(w => w.quantity)))])
const criterion = computed(() => {
  if (!props.step.criterion) return 'none'
  if (props.step.criterion.kind === 'spread') return 'spread'
  return props.step.criterion.seek === 'smallest' ? 'dip' : 'peak'
})
const quantity = computed(() => props.step.criterion?.quantity ?? measured.value[0] ?? 'powerW')
const most = computed(() => {
  const of = props.step.criterion
  return (of?.kind === 'spread' ? of.maxDb : of?.gainDb) ?? null
})
function condition(kind: string, q: Quantity = quantity.value, db?: number) {
  const limitDb = db ?? most.value ?? undefined
  if (kind === 'none') return put({ criterion: null })
  if (kind === 'spread') return put({ criterion: { kind, quantity: q, maxDb: limitDb ?? 0.5 } })
  const seek = kind === 'dip' ? { seek: 'smallest' as const } : {}
  put({ criterion: { kind: 'peak', quantity: q, gainDb: limitDb ?? 0.1, ...seek } })
}
const keyDown = (e: Event) => {
  const limitS = enteredNumber(e, props.step.keyDownLimitS, { optional: true })
  put({ keyDownLimitS: limitS !== null && limitS > 0 ? limitS : null })
}
</script>

<template>
  <div class="step">
    <v-text-field
      :model-value="step.id"
      :label="t('sheet.number')"
      maxlength="20"
      @change="(e: Event) => put({ id: text(e).trim() })"
    />
    <v-text-field
      :model-value="step.title"
      :label="t('sheet.title')"
      @change="(e: Event) => put({ title: text(e) })"
    />
    <v-textarea
      class="wide"
      :model-value="step.instruction"
      :label="t('sheet.instruction')"
      rows="2"
      auto-grow
      @change="(e: Event) => put({ instruction: text(e) })"
    />
    <v-textarea
      class="wide"
      :model-value="step.why"
      :label="t('common.reason')"
      rows="1"
      auto-grow
      @change="(e: Event) => put({ why: text(e) })"
    />
    <v-textarea
      class="wide"
      :model-value="step.cautions.join('\n')"
      :label="t('sheet.cautionsOnePerLine')"
      rows="1"
      auto-grow
      @change="
        (e: Event) =>
          put({
            cautions: text(e)
              .split('\n')
              .map(l => l.trim())
              .filter(Boolean),
          })
      "
    />
    <v-select
      multiple
      chips
      :model-value="[...step.adjusters]"
      :label="t('sheet.adjustersInThisOrder')"
      :items="sheet.adjusters.map(a => ({ value: a.designator, title: `${a.designator} ${a.name}` }))"
      @update:model-value="adjusters => put({ adjusters })"
    />
    <v-select
      multiple
      chips
      :model-value="[...step.needs]"
      :label="t('sheet.dependsOn')"
      :items="others.map(s => ({ value: s.id, title: `${s.id} ${s.title}` }))"
      @update:model-value="needs => put({ needs })"
    />
    <v-select
      :model-value="step.skipIf"
      :label="t('sheet.notNeededIfThisIsWithin')"
      :items="[
        { value: null, title: t('sheet.alwaysNeeded') },
        ...others.map(s => ({ value: s.id, title: `${s.id} ${s.title}` })),
      ]"
      @update:model-value="skipIf => put({ skipIf })"
    />
    <v-text-field
      :model-value="numberForField(step.keyDownLimitS)"
      :label="t('sheet.longestKeyDownEmptyNotKeyed')"
      suffix="s"
      inputmode="decimal"
      @change="keyDown"
    />
    <div class="condition wide labelled-tight">
      <label
        >{{ t('sheet.conditionOnAllRows')
        }}<select :value="criterion" @change="condition(text($event))">
          <option value="none">{{ t('sheet.none') }}</option>
          <option value="spread">{{ t('sheet.spreadOverTheRows') }}</option>
          <option value="peak">{{ t('sheet.maximumPassByPass') }}</option>
          <option value="dip">{{ t('sheet.minimumPassByPass') }}</option>
        </select></label
      >
      <template v-if="criterion !== 'none'">
        <label
          >{{ t('sheet.passOf')
          }}<select :value="quantity" @change="condition(criterion, text($event) as Quantity)">
            <option v-for="q in measured" :key="q" :value="q">{{ quantityLabel(q) }}</option>
          </select></label
        >
        <label
          >{{ criterion === 'spread' ? t('sheet.maxDb') : t('sheet.passGainField')
          }}<input
            class="fig"
            inputmode="decimal"
            :value="numberForField(most)"
            @change="condition(criterion, quantity, enteredNumber($event, most) || undefined)"
        /></label>
      </template>
      <label class="check"
        ><input type="checkbox" :checked="step.decides" @change="put({ decides: !step.decides })" />
        {{ t('sheet.theResultOnlySelectsTheNext') }}</label
      >
    </div>
    <ActionFields class="wide" :actions="step.actions ?? []" @change="actions => put({ actions })" />
    <div class="wide">
      <h3>{{ t('sheet.rowsMeasured') }}</h3>
      <PointList
        :points="step.points"
        :plan="planOf(sheet)"
        :steps="sheet.procedure.map(s => s.id)"
        :fresh="fresh"
        @change="points => put({ points })"
      />
    </div>
  </div>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 18px;
  padding: 8px 0 16px 14px;
  border-left: 2px solid var(--accent);
}
.wide {
  grid-column: 1 / -1;
}
h3 {
  font-size: 14px;
  margin: 4px 0;
}
.condition {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
@media (max-width: 700px) {
  .step {
    grid-template-columns: 1fr;
  }
}
</style>

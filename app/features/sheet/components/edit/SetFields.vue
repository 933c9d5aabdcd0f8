<script setup lang="ts">
import { numberForField } from '#core/quantity'
import { enteredNumber, enteredRequired } from '~/ui/enteredNumber'
import { t, translated } from '#shared/i18n'
import { computed } from 'vue'
import { CHANNEL_PLANS, MODES, OWN_PLAN, bandsLike, planOf, type OfPlan, type RuleSet } from '#core/rules'
import { SET_KINDS, SHEET_TEMPLATES, changePlan, kindHas, kindInfo, type ModelSheet } from '#core/sheet'
import BandList from './BandList.vue'

/** What the set is: name, kind, channels, supply, and what holds for all steps. */
const props = defineProps<{ sheet: ModelSheet; rules: readonly RuleSet[]; isNew: boolean }>()
const emit = defineEmits<{ change: [part: Partial<ModelSheet>] }>()
const kinds = SET_KINDS.map(k => ({ value: k, title: translated(kindInfo(k).label) }))
const plans = [
  ...CHANNEL_PLANS.map(p => ({ value: p.id, title: translated(p.name) })),
  { value: OWN_PLAN, title: t('sheet.ownChannels') },
]
const rules = computed(() => props.rules.map(r => ({ value: r.id, title: `${r.name} (${r.region})` })))
const set =
  <K extends keyof ModelSheet>(key: K) =>
  (value: ModelSheet[K]) =>
    emit('change', { [key]: value })
/** Family that what stands here is usual for; none = it is known of this model. */
const family = computed(() => {
  const found = SHEET_TEMPLATES.find(f => f.id === props.sheet.family)
  return found && translated(found.name)
})
/** Rows keep their frequency, whatever its number is on the other plan. */
const putPlan = (plan: OfPlan) => emit('change', { bands: undefined, ...changePlan(props.sheet, plan) })
/** Bands of one's own begin with the channels that the sheet has now. */
function choosePlan(planId: string) {
  putPlan(planId === OWN_PLAN ? { planId, bands: bandsLike(planOf(props.sheet)) } : { planId })
}
/** Empty: the sheet does not know it, or leaves it to the default. */
function positiveOrNone(e: Event, stands: number | undefined) {
  const entered = enteredNumber(e, stands ?? null, { optional: true })
  return entered !== null && entered > 0 ? entered : (undefined as never)
}
const main = (change: Partial<ModelSheet['main']>) =>
  emit('change', { main: { ...props.sheet.main, ...change } })
const range = (key: 'idleA' | 'keyedA', end: 'low' | 'high', e: Event) =>
  emit('change', { [key]: { ...props.sheet[key], [end]: enteredRequired(e, props.sheet[key][end]) } })
</script>

<template>
  <div class="fields">
    <v-text-field
      :model-value="sheet.model"
      :label="t('common.model')"
      @change="(e: Event) => set('model')((e.target as HTMLInputElement).value)"
    />
    <v-text-field
      :model-value="sheet.description"
      :label="t('sheet.inOneLine')"
      @change="(e: Event) => set('description')((e.target as HTMLInputElement).value)"
    />
    <v-select
      :model-value="sheet.kind"
      :label="t('sheet.kindOfSet')"
      :items="kinds"
      @update:model-value="kind => emit('change', { kind })"
    />
    <v-select
      :model-value="sheet.planId"
      :label="t('sheet.channels')"
      :items="plans"
      @update:model-value="choosePlan"
    />
    <v-select
      :model-value="sheet.main.mode"
      :label="t('sheet.modeUsedForTheFirstVerdict')"
      :items="[...MODES]"
      @update:model-value="mode => main({ mode })"
    />
    <v-select
      :model-value="sheet.defaultRuleSetId"
      :label="t('sheet.defaultRuleSet')"
      :items="rules"
      @update:model-value="defaultRuleSetId => emit('change', { defaultRuleSetId })"
    />
    <v-text-field
      :model-value="numberForField(sheet.nominalSupplyV)"
      :label="t('sheet.supplyAtTheSetWhileKeyed')"
      suffix="V"
      inputmode="decimal"
      @change="(e: Event) => set('nominalSupplyV')(enteredRequired(e, sheet.nominalSupplyV))"
    />
    <v-text-field
      v-if="kindHas(sheet.kind, 'valves') || sheet.plateV !== undefined"
      :model-value="numberForField(sheet.plateV ?? null)"
      :label="t('form.plateVoltage')"
      suffix="V"
      inputmode="decimal"
      @change="(e: Event) => set('plateV')(positiveOrNone(e, sheet.plateV))"
    />
    <v-text-field
      :model-value="sheet.load"
      :label="t('sheet.load')"
      @change="(e: Event) => set('load')((e.target as HTMLInputElement).value)"
    />
    <div class="pair">
      <v-text-field
        :model-value="numberForField(sheet.idleA.low)"
        :label="t('sheet.currentOnReceiveFrom')"
        suffix="A"
        @change="(e: Event) => range('idleA', 'low', e)"
      /><v-text-field
        :model-value="numberForField(sheet.idleA.high)"
        :label="t('sheet.betweenTargets')"
        suffix="A"
        @change="(e: Event) => range('idleA', 'high', e)"
      />
    </div>
    <div class="pair">
      <v-text-field
        :model-value="numberForField(sheet.keyedA.low)"
        :label="t('sheet.currentKeyedFrom')"
        suffix="A"
        @change="(e: Event) => range('keyedA', 'low', e)"
      /><v-text-field
        :model-value="numberForField(sheet.keyedA.high)"
        :label="t('sheet.betweenTargets')"
        suffix="A"
        @change="(e: Event) => range('keyedA', 'high', e)"
      />
    </div>
    <v-text-field
      :model-value="numberForField(sheet.driftLimitHzPerMin)"
      :label="t('sheet.frequencyIsSetOnceDriftIs')"
      suffix="Hz/min"
      :hint="t('sheet.driftDefault')"
      @change="
        (e: Event) =>
          emit('change', {
            driftLimitHzPerMin: positiveOrNone(e, sheet.driftLimitHzPerMin),
          })
      "
    />
    <BandList
      v-if="sheet.planId === OWN_PLAN"
      class="wide"
      :bands="sheet.bands ?? []"
      :rules="rules"
      @change="bands => putPlan({ planId: OWN_PLAN, bands })"
    />
    <v-textarea
      class="wide"
      :model-value="sheet.cautions.join('\n')"
      :label="t('sheet.cautionsForTheWholeSetOne')"
      rows="3"
      auto-grow
      @change="
        (e: Event) =>
          emit('change', {
            cautions: (e.target as HTMLTextAreaElement).value
              .split('\n')
              .map(l => l.trim())
              .filter(Boolean),
          })
      "
    />
    <v-checkbox
      v-if="family"
      class="wide"
      :model-value="true"
      :label="t('sheet.stillOfFamily', { family })"
      :hint="t('sheet.stillOfFamilyHint')"
      persistent-hint
      @update:model-value="emit('change', { family: undefined })"
    />
    <p v-if="!isNew" class="quiet wide">{{ t('sheet.itsIdStays', { id: sheet.id }) }}</p>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px 18px;
  max-width: 1120px;
}
.wide {
  grid-column: 1 / -1;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
@media (max-width: 700px) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>

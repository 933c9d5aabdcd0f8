<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { ref } from 'vue'
import { ValidationError } from '#shared/yup'
import { CHANNEL_PLANS } from '#core/rules'
import { ruleSetBody, type LimitBody, type RuleSetBody } from '#shared/ruleSet'
import LimitFields from './LimitFields.vue'
import MaskFields from './MaskFields.vue'
import PowerLimitFields from './PowerLimitFields.vue'
import { vFocus } from '~/ui/vFocus'

/** A rule set of one's own: source and date are needed, or nobody can check it. */
const props = defineProps<{ initial: RuleSetBody; failure: string | null }>()
const emit = defineEmits<{ done: [body: RuleSetBody]; cancel: [] }>()
const body = ref<RuleSetBody>(JSON.parse(JSON.stringify(props.initial)) as RuleSetBody)
const problem = ref<string | null>(null)
const plans = [
  { value: null, title: t('rules.anyChannels') },
  ...CHANNEL_PLANS.map(p => ({ value: p.id, title: translated(p.name) })),
]
const kinds = [
  { value: 'legal', title: t('rules.legalLimitsGuardedAcceptance') },
  { value: 'workshop', title: t('rules.workshopTargetsSimpleAcceptance') },
]
const EMPTY: LimitBody = {
  id: '',
  quantity: 'powerW',
  modes: [],
  lowPower: null,
  low: null,
  high: null,
  errorHz: null,
  errorPpm: null,
  words: '',
}

function add() {
  body.value.limits.push({ ...EMPTY, id: `L${body.value.limits.length + 1}` })
}
async function submit() {
  problem.value = null
  try {
    emit('done', await ruleSetBody.validate(body.value, { strict: true }))
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    problem.value = error.message
  }
}
</script>

<template>
  <form novalidate @submit.prevent="submit">
    <div class="head">
      <v-text-field v-model="body.name" v-focus :label="t('common.name')" />
      <v-text-field v-model="body.region" :label="t('rules.region')" />
      <v-select v-model="body.kind" :label="t('rules.kind')" :items="kinds" />
      <v-select v-model="body.planId" :label="t('rules.channels')" :items="plans" />
      <v-text-field
        v-model="body.source"
        :label="t('common.source')"
        :placeholder="t('rules.titleNumberSection')"
      />
      <v-text-field v-model="body.asOf" :label="t('rules.asOf')" type="date" />
    </div>
    <v-checkbox v-model="body.fromMemory" :label="t('rules.unverifiedToBeCheckedAgainstThe')" hide-details />
    <h2>{{ t('rules.limits') }}</h2>
    <LimitFields
      v-for="(_, i) in body.limits"
      :key="i"
      v-model="body.limits[i]!"
      @remove="body.limits.splice(i, 1)"
    />
    <v-btn @click="add">{{ t('rules.addLimit') }}</v-btn>
    <h2>{{ t('rules.emissionMask') }}</h2>
    <MaskFields v-model="body.mask" />
    <h2>{{ t('rules.adjacentChannelSpuriousEmissions') }}</h2>
    <PowerLimitFields v-model:adjacent="body.adjacent" v-model:spurious="body.spurious" />
    <v-textarea v-model="body.note" class="mt-4" :label="t('rules.remarks')" rows="2" auto-grow />
    <p v-if="problem ?? failure" class="care" role="alert">{{ problem ?? failure }}</p>
    <div class="go">
      <v-btn type="submit" variant="flat" color="primary" size="large">{{ t('common.save') }}</v-btn><v-btn
        size="large"
        @click="emit('cancel')"
        >{{ t('common.cancel') }}</v-btn
      >
    </div>
  </form>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 18px;
  max-width: 860px;
  margin-top: 10px;
}
.go {
  display: flex;
  gap: 10px;
  margin-top: 12px;
}
h2 {
  margin: 12px 0 4px;
}
@media (max-width: 700px) {
  .head {
    grid-template-columns: 1fr;
  }
}
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'
import { useForm } from 'vee-validate'
import { computed, onMounted, ref, watch } from 'vue'
import type { RuleSet } from '#core/rules'
import { intakeBody, type Intake } from '#shared/job'
import type { SheetSummary } from '#shared/sheetFile'
import type { Failure } from '~/data/failureWords'
import { isOtherPlan, modelChoices, offeredRuleSetId, ownerLanguages } from '../logic/intakeChoices'
import ClaimEditor from './claims/ClaimEditor.vue'

const props = defineProps<{
  initial: Intake
  ruleSets: readonly RuleSet[]
  models: readonly SheetSummary[]
  action: string
  busy: boolean
  failure: Failure | null
  modelFixed?: boolean
  /** a model that was chosen beside the form */
  suggested?: string
  /** under which most sets of this workshop are used */
  usualRuleSetId?: string | null
  /** whether a promised day can be kept; '' = nothing stands in its way */
  promise?: (promisedOn: string | null) => string
}>()
const emit = defineEmits<{ done: [intake: Intake]; set: [sheetId: string, serial: string] }>()

const { defineField, handleSubmit, errors, setFieldValue, submitCount } = useForm({
  validationSchema: intakeBody,
  initialValues: props.initial,
})
const show = { validateOnModelUpdate: false, validateOnBlur: true }
const [owner] = defineField('owner', show)
const [contact] = defineField('contact', show)
const [sheetId] = defineField('sheetId', show)
const [ruleSetId] = defineField('ruleSetId', show)
const [serial] = defineField('serial', show)
const [complaint] = defineField('complaint', show)
const [claims] = defineField('claims', show)
const [accessories] = defineField('accessories', show)
const [boxNote] = defineField('boxNote', show)
const [mayDo] = defineField('mayDo', show)
const [promisedOn] = defineField('promisedOn', show)
const [ownerLanguage] = defineField('ownerLanguage', show)
const languages = ownerLanguages()
const choosable = computed(() => modelChoices(props.models))
const summaryOf = (id: string) => props.models.find(m => m.id === id)
const choices = computed(() => props.ruleSets.map(r => ({ value: r.id, title: `${r.name} (${r.region})` })))
const rules = computed(() => props.ruleSets.find(r => r.id === ruleSetId.value))
const otherPlan = computed(() => isOtherPlan(rules.value, summaryOf(sheetId.value ?? '')))
/** Whether the promise can be kept, while it is made. */
const timely = computed(() => props.promise?.(errors.value.promisedOn ? null : (promisedOn.value ?? null)))
/** At once: a focus that comes late takes the letters of another field. */
const first = ref<{ focus: () => void } | null>(null)
onMounted(() => first.value?.focus())
const messages = (field: keyof Intake) =>
  errors.value[field] ?? (props.failure?.field === field ? props.failure.words : undefined)
function chooseModel(id: string) {
  const chosen = summaryOf(id)
  if (!chosen) return
  setFieldValue('ruleSetId', offeredRuleSetId(chosen, props.ruleSets, props.usualRuleSetId))
  lookUp()
}
watch(
  () => props.suggested,
  id => {
    if (!id) return
    setFieldValue('sheetId', id)
    chooseModel(id)
  },
)
/** Whether this very set was here before; without a model, which sets bear this serial number. */
function lookUp() {
  if (serial.value) emit('set', sheetId.value ?? '', serial.value)
}
const submit = handleSubmit(values => emit('done', intakeBody.cast(values) as Intake))
</script>

<template>
  <form novalidate class="intake" @submit.prevent="submit">
    <v-text-field
      ref="first"
      v-model="owner"
      :label="t('common.owner')"
      :error-messages="messages('owner')"
    />
    <v-text-field v-model="contact" :label="t('common.contact')" :error-messages="messages('contact')" />
    <v-select
      v-model="sheetId"
      :label="t('common.model')"
      :items="choosable"
      :disabled="modelFixed"
      :error-messages="messages('sheetId')"
      @update:model-value="chooseModel"
    />
    <v-text-field
      v-model="serial"
      :label="t('common.serialNumber')"
      :error-messages="messages('serial')"
      @blur="lookUp"
    />
    <div class="wide">
      <v-textarea
        v-model="complaint"
        :label="t('job.complaintInTheOwnersWords')"
        rows="3"
        auto-grow
        max-rows="8"
        :error-messages="messages('complaint')"
        :hint="t('job.enterFiguresBelowAsClaimsTo')"
        persistent-hint
      />
    </div>
    <ClaimEditor v-model="claims" class="wide" :failure="messages('claims')" />
    <v-textarea
      v-model="accessories"
      :label="t('job.accessoriesAndSeal')"
      rows="1"
      auto-grow
      max-rows="6"
      :error-messages="messages('accessories')"
    />
    <v-textarea
      v-model="mayDo"
      :label="t('job.approvedInAdvance')"
      rows="1"
      auto-grow
      max-rows="6"
      :error-messages="messages('mayDo')"
    />
    <div class="wide">
      <v-textarea
        v-model="boxNote"
        :label="t('job.noteFoundInThePackaging')"
        rows="1"
        auto-grow
        max-rows="6"
        :error-messages="messages('boxNote')"
        :hint="t('job.lookThroughTheWholePackageLids')"
        persistent-hint
      />
    </div>
    <v-text-field
      v-model="promisedOn"
      :label="t('common.dueDate')"
      type="date"
      :error-messages="messages('promisedOn')"
    />
    <v-select
      v-model="ruleSetId"
      :label="t('job.ruleSetWhereItWillBe')"
      :items="choices"
      :error-messages="messages('ruleSetId')"
    />
    <v-select v-model="ownerLanguage" :label="t('form.ownerLanguage')" :items="languages" />
    <slot name="kind" />
    <p v-if="timely" class="care wide" role="status">{{ timely }}</p>
    <p v-if="otherPlan" class="care wide">
      {{ t('job.doesNotCoverTheChannelsOf', { name: rules!.name }) }}
    </p>
    <p v-if="failure && !failure.field" class="care wide" role="alert">
      {{ t('job.whatYouTypedIsStillHere', { words: failure.words }) }}
    </p>
    <p v-if="submitCount > 0 && Object.keys(errors).length > 0" class="care wide" role="alert">
      {{ Object.values(errors)[0] }}
    </p>
    <div class="wide">
      <v-btn type="submit" variant="flat" color="primary" size="large" :loading="busy"
        >{{ action }} <kbd>{{ t('job.enter') }}</kbd></v-btn
      ><slot />
    </div>
  </form>
</template>

<style scoped>
.intake {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px 20px;
  align-items: start;
  max-width: 1160px;
}
.wide {
  grid-column: 1 / -1;
  margin: 0;
}
@media (max-width: 700px) {
  .intake {
    grid-template-columns: 1fr;
  }
}
</style>

<script setup lang="ts">
import { numberForField, typedNumber } from '#core/quantity'
import { t, withTextsTranslated } from '#shared/i18n'
import { useForm } from 'vee-validate'
import { computed, type Ref } from 'vue'
import { METER_KIND_WORDS } from '#shared/words/meterWords'
import { INSTRUMENT_PROFILES, METER_KINDS, instrumentProfile } from '#core/instrument'
import { instrumentBody, type InstrumentBody } from '#shared/instrument'
import type { Failure } from '~/data/failureWords'
import { vFocus } from '~/ui/vFocus'

const props = defineProps<{ initial: InstrumentBody; action: string; failure: Failure | null }>()
const emit = defineEmits<{ done: [body: InstrumentBody]; cancel: [] }>()
const { defineField, handleSubmit, errors } = useForm({
  validationSchema: instrumentBody,
  initialValues: props.initial,
})
const quiet = { validateOnModelUpdate: false }
const [name] = defineField('name', quiet)
const [profileId] = defineField('profileId', quiet)
const [host] = defineField('host', quiet)
const [port] = defineField('port', quiet)
const [meterKind] = defineField('meterKind', quiet)
const [calibratedOn] = defineField('calibratedOn', quiet)
const [attenuationDb] = defineField('attenuationDb', quiet)
const [path] = defineField('path', quiet)
const [fullScale] = defineField('fullScale', quiet)
const [classRatio] = defineField('classRatio', quiet)
const [classUnknown] = defineField('classUnknown', quiet)
const profiles = withTextsTranslated(INSTRUMENT_PROFILES).map(p => ({
  value: p.id,
  title: `${p.name}: ${p.accuracyWords}`,
}))
const talks = computed(() => (profileId.value ? instrumentProfile(profileId.value).talks : true))
const messages = (field: keyof InstrumentBody) =>
  errors.value[field] ?? (props.failure?.field === field ? props.failure.words : undefined)
const numberText = (of: Ref<number | null | undefined>, empty: number | null) =>
  computed({
    get: () => numberForField(of.value),
    set: v => (of.value = typedNumber(v) ?? empty!),
  })
const portText = numberText(port, null)
const attenuationText = numberText(attenuationDb, 0)
const scaleText = numberText(fullScale, null)
const percentText = computed({
  get: () => numberForField(classRatio.value == null ? null : 100 * classRatio.value, 6),
  set: v => {
    const percent = typedNumber(v)
    classRatio.value = percent === null ? null : percent / 100
  },
})
const readsPower = computed(() =>
  profileId.value ? instrumentProfile(profileId.value).quantities.some(q => q.quantity === 'powerW') : false,
)
const hasScale = computed(() =>
  profileId.value ? instrumentProfile(profileId.value).quantities.some(q => q.accuracy.ofFullScale) : false,
)
const kinds = METER_KINDS.map(k => ({ value: k, title: t(METER_KIND_WORDS[k]) }))
const submit = handleSubmit((values, { setFieldError }) => {
  const body = instrumentBody.cast(values) as InstrumentBody
  if (talks.value && body.port === null)
    return setFieldError('port', t('instruments.portAConnectedInstrumentNeedsThe'))
  emit('done', talks.value ? body : { ...body, port: null })
})
</script>

<template>
  <form novalidate class="form" @submit.prevent="submit">
    <v-text-field v-model="name" v-focus :label="t('common.name')" :error-messages="messages('name')" />
    <v-select
      v-model="profileId"
      :label="t('instruments.profile')"
      :items="profiles"
      :error-messages="messages('profileId')"
    />
    <template v-if="talks">
      <v-text-field
        v-model="host"
        :label="t('instruments.address')"
        :hint="t('instruments.aHostNameOrAddressSerial')"
        persistent-hint
        :error-messages="messages('host')"
      />
      <v-text-field
        v-model="portText"
        :label="t('instruments.tcpPort')"
        inputmode="numeric"
        :error-messages="messages('port')"
      />
    </template>
    <p v-else class="quiet">{{ t('instruments.notConnectedTypedReadingsUseThis') }}</p>
    <v-text-field
      v-model="calibratedOn"
      type="date"
      :label="t('instruments.calibratedOrCheckedOn')"
      clearable
      :error-messages="messages('calibratedOn')"
    />
    <v-text-field
      v-model="path"
      :label="t('instruments.sharedComponents')"
      :placeholder="t('instruments.coupler1DummyLoad')"
      :hint="t('instruments.metersSharingACouplerOrLoad')"
      persistent-hint
      :error-messages="messages('path')"
    />
    <template v-if="readsPower">
      <v-select
        v-model="meterKind"
        :label="t('instruments.kindOfPowerMeter')"
        :items="kinds"
        clearable
        :placeholder="t('instruments.asItsProfileSays')"
        :error-messages="messages('meterKind')"
      />
      <v-text-field
        v-model="attenuationText"
        :label="t('instruments.externalAttenuationDb')"
        inputmode="decimal"
        :hint="t('instruments.attenuatorSamplerAndCableTogetherAdded')"
        persistent-hint
        :error-messages="messages('attenuationDb')"
      />
      <v-text-field
        v-if="hasScale"
        v-model="scaleText"
        :label="t('instruments.fullScaleInUseW')"
        inputmode="decimal"
        :placeholder="t('instruments.asItsProfileSays')"
        :error-messages="messages('fullScale')"
      />
      <template v-if="!talks">
        <v-text-field
          v-if="hasScale && !classUnknown"
          v-model="percentText"
          :label="t('instruments.classOfFullScale')"
          inputmode="decimal"
          :placeholder="t('instruments.asItsProfileSays')"
          :error-messages="messages('classRatio')"
        />
        <v-checkbox
          v-model="classUnknown"
          :label="t('instruments.classUnknown')"
          :hint="t('instruments.itsReadingsAreSavedWithoutUncertainty')"
          persistent-hint
        />
      </template>
    </template>
    <p v-if="failure && !failure.field" class="care" role="alert">{{ failure.words }}</p>
    <div class="go">
      <v-btn type="submit" variant="flat" color="primary">{{ action }}</v-btn><v-btn
        @click="emit('cancel')"
        >{{ t('common.cancel') }}</v-btn
      >
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1.6fr;
  gap: 14px 18px;
  align-items: start;
  max-width: 780px;
  margin: 12px 0;
}
.go,
.care {
  grid-column: 1 / -1;
  display: flex;
  gap: 10px;
  margin: 0;
}
@media (max-width: 700px) {
  .form {
    grid-template-columns: 1fr;
  }
}
</style>

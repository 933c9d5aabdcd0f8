<script setup lang="ts">
import { useForm } from 'vee-validate'
import { computed, type Ref } from 'vue'
import { METER_KIND_WORDS } from '#shared/words/meterWords'
import { INSTRUMENT_PROFILES, METER_KINDS, instrumentProfile } from '#core/instrument'
import { instrumentBody, type InstrumentBody } from '#shared/instrument'
import type { Failure } from '~/data/failureWords'

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
const profiles = INSTRUMENT_PROFILES.map(p => ({ value: p.id, title: `${p.name}: ${p.accuracyWords}` }))
const talks = computed(() => (profileId.value ? instrumentProfile(profileId.value).talks : true))
const messages = (field: keyof InstrumentBody) =>
  errors.value[field] ?? (props.failure?.field === field ? props.failure.words : undefined)
const numberText = (of: Ref<number | null | undefined>, empty: number | null) =>
  computed({
    get: () => (of.value == null ? '' : String(of.value)),
    set: v => (of.value = v.trim() === '' ? empty! : Number(v.replace(',', '.'))),
  })
const portText = numberText(port, null)
const attenuationText = numberText(attenuationDb, 0)
const scaleText = numberText(fullScale, null)
const percentText = computed({
  get: () => (classRatio.value == null ? '' : String(Number((100 * classRatio.value).toFixed(3)))),
  set: v => (classRatio.value = v.trim() === '' ? null : Number(v.replace(',', '.')) / 100),
})
const readsPower = computed(() =>
  profileId.value ? instrumentProfile(profileId.value).quantities.some(q => q.quantity === 'powerW') : false,
)
const hasScale = computed(() =>
  profileId.value ? instrumentProfile(profileId.value).quantities.some(q => q.accuracy.ofFullScale) : false,
)
const kinds = METER_KINDS.map(k => ({ value: k, title: METER_KIND_WORDS[k] }))
const submit = handleSubmit((values, { setFieldError }) => {
  const body = instrumentBody.cast(values) as InstrumentBody
  if (talks.value && body.port === null)
    return setFieldError(
      'port',
      'Port: a connected instrument needs the TCP port of its SCPI socket, often 5025',
    )
  emit('done', talks.value ? body : { ...body, port: null })
})
</script>

<template>
  <form novalidate class="form" @submit.prevent="submit">
    <v-text-field v-model="name" label="Name" autofocus :error-messages="messages('name')" />
    <v-select v-model="profileId" label="Profile" :items="profiles" :error-messages="messages('profileId')" />
    <template v-if="talks">
      <v-text-field
        v-model="host"
        label="Address"
        hint="a host name or address; serial:/dev/ttyUSB0 with the speed as port"
        persistent-hint
        :error-messages="messages('host')"
      />
      <v-text-field
        v-model="portText"
        label="TCP port"
        inputmode="numeric"
        :error-messages="messages('port')"
      />
    </template>
    <p v-else class="quiet">Not connected. Typed readings use this accuracy.</p>
    <v-text-field
      v-model="calibratedOn"
      type="date"
      label="Calibrated or checked on"
      clearable
      :error-messages="messages('calibratedOn')"
    />
    <v-text-field
      v-model="path"
      label="Shared components"
      placeholder="coupler 1, dummy load"
      hint="Meters sharing a coupler or load are not independent."
      persistent-hint
      :error-messages="messages('path')"
    />
    <template v-if="readsPower">
      <v-select
        v-model="meterKind"
        label="Kind of power meter"
        :items="kinds"
        clearable
        placeholder="as its profile says"
        :error-messages="messages('meterKind')"
      />
      <v-text-field
        v-model="attenuationText"
        label="External attenuation, dB"
        inputmode="decimal"
        hint="Attenuator, sampler and cable together; added to its power readings"
        persistent-hint
        :error-messages="messages('attenuationDb')"
      />
      <v-text-field
        v-if="hasScale"
        v-model="scaleText"
        label="Full scale in use, W"
        inputmode="decimal"
        placeholder="as its profile says"
        :error-messages="messages('fullScale')"
      />
      <template v-if="!talks">
        <v-text-field
          v-if="hasScale && !classUnknown"
          v-model="percentText"
          label="Class, % of full scale"
          inputmode="decimal"
          placeholder="as its profile says"
          :error-messages="messages('classRatio')"
        />
        <v-checkbox
          v-model="classUnknown"
          label="Class unknown"
          hint="Its readings are saved without uncertainty and carry no weight"
          persistent-hint
        />
      </template>
    </template>
    <p v-if="failure && !failure.field" class="care" role="alert">{{ failure.words }}</p>
    <div class="go">
      <v-btn type="submit" variant="flat" color="primary">{{ action }}</v-btn><v-btn @click="emit('cancel')"
        >Cancel</v-btn
      >
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1.6fr;
  gap: 14px 18px;
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

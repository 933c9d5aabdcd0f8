<script setup lang="ts">
import { useForm } from 'vee-validate'
import { computed } from 'vue'
import { INSTRUMENT_PROFILES, instrumentProfile } from '../../../core/instrument'
import { instrumentBody, type InstrumentBody } from '../../../shared/instrument'
import type { Failure } from '../../logic/failureWords'

const props = defineProps<{ initial: InstrumentBody, action: string, failure: Failure | null }>()
const emit = defineEmits<{ done: [body: InstrumentBody], cancel: [] }>()
const { defineField, handleSubmit, errors } = useForm({ validationSchema: instrumentBody, initialValues: props.initial })
const quiet = { validateOnModelUpdate: false }
const [name] = defineField('name', quiet)
const [profileId] = defineField('profileId', quiet)
const [host] = defineField('host', quiet)
const [port] = defineField('port', quiet)
const profiles = INSTRUMENT_PROFILES.map(p => ({ value: p.id, title: `${p.name}: ${p.accuracyWords}` }))
const talks = computed(() => profileId.value ? instrumentProfile(profileId.value).talks : true)
const messages = (field: keyof InstrumentBody) => errors.value[field] ?? (props.failure?.field === field ? props.failure.words : undefined)
const portText = computed({ get: () => port.value == null ? '' : String(port.value), set: v => (port.value = v.trim() === '' ? null : Number(v)) })
const submit = handleSubmit((values, { setFieldError }) => {
  const body = instrumentBody.cast(values) as InstrumentBody
  if (talks.value && body.port === null) return setFieldError('port', 'Port: an instrument that talks needs the TCP port of its SCPI socket, often 5025')
  emit('done', talks.value ? body : { ...body, port: null })
})
</script>

<template>
  <form novalidate class="form" @submit.prevent="submit">
    <v-text-field v-model="name" label="Name on this bench" autofocus :error-messages="messages('name')" />
    <v-select v-model="profileId" label="Profile" :items="profiles" :error-messages="messages('profileId')" />
    <template v-if="talks">
      <v-text-field v-model="host" label="Address" :error-messages="messages('host')" />
      <v-text-field v-model="portText" label="TCP port" inputmode="numeric" :error-messages="messages('port')" />
    </template>
    <p v-else class="quiet">It does not talk: its readings are typed, with this accuracy.</p>
    <p v-if="failure && !failure.field" class="care" role="alert">{{ failure.words }}</p>
    <div class="go"><v-btn type="submit" variant="flat" color="primary">{{ action }}</v-btn><v-btn @click="emit('cancel')">Cancel</v-btn></div>
  </form>
</template>

<style scoped>
.form { display: grid; grid-template-columns: 1fr 1.6fr; gap: 14px 18px; max-width: 780px; margin: 12px 0; }
.go, .care { grid-column: 1 / -1; display: flex; gap: 10px; margin: 0; }
@media (max-width: 700px) { .form { grid-template-columns: 1fr; } }
</style>

<script setup lang="ts">
import { HEATS } from '#core/run'
import { t } from '#shared/i18n'
import { HEAT_WORDS } from '#shared/words/partWords'
import type { PartForm, TestSetup } from '../../../logic/partTestForm'

/** An RF part in a healthy set: power, what it did in those seconds, and with what it was read. */
defineProps<{ byHeat: boolean; wrong: (field: string) => string | undefined }>()
const form = defineModel<PartForm>('form', { required: true })
const setup = defineModel<TestSetup>('setup', { required: true })
const FALLS = [
  { value: null, title: t('job.notTested') },
  { value: false, title: t('job.powerSteady') },
  { value: true, title: t('job.powerFalls') },
]
const HEAT = [
  { value: null, title: t('job.notChecked') },
  ...HEATS.map(h => ({ value: h, title: t(HEAT_WORDS[h]) })),
]
interface SetupField {
  readonly key: Exclude<keyof TestSetup, 'partKind'>
  /** its name in the entry where it is another one */
  readonly sent?: string
  readonly label: string
  readonly suffix?: string
  readonly placeholder?: string
}
/** With what it was tried: it stays for the next part. */
const SETUP: readonly SetupField[] = [
  { key: 'reference', sent: 'rfReferenceW', label: t('job.referencePower'), suffix: 'W' },
  { key: 'keyedS', label: t('part.keyed'), suffix: 's' },
  { key: 'testSet', label: t('job.testSet'), placeholder: t('job.theWorkshopsOsmund40a') },
  { key: 'meter', label: t('common.meter') },
  { key: 'scale', label: t('job.scale'), placeholder: '5 W' },
  { key: 'supplyV', label: t('form.supplyVoltage'), suffix: 'V' },
  { key: 'supplyA', label: t('form.supplyCurrent'), suffix: 'A' },
]
</script>

<template>
  <v-text-field
    v-model="form.rf"
    :label="t('job.rfPowerInTestSet')"
    suffix="W"
    inputmode="decimal"
    :error-messages="wrong('rfPowerW')"
  />
  <v-select v-model="form.falls" :label="t('part.powerWhileKeyed')" :items="FALLS" />
  <v-select v-if="byHeat" v-model="form.heat" :label="t('job.caseTemperature')" :items="HEAT" />
  <v-text-field
    v-for="f in SETUP"
    :key="f.key"
    v-model="setup[f.key]"
    :label="f.label"
    :suffix="f.suffix"
    :placeholder="f.placeholder"
    :inputmode="f.suffix ? 'decimal' : 'text'"
    :error-messages="wrong(f.sent ?? f.key)"
  />
</template>

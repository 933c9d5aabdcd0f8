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
</script>

<template>
  <v-text-field
    v-model="form.rf"
    :label="t('job.rfPowerInTestSet')"
    suffix="W"
    inputmode="decimal"
    :error-messages="wrong('rfPowerW')"
  />
  <v-text-field
    v-model="setup.reference"
    :label="t('job.referencePower')"
    suffix="W"
    inputmode="decimal"
    :error-messages="wrong('rfReferenceW')"
  />
  <v-select v-model="form.falls" :label="t('part.powerWhileKeyed')" :items="FALLS" />
  <v-select v-if="byHeat" v-model="form.heat" :label="t('job.caseTemperature')" :items="HEAT" />
  <v-text-field
    v-model="setup.keyedS"
    :label="t('part.keyed')"
    suffix="s"
    inputmode="decimal"
    :error-messages="wrong('keyedS')"
  />
  <v-text-field
    v-model="setup.testSet"
    :label="t('job.testSet')"
    :placeholder="t('job.theWorkshopsOsmund40a')"
    :error-messages="wrong('testSet')"
  />
  <v-text-field v-model="setup.meter" :label="t('common.meter')" :error-messages="wrong('meter')" />
  <v-text-field
    v-model="setup.scale"
    :label="t('job.scale')"
    placeholder="5 W"
    :error-messages="wrong('scale')"
  />
  <v-text-field
    v-model="setup.supplyV"
    :label="t('form.supplyVoltage')"
    suffix="V"
    inputmode="decimal"
    :error-messages="wrong('supplyV')"
  />
  <v-text-field
    v-model="setup.supplyA"
    :label="t('form.supplyCurrent')"
    suffix="A"
    inputmode="decimal"
    :error-messages="wrong('supplyA')"
  />
</template>

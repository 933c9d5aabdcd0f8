<script setup lang="ts">
import { typedNumber } from '#core/quantity'
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { HEATS } from '#core/run'
import type { NewWorkEvent } from '../../logic/useEventForm'

/**
 * DC rejects, RF accepts: both are asked, neither is forced. The set, the meter and its scale stay for the
 * next part of the drawer.
 */
defineProps<{ wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void] }>()
const ofPart = () => ({
  part: '',
  boughtAt: '',
  dcGain: '',
  rf: '',
  falls: null as boolean | null,
  heat: null as (typeof HEATS)[number] | null,
})
const form = ref(ofPart())
const setup = ref({ gainFrom: '', gainTo: '', reference: '4', testSet: '', meter: '', scale: '' })
const FALLS = [
  { value: null, title: t('job.notTested') },
  { value: false, title: t('job.powerSteady') },
  { value: true, title: t('job.powerFalls') },
]
const HEAT_WORDS = { cool: 'job.heatCool', warm: 'job.heatWarm', hot: 'job.heatHot' } as const
const HEAT = [
  { value: null, title: t('job.notChecked') },
  ...HEATS.map(h => ({ value: h, title: t(HEAT_WORDS[h]) })),
]

/** An empty field is "not tested"; what is no number is refused by the shared check. */
const numberOf = typedNumber
function send() {
  const { part, boughtAt, dcGain, rf, falls, heat } = form.value
  const { gainFrom, gainTo, reference, testSet, meter, scale } = setup.value
  const rfPowerW = numberOf(rf)
  const withRf =
    rfPowerW === null ? { rfReferenceW: null } : { rfReferenceW: numberOf(reference), testSet, meter, scale }
  emit(
    'send',
    {
      kind: 'part-tested',
      part,
      boughtAt,
      dcGain: numberOf(dcGain),
      gainFrom: numberOf(gainFrom),
      gainTo: numberOf(gainTo),
      rfPowerW,
      ...withRf,
      fallsWhileKeyed: falls,
      heat,
      text: '',
    },
    () => {
      form.value = ofPart()
    },
  )
}
</script>

<template>
  <div class="test-form">
    <v-text-field
      v-model="form.part"
      :label="t('job.part')"
      :placeholder="t('job.exampleTransistor')"
      :error-messages="wrong('part')"
    />
    <v-text-field v-model="form.boughtAt" :label="t('job.boughtFrom')" />
    <v-text-field
      v-model="form.dcGain"
      :label="t('job.dcGain')"
      inputmode="decimal"
      :error-messages="wrong('dcGain')"
    />
    <div class="pair">
      <v-text-field
        v-model="setup.gainFrom"
        :label="t('job.itsTypeFrom')"
        inputmode="decimal"
        :error-messages="wrong('gainFrom')"
      />
      <v-text-field
        v-model="setup.gainTo"
        :label="t('job.to')"
        inputmode="decimal"
        :error-messages="wrong('gainTo')"
      />
    </div>
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
    <v-select v-model="form.falls" :label="t('job.n5SKeyed')" :items="FALLS" />
    <v-select v-model="form.heat" :label="t('job.caseTemperature')" :items="HEAT" />
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
    <v-btn size="large" :disabled="form.part.trim() === ''" @click="send">{{ t('job.add') }}</v-btn>
  </div>
</template>

<style scoped>
.test-form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(310px, 100%), 1fr));
  gap: 10px;
  align-items: start;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 6px;
}
@media (max-width: 760px) {
  .test-form {
    grid-template-columns: 1fr;
  }
}
</style>

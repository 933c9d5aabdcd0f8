<script setup lang="ts">
import { TRIAL_SIGNALS } from '#core/run'
import { t } from '#shared/i18n'
import ChoiceButtons from '~/ui/frame/ChoiceButtons.vue'
import { SIGNAL_WORDS, type TrialFields } from '../logic/trialForm'

/** What is shown in a trial, beside its readings. */
defineProps<{ wrong: (field: string) => string | undefined }>()
const fields = defineModel<TrialFields>({ required: true })
const set = (part: Partial<TrialFields>) => (fields.value = { ...fields.value, ...part })
</script>

<template>
  <div class="signals">
    <ChoiceButtons
      :model-value="fields.signal"
      :label="t('trial.signal')"
      :options="TRIAL_SIGNALS.map(id => ({ id, label: t(SIGNAL_WORDS[id]) }))"
      @update:model-value="signal => set({ signal })"
    >
      <span class="label">{{ t('trial.signal') }}</span>
    </ChoiceButtons>
    <v-checkbox
      :model-value="fields.isAmplified"
      :label="t('trial.withAmplifier')"
      hide-details
      @update:model-value="v => set({ isAmplified: v === true })"
    />
  </div>
  <div class="fields">
    <v-text-field
      :model-value="fields.text"
      :label="t('form.whatWasSet')"
      :error-messages="wrong('text')"
      @update:model-value="text => set({ text })"
    />
    <template v-if="fields.isAmplified">
      <v-text-field
        :model-value="fields.name"
        :label="t('form.amplifier')"
        :error-messages="wrong('amplifier.name')"
        @update:model-value="name => set({ name })"
      />
      <v-text-field
        :model-value="fields.devices"
        :label="t('form.outputDevices')"
        inputmode="numeric"
        :error-messages="wrong('amplifier.devices')"
        @update:model-value="devices => set({ devices })"
      />
      <v-text-field
        :model-value="fields.claimedW"
        :label="t('form.claimedPerDevice')"
        suffix="W"
        inputmode="decimal"
        :error-messages="wrong('amplifier.claimedW')"
        @update:model-value="claimedW => set({ claimedW })"
      />
    </template>
  </div>
  <p v-if="fields.isAmplified" class="care">{{ t('trial.amplifierCaution') }}</p>
</template>

<style scoped>
.signals {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-bottom: 10px;
}
.label {
  font-size: 13px;
  color: var(--ink2);
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(220px, 100%), 1fr));
  gap: 10px;
}
.care {
  margin: 2px 0 8px;
  padding-left: 10px;
  border-left: 4px solid var(--out);
}
</style>

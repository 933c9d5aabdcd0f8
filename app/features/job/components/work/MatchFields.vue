<script setup lang="ts">
import { METER_AT } from '#core/run'
import { t } from '#shared/i18n'
import type { MatchDraft, MatchTyped } from '../../logic/matchForm'

/** What the line to the antenna showed in that state: powers, or the scale of SWR. */
defineProps<{ problems: MatchTyped['problems'] }>()
const draft = defineModel<MatchDraft>({ required: true })
const PLACES = { 'set-side': 'settings.setSide', 'antenna-side': 'settings.antennaSide' } as const
const places = [
  { value: null, title: t('settings.notSaid') },
  ...METER_AT.map(value => ({ value, title: t(PLACES[value]) })),
]
</script>

<template>
  <fieldset>
    <legend>{{ t('settings.match') }}</legend>
    <div class="fields">
      <v-text-field
        v-model="draft.forward"
        :label="t('form.forwardPower')"
        suffix="W"
        inputmode="decimal"
        maxlength="20"
        :error-messages="problems.forward"
      />
      <v-text-field
        v-model="draft.reflected"
        :label="t('form.reflectedPower')"
        suffix="W"
        inputmode="decimal"
        maxlength="20"
        :error-messages="problems.reflected"
      />
      <v-text-field
        v-model="draft.swr"
        :label="t('form.swr')"
        inputmode="decimal"
        maxlength="20"
        :error-messages="problems.swr"
      />
      <v-select v-model="draft.meterAt" :label="t('settings.meterAt')" :items="places" />
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 18px 0 10px;
}
legend {
  font-weight: 600;
  margin-bottom: 6px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
}
</style>

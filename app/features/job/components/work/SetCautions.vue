<script setup lang="ts">
import { t } from '#shared/i18n'
import { kindHas, type ModelSheet } from '#core/sheet'

/** The cautions of a set with high voltage, at every place where somebody may reach into it. */
defineProps<{ sheet: Pick<ModelSheet, 'kind' | 'plateV' | 'cautions'> }>()
</script>

<template>
  <div
    v-if="sheet.plateV !== undefined || kindHas(sheet.kind, 'valves')"
    class="care"
    role="note"
    :aria-label="t('job.highVoltage')"
  >
    <p>
      <b>{{
        sheet.plateV === undefined ? t('job.highVoltageInside') : t('job.vInside', { plateV: sheet.plateV })
      }}</b>
      {{ sheet.cautions[0] }}
    </p>
    <p v-for="c in sheet.cautions.slice(1)" :key="c">{{ c }}</p>
  </div>
</template>

<style scoped>
.care {
  margin: 0 0 14px;
}
p {
  margin: 0;
}
</style>

<script setup lang="ts">
import { numberForField } from '#core/quantity'
import { t } from '#shared/i18n'
import { countWords } from '#shared/words/dateWords'
import type { ScopePreview } from '#core/recording'

/** What was found in a table of an oscilloscope, before it is believed. */
defineProps<{ name: string; preview: ScopePreview }>()
const emit = defineEmits<{ yes: []; no: [] }>()
</script>

<template>
  <section class="preview" :aria-label="t('signals.tableFound')">
    <p>
      <b>{{ name }}</b>{{
        t('signals.samplesASecondTimeIn', {
          columns:
            preview.valueColumns.length === 2
              ? t('signals.timeAndTwoChannelsTakenAs')
              : t('signals.timeAndOneChannel'),
          sampleRateHz: countWords(Math.round(preview.sampleRateHz)),
          timeUnit: preview.timeUnitS === 1 ? t('signals.seconds') : `${numberForField(preview.timeUnitS)} s`,
          valueUnit: preview.valueUnitsV[0] === 1 ? t('signals.volts') : `${preview.valueUnitsV[0]} V`,
        })
      }}
    </p>
    <table class="fig">
      <thead>
        <tr>
          <th v-for="c in preview.columns" :key="c">{{ c }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, n) in preview.firstRows.slice(0, 3)" :key="n">
          <td v-for="(cell, k) in row" :key="k">{{ cell }}</td>
        </tr>
      </tbody>
    </table>
    <v-btn variant="flat" color="primary" @click="emit('yes')">{{ t('signals.measureLikeThis') }}</v-btn>{{
      ' '
    }}
    <v-btn class="ml-3" @click="emit('no')">{{ t('common.discard') }}</v-btn>
  </section>
</template>

<style scoped>
.preview {
  border-left: 3px dashed var(--unsure);
  padding: 6px 14px;
  margin: 12px 0;
}
table {
  font-size: 13px;
  border-collapse: collapse;
  margin-bottom: 10px;
}
td,
th {
  padding: 2px 14px 2px 0;
  text-align: left;
}
</style>

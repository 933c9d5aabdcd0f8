<script setup lang="ts">
import { computed } from 'vue'
import type { ComparedCell, RowState } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import type { Stage } from '#core/work'
import { t } from '#shared/i18n'
import { bandCharts } from '#shared/words/bandChart'
import { remarksOfCompared } from '#shared/words/rowRemarks'
import { readRows, sidesOf, unreadRows } from '#shared/words/compareGauge'
import StateMark from '~/ui/gauge/StateMark.vue'
import BandChart from './BandChart.vue'
import CompareTable from './CompareTable.vue'

/** Readings as found and as left side by side, or those of the one phase that belongs to the job. */
const props = defineProps<{
  compared: readonly ComparedCell[]
  asFound: readonly RowState[]
  asLeft: readonly RowState[]
  sheet: ModelSheet
  stages: readonly Stage[]
  night: boolean
}>()
const stale = computed(() => new Set(props.asLeft.filter(r => r.stale).map(r => r.point.id)))
/** A chart of nothing is none. */
const charts = computed(() =>
  bandCharts(props.compared, props.sheet).filter(c => c.before.values.length + c.after.values.length > 0),
)
const sides = computed(() => sidesOf(props.stages))
const read = computed(() => readRows(props.compared, sides.value))
const remarks = computed(() => remarksOfCompared(props.sheet, props, sides.value))
const unread = computed(() => unreadRows(props.compared, sides.value))
</script>

<template>
  <section v-if="charts.length > 0" class="charts">
    <BandChart v-for="c in charts" :key="c.title" :data="c" :night="night" />
  </section>
  <section>
    <h2>{{ sides.length === 2 ? t('job.beforeAndAfter') : t('job.readings') }}</h2>
    <p v-if="read.length > 0" class="quiet legend">
      <StateMark aria-hidden="true" mark="none" /> {{ t('job.hollowAsFoundFilledAsLeft') }}
    </p>
    <div v-if="read.length > 0" class="scroll" tabindex="0">
      <CompareTable :cells="read" :stale="stale" :sides="sides" />
    </div>
    <p v-for="w in remarks" :key="w" class="remark">{{ w }}</p>
    <p v-if="unread.length > 0" class="quiet unread">
      {{ t('job.rowsNotRead', { list: unread.join('; ') }) }}
    </p>
  </section>
</template>

<style scoped>
section {
  margin-top: 22px;
}
.charts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
.legend {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 13px;
  margin: 4px 0;
}
.unread {
  margin: 10px 0 0;
  max-width: 110ch;
}
.scroll {
  overflow-x: auto;
}
@media (max-width: 900px) {
  .charts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { ModelSheet, PowerControl } from '#core/sheet'
import EditTable from './EditTable.vue'
import type { EditColumn } from './editColumn'

/** What the set calls the ends of its power control, and controls whose range is a reading of its own. */
const props = defineProps<{ sheet: ModelSheet }>()
const emit = defineEmits<{ change: [part: Partial<ModelSheet>] }>()
const rows = computed(() =>
  props.sheet.matrix
    .filter(p => p.wants.some(w => w.quantity === 'powerW'))
    .map(p => ({ value: p.id, title: p.title })),
)
const columns = computed((): EditColumn[] => [
  { key: 'name', label: t('sheet.powerControl') },
  { key: 'lowestPointId', label: t('sheet.lowestEnd'), kind: 'select', items: rows.value, width: '220px' },
  { key: 'highestPointId', label: t('sheet.highestEnd'), kind: 'select', items: rows.value, width: '220px' },
])
const make = (): PowerControl => ({
  name: t('run.power'),
  lowestPointId: rows.value.at(-1)?.value ?? '',
  highestPointId: rows.value[0]?.value ?? '',
})
/** What stays empty is called as it is on a set without names. */
function putName(end: 'high' | 'low', e: Event) {
  const name = (e.target as HTMLInputElement).value.trim() || undefined
  const powerNames = { ...props.sheet.powerNames, [end]: name }
  emit('change', { powerNames: powerNames.high || powerNames.low ? powerNames : undefined })
}
</script>

<template>
  <section>
    <h2>{{ t('sheet.powerControls') }}</h2>
    <div class="pair">
      <v-text-field
        :model-value="sheet.powerNames?.high ?? ''"
        :label="t('sheet.nameOfMostPower')"
        :placeholder="t('run.high')"
        maxlength="60"
        @change="(e: Event) => putName('high', e)"
      /><v-text-field
        :model-value="sheet.powerNames?.low ?? ''"
        :label="t('sheet.nameOfLeastPower')"
        :placeholder="t('run.low')"
        maxlength="60"
        @change="(e: Event) => putName('low', e)"
      />
    </div>
    <EditTable
      :rows="sheet.powerControls ?? []"
      :columns="columns"
      :make="make"
      :add="t('sheet.addPowerControl')"
      :empty="t('sheet.noPowerControl')"
      @change="powerControls => emit('change', { powerControls })"
    />
  </section>
</template>

<style scoped>
section {
  margin-top: 28px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 10px 18px;
  max-width: 700px;
  margin: 10px 0 16px;
}
</style>

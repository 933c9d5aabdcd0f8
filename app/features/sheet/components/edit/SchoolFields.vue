<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { computed } from 'vue'
import { SCHOOLS, actsOn, type ModelSheet } from '#core/sheet'

/**
 * Where practitioners differ and the choice changes steps and targets: this model may ask for another side
 * than the shop.
 */
const props = defineProps<{ sheet: ModelSheet }>()
const emit = defineEmits<{ change: [part: Partial<ModelSheet>] }>()
/** What has nothing to change here is no choice, but for one that was made: it can be taken back. */
const acting = computed(() =>
  withTextsTranslated(
    SCHOOLS.filter(s => s.acts && (props.sheet.schools?.[s.id] !== undefined || actsOn(props.sheet, s))),
  ),
)
function choose(id: string, side: string) {
  const { [id]: _old, ...rest } = props.sheet.schools ?? {}
  emit('change', { schools: side === '' ? rest : { ...rest, [id]: side } })
}
</script>

<template>
  <div class="schools">
    <label v-for="s in acting" :key="s.id"
      >{{ s.question }}
      <select
        :value="sheet.schools?.[s.id] ?? ''"
        @change="choose(s.id, ($event.target as HTMLSelectElement).value)"
      >
        <option value="">
          {{
            t('sheet.asTheWorkshopRecommended', { words: s.options.find(o => o.id === s.defaultId)!.words })
          }}
        </option>
        <option v-for="o in s.options" :key="o.id" :value="o.id">{{ o.words }}</option>
      </select>
    </label>
  </div>
</template>

<style scoped>
.schools {
  display: grid;
  gap: 10px;
  max-width: 760px;
}
label {
  display: flex;
  flex-direction: column;
  font-size: 13px;
  color: var(--ink2);
}
</style>

<script setup lang="ts">
import type { PartFigureId } from '#core/run'
import { partFigureUnit } from '#core/work'
import { t } from '#shared/i18n'
import { FIGURE_WORDS } from '#shared/words/partWords'
import { emptyFigure, type PartForm, type TypedFigure } from '../../../logic/partTestForm'

/** Figures of one kind of part, each with the range its type is sold with. */
const props = defineProps<{
  figures: readonly PartFigureId[]
  wrong: (field: string) => string | undefined
}>()
const typed = defineModel<PartForm['figures']>({ required: true })
const of = (id: PartFigureId) => typed.value[id] ?? emptyFigure()
const put = (id: PartFigureId, part: Partial<TypedFigure>) => {
  typed.value = { ...typed.value, [id]: { ...of(id), ...part } }
}
/** Only figures that were typed are sent: a problem names the place among those. */
function wrongAt(id: PartFigureId, field: keyof TypedFigure) {
  const sent = props.figures.filter(f => of(f).value.trim() !== '')
  return props.wrong(`figures[${sent.indexOf(id)}].${field}`)
}
</script>

<template>
  <template v-for="id in figures" :key="id">
    <v-text-field
      :model-value="of(id).value"
      :label="t(FIGURE_WORDS[id])"
      :suffix="partFigureUnit(id).unit"
      inputmode="text"
      :error-messages="wrongAt(id, 'value')"
      @update:model-value="(value: string) => put(id, { value })"
    />
    <v-text-field
      :model-value="of(id).low"
      :label="t('part.typeFrom')"
      :suffix="partFigureUnit(id).unit"
      :aria-label="t('part.typeFromOf', { figure: t(FIGURE_WORDS[id]) })"
      :error-messages="wrongAt(id, 'low')"
      @update:model-value="(low: string) => put(id, { low })"
    />
    <v-text-field
      :model-value="of(id).high"
      :label="t('part.typeTo')"
      :suffix="partFigureUnit(id).unit"
      :aria-label="t('part.typeToOf', { figure: t(FIGURE_WORDS[id]) })"
      :error-messages="wrongAt(id, 'high')"
      @update:model-value="(high: string) => put(id, { high })"
    />
  </template>
</template>

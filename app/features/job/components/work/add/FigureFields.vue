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
const PARTS = ['value', 'low', 'high'] as const satisfies readonly (keyof TypedFigure)[]
const RANGE = { low: ['part.typeFrom', 'part.typeFromOf'], high: ['part.typeTo', 'part.typeToOf'] } as const
const labelOf = (id: PartFigureId, part: keyof TypedFigure) =>
  part === 'value' ? t(FIGURE_WORDS[id]) : t(RANGE[part][0])
/** By itself the label of a range does not say of what. */
const nameOf = (id: PartFigureId, part: keyof TypedFigure) =>
  part === 'value' ? undefined : t(RANGE[part][1], { figure: t(FIGURE_WORDS[id]) })
/** Only figures that were typed are sent: a problem names the place among those. */
function wrongAt(id: PartFigureId, field: keyof TypedFigure) {
  const sent = props.figures.filter(f => of(f).value.trim() !== '')
  return props.wrong(`figures[${sent.indexOf(id)}].${field}`)
}
</script>

<template>
  <template v-for="id in figures" :key="id">
    <v-text-field
      v-for="part in PARTS"
      :key="part"
      :model-value="of(id)[part]"
      :label="labelOf(id, part)"
      :aria-label="nameOf(id, part)"
      :suffix="partFigureUnit(id).unit"
      :error-messages="wrongAt(id, part)"
      @update:model-value="(text: string) => put(id, { [part]: text })"
    />
  </template>
</template>

<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { BOARD_DRAWINGS, withField, type BoardPosition, type BoardSide, type ModelSheet } from '#core/sheet'
import { boardPins } from '../../logic/boardPins'
import BoardView from '../board/BoardView.vue'

/**
 * The board: a photo or a drawing for each side, pins dragged or moved with the arrow keys to where they are.
 */
const props = defineProps<{ sheet: ModelSheet; uploading: boolean }>()
const emit = defineEmits<{ change: [part: Partial<ModelSheet>]; photo: [file: File, side: BoardSide] }>()
const file = ref<HTMLInputElement | null>(null)
const forSide = ref<BoardSide>('parts')

function move(id: string, to: BoardPosition) {
  const pin = [...boardPins(props.sheet, 'parts'), ...boardPins(props.sheet, 'solder')].find(p => p.id === id)
  if (!pin) return
  const { adjusters, testPoints } = withField(props.sheet, pin.path, to)
  emit('change', { adjusters, ...(testPoints ? { testPoints } : {}) })
}
function otherSide(id: string, from: BoardSide) {
  const pin = boardPins(props.sheet, from).find(p => p.id === id)
  if (!pin) return
  const { x, y } = pin.position
  move(id, from === 'parts' ? { x, y, side: 'solder' } : { x, y })
}
function picture(side: BoardSide, drawing: string | null, pictureId: string | null) {
  const rest = (props.sheet.boards ?? []).filter(b => b.side !== side)
  emit('change', {
    boards: drawing === null && pictureId === null ? rest : [...rest, { side, drawing, pictureId }],
  })
}
function take(e: Event) {
  const [chosen] = (e.target as HTMLInputElement).files ?? []
  if (chosen) emit('photo', chosen, forSide.value)
  ;(e.target as HTMLInputElement).value = ''
}
const pick = (side: BoardSide) => {
  forSide.value = side
  file.value?.click()
}
const chosen = ref<string | null>(null)
</script>

<template>
  <div>
    <p class="quiet">
      {{ t('sheet.dragEachPinToItsPosition') }}
    </p>
    <BoardView
      :sheet="sheet"
      :wanted="chosen ? [chosen] : []"
      editable
      @move="move"
      @choose="id => (chosen = id)"
    >
      <template #default="{ side }">
        <div class="acts">
          <v-btn height="44" :loading="uploading" @click="pick(side)">{{ t('sheet.photoOfThisSide') }}</v-btn>
          <label
            >{{ t('sheet.drawing') }}
            <select
              :value="sheet.boards?.find(b => b.side === side)?.drawing ?? ''"
              @change="picture(side, ($event.target as HTMLSelectElement).value || null, null)"
            >
              <option value="">{{ t('sheet.none') }}</option>
              <option v-for="d in BOARD_DRAWINGS.filter(b => b.side === side)" :key="d.id" :value="d.id">
                {{ d.id }}
              </option>
            </select></label
          >
          <v-btn
            height="44"
            :disabled="!sheet.boards?.some(b => b.side === side)"
            @click="picture(side, null, null)"
            >{{ t('sheet.noPicture') }}</v-btn
          >
          <v-btn height="44" :disabled="!chosen" @click="otherSide(chosen!, side)">{{
            t('sheet.toTheOtherSide', { chosen: chosen ?? t('sheet.pin') })
          }}</v-btn>
        </div>
      </template>
    </BoardView>
    <input
      ref="file"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      class="sr"
      :aria-label="t('sheet.photoOfTheBoard')"
      @change="take"
    />
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  align-items: center;
  margin-top: 8px;
}
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'
import { clampTo, type Hand } from '../logic/practiceHands'

/** One adjuster under the hand: slider, a little and a lot each way, wheel and arrow keys; soften, clean. */
const props = defineProps<{ hand: Hand; wanted: boolean }>()
const emit = defineEmits<{ turn: [position: number, released: boolean]; soften: []; clean: [] }>()
function nudge(by: number, coarse = false) {
  emit(
    'turn',
    clampTo(props.hand, props.hand.position + by * (coarse ? props.hand.coarse : props.hand.fine)),
    true,
  )
}
/** Only where a hand rests: scrolling past must not turn anything. */
function wheel(event: WheelEvent) {
  if (!(event.currentTarget as HTMLElement).contains(document.activeElement)) return
  event.preventDefault()
  nudge(event.deltaY < 0 ? 1 : -1, event.shiftKey)
}
function keys(event: KeyboardEvent) {
  const by = { PageUp: 1, PageDown: -1 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  nudge(by, true)
}
</script>

<template>
  <div class="adj" :class="{ wanted }" @wheel="wheel">
    <span class="name"
      ><b class="fig">{{ hand.designator }}</b> {{ hand.name
      }}<em v-if="hand.waxed"> {{ t('practice.waxed') }}</em
      >{{ ' ' }} <span class="fig pos">{{ hand.shown }}</span></span
    >
    <button
      type="button"
      :aria-label="t('practice.backLargeStep', { designator: hand.designator })"
      @click="nudge(-1, true)"
    >
      &laquo;
    </button>
    <button
      type="button"
      :aria-label="t('practice.backSmallStep', { designator: hand.designator })"
      @click="nudge(-1)"
    >
      &minus;
    </button>
    <input
      type="range"
      :min="hand.min"
      :max="hand.max"
      :step="hand.fine"
      :value="hand.position"
      :aria-label="`${hand.designator} ${hand.name}`"
      @keydown="keys"
      @input="emit('turn', Number(($event.target as HTMLInputElement).value), false)"
      @change="emit('turn', Number(($event.target as HTMLInputElement).value), true)"
    />
    <button
      type="button"
      :aria-label="t('practice.forwardSmallStep', { designator: hand.designator })"
      @click="nudge(1)"
    >
      +
    </button>
    <button
      type="button"
      :aria-label="t('practice.forwardLargeStep', { designator: hand.designator })"
      @click="nudge(1, true)"
    >
      &raquo;
    </button>
    <span v-if="hand.waxed || hand.kind === 'preset'" class="treat">
      <button v-if="hand.waxed" type="button" class="text" @click="emit('soften')">
        {{ t('practice.softenTheWax') }}
      </button>
      <button v-if="hand.kind === 'preset'" type="button" class="text" @click="emit('clean')">
        {{ t('practice.clean') }}
      </button>
    </span>
  </div>
</template>

<style scoped>
.adj {
  display: grid;
  grid-template-columns: 38px 44px minmax(0, 1fr) 44px 38px;
  gap: 0 4px;
  align-items: center;
  padding: 3px 0;
}
.adj.wanted {
  box-shadow:
    -6px 0 0 var(--sheet),
    -9px 0 0 var(--accent);
}
.name {
  grid-column: 1 / -1;
  font-size: 13px;
  line-height: 1.2;
  display: flex;
  gap: 6px;
  align-items: baseline;
}
.name em {
  color: var(--unsure);
  font-style: normal;
  font-weight: 600;
}
button {
  height: 44px;
  border: 1px solid var(--line2);
  border-radius: 6px;
  color: inherit;
  font-size: 19px;
}
input {
  width: 100%;
  min-width: 0;
  height: 44px;
  accent-color: var(--accent);
}
.pos {
  margin-left: auto;
  font-size: 13px;
}
.treat {
  grid-column: 1 / -1;
  display: flex;
  gap: 8px;
}
button.text {
  height: 34px;
  font-size: 13px;
  padding: 0 10px;
}
</style>

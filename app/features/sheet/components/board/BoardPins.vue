<script setup lang="ts">
import { t } from '#shared/i18n'
import type { BoardPin } from '../../logic/boardPins'

/** Every pin of a side of the board as a button, so that keys reach it too. */
defineProps<{ pins: readonly BoardPin[]; wanted: readonly string[]; chosen: string | null }>()
const emit = defineEmits<{ choose: [id: string] }>()
</script>

<template>
  <ul class="pins" :aria-label="t('sheet.onThisSide')">
    <li v-for="p in pins" :key="p.id">
      <button
        type="button"
        :aria-pressed="p.id === chosen"
        :class="{ on: p.id === chosen, wanted: wanted.includes(p.id) }"
        @click="emit('choose', p.id)"
      >
        <b class="fig">{{ p.id }}</b> {{ p.name }}
      </button>
    </li>
  </ul>
</template>

<style scoped>
.pins {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 520px;
  overflow: auto;
}
.pins button {
  width: 100%;
  min-height: 44px;
  text-align: left;
  font-size: 13.5px;
  color: var(--ink);
  border-bottom: 1px solid var(--line);
  padding: 4px 8px;
}
.pins button.wanted {
  font-weight: 650;
}
.pins button.on {
  box-shadow: inset 3px 0 0 var(--accent);
  background: var(--sheet);
}
@media print {
  .pins {
    max-height: none;
    overflow: visible;
  }
  .pins button {
    min-height: 0;
  }
}
@media (max-width: 800px) {
  .pins {
    max-height: 200px;
  }
}
</style>

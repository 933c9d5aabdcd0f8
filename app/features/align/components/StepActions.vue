<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { Confirming } from '../logic/alignView'

const props = defineProps<{ confirming: Confirming; listening: boolean; holding: boolean }>()
const emit = defineEmits<{
  take: []
  type: []
  confirm: []
  work: []
  listen: []
  hold: []
  note: []
  strike: []
  back: []
  next: []
}>()
const isMain = computed(() => ['done', 'decide', 'leave'].includes(props.confirming.kind))
</script>

<template>
  <div class="acts">
    <v-btn class="take" variant="flat" color="on-background" size="large" @click="emit('take')"
      >{{ t('align.takeReading') }} <kbd>{{ t('align.space') }}</kbd></v-btn
    >
    <v-btn
      class="confirm"
      :variant="isMain ? 'flat' : 'outlined'"
      :color="isMain ? 'primary' : undefined"
      size="large"
      @click="emit('confirm')"
      >{{ confirming.label }} <kbd>{{ t('align.enter') }}</kbd></v-btn
    >
    <v-btn v-if="confirming.kind === 'leave'" size="large" @click="emit('work')">{{
      t('align.workOnTheCoils')
    }}</v-btn>
    <div class="space" />
    <v-btn
      size="large"
      :aria-label="t('align.previousStep')"
      :title="t('align.previousStep')"
      @click="emit('back')"
      >&larr; <kbd>[</kbd></v-btn
    >
    <v-btn size="large" :aria-label="t('align.nextStep')" :title="t('align.nextStep')" @click="emit('next')"
      >&rarr; <kbd>]</kbd></v-btn
    >
    <div class="line" />
    <v-btn height="44" @click="emit('type')">{{ t('align.typeReading') }} <kbd>T</kbd></v-btn>
    <v-btn height="44" :aria-pressed="listening" :class="{ pressed: listening }" @click="emit('listen')"
      >{{ listening ? t('align.listening') : t('align.listen') }} <kbd>L</kbd></v-btn
    >
    <v-btn height="44" :aria-pressed="holding" :class="{ pressed: holding }" @click="emit('hold')"
      >{{ holding ? t('align.holdingPeak') : t('align.holdPeak') }} <kbd>M</kbd></v-btn
    >
    <v-btn height="44" @click="emit('note')">{{ t('align.addNote') }} <kbd>N</kbd></v-btn>
    <v-btn height="44" @click="emit('strike')">{{ t('align.strikeOutAction') }} <kbd>U</kbd></v-btn>
    <slot />
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 6px 0 8px;
  align-items: center;
}
.space {
  flex: 1;
}
.line {
  flex-basis: 100%;
  height: 0;
}
.pressed {
  background: var(--ink);
  color: var(--paper);
}
.take {
  background: var(--ink) !important;
  color: var(--paper) !important;
}
.v-btn {
  padding: 0 10px;
  flex: none;
}
/* Beside ladder and hands a small screen has room for the words or for the keys. */
@media (max-width: 1180px) {
  .line ~ .v-btn kbd,
  .line ~ :deep(.v-btn) kbd {
    display: none;
  }
}
@media (max-width: 700px) {
  /* One line that is pushed sideways; a phone has no keys to show. */
  .acts {
    flex-wrap: nowrap;
    overflow-x: auto;
    padding: 8px 0;
  }
  .space,
  .line,
  kbd {
    display: none;
  }
}
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'
import type { RunDialog } from '../logic/useRunDialogs'

/** What is needed now and then: the log, oscillators, zero beat, a second screen, and what is heard. */
defineProps<{
  volume: number
  everyS: number
  hasVoice: boolean
  alarm: boolean
  following: boolean
  oscillators: boolean
  ear: boolean
  canBeat: boolean
}>()
const emit = defineEmits<{
  volume: [v: number]
  every: [s: number]
  alarm: []
  follow: []
  beat: []
  open: [what: RunDialog]
}>()
const EVERY = [0, 2, 4, 8]
</script>

<template>
  <v-menu location="top end">
    <template #activator="{ props: button }"
      ><v-btn v-bind="button" height="44" :aria-label="t('align.more')">{{
        t('align.more')
      }}</v-btn></template
    >
    <v-card class="more" min-width="330">
      <v-btn block variant="text" height="48" @click="emit('open', 'log')">{{ t('align.log') }}</v-btn>
      <v-btn block variant="text" height="48" @click="emit('open', 'board')"
        >{{ t('align.boardEnlarged') }} <kbd>B</kbd></v-btn
      >
      <v-btn v-if="oscillators" block variant="text" height="48" @click="emit('open', 'attribution')">{{
        t('align.whichOscillatorIsOffFrequency')
      }}</v-btn>
      <v-btn v-if="canBeat" block variant="text" height="48" @click="emit('beat')">{{
        ear ? t('align.hideZeroBeat') : t('align.zeroBeatBySoundCard')
      }}</v-btn>
      <v-btn block variant="text" height="48" :aria-pressed="following" @click="emit('follow')">{{
        following ? t('align.stopFollowingTheOtherScreen') : t('align.followTheOtherScreen')
      }}</v-btn>
      <v-btn block variant="text" height="48" @click="emit('open', 'park')">{{ t('align.putOnHold') }}</v-btn>
      <div class="sound" @click.stop>
        <label
          >{{ t('align.loudnessOfTheTone') }}
          <input
            type="range"
            min="0.05"
            max="1"
            step="0.05"
            :value="volume"
            @input="emit('volume', Number(($event.target as HTMLInputElement).value))"
        /></label>
        <label
          >{{ t('align.readAloud') }}
          <select
            :value="everyS"
            :disabled="!hasVoice"
            @change="emit('every', Number(($event.target as HTMLSelectElement).value))"
          >
            <option v-for="s in EVERY" :key="s" :value="s">
              {{
                s === 0
                  ? hasVoice
                    ? t('align.off')
                    : t('align.noVoiceOnThisDevice')
                  : t('align.everyS', { s })
              }}
            </option>
          </select></label
        >
        <label class="check"
          ><input type="checkbox" :checked="alarm" @change="emit('alarm')" />
          {{ t('align.soundWarningBeforeTheKeyDown') }}</label
        >
      </div>
    </v-card>
  </v-menu>
</template>

<style scoped>
.more {
  padding: 6px 0 8px;
}
.more :deep(.v-btn) {
  justify-content: flex-start;
}
.sound {
  border-top: 1px solid var(--line);
  margin-top: 6px;
  padding: 6px 16px 0;
}
label {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 48px;
  justify-content: space-between;
}
.check {
  justify-content: flex-start;
}
input[type='range'] {
  width: 130px;
  height: 44px;
  accent-color: var(--accent);
}
</style>

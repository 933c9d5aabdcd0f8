<script setup lang="ts">
import { typedNumberOrNull, groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed, ref, watch } from 'vue'
import { beatAdvice } from '#core/run'
import { BEAT_WORDS } from '#shared/words/coachWords'
import { useSoundCard } from '~/features/signals/logic/useSoundCard'
import CoachLine from './CoachLine.vue'

/** Zero beat heard by the sound card: against nothing, or against a side tone that must be met. */
const emit = defineEmits<{ take: [offHz: number] }>()
const { heard, on, failure, start, stop } = useSoundCard()
const pitch = ref('0')
const pitchHz = computed(() => Math.max(0, typedNumberOrNull(pitch.value) ?? 0))
const before = ref<number | null>(null)
const toneHz = computed(() => {
  if (!heard.value) return null
  return heard.value.present ? (heard.value.beat?.differenceHz ?? heard.value.figures.fundamentalHz) : null
})
const advice = computed(() =>
  heard.value ? beatAdvice(toneHz.value, heard.value.beat ? 0 : pitchHz.value, before.value) : null,
)
let settled: number | null = null
watch(advice, now => {
  if (!now) return
  // What stood for a moment is what the next touch is compared with.
  if (settled !== null && Math.abs(settled - now.offHz) > 2) before.value = settled
  settled = now.offHz
})
</script>

<template>
  <section :aria-label="t('align.zeroBeat')">
    <CoachLine
      v-if="on && advice"
      :say="`${t(BEAT_WORDS[advice.word])}: ${groupDigits(advice.offHz, 1)} Hz`"
      :how="
        advice.word === 'touch'
          ? t('align.pitchDoesNotShowTheDirection')
          : t('align.theToneItselfMustVanishOr')
      "
      :tone="advice.word === 'there' ? 'good' : 'plain'"
    />
    <CoachLine v-else-if="on" :say="t('align.noBeatHeard')" :how="t('align.checkThatTheLineInputReceives')" />
    <div class="line">
      <v-btn height="44" @click="on ? stop() : start()">{{
        on ? t('align.soundCardOff') : t('align.zeroBeatBySoundCard')
      }}</v-btn>
      <template v-if="on"
        ><label
          >{{ t('align.againstAPitchOf') }}
          <input v-model="pitch" class="fig" inputmode="decimal" :aria-label="t('align.pitchHz')" />
          {{ t('align.hz0TheBeatItself') }}</label
        ><v-btn v-if="advice" height="44" @click="emit('take', advice.offHz)">{{
          t('align.takeAsFrequencyError')
        }}</v-btn></template
      >
    </div>
    <p v-if="failure" class="care" role="alert">{{ failure }}</p>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  margin: 4px 0;
}
input {
  width: 80px;
}
</style>

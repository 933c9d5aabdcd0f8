<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { typedNumberOrNull, groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { useHead } from '#imports'
import SoundReadings from '~/features/signals/components/SoundReadings.vue'
import ToneSource from '~/features/signals/components/ToneSource.vue'
import { useListen } from '~/features/align/logic/useListen'
import { useSoundCard } from '~/features/signals/logic/useSoundCard'

/** The sound card as an instrument: SINAD and beat large, and as a source of tones. */
const { heard, on, failure, start, stop } = useSoundCard()
const target = useLocalStorage('beat-target-hz', '1000')
const targetHz = computed(() => Math.max(0, typedNumberOrNull(target.value) ?? 0) || 1000)
/** A beat within this fills the scale of the tone [Hz]. */
const LISTEN_SPAN_HZ = 100
const position = computed(() => {
  if (!heard.value?.present) return null
  const beat =
    heard.value.beat?.differenceHz ?? (heard.value.figures.fundamentalHz ?? targetHz.value) - targetHz.value
  return beat / LISTEN_SPAN_HZ
})
const { on: listening, toggle: listen } = useListen(position)
useHead({ title: t('signals.soundCard') })
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>{{ t('signals.soundCard') }}</h1>
      <NuxtLink to="/signals" class="link" prefetch-on="interaction">{{ t('signals.recordings') }}</NuxtLink>
    </div>
    <p class="lead">
      {{ t('signals.theReceiversAudioThroughAnIsolating') }}
    </p>
    <div class="bar">
      <v-btn size="large" variant="flat" color="primary" @click="on ? stop() : start()">{{
        on ? t('signals.stop') : t('signals.start')
      }}</v-btn>
      <v-text-field v-model="target" :label="t('signals.wantedToneHz')" inputmode="decimal" class="target" />
      <v-btn :aria-pressed="listening" :variant="listening ? 'flat' : 'outlined'" @click="listen">{{
        t('signals.listenToTheBeat')
      }}</v-btn>
      <span v-if="on && heard" class="quiet">{{
        t('signals.lastS', { seconds: groupDigits(heard.seconds, 1) })
      }}</span>
    </div>
    <p v-if="failure" class="care" role="alert">{{ failure }}</p>
    <SoundReadings :heard="heard" :target-hz="targetHz" />
    <ToneSource />
  </div>
</template>

<style scoped>
.top {
  display: flex;
  align-items: baseline;
  gap: 24px;
}
.link {
  color: var(--accent);
}
.bar {
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
}
.target {
  max-width: 180px;
}
</style>

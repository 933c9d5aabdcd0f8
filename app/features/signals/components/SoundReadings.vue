<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { AudioAnalysis } from '../logic/listening'

/** SINAD and beat, to be read from across the bench. */
const props = defineProps<{ heard: AudioAnalysis | null; targetHz: number }>()
const BEAT_ZERO_HZ = 0.5
const sinad = computed(() => (props.heard?.present ? props.heard.figures.sinadVoiceDb : null))
const tone = computed(() => (props.heard?.present ? props.heard.figures.fundamentalHz : null))
/** Against the wanted tone when there is one tone, between the tones when there are two. */
const beat = computed(
  () => props.heard?.beat?.differenceHz ?? (tone.value === null ? null : tone.value - props.targetHz),
)
const way = computed(() => {
  if (beat.value === null) return ''
  if (Math.abs(beat.value) < BEAT_ZERO_HZ) return t('signals.zeroBeat')
  if (props.heard?.beat) return t('signals.betweenTheTwoTones')
  return beat.value > 0 ? t('signals.tooHighLowerIt') : t('signals.tooLowRaiseIt')
})
const loud = computed(() => (props.heard?.peak ?? 0) > 0.98)
</script>

<template>
  <div class="readings" aria-live="off">
    <div class="one">
      <span class="label">{{ t('signals.sinad300To3400Hz') }}</span><b class="fig big" data-sinad>{{
        sinad === null ? '\u2013' : groupDigits(sinad, 1)
      }}</b
      >{{ ' ' }}
      <span class="unit">dB</span>
    </div>
    <div class="one">
      <span class="label">{{
        heard?.beat ? t('signals.beat') : t('signals.againstHz', { targetHz })
      }}</span><b class="fig big" data-beat>{{
        beat === null ? '\u2013' : (beat > 0 && !heard?.beat ? '+' : '') + groupDigits(beat, 1)
      }}</b
      >{{ ' ' }} <span class="unit">Hz</span> <span class="way">{{ way }}</span>
    </div>
    <div class="row">
      <span
        >{{ t('signals.tone') }}
        <b class="fig">{{ tone === null ? '\u2013' : groupDigits(tone, 2) }}</b> Hz</span
      >
      <span
        >{{ t('signals.distortion') }}
        <b class="fig">{{
          heard?.present && heard.figures.thd !== null ? groupDigits(100 * heard.figures.thd, 2) : '\u2013'
        }}</b>
        %</span
      >
      <span
        >{{ t('signals.level') }}
        <b class="fig">{{ heard ? groupDigits(heard.figures.levelDbfs, 1) : '\u2013' }}</b> dBFS</span
      >
      <b v-if="loud" class="loud">{{ t('signals.overloadedTurnTheInputDown') }}</b>
    </div>
  </div>
</template>

<style scoped>
.readings {
  margin-top: 14px;
}
.one {
  display: grid;
  grid-template-columns: 230px minmax(220px, auto) 60px 1fr;
  align-items: baseline;
  border-bottom: 1px solid var(--line);
  padding: 6px 0;
}
.label {
  font-size: 16px;
  color: var(--ink2);
}
.big {
  font-size: 92px;
  line-height: 1.05;
  font-weight: 650;
  text-align: right;
}
.unit {
  font-size: 24px;
  padding-left: 10px;
}
.way {
  font-size: 30px;
  font-weight: 650;
}
.row {
  display: flex;
  gap: 34px;
  font-size: 18px;
  padding: 12px 0;
  flex-wrap: wrap;
}
.loud {
  color: var(--out);
}
@media (max-width: 700px) {
  .one {
    grid-template-columns: 1fr auto auto;
  }
  .label,
  .way {
    grid-column: 1 / -1;
  }
  .big {
    font-size: 64px;
  }
}
</style>

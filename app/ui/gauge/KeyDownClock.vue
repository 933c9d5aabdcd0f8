<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { HeatView, KeyDownView } from '#core/run'

/** `sensed` false: no instrument would show a keyed set. */
const props = defineProps<{ view: KeyDownView; warmth: HeatView; sensed: boolean }>()
const heat = computed(() =>
  props.warmth.ofLimit < 0.03
    ? ''
    : t('frame.estHeating', { ofLimit: Math.round(props.warmth.ofLimit * 100) }),
)
const words = computed(() => {
  switch (props.view.phase) {
    case 'keyed':
      return props.view.limitS === null
        ? t('frame.keyed')
        : t('frame.keyedMaxS', { limitS: props.view.limitS })
    case 'warn':
      return t('frame.unkeySoonMaxS', { limitS: props.view.limitS })
    case 'over':
      return t('frame.unkeyNow')
    case 'rest':
      return t('frame.letTheSetCool')
    case 'idle':
      return props.sensed ? t('frame.notKeyed') : t('frame.keyingNotSensed')
  }
  return ''
})
const CIRCLE = 2 * Math.PI * 21
const share = computed(() => {
  if (props.view.limitS) return Math.min(1, props.view.seconds / props.view.limitS)
  return props.view.phase === 'idle' ? 0 : 1
})
const danger = computed(() => props.view.phase === 'over' || props.view.phase === 'warn')
</script>

<template>
  <div class="key" :class="view.phase" :role="view.phase === 'over' ? 'alert' : undefined">
    <svg width="46" height="46" viewBox="0 0 50 50" aria-hidden="true">
      <circle cx="25" cy="25" r="21" fill="none" stroke="var(--line2)" stroke-width="5" />
      <circle
        v-if="share > 0 && view.phase !== 'rest'"
        cx="25"
        cy="25"
        r="21"
        fill="none"
        :stroke="danger ? 'var(--out)' : 'var(--in)'"
        stroke-width="5"
        :stroke-dasharray="`${share * CIRCLE} ${CIRCLE}`"
        transform="rotate(-90 25 25)"
      />
      <path v-if="danger" d="M25 14v14M25 33v3" stroke="var(--out)" stroke-width="4" stroke-linecap="round" />
    </svg>
    <div>
      <span>{{ words }}</span>
      <b class="fig">{{ groupDigits(view.seconds, 1) }}&#8239;s</b>
      <i v-if="heat" class="fig" :title="t('frame.estimatedFromTimeKeyed100As')">{{ heat }}</i>
    </div>
  </div>
</template>

<style scoped>
.key {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 0 16px;
  min-width: 176px;
  flex: none;
}
.key.keyed {
  background: var(--inbg);
}
.key.warn,
.key.over {
  background: var(--outbg);
}
.key span {
  display: block;
  font-size: 12px;
  color: var(--ink2);
  white-space: nowrap;
}
.key.over span {
  color: var(--out);
  font-weight: 700;
  font-size: 14px;
}
.key b {
  font-size: 22px;
  font-weight: 600;
}
.key > div {
  white-space: nowrap;
}
i {
  font-style: normal;
  font-size: 12px;
  color: var(--ink2);
  margin-left: 8px;
}
.key svg {
  flex: none;
}
@media (max-width: 700px) {
  .key > div i {
    display: block;
    margin-left: 0;
  }
}
.key.idle b {
  color: var(--ink2);
}
</style>

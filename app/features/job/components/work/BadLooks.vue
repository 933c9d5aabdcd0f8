<script setup lang="ts">
import { t } from '#shared/i18n'
import type { BadLook } from '../../logic/badLooks'

/** How a defect looks, beside the words that say it. */
defineProps<{ looks: readonly BadLook[] }>()
</script>

<template>
  <span class="looks">
    <svg v-for="l in looks" :key="l.label" viewBox="0 0 96 60" role="img" :aria-label="t(l.label)">
      <title>{{ t(l.label) }}</title>
      <path :d="l.whole" class="whole" />
      <path v-if="l.gone" :d="l.gone" class="gone" />
      <path :d="l.defect" class="defect" />
    </svg>
  </span>
</template>

<style scoped>
.looks {
  display: inline-flex;
  gap: 8px;
}
svg {
  width: 77px;
  height: 48px;
}
path {
  fill: none;
  stroke-width: 2;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.whole {
  stroke: var(--ink2);
}
.gone {
  stroke: var(--ink2);
  stroke-dasharray: 3 4;
}
.defect {
  stroke: var(--out);
  stroke-width: 2.5;
}
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'

/** The way to readings that are taken from a recording instead of an instrument. */
defineProps<{ jobId: string }>()
</script>

<template>
  <p class="no-print from-recording">
    <NuxtLink :to="`/signals?job=${jobId}`" prefetch-on="interaction" class="to-signals">{{
      t('align.readDepthDeviationOrProductsFrom')
    }}</NuxtLink>
  </p>
</template>

<style scoped>
.from-recording {
  margin: 0;
}
.to-signals {
  color: var(--accent);
  display: inline-block;
  min-height: 44px;
  padding-top: 10px;
}
</style>

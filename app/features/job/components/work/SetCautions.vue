<script setup lang="ts">
import type { ModelSheet } from '#core/sheet'

/** The cautions of a set with high voltage, at every place where somebody may reach into it. */
defineProps<{ sheet: Pick<ModelSheet, 'plateV' | 'cautions'> }>()
</script>

<template>
  <div v-if="sheet.plateV !== undefined" class="care" role="note" aria-label="High voltage">
    <p>
      <b>{{ sheet.plateV }}&#8239;V inside.</b> {{ sheet.cautions[0] }}
    </p>
    <p v-for="c in sheet.cautions.slice(1)" :key="c">{{ c }}</p>
  </div>
</template>

<style scoped>
.care {
  margin: 0 0 14px;
}
p {
  margin: 0;
}
</style>

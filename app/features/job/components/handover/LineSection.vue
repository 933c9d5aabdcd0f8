<script setup lang="ts">
/** Sentences of the handover under a heading; nothing where there are none. */
defineProps<{ title: string; lines: readonly string[] }>()
</script>

<template>
  <section v-if="lines.length > 0">
    <h2>{{ title }}</h2>
    <ul>
      <li v-for="(line, i) in lines" :key="i">{{ line }}</li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-top: 22px;
}
</style>

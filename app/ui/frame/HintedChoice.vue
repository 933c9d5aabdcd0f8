<script setup lang="ts" generic="V extends string">
/** One of a few, each with a line that says what it means. */
defineProps<{
  label: string
  choices: readonly { readonly value: V; readonly title: string; readonly hint: string }[]
}>()
const chosen = defineModel<V | null>({ required: true })
</script>

<template>
  <v-radio-group v-model="chosen" :aria-label="label" hide-details class="mb-4">
    <v-radio v-for="c in choices" :key="c.value" :value="c.value" class="choice">
      <template #label
        ><span
          ><b>{{ c.title }}</b
          ><br /><span class="quiet">{{ c.hint }}</span></span
        ></template
      >
    </v-radio>
  </v-radio-group>
</template>

<style scoped>
.choice {
  min-height: 48px;
  margin-bottom: 8px;
}
.quiet {
  font-size: 13px;
  line-height: 1.35;
}
</style>

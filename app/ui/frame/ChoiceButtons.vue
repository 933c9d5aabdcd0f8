<script setup lang="ts" generic="Id extends string">
/** A choice among a few, each a button; the chosen one is pressed. */
defineProps<{ label: string; options: readonly { readonly id: Id; readonly label: string }[] }>()
const chosen = defineModel<Id>({ required: true })
</script>

<template>
  <div class="choice" role="group" :aria-label="label">
    <slot />
    <v-btn
      v-for="o in options"
      :key="o.id"
      height="44"
      :variant="o.id === chosen ? 'flat' : 'outlined'"
      :color="o.id === chosen ? 'primary' : undefined"
      :aria-pressed="o.id === chosen"
      @click="chosen = o.id"
      >{{ o.label }}</v-btn
    >
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
</style>

<script setup lang="ts">
/** A part of a page that stays closed until somebody asks for it; its state is told beside its name. */
defineProps<{ title: string; state: string }>()
const open = defineModel<boolean>('open', { default: false })
</script>

<template>
  <section class="folded" :aria-label="title">
    <button type="button" :aria-expanded="open" @click="open = !open">
      <b>{{ title }}</b>{{ ' ' }} <span class="quiet">{{ state }}</span><span
        class="mark"
        aria-hidden="true"
        >{{ open ? '\u2013' : '+' }}</span
      >
    </button>
    <slot v-if="open" />
  </section>
</template>

<style scoped>
.folded {
  margin: 6px 0 10px;
  border-top: 1px solid var(--line);
}
button {
  display: flex;
  gap: 12px;
  width: 100%;
  align-items: baseline;
  min-height: 44px;
  color: var(--ink);
  padding: 10px 4px;
  text-align: left;
}
.mark {
  margin-left: auto;
  font-size: 18px;
}
</style>

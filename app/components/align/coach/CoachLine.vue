<script setup lang="ts">
/** What to do now, readable from where both hands are in the set, and beneath it how. */
defineProps<{ say: string, how?: string, tone?: 'plain' | 'good' | 'stop' }>()
</script>

<template>
  <div class="coach" :class="tone ?? 'plain'">
    <p class="say" role="status" aria-live="polite">{{ say }}</p>
    <p v-if="how" class="how">{{ how }}</p>
    <slot />
  </div>
</template>

<style scoped>
.coach { border-left: 4px solid var(--line2); padding: 4px 0 4px 14px; margin: 8px 0; }
.coach.good { border-left-color: var(--in); } .coach.stop { border-left: 4px dashed var(--unsure); }
.say { font-size: 26px; font-weight: 650; margin: 0; line-height: 1.2; } .how { margin: 2px 0 0; font-size: 15px; color: var(--ink2); }
@media (max-width: 700px) { .say { font-size: 21px; } }
</style>

<script setup lang="ts">
/** What to do now, readable from where both hands are in the set, and beneath it how. */
defineProps<{ say: string; how?: string; tone?: 'plain' | 'good' | 'stop' }>()
</script>

<template>
  <div class="coach" :class="tone ?? 'plain'">
    <div class="words">
      <p class="say" role="status" aria-live="polite">{{ say }}</p>
      <p v-if="how" class="how">{{ how }}</p>
      <slot name="state" />
    </div>
    <slot />
  </div>
</template>

<style scoped>
.coach {
  border-left: 4px solid var(--line2);
  padding: 2px 0 2px 14px;
  margin: 6px 0;
  display: flex;
  gap: 6px 16px;
  align-items: center;
  justify-content: space-between;
  flex-wrap: wrap;
}
.words {
  flex: 1 1 300px;
}
.coach.good {
  border-left-color: var(--in);
}
.coach.stop {
  border-left: 4px dashed var(--unsure);
}
.say {
  font-size: 25px;
  font-weight: 650;
  margin: 0;
  line-height: 1.15;
}
.how {
  margin: 1px 0 0;
  font-size: 14.5px;
  color: var(--ink2);
  line-height: 1.3;
}
@media (max-width: 700px) {
  .say {
    font-size: 21px;
  }
}
</style>

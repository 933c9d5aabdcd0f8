<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { computed, ref, watch } from 'vue'
import { LESSONS } from '#core/practice'

/** The lesson on the bench: what to do next, why, and a hint for whoever wants one. */
const props = defineProps<{ lessonId: string; done: number }>()
const lesson = computed(() => withTextsTranslated(LESSONS.find(l => l.id === props.lessonId)!))
const step = computed(() => lesson.value.steps[props.done] ?? null)
const hint = ref(false)
watch(
  () => props.done,
  () => (hint.value = false),
)
</script>

<template>
  <section class="lesson" :aria-label="t('practice.lesson')" aria-live="polite">
    <p class="head">
      <b>{{ lesson.title }}</b>{{ ' ' }}
      <span class="fig">{{
        t('practice.of', { min: Math.min(done + 1, lesson.steps.length), count: lesson.steps.length })
      }}</span><span class="dots" aria-hidden="true"
        ><i v-for="(_, i) in lesson.steps" :key="i" :class="{ done: i < done, now: i === done }"
      /></span>
    </p>
    <template v-if="step">
      <p class="say">{{ step.say }}</p>
      <p class="why">{{ step.why }}</p>
      <p v-if="hint" class="hint">{{ step.hint }}</p>
      <v-btn v-else size="small" height="40" @click="hint = true">{{ t('practice.showMeHow') }}</v-btn>
    </template>
    <p v-else class="say">{{ t('practice.doneFinishItToSeeThe') }}</p>
  </section>
</template>

<style scoped>
.lesson {
  border: 1px solid var(--edge);
  border-left: 6px solid var(--accent);
  border-radius: 6px;
  padding: 10px 14px;
  margin-bottom: 12px;
}
.head {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  margin: 0 0 4px;
}
.dots {
  display: inline-flex;
  gap: 5px;
}
.dots i {
  width: 10px;
  height: 10px;
  border: 1px solid var(--edge);
  border-radius: 50%;
}
.dots .done {
  background: var(--accent);
}
.dots .now {
  border-width: 3px;
}
.say {
  font-size: 19px;
  margin: 2px 0 4px;
}
.why {
  color: var(--ink2);
  margin: 0 0 8px;
}
.hint {
  font-weight: 600;
  margin: 0;
}
</style>

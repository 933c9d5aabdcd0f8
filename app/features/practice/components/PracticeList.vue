<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { computed } from 'vue'
import { LESSONS } from '#core/practice'
import { rigDesign } from '#core/rig'
import { BENCH_KITS } from '#core/practice/instruments'
import { dayAndTime } from '#shared/words/dateWords'
import type { PracticeSummary } from '#shared/practiceSession'

/** What a trainee has worked, newest first, and how far that went. */
const props = defineProps<{ sessions: readonly PracticeSummary[]; trainee: string }>()
const own = computed(() => props.sessions.filter(s => !props.trainee || s.trainee === props.trainee))
const finished = computed(() => own.value.filter(s => s.faults))
const cured = computed(
  () =>
    finished.value.filter(s => !s.lessonId && s.faults!.length > 0 && s.faults!.every(f => f.cured)).length,
)
const named = computed(
  () =>
    finished.value.filter(s => !s.lessonId && s.faults!.length > 0 && s.faults!.every(f => f.named)).length,
)
const cases = computed(() => finished.value.filter(s => !s.lessonId).length)
const lessonTitle = (id: string) => translated(LESSONS.find(l => l.id === id)?.title ?? id)
const kitName = (id: string) => translated(BENCH_KITS.find(k => k.id === id)?.name ?? id)
const title = (s: PracticeSummary) =>
  s.lessonId ? t('practice.lessonTitle', { title: lessonTitle(s.lessonId) }) : rigDesign(s.designId).name
const outcome = (s: PracticeSummary) => {
  if (!s.finishedAtMs) return t('practice.onTheBench')
  if (!s.faults) return t('practice.leftOpen')
  return s.lessonId
    ? t('practice.finishedLesson')
    : t('practice.ofRepairedIdentified', {
        repaired: s.faults.filter(f => f.cured).length,
        total: s.faults.length,
        identified: s.faults.filter(f => f.named).length,
        destroyed: s.damage?.length ? t('practice.destroyedCount', { count: s.damage.length }) : '',
      })
}
</script>

<template>
  <section :aria-label="t('practice.progress')">
    <h2>
      {{
        t('practice.exercisesFinishedRepairedIdentified', {
          what: trainee ? `${trainee}: ` : '',
          cases,
          cured,
          named,
        })
      }}
    </h2>
    <p v-if="own.length === 0" class="note">{{ t('practice.noExercisesYetALessonTakes') }}</p>
    <table v-else>
      <thead>
        <tr>
          <th>{{ t('practice.when') }}</th>
          <th v-if="!trainee">{{ t('practice.who') }}</th>
          <th>{{ t('practice.what') }}</th>
          <th>{{ t('practice.bench') }}</th>
          <th>{{ t('practice.outcome') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in own.slice(0, 30)" :key="s.id">
          <td>{{ dayAndTime(s.startedAtMs) }}</td>
          <td v-if="!trainee">{{ s.trainee }}</td>
          <td>
            <NuxtLink v-if="s.faults" :to="`/practice/${s.id}`">{{ title(s) }}</NuxtLink><template v-else>{{
              title(s)
            }}</template>
          </td>
          <td>{{ kitName(s.kitId) }}</td>
          <td>{{ outcome(s) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
  margin: 22px 0 8px;
}
.note {
  color: var(--ink2);
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 14px;
}
th,
td {
  text-align: left;
  padding: 8px 12px 8px 0;
  border-bottom: 1px solid var(--line);
}
th {
  color: var(--ink2);
  font-weight: 600;
  font-size: 13px;
}
td a {
  display: inline-block;
  min-height: 28px;
}
</style>

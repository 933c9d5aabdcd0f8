<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { computed, ref } from 'vue'
import { BENCH_KITS } from '#core/practice/instruments'
import { LESSONS } from '#core/practice'
import { RIG_DESIGNS } from '#core/rig'
import type { NewPractice } from '#shared/practice'

/** Which set, how hard, on which bench. */
const props = defineProps<{
  remembered: { trainee: string; kitId: string }
  busy: boolean
  working: string | null
}>()
const emit = defineEmits<{ start: [wanted: NewPractice]; free: [designId: string, kitId: string] }>()
const trainee = ref(props.remembered.trainee)
const kitId = ref(props.remembered.kitId)
const designId = ref<string | null>(null)
const difficulty = ref<1 | 2 | 3>(1)
const kits = withTextsTranslated(BENCH_KITS)
const kit = computed(() => kits.find(k => k.id === kitId.value)!)
const LEVELS = [
  [1, 'practice.easy'],
  [2, 'practice.moderate'],
  [3, 'practice.hard'],
] as const
function begin(choice: NewPractice['choice'], lessonId: string | null = null) {
  emit('start', {
    id: crypto.randomUUID(),
    trainee: trainee.value.trim(),
    kitId: kitId.value,
    choice,
    designId: designId.value,
    lessonId,
    difficulty: difficulty.value,
    seed: Math.floor(Math.random() * 1_000_000) + 1,
  })
}
</script>

<template>
  <section class="start" :aria-label="t('practice.begin')">
    <div class="who">
      <v-text-field
        v-model="trainee"
        :label="t('practice.yourName')"
        maxlength="60"
        hide-details
        autocomplete="off"
      />
      <v-select
        v-model="kitId"
        :label="t('practice.equipment')"
        :items="kits.map(k => ({ title: k.name, value: k.id }))"
        hide-details
      />
    </div>
    <p class="note">{{ kit.what }}</p>
    <p v-if="working" class="care">{{ t('practice.onTheBenchNowStartingAnother', { working }) }}</p>
    <div class="halves">
      <div>
        <h2>{{ t('practice.aSetWithAFault') }}</h2>
        <div class="sets" role="radiogroup" :aria-label="t('common.model')">
          <button type="button" role="radio" :aria-checked="designId === null" @click="designId = null">
            {{ t('practice.anySet') }}
          </button>
          <button
            v-for="d in RIG_DESIGNS"
            :key="d.id"
            type="button"
            role="radio"
            :aria-checked="designId === d.id"
            @click="designId = d.id"
          >
            {{ d.name }}
          </button>
        </div>
        <div class="row" role="radiogroup" :aria-label="t('practice.difficulty')">
          <button
            v-for="[n, words] in LEVELS"
            :key="n"
            type="button"
            role="radio"
            :aria-checked="difficulty === n"
            @click="difficulty = n"
          >
            {{ n }}: {{ t(words) }}
          </button>
        </div>
        <div class="row">
          <v-btn
            color="primary"
            size="large"
            :disabled="!trainee.trim() || busy"
            @click="begin('surprise')"
            >{{ t('practice.anyFault') }}</v-btn
          >
          <v-btn size="large" :disabled="!trainee.trim() || !designId || busy" @click="begin('prepared')">{{
            t('practice.theUsualComplaintOfThisModel')
          }}</v-btn>
          <v-btn size="large" :disabled="!designId || busy" @click="emit('free', designId!, kitId)">{{
            t('practice.freePracticeNoExercise')
          }}</v-btn>
        </div>
        <p v-if="designId" class="note">{{ t('practice.yourNameKeepsYourProgressApart') }}</p>
        <p v-else class="note">{{ t('practice.chooseAModelForItsUsual') }}</p>
      </div>
      <div>
        <h2>{{ t('practice.lessonsStepByStep') }}</h2>
        <ol class="lessons">
          <li v-for="(l, i) in withTextsTranslated(LESSONS)" :key="l.id">
            <button type="button" :disabled="!trainee.trim() || busy" @click="begin('lesson', l.id)">
              <b>{{ i + 1 }}. {{ l.title }}</b
              ><span>{{ l.what }}</span>
            </button>
          </li>
        </ol>
      </div>
    </div>
  </section>
</template>

<style scoped>
.who {
  display: grid;
  grid-template-columns: minmax(180px, 280px) minmax(220px, 340px);
  gap: 12px;
}
.note {
  font-size: 13.5px;
  color: var(--ink2);
  margin: 6px 0 10px;
}
.halves {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 36px;
}
h2 {
  font-size: 17px;
  margin: 8px 0 8px;
}
.sets,
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 12px;
}
[role='radio'] {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  color: inherit;
}
[role='radio'][aria-checked='true'] {
  background: var(--accent);
  color: var(--paper);
  border-color: var(--accent);
  font-weight: 600;
}
.lessons {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 6px;
}
.lessons button {
  width: 100%;
  text-align: left;
  min-height: 48px;
  padding: 8px 12px;
  border: 1px solid var(--line2);
  border-radius: 6px;
  color: inherit;
  display: grid;
}
.lessons button:disabled {
  opacity: 0.6;
  cursor: default;
}
.lessons span {
  font-size: 13.5px;
  color: var(--ink2);
}
@media (max-width: 800px) {
  .halves,
  .who {
    grid-template-columns: 1fr;
  }
}
</style>

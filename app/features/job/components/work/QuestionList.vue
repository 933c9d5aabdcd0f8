<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { ANSWERS, WAITS_FOR } from '#core/run'
import type { Question, Wait } from '#core/work'
import { day, dayAndTime } from '#shared/words/dateWords'
import { ANSWER_WORDS, WAIT_WORDS } from '#shared/words/workWords'
import type { NewWorkEvent } from '../../logic/useEventForm'
import StateMark from '~/ui/gauge/StateMark.vue'

/** Questions to the owner with price and consequence, and what else the job waits for. */
defineProps<{
  questions: readonly Question[]
  waits: readonly Wait[]
  wrong: (field: string) => string | undefined
}>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void] }>()
const question = ref({ text: '', price: '', consequence: '' })
const answers = ref<Record<string, string>>({})
const wait = ref<{ waitsFor: (typeof WAITS_FOR)[number]; text: string; untilDay: string }>({
  waitsFor: 'parts',
  text: '',
  untilDay: '',
})

function ask() {
  emit('send', { kind: 'question-asked', ...question.value }, () => {
    question.value = { text: '', price: '', consequence: '' }
  })
}
function begin() {
  emit('send', { kind: 'wait-begun', ...wait.value, untilDay: wait.value.untilDay || null }, () => {
    wait.value = { ...wait.value, text: '', untilDay: '' }
  })
}
</script>

<template>
  <section :aria-label="t('job.questionsAndHolds')">
    <h2>{{ t('job.questionsAndHolds') }}</h2>
    <p v-if="questions.length + waits.length === 0" class="quiet">
      {{ t('job.noOpenQuestionsNothingOnHold') }}
    </p>
    <ul class="list">
      <li v-for="q in questions" :key="q.asked.id">
        <StateMark aria-hidden="true" :mark="q.answered ? 'inside' : 'cannot-tell'" :size="12" />
        <div>
          <b>{{ q.asked.text }}</b>{{ ' ' }}
          <span class="quiet">{{
            t('job.asked', {
              list: [q.asked.price, q.asked.consequence].filter(Boolean).join('; '),
              dayAndTime: dayAndTime(q.asked.atMs),
            })
          }}</span><br />
          <span v-if="q.answered"
            >{{ t(ANSWER_WORDS[q.answered.answer]) }}{{ q.answered.text ? `: ${q.answered.text}` : '' }}
            <span class="quiet">{{ dayAndTime(q.answered.atMs) }}</span></span
          >
          <span v-else class="answer"
            ><input
              v-model="answers[q.asked.id]"
              :aria-label="t('job.theOwnersWords')"
              :placeholder="t('job.theOwnersWordsLabel')"
            /><v-btn
              v-for="a in ANSWERS"
              :key="a"
              @click="
                emit('send', {
                  kind: 'question-answered',
                  questionId: q.asked.id,
                  answer: a,
                  text: answers[q.asked.id] ?? '',
                })
              "
              >{{ t(ANSWER_WORDS[a]) }}</v-btn
            ></span
          >
        </div>
      </li>
      <li v-for="w in waits" :key="w.begun.id">
        <StateMark aria-hidden="true" :mark="w.ended ? 'inside' : 'cannot-tell'" :size="12" />
        <div>
          {{ t('job.waitingForWhom', { wait: t(WAIT_WORDS[w.begun.waitsFor]) }) }} <b>{{ w.begun.text }}</b>{{
            ' '
          }}
          <span class="quiet">{{
            t('job.since', {
              dayAndTime: dayAndTime(w.begun.atMs),
              expected: w.begun.untilDay ? t('job.expected', { day: day(w.begun.untilDay) }) : '',
              received: w.ended ? t('job.received', { dayAndTime: dayAndTime(w.ended.atMs) }) : '',
            })
          }}</span>
          <v-btn
            v-if="!w.ended"
            class="ml-3"
            @click="emit('send', { kind: 'wait-ended', waitId: w.begun.id, text: '' })"
            >{{ t('job.markAsReceived') }}</v-btn
          >
        </div>
      </li>
    </ul>
    <div class="entry">
      <v-text-field
        v-model="question.text"
        :label="t('job.askTheOwner')"
        :error-messages="wrong('text')"
      /><v-text-field v-model="question.price" :label="t('job.price')" /><v-text-field
        v-model="question.consequence"
        :label="t('job.ifDeclined')"
        :placeholder="t('job.theFrequencyStays300HzLow')"
      />
      <v-btn size="large" :disabled="question.text.trim() === ''" @click="ask">{{ t('job.ask') }}</v-btn>
    </div>
    <div class="entry">
      <v-text-field
        v-model="wait.text"
        :label="t('job.waitingForField')"
        :placeholder="t('job.crystal13045625Mhz')"
      /><v-select
        v-model="wait.waitsFor"
        :label="t('job.from')"
        :items="WAITS_FOR.map(w => ({ value: w, title: t(WAIT_WORDS[w]) }))"
      /><v-text-field
        v-model="wait.untilDay"
        :label="t('job.expectedField')"
        type="date"
        :error-messages="wrong('untilDay')"
      />
      <v-btn size="large" :disabled="wait.text.trim() === ''" @click="begin">{{ t('job.putOnHold') }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.list {
  list-style: none;
  padding: 0;
  margin: 4px 0 10px;
}
.list li {
  display: flex;
  gap: 10px;
  padding: 5px 0;
}
.list :deep(.state-mark) {
  margin-top: 5px;
  flex: none;
}
.answer {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  padding-top: 4px;
}
input {
  min-width: 240px;
}
.entry {
  display: grid;
  grid-template-columns: 2fr 1fr 1.4fr 104px;
  gap: 10px;
  align-items: start;
  margin-top: 10px;
}
@media (max-width: 760px) {
  .entry {
    grid-template-columns: 1fr;
  }
}
</style>

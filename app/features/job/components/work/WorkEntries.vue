<script setup lang="ts">
import { computed, reactive } from 'vue'
import { ANSWERS } from '#core/run'
import { partVerdict, type WorkEntry } from '#core/work'
import { t } from '#shared/i18n'
import { dayAndTime } from '#shared/words/dateWords'
import { workEntryWords } from '#shared/words/workLogWords'
import { ANSWER_WORDS } from '#shared/words/workWords'
import StateMark from '~/ui/gauge/StateMark.vue'
import type { NewWorkEvent } from '../../logic/useEventForm'
import { VERDICT_MARK } from '../../logic/partMarks'

/** What happened to the set, in one list: what is open can be answered or marked as received in its line. */
const props = defineProps<{ entries: readonly WorkEntry[] }>()
const emit = defineEmits<{ send: [event: NewWorkEvent]; strike: [id: string]; photos: [id: string] }>()
const lines = computed(() => props.entries.map(entry => ({ entry, ...workEntryWords(entry) })))
const answers = reactive<Record<string, string>>({})
function markOf({ event, isOpen }: WorkEntry) {
  if (event.kind === 'part-tested') return VERDICT_MARK[partVerdict(event)]
  return isOpen ? 'cannot-tell' : null
}
const answer = (questionId: string, given: (typeof ANSWERS)[number]) =>
  emit('send', { kind: 'question-answered', questionId, answer: given, text: answers[questionId] ?? '' })
</script>

<template>
  <ol class="log">
    <li v-for="{ entry: e, label, about, details } in lines" :key="e.event.id">
      <span class="mark"
        ><StateMark v-if="markOf(e)" aria-hidden="true" :mark="markOf(e)!" :size="12"
      /></span>
      <div class="what">
        <p>
          <span class="label">{{ label }}</span> <b>{{ about }}</b>
          <span v-for="(d, i) in details" :key="i" class="detail">{{ d }}</span>
        </p>
        <p v-if="e.isOpen && e.event.kind === 'question-asked'" class="answer">
          <input
            v-model="answers[e.event.id]"
            :aria-label="t('job.theOwnersWords')"
            :placeholder="t('job.theOwnersWordsLabel')"
          /><v-btn v-for="a in ANSWERS" :key="a" height="44" @click="answer(e.event.id, a)">{{
            t(ANSWER_WORDS[a])
          }}</v-btn>
        </p>
        <v-btn
          v-else-if="e.isOpen"
          class="my-1"
          height="44"
          @click="emit('send', { kind: 'wait-ended', waitId: e.event.id, text: '' })"
          >{{ t('job.markAsReceived') }}</v-btn
        >
        <slot :entry="e" :about="about" />
      </div>
      <p class="when quiet">
        <span class="fig">{{ dayAndTime(e.event.atMs) }}</span><template v-if="e.event.author">
          {{ e.event.author.name }}</template
        ><br class="wide" />
        <button
          type="button"
          class="no-print"
          :aria-label="t('repair.photosOf', { about })"
          @click="emit('photos', e.event.id)"
        >
          {{ t('repair.photos') }}
        </button>
        <button
          type="button"
          class="no-print"
          :aria-label="t('repair.strikeOutOf', { about })"
          @click="emit('strike', e.event.id)"
        >
          {{ t('repair.strikeOut') }}
        </button>
      </p>
    </li>
  </ol>
</template>

<style scoped>
.log {
  list-style: none;
  padding: 0;
  margin: 4px 0 10px;
}
.log li {
  display: grid;
  grid-template-columns: 14px 1fr auto;
  gap: 10px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.log p {
  margin: 0;
}
.mark {
  padding-top: 4px;
}
.label {
  font-size: 12.5px;
  color: var(--ink2);
  padding-right: 6px;
}
.detail::before {
  content: ' · ';
  color: var(--ink2);
}
.answer {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  padding: 6px 0;
}
.answer input {
  flex: 0 1 240px;
}
.when {
  font-size: 13px;
  text-align: right;
}
.when button {
  min-height: 32px;
  margin-left: 12px;
  color: var(--accent);
  text-decoration: underline;
}
@media (max-width: 760px) {
  .log li {
    grid-template-columns: 14px 1fr;
  }
  .when {
    grid-column: 2;
    text-align: left;
  }
  .when .wide {
    display: none;
  }
  .when button {
    min-height: 44px;
  }
}
</style>

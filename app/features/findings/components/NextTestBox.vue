<script setup lang="ts">
import { midSentence } from '#shared/words/sentence'
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import type { NextTest, Observable } from '#core/diagnose'
import { leadsWords, wouldTake } from '../logic/findingWords'

/** The test whose answer splits what remains best; one press records the answer. */
const props = defineProps<{
  next: readonly NextTest[]
  proof: Observable | null
  cannotAsk: readonly Observable[]
}>()
const emit = defineEmits<{ answer: [observableId: string, outcome: string]; measure: [] }>()
const chosen = ref(0)
const test = computed(() => props.next[Math.min(chosen.value, props.next.length - 1)] ?? null)
</script>

<template>
  <div class="next">
    <template v-if="test">
      <p class="quiet head">{{ t('findings.nextTest') }}</p>
      <b class="q">{{ test.observable.question }}</b>
      <template v-if="test.observable.source.kind === 'test'">
        <p>{{ test.observable.source.how }}</p>
        <p v-if="test.observable.source.caution" class="care">{{ test.observable.source.caution }}</p>
        <button
          v-for="(words, outcome) in test.observable.outcomes"
          :key="outcome"
          type="button"
          class="answer"
          @click="emit('answer', test.observable.id, String(outcome))"
        >
          <span>{{ words }}</span><span class="quiet">{{
            t('findings.suggests', { leads: leadsWords(test, String(outcome)) })
          }}</span>
        </button>
      </template>
      <template v-else
        ><p>{{ t('findings.takeTheMissingAsFoundReadings') }}</p>
        <v-btn @click="emit('measure')">{{ t('findings.goToTheRows') }}</v-btn></template
      >
      <p v-if="next.length > 1" class="other">
        <button type="button" @click="chosen = (chosen + 1) % next.length">
          {{ t('findings.anotherTest', { count: next.length }) }}
        </button>
      </p>
    </template>
    <template v-else-if="proof && proof.source.kind === 'test'">
      <p class="quiet head">{{ t('findings.confirmingTest') }}</p>
      <b class="q">{{ proof.question }}</b>
      <p>{{ proof.source.how }}</p>
      <p v-if="proof.source.caution" class="care">{{ proof.source.caution }}</p>
      <button
        v-for="(words, outcome) in proof.outcomes"
        :key="outcome"
        type="button"
        class="answer"
        @click="emit('answer', proof.id, String(outcome))"
      >
        <span>{{ words }}</span>
      </button>
    </template>
    <p v-else class="quiet">{{ t('findings.noFurtherTestSeparatesTheseCauses') }}</p>
    <p v-for="o in cannotAsk" :key="o.id" class="quiet">
      {{
        t('findings.notPossibleWithThisEquipmentNeeds', {
          question: midSentence(o.question),
          wouldTake: wouldTake(o),
        })
      }}
    </p>
  </div>
</template>

<style scoped>
.next {
  border-left: 3px solid var(--accent);
  padding: 2px 0 2px 16px;
}
.head {
  margin: 0;
  font-size: 13px;
}
.q {
  font-size: 16px;
}
p {
  margin: 4px 0 8px;
}
.answer {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  align-items: center;
  width: 100%;
  min-height: 46px;
  text-align: left;
  padding: 4px 12px;
  margin-bottom: 6px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
}
.answer:hover {
  background: var(--sheet);
}
.answer .quiet {
  font-size: 12.5px;
  text-align: right;
}
.other button {
  color: var(--accent);
  text-decoration: underline;
  min-height: 36px;
  padding: 0;
}
</style>

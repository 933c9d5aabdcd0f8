<script setup lang="ts">
import { computed } from 'vue'
import type { Trial } from '#core/trial'
import { t } from '#shared/i18n'
import { clockTime } from '#shared/words/dateWords'
import { quantityLabel } from '#shared/words/quantityWords'
import { amplifierWords, quantitiesRead, trialReading } from '#shared/words/trialWords'

/** Trials, the last one first: what was set, what the meters showed, and what follows from it. */
const props = defineProps<{ trials: readonly Trial[]; said: (trial: Trial) => string[] }>()
const emit = defineEmits<{ strike: [trial: Trial] }>()
const latestFirst = computed(() => [...props.trials].reverse())
const read = computed(() => quantitiesRead(props.trials))
</script>

<template>
  <ol class="trials">
    <li v-for="trial in latestFirst" :key="trial.noted.id">
      <p class="head">
        <b>{{ t('trial.trialNumber', { number: trial.number }) }}</b>{{ ' ' }}<b>{{ trial.noted.text }}</b>
        <span v-if="trial.noted.amplifier" class="quiet">{{ amplifierWords(trial.noted.amplifier) }}</span>
        <span class="when quiet"
          ><span class="fig">{{ clockTime(trial.noted.atMs) }}</span>
          <button
            type="button"
            class="no-print"
            :aria-label="t('trial.strikeTitle', { number: trial.number })"
            @click="emit('strike', trial)"
          >
            {{ t('repair.strikeOut') }}
          </button></span
        >
      </p>
      <dl>
        <template v-for="q in read" :key="q">
          <div v-if="trialReading(trial, q) !== null">
            <dt>{{ quantityLabel(q) }}</dt>
            <dd class="fig">{{ trialReading(trial, q) }}</dd>
          </div>
        </template>
      </dl>
      <ul>
        <li v-for="(words, i) in said(trial)" :key="i">{{ words }}</li>
      </ul>
    </li>
  </ol>
</template>

<style scoped>
.trials {
  list-style: none;
  padding: 0;
  margin: 4px 0 18px;
}
.trials > li {
  padding: 8px 0 10px;
  border-bottom: 1px solid var(--line);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 12px;
  margin: 0;
}
.when {
  margin-left: auto;
  font-size: 13px;
}
.when button {
  min-height: 44px;
  margin-left: 12px;
  color: var(--accent);
  text-decoration: underline;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 24px;
  margin: 0;
}
dt {
  font-size: 12.5px;
  color: var(--ink2);
}
dd {
  margin: 0;
  font-size: 18px;
}
ul {
  margin: 6px 0 0;
  padding-left: 18px;
  max-width: 76ch;
}
</style>

<script setup lang="ts">
import type { IsolationTry } from '#core/work'
import { t } from '#shared/i18n'
import { dayAndTime } from '#shared/words/dateWords'
import { findingWords, triedWords } from '#shared/words/isolationWords'
import { capital, sentence } from '#shared/words/sentence'

/** The tries of an isolation in order, and what each says beside the one before it. */
defineProps<{ tries: readonly IsolationTry[] }>()
</script>

<template>
  <ol class="tries">
    <li v-for="{ tried, says } in tries" :key="tried.id">
      {{ capital(sentence(triedWords(tried))) }}{{ ' ' }}
      <b v-if="says">{{ capital(findingWords(says)) }}{{ ' ' }}</b>
      <span class="quiet">{{ dayAndTime(tried.atMs) }}</span>
    </li>
  </ol>
  <p v-if="tries.at(-1)?.says?.kind === 'fell-without'">{{ t('work.testItAtRf') }}</p>
</template>

<style scoped>
.tries {
  margin: 4px 0 12px;
  padding-left: 20px;
  max-width: 100ch;
}
.tries li {
  padding: 3px 0;
}
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'
import type { SettledClaim } from '#core/claims'
import { OUTCOME_WORDS, claimWords, factorWords, settledWords } from '#shared/words/claimWords'

defineProps<{ claims: readonly SettledClaim[] }>()
</script>

<template>
  <ul class="claims" :aria-label="t('job.theOwnersClaims')">
    <li v-for="s in claims" :key="s.claim.id">
      <b>{{ t(OUTCOME_WORDS[s.outcome]) }}</b>
      <span
        >{{ claimWords(s.claim) }}: {{ settledWords(s) }}.{{
          factorWords(s) ? ` ${factorWords(s)}` : ''
        }}</span
      >
    </li>
  </ul>
</template>

<style scoped>
.claims {
  list-style: none;
  padding: 0;
  margin: 0 0 12px;
  font-size: 14px;
}
.claims li {
  display: grid;
  grid-template-columns: 118px 1fr;
  gap: 10px;
  padding: 3px 0;
  align-items: baseline;
}
</style>

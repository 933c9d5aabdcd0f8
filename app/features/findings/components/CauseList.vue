<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import type { RankedCause } from '#core/diagnose'
import { causeTitle, evidenceWords, probabilityWords, usedWords, weighed } from '../logic/findingWords'

/**
 * What it may come from, the most probable first; each can be opened to see the numbers and what speaks for
 * and against.
 */
defineProps<{ ranked: readonly RankedCause[]; confirmed: readonly string[] }>()
const emit = defineEmits<{ confirm: [causeId: string] }>()
const SHOWN = 4
const open = ref<string | null>(null)
const key = (r: RankedCause) => r.cause?.id ?? 'unknown'
</script>

<template>
  <ol class="causes">
    <li
      v-for="r in ranked.slice(0, SHOWN)"
      :key="key(r)"
      :class="{ mine: r.cause && confirmed.includes(r.cause.id) }"
    >
      <button
        type="button"
        class="line"
        :aria-expanded="open === key(r)"
        @click="open = open === key(r) ? null : key(r)"
      >
        <span class="bar" aria-hidden="true"
          ><i :style="{ width: `${Math.max(2, r.probability * 100)}%` }"
        /></span>
        <span
          ><b>{{ causeTitle(r) }}</b
          ><span v-if="r.confirmedBefore > 0" class="quiet before">{{
            t('findings.confirmedBefore', { count: r.confirmedBefore })
          }}</span></span
        ><span class="quiet p">{{
          r.cause && confirmed.includes(r.cause.id)
            ? t('findings.confirmed')
            : probabilityWords(r.probability)
        }}</span>
      </button>
      <div v-if="open === key(r)" class="why">
        <p v-if="r.cause">
          {{ r.cause.remedy }}
          <span class="quiet">{{ t('findings.rowCommonPractice', { row: r.cause.row }) }}</span>
        </p>
        <ul>
          <li v-for="w in weighed(r).for" :key="w.evidence.observable.id">
            <b>{{ t('findings.forWord') }}</b> {{ evidenceWords(w.evidence) }}
            <span class="quiet">{{ usedWords(w.evidence) }}</span>
          </li>
          <li v-for="w in weighed(r).against" :key="w.evidence.observable.id">
            <b>{{ t('findings.against') }}</b> {{ evidenceWords(w.evidence) }}
            <span class="quiet">{{ usedWords(w.evidence) }}</span>
          </li>
        </ul>
        <v-btn v-if="r.cause && !confirmed.includes(r.cause.id)" @click="emit('confirm', r.cause.id)">{{
          t('findings.confirmCause')
        }}</v-btn>
      </div>
    </li>
  </ol>
</template>

<style scoped>
.causes {
  list-style: none;
  padding: 0;
  margin: 4px 0 0;
}
.line {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 44px;
  text-align: left;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  padding: 0;
}
.line b {
  font-weight: 600;
}
.mine .line b {
  font-weight: 750;
}
.before {
  display: block;
  font-size: 13.5px;
}
.bar {
  height: 10px;
  border: 1px solid var(--line2);
  display: block;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--ink2);
}
.p {
  font-size: 13.5px;
  white-space: nowrap;
}
.why {
  padding: 6px 0 12px 96px;
  font-size: 14px;
}
.why p {
  margin: 0 0 4px;
}
.why ul {
  margin: 0 0 8px;
  padding-left: 16px;
}
@media (max-width: 760px) {
  .why {
    padding-left: 0;
  }
}
</style>

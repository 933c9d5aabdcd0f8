<script setup lang="ts">
import { t, translated, withTextsTranslated } from '#shared/i18n'
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue'
import { navigateTo, useCookie } from '#imports'
import ComplaintTried from '~/features/findings/components/ComplaintTried.vue'
import CauseList from '~/features/findings/components/CauseList.vue'
import NextTestBox from '~/features/findings/components/NextTestBox.vue'
import StatementCheck from '~/features/findings/components/StatementCheck.vue'
import WrongList from '~/features/findings/components/WrongList.vue'
import SettledClaims from '~/features/job/components/claims/SettledClaims.vue'
import TextDialog from '../../../ui/frame/TextDialog.vue'
import { causeOf, diagnose, type ConfirmedBefore } from '#core/diagnose'
import DueReminders from '~/features/job/components/work/DueReminders.vue'
import WorkLog from '~/features/job/screens/WorkLog.vue'
import { useEventForm } from '~/features/job/logic/useEventForm'
import { testsMade } from '#core/work'
import { doubting as doubtingOf, rowDoubts } from '~/features/align/logic/doubts'
import { DOMAIN_WORDS, evidenceWords } from '~/features/findings/logic/findingWords'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useJobStore } from '~/features/job/store/job'
import { useSearchStore } from '~/features/search/store/search'

const LazyModelHistory = defineAsyncComponent(() => import('~/features/search/components/ModelHistory.vue'))
const store = useJobStore()
const search = useSearchStore()
const night = useCookie<'day' | 'night'>('theme')
const instruments = useInstrumentsStore()
const { send, wrong: wrongIn } = useEventForm(store.append)
/** A kind of job without a repair asks its owner here. */
const ASKED = ['question-asked', 'wait-begun'] as const
const confirming = ref<string | null>(null)
/** Causes confirmed on other jobs of the model, once they have been loaded. */
const before = shallowRef<ConfirmedBefore>({})
async function loadHistory(sheetId: string, jobId: string | null) {
  const known = await search.historyOf(sheetId, jobId)
  before.value = Object.fromEntries((known?.causes ?? []).map(c => [c.causeId, c.count]))
  return known
}
const diagnosis = computed(() =>
  withTextsTranslated(
    diagnose(
      store.foundSheet!,
      store.asFound,
      testsMade(store.foundSheet!, store.events),
      q => instruments.optionsFor(q).length > 0,
      before.value,
    ),
  ),
)
const wrong = computed(() => diagnosis.value.domains.filter(d => d.symptoms.length > 0))
const inOrder = computed(() =>
  diagnosis.value.domains.filter(d => d.symptoms.length === 0 && d.fine.length > 0),
)
const doubting = doubtingOf(
  () => ({
    sheet: store.foundSheet!,
    rules: store.rules!,
    run: store.foundRun!,
    keptChallenges: store.keptChallenges,
  }),
  instruments,
  () => store.asFound,
)
const doubts = computed(() =>
  store.asFound.flatMap(r =>
    rowDoubts(doubting(), r).map(d => ({
      title: r.point.title,
      words: d.keptBecause
        ? t('job.confirmedByUser', { words: d.words, keptBecause: d.keptBecause })
        : d.words,
      settled: d.keptBecause !== null,
    })),
  ),
)
const confirmed = computed(() => store.events.flatMap(e => (e.kind === 'cause-confirmed' ? [e] : [])))
const measured = computed(() => store.asFound.some(r => r.cells.some(c => c.latest)))

const answer = (observableId: string, outcome: string) =>
  store.append({ kind: 'test-made', observableId, outcome, text: '' })
async function confirm(text: string) {
  await store.append({ kind: 'cause-confirmed', causeId: confirming.value!, text })
  confirming.value = null
}
</script>

<template>
  <div class="page">
    <h1>{{ t('job.findings') }}</h1>
    <p class="lead">{{ t('job.faultsInTheAsFoundReadings') }}</p>
    <ComplaintTried
      :complaint="store.job!.complaint"
      :tried="store.events.filter(e => e.kind === 'complaint-tried')"
      :wrong="wrongIn"
      @send="send"
    />
    <p v-if="!measured" class="lead">
      {{ t('job.noReadingsYet') }}
      <NuxtLink :to="`/jobs/${store.job!.id}/as-found`">{{ t('job.measureAsFound') }}</NuxtLink>
      {{ t('job.first') }}
    </p>
    <template v-else>
      <SettledClaims v-if="store.claims.length > 0" :claims="store.claims" />
      <WrongList :rows="store.asFound" :doubts="doubts.filter(d => !d.settled)" />
    </template>
    <DueReminders :reminders="store.reminders" />
    <section v-for="d in wrong" :key="d.domain" class="domain" :aria-label="t(DOMAIN_WORDS[d.domain])">
      <h2>{{ t(DOMAIN_WORDS[d.domain]) }}</h2>
      <p class="quiet">{{ d.symptoms.map(evidenceWords).join('. ') }}.</p>
      <p v-if="d.explainedBy">
        <b>{{ t('job.probablyAResultOf', { title: d.explainedBy.title }) }}</b>{{ ' ' }}
        <span class="quiet">{{ t('job.repairThatFirstThenCheckAgain') }}</span>
      </p>
      <div v-else class="pair">
        <CauseList
          :ranked="d.ranked"
          :confirmed="confirmed.map(c => c.causeId)"
          @confirm="id => (confirming = id)"
        /><NextTestBox
          :next="d.next"
          :proof="d.proof"
          :cannot-ask="d.cannotAsk"
          @answer="answer"
          @measure="navigateTo(`/jobs/${store.job!.id}/as-found`)"
        />
      </div>
    </section>
    <section v-if="inOrder.length" :aria-label="t('job.noFaultSeen')">
      <h2>{{ t('job.noFaultSeen') }}</h2>
      <p v-for="d in inOrder" :key="d.domain">
        <b>{{ t(DOMAIN_WORDS[d.domain]) }}</b>{{ ' ' }}
        <span class="quiet">{{ d.fine.map(evidenceWords).join('. ') }}</span>
      </p>
    </section>
    <section v-if="confirmed.length" :aria-label="t('job.workToDo')">
      <h2>{{ t('job.workToDo') }}</h2>
      <ul>
        <li v-for="c in confirmed" :key="c.id">
          <b>{{ translated(causeOf(c.causeId).title) }}</b>: {{ translated(causeOf(c.causeId).remedy) }}
          <span class="quiet">{{ c.text }}</span>
        </li>
      </ul>
    </section>
    <section v-if="!store.stages.includes('repair')" :aria-label="t('job.questionsAndHolds')">
      <h2>{{ t('job.questionsAndHolds') }}</h2>
      <WorkLog :kinds="ASKED" />
    </section>
    <StatementCheck />
    <LazyModelHistory
      :sheet="store.foundSheet!"
      :job-id="store.job!.id"
      :night="night === 'night'"
      :load="loadHistory"
    />
    <TextDialog
      :open="confirming !== null"
      :title="confirming ? translated(causeOf(confirming).title) : ''"
      :hint="t('job.itIsEnteredInTheLog')"
      :label="t('job.evidence')"
      :action="t('job.confirmCause')"
      :required="false"
      @close="confirming = null"
      @done="confirm"
    />
  </div>
</template>

<style scoped>
.domain {
  border-top: 1px solid var(--line2);
  margin-top: 18px;
  padding-top: 12px;
}
.domain h2 {
  margin: 0;
}
.domain > p {
  margin: 2px 0 6px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(300px, 1fr);
  gap: 32px;
  align-items: start;
}
section > p {
  margin: 4px 0;
}
@media (max-width: 900px) {
  .pair {
    grid-template-columns: 1fr;
  }
}
</style>

<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { computed } from 'vue'
import OtherTurned from '~/features/job/components/work/OtherTurned.vue'
import PartForms from '~/features/job/components/work/PartForms.vue'
import SetCautions from '~/features/job/components/work/SetCautions.vue'
import QuestionList from '~/features/job/components/work/QuestionList.vue'
import { owedAfterFinal, questions, waits } from '#core/work'
import type { PartChanged, PartTested, Treated, UnlistedTurned } from '#core/run'
import { useEventForm } from '~/features/job/logic/useEventForm'
import { ROLE_WORDS } from '#shared/words/roleWords'
import { useJobStore } from '~/features/job/store/job'

const store = useJobStore()
const { problem, send, wrong } = useEventForm(store.append)
const changed = computed(() => store.events.filter((e): e is PartChanged => e.kind === 'part-changed'))
const tested = computed(() => store.events.filter((e): e is PartTested => e.kind === 'part-tested'))
const treated = computed(() => store.events.filter((e): e is Treated => e.kind === 'treated'))
const unlisted = computed(() => store.events.filter((e): e is UnlistedTurned => e.kind === 'unlisted-turned'))
const owed = computed(() => withTextsTranslated(owedAfterFinal(store.sheet!, store.events)))
</script>

<template>
  <div class="page">
    <h1>{{ t('job.repair') }}</h1>
    <p class="lead">
      {{ t('job.questionsToTheOwnerPartsRemoved') }}
    </p>
    <SetCautions :sheet="store.sheet!" />
    <p v-if="problem" class="wrong" role="alert">{{ problem.words }}</p>
    <QuestionList
      :questions="questions(store.events)"
      :waits="waits(store.events)"
      :wrong="wrong"
      @send="send"
    />
    <PartForms
      :changed="changed"
      :tested="tested"
      :treated="treated"
      :owed="owed"
      :wrong="wrong"
      @send="send"
    />
    <section class="other">
      <h2>{{ t('job.adjustmentsNotOnTheSheet') }}</h2>
      <ul>
        <li v-for="turned in unlisted" :key="turned.id">
          <b>{{ turned.name }}</b>{{ ' ' }}
          <span class="quiet">{{
            t('job.roleAndStartingPosition', {
              role: t(ROLE_WORDS[turned.role]),
              startPosition: turned.startPosition || t('job.unknown'),
            })
          }}</span>
        </li>
      </ul>
      <OtherTurned :wrong="wrong" @send="send" />
    </section>
  </div>
</template>

<style scoped>
.other {
  margin-top: 20px;
}
.wrong {
  color: var(--out);
  font-weight: 600;
}
</style>

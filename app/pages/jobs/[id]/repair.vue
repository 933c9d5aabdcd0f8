<script setup lang="ts">
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
const owed = computed(() => owedAfterFinal(store.sheet!, store.events))
</script>

<template>
  <div class="page">
    <h1>Repair</h1>
    <p class="lead">
      Questions to the owner, parts removed and fitted, part tests, other work. Ask before removing glue,
      renewing capacitors, fitting a trimmer or a crystal, or converting.
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
      <h2>Adjustments not on the sheet</h2>
      <ul>
        <li v-for="t in unlisted" :key="t.id">
          <b>{{ t.name }}</b>{{ ' ' }}
          <span class="quiet"
            >{{ ROLE_WORDS[t.role] }}; starting position {{ t.startPosition || 'unknown' }}</span
          >
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

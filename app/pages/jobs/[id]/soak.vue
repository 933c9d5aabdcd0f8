<script setup lang="ts">
import { useTimestamp } from '@vueuse/core'
import { typedNumber } from '#core/quantity'
import { t, translated } from '#shared/i18n'
import { computed, ref } from 'vue'
import TextDialog from '../../../ui/frame/TextDialog.vue'
import StateMark from '../../../ui/gauge/StateMark.vue'
import { runningSoak, soakLog, soakPoint, soaks } from '#core/work'
import SoakLogTable from '~/features/job/components/work/SoakLogTable.vue'
import { useRowTaking } from '~/features/align/logic/useRowTaking'
import { useNotice } from '../../../ui/useNotice'
import { panelTickA } from '#core/run'
import { asItIs, doubting } from '~/features/align/logic/doubts'
import TypedRow from '~/features/align/components/matrix/TypedRow.vue'
import { useEventForm } from '~/features/job/logic/useEventForm'
import { durationWords } from '#shared/words/workWords'
import { dayAndTime } from '#shared/words/dateWords'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useJobStore } from '~/features/job/store/job'
import { useLiveStore } from '~/features/instruments/store/live'

const store = useJobStore()
const { send, wrong } = useEventForm(store.append)
const instruments = useInstrumentsStore()
const live = useLiveStore()
const { said, say } = useNotice()
const point = computed(() => soakPoint(store.sheet!))
const log = computed(() => (running.value ? soakLog(store.sheet!, store.events, running.value) : null))
const { typing, take, takeTyped } = useRowTaking({
  sheet: () => store.sheet!,
  phase: 'soak',
  doubting: doubting(asItIs(store), instruments, () => store.asLeft),
  liveOf: live.liveOf,
  shown: live.shown,
  rfSeen: live.rfSeen,
  append: store.append,
  say,
})
const hours = ref('4')
const faulty = ref(false)
const now = useTimestamp({ interval: 1000 })
const running = computed(() => runningSoak(store.events))
const past = computed(() =>
  soaks(store.events)
    .filter(s => s.ended)
    .reverse(),
)
const begin = () => send({ kind: 'soak-begun', hours: typedNumber(hours.value) ?? Number.NaN, text: '' })
async function end(passed: boolean, text = '') {
  if (running.value) await send({ kind: 'soak-ended', soakId: running.value.begun.id, passed, text })
  faulty.value = false
}
</script>

<template>
  <div class="page">
    <h1>{{ t('job.soakTest') }}</h1>
    <p class="lead">
      {{ t('job.hoursAtIdleWithTheCovers') }}
    </p>
    <section v-if="running" class="running" role="timer" :aria-label="t('job.soakTest')">
      <b class="fig">{{
        now < running.endsAtMs ? durationWords(running.endsAtMs - now) : t('job.dueMark')
      }}</b>
      <span>{{
        t('job.ofHBegun', {
          what:
            now < running.endsAtMs
              ? t('job.left')
              : t('job.sinceTime', { dayAndTime: dayAndTime(running.endsAtMs) }),
          hours: running.begun.hours,
          dayAndTime: dayAndTime(running.begun.atMs),
        })
      }}</span>
      <div class="acts">
        <v-btn
          size="large"
          :variant="now < running.endsAtMs ? undefined : 'flat'"
          :color="now < running.endsAtMs ? undefined : 'primary'"
          @click="end(true)"
          >{{ t('job.endNoFault') }}</v-btn><v-btn size="large" @click="faulty = true">{{
          t('job.endFault')
        }}</v-btn>
      </div>
      <SoakLogTable
        v-if="log"
        :log="log"
        :now-ms="now"
        :title="point.title"
        :cautions="translated(store.sheet!.load)"
        @take="take(null, point.id)"
        @type="typing = { pointId: point.id, first: '' }"
      >
        <TypedRow
          v-if="typing"
          :wants="point.wants"
          :first="typing.first"
          :options-for="instruments.optionsFor"
          :typed-with="instruments.typedWith"
          :tick-a="panelTickA(store.sheet!)"
          @done="v => takeTyped(null, point.id, v)"
          @cancel="typing = null"
          @choose="instruments.chooseTypedWith"
        />
      </SoakLogTable>
      <p class="said" role="status" :class="said?.kind">{{ said?.text ?? '' }}</p>
    </section>
    <section v-else class="begin">
      <v-text-field
        v-model="hours"
        :label="t('job.duration')"
        suffix="h"
        inputmode="decimal"
        :error-messages="wrong('hours')"
        @keydown.enter="begin"
      /><v-btn size="large" variant="flat" color="primary" @click="begin">{{ t('job.startSoakTest') }}</v-btn>
    </section>
    <h2 v-if="past.length">{{ t('job.earlier') }}</h2>
    <ul class="past">
      <li v-for="s in past" :key="s.begun.id">
        <StateMark aria-hidden="true" :mark="s.ended!.passed ? 'inside' : 'above'" :size="12" />
        {{
          t('job.after', {
            what: s.ended!.passed ? t('job.soakPassed') : t('job.fault'),
            duration: durationWords(s.ended!.atMs - s.begun.atMs),
          })
        }}
        <span class="quiet">{{ dayAndTime(s.ended!.atMs) }} {{ s.ended!.text }}</span>
      </li>
    </ul>
    <TextDialog
      :open="faulty"
      :title="t('job.endSoakTestFault')"
      :label="t('job.whatHappenedAndAfterHowLong')"
      :action="t('job.endSoakTest')"
      @close="faulty = false"
      @done="t => end(false, t)"
    />
  </div>
</template>

<style scoped>
.running b {
  font-size: 56px;
  line-height: 1.1;
  display: block;
}
.acts,
.begin {
  display: flex;
  gap: 12px;
  margin-top: 14px;
  align-items: flex-start;
}
.begin .v-text-field {
  max-width: 180px;
}
.said {
  font-weight: 600;
  min-height: 22px;
}
.said.problem {
  color: var(--out);
}
.said.ok {
  color: var(--in);
}
.past {
  list-style: none;
  padding: 0 !important;
}
.past li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
}
</style>

<script setup lang="ts">
import { errorWords } from '#shared/words/messageWords'
import { t, withTextsTranslated } from '#shared/i18n'
import { computed, ref, watch } from 'vue'
import { CoreError } from '#core/errors'
import { parseTyped, groupDigits } from '#core/quantity'
import { POWER_SEEN, type PowerTried } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { ISOLATION_ORDER, firstPowerPlan, partsOut, powerVerdict, type IsolationTry } from '#core/work'
import { dayAndTime } from '#shared/words/dateWords'
import { partsTyped, triedWords } from '#shared/words/isolationWords'
import { POWER_SEEN_WORDS, POWER_VERDICT_WORDS, powerPlanWords } from '#shared/words/workWords'
import type { NewWorkEvent } from '../../logic/useEventForm'
import StateMark from '~/ui/gauge/StateMark.vue'
import IsolationTries from './IsolationTries.vue'

/** The set on the current-limited supply for the first time: what to set, what to expect, when to stop. */
const props = defineProps<{
  sheet: ModelSheet
  last: PowerTried | null
  tries: readonly IsolationTry[]
  liveA: number | null
}>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void] }>()
const typed = ref('')
/** What is out stays out until somebody says that it is back. */
const out = ref('')
watch(
  () => props.last?.id,
  () => (out.value = props.last ? partsOut(props.last).join(', ') : ''),
  { immediate: true },
)
const wrong = ref<string | null>(null)
const plan = computed(() => withTextsTranslated(firstPowerPlan(props.sheet)))
const verdict = computed(() => (props.last ? powerVerdict(props.sheet, props.last) : null))
const MARK = {
  'go-on': 'inside',
  'above': 'above',
  'below': 'below',
  'parts-out': 'cannot-tell',
  'stop': 'above',
} as const

function press(seen: PowerTried['seen']) {
  wrong.value = null
  try {
    const read = seen === 'normal' ? props.liveA : null
    const idleA = typed.value.trim() === '' ? read : parseTyped(typed.value, 'supplyA').value
    const parts = partsTyped(out.value)
    const tried = { kind: 'power-tried', limitA: plan.value.limitA, idleA, seen, text: '' } as const
    emit('send', parts.length > 0 ? { ...tried, partsOut: parts } : tried, () => (typed.value = ''))
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    wrong.value = errorWords(error)
  }
}
</script>

<template>
  <section class="power" :aria-label="t('job.firstPower')">
    <h2>{{ t('job.firstPower') }}</h2>
    <ol>
      <li v-for="w in powerPlanWords(plan, sheet.nominalSupplyV)" :key="w">{{ w }}</li>
    </ol>
    <div class="entry">
      <v-text-field
        v-model="typed"
        :label="t('job.idleCurrent')"
        suffix="A"
        inputmode="decimal"
        :placeholder="liveA === null ? '' : groupDigits(liveA, 3)"
        :hint="
          liveA === null ? t('job.supplyNotConnectedTypeTheCurrent') : t('job.emptyPresentReadingOfTheSupply')
        "
        persistent-hint
        :error-messages="wrong ?? undefined"
        @keydown.enter="press('normal')"
      />
      <v-text-field
        v-if="tries.length > 0"
        v-model="out"
        class="out"
        :label="t('form.partsOut')"
        :placeholder="t('job.egQ17Q18')"
        :hint="t('job.emptyEverythingIsIn')"
        persistent-hint
        maxlength="300"
      />
      <v-btn
        v-for="s in POWER_SEEN"
        :key="s"
        size="large"
        :variant="s === 'normal' ? 'flat' : 'outlined'"
        :color="s === 'normal' ? 'primary' : undefined"
        @click="press(s)"
        >{{ t(POWER_SEEN_WORDS[s]) }}</v-btn
      >
    </div>
    <p v-if="last && verdict" class="verdict" role="status">
      <StateMark aria-hidden="true" :mark="MARK[verdict]" :size="14" />
      <b>{{ t(POWER_VERDICT_WORDS[verdict]) }}</b>{{ ' ' }}
      <span class="quiet">{{ triedWords(last) }}, {{ dayAndTime(last.atMs) }}</span>
    </p>
    <template v-if="tries.length > 0">
      <h3>{{ t('job.isolationFromTheOutputBackwards') }}</h3>
      <IsolationTries :tries="tries" />
    </template>
    <template v-if="verdict === 'stop'">
      <ol class="isolate">
        <li v-for="s in ISOLATION_ORDER" :key="s.doThis">
          {{ s.doThis }} <span class="quiet">{{ s.proves }}</span>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.power ol {
  padding-left: 20px;
  margin: 4px 0 12px;
  max-width: 90ch;
}
.entry {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: flex-start;
}
.entry .v-text-field {
  max-width: 210px;
}
.entry .out {
  max-width: 260px;
}
.verdict {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 4px 0 0;
  font-size: 16px;
}
h3 {
  font-size: 15px;
  margin: 14px 0 2px;
}
.isolate li {
  padding: 2px 0;
}
</style>

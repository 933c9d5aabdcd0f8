<script setup lang="ts">
import { errorWords } from '#shared/words/messageWords'
import { t, withTextsTranslated } from '#shared/i18n'
import { computed, ref } from 'vue'
import { CoreError } from '#core/errors'
import { parseTyped, groupDigits } from '#core/quantity'
import { POWER_SEEN, type PowerTried } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { ISOLATION_ORDER, firstPowerPlan, powerVerdict } from '#core/work'
import { dayAndTime } from '#shared/words/dateWords'
import { POWER_SEEN_WORDS, POWER_VERDICT_WORDS, powerPlanWords } from '#shared/words/workWords'
import type { NewWorkEvent } from '../../logic/useEventForm'
import StateMark from '~/ui/gauge/StateMark.vue'

/** The set on the current-limited supply for the first time: what to set, what to expect, when to stop. */
const props = defineProps<{ sheet: ModelSheet; last: PowerTried | null; liveA: number | null }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void] }>()
const typed = ref('')
const wrong = ref<string | null>(null)
const plan = computed(() => withTextsTranslated(firstPowerPlan(props.sheet)))
const verdict = computed(() => (props.last ? powerVerdict(props.sheet, props.last) : null))
const MARK = { 'go-on': 'inside', 'above': 'above', 'below': 'below', 'stop': 'above' } as const

function press(seen: PowerTried['seen']) {
  wrong.value = null
  try {
    const read = seen === 'normal' ? props.liveA : null
    const idleA = typed.value.trim() === '' ? read : parseTyped(typed.value, 'supplyA').value
    emit('send', { kind: 'power-tried', limitA: plan.value.limitA, idleA, seen, text: '' }, () => {
      typed.value = ''
    })
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
      <span class="quiet"
        >{{ t(POWER_SEEN_WORDS[last.seen]).toLowerCase()
        }}{{ last.idleA === null ? '' : `, ${groupDigits(last.idleA, 3)} A` }},
        {{ dayAndTime(last.atMs) }}</span
      >
    </p>
    <template v-if="verdict === 'stop'">
      <h3>{{ t('job.isolationFromTheOutputBackwards') }}</h3>
      <ol class="isolate">
        <li v-for="s in ISOLATION_ORDER" :key="s.doThis">
          {{ s.doThis }} <span class="quiet">{{ s.proves }}</span>
        </li>
      </ol>
      <p class="quiet">
        {{ t('job.logTheResultUnderFindingsIf') }}
      </p>
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

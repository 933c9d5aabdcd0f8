<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { QUANTITIES, shownDecimals, standardToBound } from '#core/quantity'
import { decidingRange, forecast, judgeRequirement, type StepState, type MeasurandState } from '#core/run'
import type { Accuracy, Measured } from '#core/quantity'
import type { Judgement } from '#core/rules'
import type { Freshness, LiveEntry } from '~/features/instruments/logic/liveBook'
import { criterionWords } from '#shared/words/runWords'
import {
  forecastWords,
  reasonWords,
  showBound,
  statusWord,
  windowWords,
  zoneWords,
} from '#shared/words/verdictWords'
import ForkGauge from '~/ui/gauge/ForkGauge.vue'
import StateMark from '~/ui/gauge/StateMark.vue'
import TrendStrip from '~/ui/gauge/TrendStrip.vue'
import LiveFigure from './LiveFigure.vue'

/** The one number that matters now: what, how far, inside or not, and why. */
const props = defineProps<{
  state: StepState
  want: MeasurandState
  live: { entry: LiveEntry; freshness: Freshness } | null
  accuracy: Accuracy | null
  asFound: number | null
  hold: number | null
  trend: readonly { atMs: number; value: number }[]
  nowMs: number
  /** false: the set is not keyed, and what the meter shows is not judged */
  readable: boolean
}>()

const quantity = computed(() => props.want.want.quantity)
const nominal = computed(() => props.want.requirement.nominalHz)
const perSi = computed(() => (nominal.value === null ? QUANTITIES[quantity.value].perSi : 1))
const toShown = (si: number | null) => (si === null ? null : (si - (nominal.value ?? 0)) * perSi.value)
const current = computed(() =>
  props.live?.freshness === 'live' && props.live.entry.value !== null
    ? { value: props.live.entry.value, standardUncertainty: props.live.entry.standardUncertainty }
    : null,
)
const judgement = computed(() =>
  current.value && props.readable ? judgeRequirement(current.value, props.want.requirement) : null,
)
const expected = computed(() => (props.accuracy ? forecast(props.want.requirement, props.accuracy) : null))
const warning = computed(() => (expected.value ? forecastWords(expected.value, quantity.value) : null))
const range = computed(() => decidingRange(props.want.requirement))
const tolerance = computed(() =>
  windowWords(range.value.low, range.value.high, quantity.value, nominal.value),
)
/** Said where the instrument narrows the tolerance; the same interval twice tells nothing. */
const zone = computed(() => {
  if (warning.value || !expected.value?.zone || !props.want.requirement.limit) return null
  const words = zoneWords(expected.value, quantity.value, nominal.value)
  return words === tolerance.value ? null : words
})
const decimals = computed(() =>
  nominal.value === null ? shownDecimals(current.value?.standardUncertainty ?? null, quantity.value) : 0,
)
const gauge = computed(() => ({
  low: toShown(range.value.low),
  high: toShown(range.value.high),
  aim: toShown(props.want.requirement.window?.aim ?? null),
  asFound: toShown(props.asFound),
  now: current.value ? toShown(current.value.value) : null,
  bound:
    current.value?.standardUncertainty != null
      ? standardToBound(current.value.standardUncertainty) * perSi.value
      : null,
  signed: nominal.value !== null,
}))
const unit = computed(() => (nominal.value === null ? QUANTITIES[quantity.value].shownUnit : 'Hz'))
const points = computed(() =>
  props.trend.map(p => ({ agoS: Math.max(0, (props.nowMs - p.atMs) / 1000), value: toShown(p.value)! })),
)
const direction = computed(() => {
  const { window } = props.want.requirement
  if (!judgement.value || !current.value || window?.aim == null || judgement.value.verdict === 'inside')
    return ''
  const away = current.value.value - window.aim
  return t('align.theTargetOf', {
    nominal: showBound((nominal.value ?? 0) + Math.abs(away), quantity.value, nominal.value).replace('+', ''),
    what: away > 0 ? t('common.above') : t('common.below'),
    aim: showBound(window.aim, quantity.value, nominal.value),
  })
})
/** The last reason is the one that led to the verdict, which stands before it. */
const lastReason = (of: Judgement, reading: Measured) =>
  reasonWords(of, quantity.value, props.want.requirement, reading, { besideVerdict: true }).at(-1) ?? ''
</script>

<template>
  <div>
    <LiveFigure
      :quantity="quantity"
      :requirement="want.requirement"
      :live="live"
      :hold="hold"
      :typed-only="live === null"
    />
    <div class="verdict" data-testid="verdict">
      <template v-if="judgement && (want.requirement.window || want.requirement.limit)">
        <StateMark :mark="judgement.verdict" :size="18" /><b>{{ statusWord(judgement.verdict) }}</b>
        <span>{{ direction || lastReason(judgement, current!) }}</span>
      </template>
      <span v-else-if="current && !readable">{{ t('align.notKeyedNoVerdict') }}</span>
      <span v-else-if="range.low !== null || range.high !== null">{{
        t('align.tolerance', { tolerance })
      }}</span>
      <span v-else-if="state.step.criterion?.kind === 'peak'">{{
        t('align.adjustForMaximumNoVerdictWhile')
      }}</span>
      <span v-else-if="want.want.target">{{ t('align.targetDependsOnAnotherStepTake') }}</span>
      <span v-if="zone" class="zone"
        >{{ t('align.accept') }}
        <span class="fig" :title="t('align.acceptanceLimitsWithThisInstrument')">{{ zone }}</span></span
      >
    </div>
    <slot />
    <p v-if="criterionWords(state)" class="criterion">
      <b class="fig">{{ criterionWords(state) }}</b>
      {{ t('align.maxDb', { limitDb: state.criterion!.limitDb })
      }}<template v-if="state.criterion!.kind === 'peak'"
        >, {{ t('align.passes', { count: state.criterion!.passes }) }}</template
      >
    </p>
    <p v-if="warning" class="warning"><StateMark mark="cannot-tell" /> {{ warning }}</p>
    <ForkGauge :values="gauge" :unit="unit" :decimals="decimals" :mark="judgement?.verdict ?? null" />
    <TrendStrip
      v-if="live"
      :points="points"
      :low="gauge.low"
      :high="gauge.high"
      :aim="gauge.aim"
      :decimals="decimals"
    />
  </div>
</template>

<style scoped>
.verdict {
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 17px;
  min-height: 28px;
  flex-wrap: wrap;
}
.verdict b::first-letter {
  text-transform: uppercase;
}
.verdict span {
  color: var(--ink2);
  font-size: 15px;
}
.verdict .zone {
  margin-left: auto;
  white-space: nowrap;
}
.criterion,
.warning {
  margin: 2px 0 0;
  font-size: 14px;
  color: var(--ink2);
}
.criterion b {
  color: var(--ink);
}
.warning {
  color: var(--ink);
  display: flex;
  gap: 8px;
  align-items: center;
  border-left: 3px solid var(--unsure);
  padding-left: 8px;
}
</style>

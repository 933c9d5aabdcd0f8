<script setup lang="ts">
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { QUANTITIES, expandedUncertainty, showErrorHz, showMeasured } from '#core/quantity'
import type { JudgedReading, JudgedSignal, Measurement } from '#core/signal'
import { figureLines } from '#shared/words/figureLines'
import { limitWords } from '#shared/words/signalWords'
import { statusWord } from '#shared/words/verdictWords'
import type { GaugeValues } from '#shared/words/gaugeScale'
import ForkGauge from '~/ui/gauge/ForkGauge.vue'
import StateMark from '~/ui/gauge/StateMark.vue'

/**
 * Every number: those with a limit on a fork gauge, the others as they are; a second recording beside them.
 */
const props = defineProps<{
  /** readings with their limits, or everything else */
  part: 'judged' | 'others'
  judged: JudgedSignal
  measurement: Measurement
  second: JudgedSignal | null
  secondMeasurement: Measurement | null
  carrierW?: number | null
  /** limit of the neighbours in watts, in words */
  wattLimit?: string | null
}>()
const lines = computed(() => figureLines(props.measurement, props.carrierW))
const others = computed(
  () =>
    new Map(
      (props.secondMeasurement ? figureLines(props.secondMeasurement) : []).map(l => [l.label, l.value]),
    ),
)
const of = (judged: JudgedSignal | null, r: JudgedReading) =>
  judged?.readings.find(s => s.quantity === r.quantity) ?? null
const shown = (r: JudgedReading) =>
  r.nominalHz === null ? showMeasured(r, r.quantity) : showErrorHz(r.value - r.nominalHz, r)
const unit = (r: JudgedReading) => (r.nominalHz === null ? QUANTITIES[r.quantity].shownUnit : 'Hz')

/** In the unit shown; a carrier as its error. */
function gauge(r: JudgedReading): GaugeValues | null {
  if (!r.limit || (r.limit.low === null && r.limit.high === null)) return null
  const [scale, zero] = r.nominalHz === null ? [QUANTITIES[r.quantity].perSi, 0] : [1, r.nominalHz]
  const expanded = expandedUncertainty(r)
  const to = (v: number | null | undefined) => (v == null ? null : (v - zero) * scale)
  return {
    low: to(r.limit.low),
    high: to(r.limit.high),
    aim: null,
    asFound: to(of(props.second, r)?.value),
    now: to(r.value),
    bound: expanded === null ? null : expanded * scale,
    signed: r.nominalHz !== null,
  }
}
</script>

<template>
  <table class="figures" :aria-label="part === 'judged' ? t('signals.readings') : t('signals.otherFigures')">
    <tbody>
      <tr v-for="r in part === 'judged' ? judged.readings : []" :key="r.quantity" class="judged">
        <th scope="row">{{ quantityLabel(r.quantity) }}</th>
        <td class="fig value">
          <b>{{ shown(r).value }}</b> {{ shown(r).unit
          }}<span v-if="shown(r).plusMinus" class="quiet bound"> {{ shown(r).plusMinus }}</span
          ><span v-if="shown(r).plusMinus && r.limitedBy" class="quiet limit">{{
            limitWords(r.limitedBy)
          }}</span>
        </td>
        <td>
          <ForkGauge
            v-if="gauge(r)"
            :values="gauge(r)!"
            :unit="unit(r)"
            compact
            :mark="r.judgement!.verdict"
          />
        </td>
        <td>
          <span v-if="r.judgement" class="verdict"
            ><StateMark :mark="r.judgement.verdict" /> {{ statusWord(r.judgement.verdict) }}</span
          >{{ ' ' }} <span v-if="r.limit" class="quiet">{{ r.limit.rule.words }}</span><span
            v-else
            class="quiet"
            >{{
              r.quantity === 'adjacentDbc' && wattLimit ? wattLimit : t('signals.noLimitInThisRuleSet')
            }}</span
          >
        </td>
        <td v-if="second" class="fig quiet">
          {{ of(second, r) ? `${shown(of(second, r)!).value} ${shown(of(second, r)!).unit}` : '' }}
        </td>
      </tr>
      <tr v-for="l in part === 'others' ? lines : []" :key="l.label">
        <th scope="row">{{ l.label }}</th>
        <td class="fig value">
          <b>{{ l.value }}</b>
        </td>
        <td colspan="2" class="quiet">{{ l.why }}</td>
        <td v-if="second" class="fig quiet">{{ others.get(l.label) ?? '' }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.figures {
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;
}
th {
  text-align: left;
  font-weight: 400;
  white-space: nowrap;
  padding-right: 14px;
}
td,
th {
  border-bottom: 1px solid var(--line);
  padding: 5px 10px 5px 0;
  vertical-align: middle;
}
.judged th {
  font-weight: 650;
}
.value {
  white-space: nowrap;
}
.value b {
  font-size: 16px;
}
.bound {
  font-size: 12.5px;
  margin-left: 8px;
}
.limit {
  display: block;
  font: 400 12.5px var(--v-font-body, inherit);
  white-space: normal;
}
.verdict {
  font-weight: 650;
  white-space: nowrap;
  margin-right: 8px;
}
</style>

<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { BiasState } from '#core/run'
import type { BiasRule } from '#core/sheet'
import { BIAS_BY_WORDS, biasDeviceWords } from '#shared/words/coachWords'
import CoachLine from './CoachLine.vue'

/** Bias device by device: what each draws, what it burns, whether a pair is alike. */
const props = defineProps<{ rule: BiasRule; state: BiasState }>()
const next = computed(() => props.state.devices.find(d => d.idleA === null && d.gateV === null) ?? null)
const hot = computed(() => props.state.devices.find(d => d.tooHot) ?? null)
const words = computed(() => {
  if (hot.value)
    return {
      say: t('align.reduceBiasNow'),
      how: t('align.dissipatesWLimitW', {
        name: hot.value.name,
        burnsW: groupDigits(hot.value.burnsW!, 1),
        mostW: props.rule.mostW,
      }),
    }
  if (props.rule.by === 'rise' && props.state.zeroA === null)
    return {
      say: t('align.readTheCurrentAtZeroBias'),
      how: t('align.setTheBiasValueTo0'),
    }
  if (next.value)
    return {
      say: t('align.nextPart', { name: next.value.name }),
      how: t('align.byFromItsLowestEndOne', { biasby: t(BIAS_BY_WORDS[props.rule.by]) }),
    }
  if (props.state.alike === false)
    return {
      say: t('align.reduceTheHigherOne'),
      how: t('align.apartLimit10', { ratio: groupDigits((props.state.ratio! - 1) * 100, 0) }),
    }
  return {
    say: props.state.alike ? t('align.matched') : t('align.read'),
    how: t('align.by', { biasby: t(BIAS_BY_WORDS[props.rule.by]) }),
  }
})
</script>

<template>
  <section :aria-label="t('align.bias')">
    <CoachLine :say="words.say" :how="words.how" :tone="hot || state.alike === false ? 'stop' : 'plain'" />
    <ul class="devices">
      <li v-if="rule.by === 'rise'">
        {{ t('align.withoutBias') }}
        <b class="fig">{{
          state.zeroA === null ? t('common.notMeasured') : `${Math.round(state.zeroA * 1000)} mA`
        }}</b>
      </li>
      <li v-for="d in state.devices" :key="d.name">
        {{ d.name }} <b class="fig">{{ biasDeviceWords(d) }}</b>
      </li>
    </ul>
    <p v-if="rule.tickA !== null" class="quiet">
      {{ t('align.oneDivisionOfThePanelMeter', { tickA: Math.round(rule.tickA * 1000) }) }}
    </p>
  </section>
</template>

<style scoped>
.devices {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
  list-style: none;
  padding: 0;
  margin: 4px 0;
  font-size: 16px;
}
p {
  margin: 2px 0;
  font-size: 13px;
}
</style>

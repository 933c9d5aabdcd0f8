<script setup lang="ts">
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
      say: 'Reduce bias now',
      how: `${hot.value.name} dissipates ${hot.value.burnsW!.toFixed(1)} W, limit ${props.rule.mostW} W.`,
    }
  if (props.rule.by === 'rise' && props.state.zeroA === null)
    return {
      say: 'Read the current at zero bias',
      how:
        'Set the bias value to 0, key without drive, take ' + 'the reading. The rise is counted from there.',
    }
  if (next.value)
    return {
      say: `Next: ${next.value.name}`,
      how: `by ${BIAS_BY_WORDS[props.rule.by]}, from its lowest end. One device at a time.`,
    }
  if (props.state.alike === false)
    return {
      say: 'Reduce the higher one',
      how: `${((props.state.ratio! - 1) * 100).toFixed(0)} % apart, limit 10 %.`,
    }
  return { say: props.state.alike ? 'Matched' : 'Read', how: `by ${BIAS_BY_WORDS[props.rule.by]}` }
})
</script>

<template>
  <section aria-label="Bias">
    <CoachLine :say="words.say" :how="words.how" :tone="hot || state.alike === false ? 'stop' : 'plain'" />
    <ul class="devices">
      <li v-if="rule.by === 'rise'">
        without bias
        <b class="fig">{{
          state.zeroA === null ? 'not measured' : `${Math.round(state.zeroA * 1000)} mA`
        }}</b>
      </li>
      <li v-for="d in state.devices" :key="d.name">
        {{ d.name }} <b class="fig">{{ biasDeviceWords(d) }}</b>
      </li>
    </ul>
    <p v-if="rule.tickA !== null" class="quiet">
      one division of the panel meter is {{ Math.round(rule.tickA * 1000) }} mA: type "3 t" for three
      divisions
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

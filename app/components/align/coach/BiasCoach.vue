<script setup lang="ts">
import { computed } from 'vue'
import type { BiasState } from '../../../../core/run'
import type { BiasRule } from '../../../../core/sheet'
import { BIAS_BY_WORDS, biasDeviceWords } from '../../../../shared/words/coachWords'
import CoachLine from './CoachLine.vue'

/** Bias device by device: what each draws, what it burns, whether a pair is alike. */
const props = defineProps<{ rule: BiasRule; state: BiasState }>()
const next = computed(() => props.state.devices.find(d => d.idleA === null && d.gateV === null) ?? null)
const hot = computed(() => props.state.devices.find(d => d.tooHot) ?? null)
const words = computed(() => {
  if (hot.value)
    return {
      say: `${hot.value.name} burns too much`,
      how: `${hot.value.burnsW!.toFixed(1)} W at idle, ${props.rule.mostW} W is what it may: bias down at once`,
    }
  if (props.rule.by === 'rise' && props.state.zeroA === null)
    return {
      say: 'First the current at zero bias',
      how: 'bias number at 0, key without drive, take it: the rise is counted from there',
    }
  if (next.value)
    return {
      say: `Now ${next.value.name}`,
      how: `by ${BIAS_BY_WORDS[props.rule.by]}, from its lowest end; one device at a time`,
    }
  if (props.state.alike === false)
    return {
      say: 'Not alike',
      how:
        'the devices stand ' +
        `${((props.state.ratio! - 1) * 100).toFixed(0)} % apart, 10 % is ` +
        'allowed: set the higher one down',
    }
  return { say: props.state.alike ? 'Alike' : 'Read', how: `by ${BIAS_BY_WORDS[props.rule.by]}` }
})
</script>

<template>
  <section aria-label="Bias">
    <CoachLine :say="words.say" :how="words.how" :tone="hot || state.alike === false ? 'stop' : 'plain'" />
    <ul class="devices">
      <li v-if="rule.by === 'rise'">
        without bias
        <b class="fig">{{
          state.zeroA === null ? 'not read yet' : `${Math.round(state.zeroA * 1000)} mA`
        }}</b>
      </li>
      <li v-for="d in state.devices" :key="d.name">
        {{ d.name }} <b class="fig">{{ biasDeviceWords(d) }}</b>
      </li>
    </ul>
    <p v-if="rule.tickA !== null" class="quiet">
      one tick of the panel meter is {{ Math.round(rule.tickA * 1000) }} mA: type "3 t" for three ticks
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

<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { channelName, channelPlan } from '#core/rules'
import { rigDesign } from '#core/rig'
import type { PracticeChange, PracticeState } from '#shared/practice'

/** Front panel of the simulated set: what the owner can reach, and what he sees. */
const props = defineProps<{ state: PracticeState }>()
const emit = defineEmits<{ change: [change: Partial<PracticeChange>] }>()
const design = computed(() => rigDesign(props.state.session.designId))
const plan = computed(() => channelPlan(design.value.planId))
const channels = computed(() =>
  plan.value.channelsHz.map((_, i) => ({
    channel: i + 1,
    name: channelName(plan.value, i + 1),
  })),
)
/** Low, middle and high one: the three that every line-up is judged by. */
const jumps = computed(() => {
  const all = channels.value
  if (all.length === 40) return [all[0]!, all[design.value.planId === 'uk27' ? 19 : 18]!, all[39]!]
  if (all.length > 40) return ['A 19', 'D 1', 'D 19', 'D 40', 'F 19'].map(n => all.find(c => c.name === n)!)
  return all.length > 1 ? all : []
})
const sideband = computed(() => design.value.modes.includes('USB') && !design.value.parts.valves)
const valve = computed(() => design.value.parts.valves !== null)
const minutes = computed(() => Math.floor(props.state.onTimeS / 60))
</script>

<template>
  <section :aria-label="t('practice.frontPanel')">
    <div class="line">
      <v-btn
        class="ptt"
        :class="{ keyed: state.keyed }"
        :aria-pressed="state.keyed"
        size="large"
        @click="emit('change', { keyed: !state.keyed })"
        >{{ state.keyed ? t('practice.keyed') : t('practice.key') }} <kbd>K</kbd></v-btn
      >
      <label v-if="channels.length > 1" class="pick"
        >{{ t('common.channel') }}
        <select
          :value="state.channel"
          :aria-label="t('practice.channel')"
          @change="emit('change', { channel: Number(($event.target as HTMLSelectElement).value) })"
        >
          <option v-for="c in channels" :key="c.channel" :value="c.channel">{{ c.name }}</option>
        </select></label
      >
      <v-btn
        v-for="c in jumps"
        :key="c.channel"
        class="jump"
        :aria-label="t('practice.channelNamed', { name: c.name })"
        @click="emit('change', { channel: c.channel })"
        >{{ c.name }}</v-btn
      >
    </div>
    <div class="line">
      <span v-if="design.modes.length > 1" class="seg" role="group" :aria-label="t('common.mode')"
        ><button
          v-for="m in design.modes"
          :key="m"
          type="button"
          :aria-pressed="m === state.mode"
          @click="emit('change', { mode: m })"
        >
          {{ m }}
        </button></span
      >
      <v-btn
        v-if="design.hasLowPower"
        :aria-pressed="state.lowPower"
        @click="emit('change', { lowPower: !state.lowPower })"
        >{{ t('practice.power', { what: state.lowPower ? t('practice.low') : t('practice.high') }) }}</v-btn
      >
      <v-btn
        v-if="design.id === 'corvid-m6'"
        @click="emit('change', { coverage: state.coverage === 'standard' ? 'expanded' : 'standard' })"
        >{{ t('practice.state', { coverage: state.coverage }) }}</v-btn
      >
      <v-btn
        v-if="design.parts.gateBias || valve || state.mode === 'USB' || state.mode === 'LSB'"
        :aria-pressed="state.driveOff"
        @click="emit('change', { driveOff: !state.driveOff })"
        >{{ t('practice.drive', { what: state.driveOff ? t('practice.off') : t('practice.on') }) }}</v-btn
      >
      <v-btn @click="emit('change', { powerOn: !state.powerOn })">{{
        state.powerOn ? t('practice.switchOff') : t('practice.switchOn')
      }}</v-btn>
      <v-btn @click="emit('change', { warmByS: 1200 })">{{ t('practice.advance20Min') }}</v-btn>
    </div>
    <p class="shows">
      <span v-if="design.parts.loop"
        >{{ t('practice.lockLamp') }} <b>{{ state.locked ? t('practice.lit') : t('practice.dark') }}</b>{{
          t('practice.lastLock')
        }}
        <b class="fig">{{ groupDigits(state.lockS, 2) }}&#8239;s</b></span
      >{{ ' ' }}
      <span v-if="state.panelPowerW !== null"
        >{{ t('practice.panelMeter') }}
        <b class="fig">{{ groupDigits(state.panelPowerW, 1) }}&#8239;W</b></span
      >{{ ' ' }}
      <span v-if="state.sMeter !== null"
        >{{ t('practice.sMeter') }} <b class="fig">S{{ groupDigits(state.sMeter, 1) }}</b></span
      >{{ ' ' }}
      <span
        >{{ t('practice.onFor') }} <b class="fig">{{ minutes }}&#8239;min</b></span
      >{{ ' ' }}
      <span v-if="sideband && state.clarifierNull > -0.5 && state.clarifierNull < 1.5"
        >{{ t('practice.clarifierNullAt') }}
        <b class="fig">{{
          t('practice.oclock', { value: groupDigits(12 + (state.clarifierNull - 0.5) * 10, 1) })
        }}</b></span
      >
    </p>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin-bottom: 8px;
  align-items: center;
}
.ptt {
  min-width: 112px;
}
.ptt.keyed {
  background: var(--out);
  color: var(--paper);
}
.pick select {
  min-width: 62px;
}
.jump {
  min-width: 46px;
  padding: 0 10px;
}
.seg {
  display: inline-flex;
  border: 1px solid var(--edge);
  border-radius: 6px;
  overflow: hidden;
}
.seg button {
  min-height: 44px;
  min-width: 52px;
  padding: 0 10px;
  color: inherit;
}
.seg button + button {
  border-left: 1px solid var(--edge);
}
.seg button[aria-pressed='true'] {
  background: var(--accent);
  color: var(--paper);
  font-weight: 600;
}
.shows {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  font-size: 13.5px;
  margin: 4px 0 12px;
}
</style>

<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t, translated } from '#shared/i18n'
import { computed, ref } from 'vue'
import type { PracticeChange, PracticeState } from '#shared/practice'
import { pointWords } from '../logic/practiceHands'

/** Generators, supply and probe around the simulated set. */
const props = defineProps<{ state: PracticeState }>()
const emit = defineEmits<{ change: [change: Partial<PracticeChange>] }>()
const point = ref('')
const BEHIND = 'RF behind '
/** What lies behind a coil is named by the coil. */
const pointName = (name: string) =>
  name.startsWith(BEHIND) ? t('practice.rfBehind', { coil: name.slice(BEHIND.length) }) : translated(name)
const found = computed(() => props.state.testPoints.find(p => p.name === point.value) ?? null)
const LEVELS_UV = [0, 0.3, 1, 10, 50, 100]
const TONE_MV = [3, 15, 30, 40, 95, 190]
const number = (event: Event) => Number((event.target as HTMLInputElement).value)
</script>

<template>
  <section :aria-label="t('practice.connections')">
    <h3>{{ t('practice.toneAndGenerator') }}</h3>
    <div class="line">
      <v-btn :aria-pressed="state.toneOn" @click="emit('change', { toneOn: !state.toneOn })">{{
        t('practice.tone', { what: state.toneOn ? t('practice.on') : t('practice.off') })
      }}</v-btn>
      <v-btn :aria-pressed="state.twoTones" @click="emit('change', { twoTones: !state.twoTones })">{{
        state.twoTones ? t('practice.twoTones') : t('practice.oneTone')
      }}</v-btn>
      <label class="pick"
        >{{ t('practice.at') }}
        <select
          :value="Math.round(state.toneLevelV * 1000)"
          :aria-label="t('practice.toneLevel')"
          @change="emit('change', { toneLevelV: number($event) / 1000 })"
        >
          <option
            v-for="mv in [...new Set([...TONE_MV, Math.round(state.toneLevelV * 1000)])].sort(
              (a, b) => a - b,
            )"
            :key="mv"
            :value="mv"
          >
            {{ mv }} mV
          </option>
        </select></label
      >
      <label class="pick"
        ><select
          :value="state.toneHz"
          :aria-label="t('practice.toneFrequency')"
          @change="emit('change', { toneHz: number($event) })"
        >
          <option
            v-for="hz in [...new Set([300, 1000, 2500, state.toneHz])].sort((a, b) => a - b)"
            :key="hz"
            :value="hz"
          >
            {{ hz }} Hz
          </option>
        </select></label
      >
    </div>
    <div class="line">
      <v-btn :aria-pressed="state.whistle" @click="emit('change', { whistle: !state.whistle })">{{
        state.whistle ? t('practice.throughTheMicrophone') : t('practice.atTheSocket')
      }}</v-btn>
      <v-btn
        v-if="state.whistle"
        :aria-pressed="state.otherMicrophone"
        @click="emit('change', { otherMicrophone: !state.otherMicrophone })"
        >{{
          state.otherMicrophone ? t('practice.knownGoodMicrophone') : t('practice.itsOwnMicrophone')
        }}</v-btn
      >
      <label class="pick"
        >{{ t('practice.generator') }}
        <select
          :value="Math.round(state.inputV * 1e7) / 10"
          :aria-label="t('practice.generatorLevel')"
          @change="emit('change', { inputV: number($event) / 1e6 })"
        >
          <option
            v-for="uv in [...new Set([...LEVELS_UV, Math.round(state.inputV * 1e7) / 10])].sort(
              (a, b) => a - b,
            )"
            :key="uv"
            :value="uv"
          >
            {{ uv === 0 ? t('practice.off') : `${uv} µV` }}
          </option>
        </select></label
      >
      <label class="pick"
        >{{ t('practice.supply') }}
        <select
          :value="state.supplyV"
          :aria-label="t('practice.supplyVoltage')"
          @change="emit('change', { supplyV: number($event) })"
        >
          <option
            v-for="v in [...new Set([12, 12.6, 13.2, 13.8, 14, 14.4, state.supplyV])].sort((a, b) => a - b)"
            :key="v"
            :value="v"
          >
            {{ v }} V
          </option>
        </select></label
      >
    </div>
    <p class="shows">
      <span v-if="!state.keyed"
        >{{ t('practice.n12DbSinadAt') }}
        <b class="fig">{{ groupDigits(state.sensitivityV * 1e6, 2) }}&#8239;µV</b
        >{{ t('practice.audibleFrom') }}
        <b class="fig">{{ groupDigits(state.audibleV * 1e6, 2) }}&#8239;µV</b></span
      >{{ ' ' }}
      <span v-if="state.sinadDb !== null"
        >{{ t('practice.sinadNow') }} <b class="fig">{{ groupDigits(state.sinadDb, 1) }}&#8239;dB</b></span
      >
    </p>
    <h3>{{ t('practice.probe') }}</h3>
    <div class="line">
      <label class="pick"
        ><select v-model="point" :aria-label="t('practice.probeAt')">
          <option value="">{{ t('practice.where') }}</option>
          <option v-for="p in state.testPoints" :key="p.name" :value="p.name">{{ pointName(p.name) }}</option>
        </select></label
      ><b v-if="found" class="fig">{{ pointWords(found) }}</b>
    </div>
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
.pick select {
  max-width: 100%;
}
.shows {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  font-size: 13.5px;
  margin: 4px 0 8px;
}
h3 {
  font-size: 13px;
  color: var(--ink2);
  margin: 10px 0 6px;
  font-weight: 600;
}
</style>

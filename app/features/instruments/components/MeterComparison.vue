<script setup lang="ts">
import { errorWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import { compareMeters, instrumentProfile, type MeterReading, type Signal } from '#core/instrument'
import { parseTyped, type Quantity, numberForField } from '#core/quantity'
import { CoreError } from '#core/errors'
import { SIGNAL_WORDS, comparisonWords, meterVerdictWords } from '#shared/words/meterWords'
import type { LiveOf } from '~/features/align/logic/takeRow'
import { typedReading, type TypedInstrument } from '~/features/align/logic/typedInstrument'

/** Several meters on one signal: whose reading is right, and by how much the others are off. */
const props = defineProps<{ meters: readonly TypedInstrument[]; liveOf: LiveOf }>()
const texts = ref<Record<string, string>>({})
const signalKind = ref<Signal['kind']>('carrier')
const depth = ref('100')
const POWER: Quantity = 'powerW'

const signal = computed<Signal>(() =>
  signalKind.value === 'am-tone'
    ? { kind: 'am-tone', depthRatio: Number(depth.value) / 100 }
    : { kind: signalKind.value },
)
const read = (text: string): { value: number | null; problem: string | null } => {
  if (text.trim() === '') return { value: null, problem: null }
  try {
    return { value: parseTyped(text, POWER).value, problem: null }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return { value: null, problem: errorWords(error) }
  }
}
const rows = computed(() => props.meters.map(m => ({ meter: m, ...read(texts.value[m.name] ?? '') })))
const readings = computed(() =>
  rows.value.flatMap(({ meter, value }): MeterReading[] => {
    if (value === null || value <= 0) return []
    const { value: atSetW, standardUncertainty } = typedReading(value, POWER, meter)
    return [
      {
        name: meter.name,
        kind: meter.setup.meterKind ?? instrumentProfile(meter.profileId).meterKind ?? 'unknown',
        shownW: atSetW,
        standardUncertaintyW: standardUncertainty,
        path: meter.setup.path,
      },
    ]
  }),
)
const comparison = computed(() =>
  readings.value.length > 0 ? compareMeters(readings.value, signal.value) : null,
)
const verdictOf = (name: string) => comparison.value?.meters.find(m => m.meter.name === name) ?? null
function fillLive() {
  const live = props.liveOf(POWER)
  if (live?.value != null) texts.value = { ...texts.value, [live.instrument]: numberForField(live.value, 6) }
}
</script>

<template>
  <section class="compare labelled" :aria-label="t('instruments.compareMeters')">
    <h2>{{ t('instruments.compareMeters') }}</h2>
    <p class="quiet">
      {{ t('instruments.applyTheSameSignalToThem') }}
    </p>
    <p v-if="meters.length < 2" class="quiet">{{ t('instruments.needsTwoAddTheOtherPower') }}</p>
    <template v-else>
      <div class="fields">
        <label
          >{{ t('instruments.signal')
          }}<select v-model="signalKind">
            <option v-for="(words, k) in SIGNAL_WORDS" :key="k" :value="k">{{ t(words) }}</option>
          </select></label
        >
        <label v-if="signalKind === 'am-tone'"
          >{{ t('instruments.depth') }}<input v-model="depth" class="fig" inputmode="decimal"
        /></label>
        <v-btn @click="fillLive">{{ t('instruments.useLiveReadings') }}</v-btn>
      </div>
      <table class="plain">
        <thead>
          <tr>
            <th>{{ t('common.meter') }}</th>
            <th>{{ t('instruments.readingW') }}</th>
            <th>{{ t('instruments.againstTheOthers') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.meter.name">
            <td>
              <b>{{ r.meter.name }}</b><br /><span class="quiet">{{ r.meter.words }}</span>
            </td>
            <td>
              <input
                v-model="texts[r.meter.name]"
                class="fig"
                inputmode="decimal"
                :aria-label="t('instruments.readingOf', { name: r.meter.name })"
                :aria-invalid="r.problem !== null"
              /><br /><span v-if="r.problem" class="wrong" role="alert">{{ r.problem }}</span>
            </td>
            <td>{{ verdictOf(r.meter.name) ? meterVerdictWords(verdictOf(r.meter.name)!) : '' }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="comparison" class="sum" role="status">{{ comparisonWords(comparison) }}</p>
    </template>
  </section>
</template>

<style scoped>
.compare {
  margin-top: 26px;
  border-top: 1px solid var(--line2);
  padding-top: 12px;
}
h2 {
  margin: 0;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  margin: 8px 0;
}
.sum {
  font-weight: 600;
  margin-top: 10px;
}
.wrong {
  color: var(--out);
  font-size: 13px;
}
</style>

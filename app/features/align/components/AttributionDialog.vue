<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import { ageingOffset, attribute, schemeRow, schemeUnknowns, type SchemeReading } from '#core/run'
import { channelName, planOf } from '#core/rules'
import type { ModelSheet } from '#core/sheet'
import { groupDigits, typedNumberOrNull } from '#core/quantity'

/**
 * Which oscillator is off, from the readings of the run and what is typed here; what cannot be told apart is
 * said.
 */
const props = defineProps<{ sheet: ModelSheet; readings: readonly SchemeReading[] }>()
const emit = defineEmits<{ close: [] }>()
const scheme = computed(() => props.sheet.scheme!)
const byHand = computed(() => scheme.value.frequencies.filter(f => f.quantity === null))
const typed = ref<Record<string, string>>({})
const TYPED_HZ = 5
const all = computed<SchemeReading[]>(() => [
  ...props.readings,
  ...byHand.value.flatMap(f => {
    const errorHz = typedNumberOrNull(typed.value[f.id] ?? '')
    const channel = f.terms.some(t => t.stepFactor !== 0)
      ? Math.round((props.sheet.main.fromChannel + props.sheet.main.toChannel) / 2)
      : null
    return errorHz !== null ? [{ frequencyId: f.id, channel, errorHz, standardUncertaintyHz: TYPED_HZ }] : []
  }),
])
const found = computed(() =>
  attribute(
    schemeUnknowns(scheme.value),
    all.value.map(r => schemeRow(scheme.value, planOf(props.sheet), r)),
  ),
)
const nameOf = (id: string) => scheme.value.oscillators.find(o => o.id === id)!.name
const signed = (v: number, digits: number) => groupDigits(v, digits, true)
function wordsOf({ verdict, confusedWith }: (typeof found.value)[number]): string {
  if (verdict === 'off') return t('align.isOff')
  if (verdict === 'right') return t('align.noErrorDetected')
  return confusedWith.length > 0
    ? t('align.cannotTellItFrom', { list: confusedWith.map(nameOf).join(', ') })
    : t('align.theseReadingsSayLittleAboutIt')
}
const rows = computed(() =>
  found.value.map(a => {
    const o = scheme.value.oscillators.find(x => x.id === a.name)!
    return {
      ...a,
      o,
      words: wordsOf(a),
      hz: (a.value * o.nominalHz) / 1e6,
      boundHz: (2 * a.sigma * o.nominalHz) / 1e6,
    }
  }),
)
function labelOf({ frequencyId, channel }: SchemeReading): string {
  const { name } = scheme.value.frequencies.find(f => f.id === frequencyId)!
  return channel === null
    ? name
    : t('align.channel', { name, channel: channelName(planOf(props.sheet), channel) })
}
const drift = ref('')
const ageing = computed(() => {
  const perYear = typedNumberOrNull(drift.value)
  const target = props.sheet.procedure
    .flatMap(s => s.points.flatMap(p => p.wants.map(w => w.target)))
    .find(t => t?.kind === 'channel-error')
  if (perYear === null || target?.kind !== 'channel-error') return null
  try {
    return ageingOffset(perYear, target.lowHz, target.highHz, 2)
  } catch {
    return null
  }
})
</script>

<template>
  <v-dialog :model-value="true" max-width="900" scrollable @update:model-value="v => v || emit('close')">
    <v-card :title="t('align.whichOscillatorIsOffFrequency')">
      <v-card-text>
        <p v-if="all.length === 0" class="lead">
          {{ t('align.noReadingOfAFrequencyYet') }}
        </p>
        <ul v-else class="read">
          <li v-for="r in all" :key="r.frequencyId + r.channel">
            {{ labelOf(r) }} <b class="fig">{{ signed(r.errorHz, 0) }} Hz</b>
          </li>
        </ul>
        <div v-if="byHand.length > 0" class="hand">
          <label v-for="f in byHand" :key="f.id"
            >{{ t('align.error', { name: f.name }) }}
            <input v-model="typed[f.id]" class="fig" inputmode="decimal" :placeholder="t('align.notRead')" />
            Hz</label
          >
        </div>
        <div class="scroll" tabindex="0">
          <table class="plain">
            <thead>
              <tr>
                <th>{{ t('common.oscillator') }}</th>
                <th>{{ t('align.errorTitle') }}</th>
                <th>{{ t('align.expandedK2') }}</th>
                <th>{{ t('align.result') }}</th>
                <th>{{ t('align.adjustedBy') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="r in rows" :key="r.name" :class="r.verdict">
                <td>
                  <b>{{ r.o.name }}</b>
                </td>
                <td class="fig">
                  {{
                    r.verdict === 'unknown' ? '\u2013' : `${signed(r.value, 1)} ppm, ${signed(r.hz, 0)} Hz`
                  }}
                </td>
                <td class="fig">{{ t('align.ppm', { value: groupDigits(2 * r.sigma, 1) }) }}</td>
                <td>{{ r.words }}</td>
                <td class="fig">{{ r.o.adjuster ?? t('align.nothing') }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="quiet">
          {{ t('align.leastSquaresOverAllReadingsEach') }}
        </p>
        <p class="age">
          <label
            >{{ t('align.ageingOfThisSet') }}
            <input v-model="drift" class="fig" inputmode="decimal" placeholder="&minus;5" />
            {{ t('align.hzPerYear') }}</label
          ><span v-if="ageing"
            >{{ t('align.setIt') }} <b class="fig">{{ signed(ageing.offsetHz, 0) }} Hz</b>
            {{
              t('align.offItThenStaysWithinTolerance', {
                what:
                  ageing.insideForYears === null
                    ? t('align.forMoreThanTwentyYears')
                    : t('align.forAboutYears', { insideForYears: groupDigits(ageing.insideForYears, 1) }),
              })
            }}</span
          >
        </p>
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn height="44" @click="emit('close')"
          >{{ t('common.close') }} <kbd>{{ t('common.esc') }}</kbd></v-btn
        ></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.read {
  columns: 2;
  padding-left: 18px;
}
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  margin: 8px 0;
}
input {
  width: 96px;
  margin-left: 6px;
}
tr.off td {
  font-weight: 650;
}
tr.off td:first-child {
  box-shadow: inset 3px 0 0 var(--out);
}
.scroll {
  overflow-x: auto;
}
@media (max-width: 700px) {
  .read {
    columns: 1;
  }
}
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { ageingOffset, attribute, schemeRow, schemeUnknowns, type SchemeReading } from '#core/run'
import { channelName } from '#core/rules'
import type { ModelSheet } from '#core/sheet'
import { groupDigits } from '#core/quantity'

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
    const errorHz = Number.parseFloat((typed.value[f.id] ?? '').replace(',', '.').replace('\u2212', '-'))
    const channel = f.terms.some(t => t.stepFactor !== 0)
      ? Math.round((props.sheet.main.fromChannel + props.sheet.main.toChannel) / 2)
      : null
    return Number.isFinite(errorHz)
      ? [{ frequencyId: f.id, channel, errorHz, standardUncertaintyHz: TYPED_HZ }]
      : []
  }),
])
const found = computed(() =>
  attribute(
    schemeUnknowns(scheme.value),
    all.value.map(r => schemeRow(scheme.value, props.sheet.planId, r)),
  ),
)
const nameOf = (id: string) => scheme.value.oscillators.find(o => o.id === id)!.name
const signed = (v: number, digits: number) => groupDigits(v, digits, true)
const rows = computed(() =>
  found.value.map(a => {
    const o = scheme.value.oscillators.find(x => x.id === a.name)!
    const words =
      a.verdict === 'off'
        ? 'off'
        : a.verdict === 'right'
          ? 'no error detected'
          : a.confusedWith.length > 0
            ? `cannot tell it from ${a.confusedWith.map(nameOf).join(', ')}`
            : 'these readings say little about it'
    return { ...a, o, words, hz: (a.value * o.nominalHz) / 1e6, boundHz: (2 * a.sigma * o.nominalHz) / 1e6 }
  }),
)
function labelOf({ frequencyId, channel }: SchemeReading): string {
  const { name } = scheme.value.frequencies.find(f => f.id === frequencyId)!
  return channel === null ? name : `${name}, channel ${channelName(props.sheet.planId, channel)}`
}
const drift = ref('')
const ageing = computed(() => {
  const perYear = Number.parseFloat(drift.value.replace(',', '.').replace('\u2212', '-'))
  const target = props.sheet.procedure
    .flatMap(s => s.points.flatMap(p => p.wants.map(w => w.target)))
    .find(t => t?.kind === 'channel-error')
  if (!Number.isFinite(perYear) || target?.kind !== 'channel-error') return null
  try {
    return ageingOffset(perYear, target.lowHz, target.highHz, 2)
  } catch {
    return null
  }
})
</script>

<template>
  <v-dialog :model-value="true" max-width="900" scrollable @update:model-value="v => v || emit('close')">
    <v-card title="Which oscillator is off frequency">
      <v-card-text>
        <p v-if="all.length === 0" class="lead">
          No reading of a frequency yet that the mixing scheme can use. Read the reference pin and two
          channels far apart.
        </p>
        <ul v-else class="read">
          <li v-for="r in all" :key="r.frequencyId + r.channel">
            {{ labelOf(r) }} <b class="fig">{{ signed(r.errorHz, 0) }} Hz</b>
          </li>
        </ul>
        <div v-if="byHand.length > 0" class="hand">
          <label v-for="f in byHand" :key="f.id"
            >{{ f.name }}, error
            <input v-model="typed[f.id]" class="fig" inputmode="decimal" placeholder="not read" /> Hz</label
          >
        </div>
        <div class="scroll" tabindex="0">
          <table class="plain">
            <thead>
              <tr>
                <th>Oscillator</th>
                <th>Error</th>
                <th>Expanded (k = 2)</th>
                <th>Result</th>
                <th>Adjusted by</th>
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
                <td class="fig">&plusmn;{{ groupDigits(2 * r.sigma, 1) }} ppm</td>
                <td>{{ r.words }}</td>
                <td class="fig">{{ r.o.adjuster ?? 'nothing' }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="quiet">
          Least squares over all readings, each with its uncertainty. Before any reading, an oscillator may be
          off as far as the sheet states. Oscillators that the readings cannot separate are not named.
        </p>
        <p class="age">
          <label
            >Ageing of this set
            <input v-model="drift" class="fig" inputmode="decimal" placeholder="&minus;5" /> Hz per
            year</label
          ><span v-if="ageing"
            >: set it <b class="fig">{{ signed(ageing.offsetHz, 0) }} Hz</b> off. It then stays within
            tolerance
            {{
              ageing.insideForYears === null
                ? 'for more than twenty years'
                : `for about ${ageing.insideForYears.toFixed(1)} years`
            }}</span
          >
        </p>
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn height="44" @click="emit('close')">Close <kbd>Esc</kbd></v-btn></v-card-actions
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
  height: 44px;
  font-size: 16px;
  padding: 0 8px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--sheet);
  color: var(--ink);
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

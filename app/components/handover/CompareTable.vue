<script setup lang="ts">
import { QUANTITIES, standardToBound, justifiedDecimals } from '../../../core/quantity'
import type { CellState, ComparedCell } from '../../../core/run'
import { differenceWords } from '../../logic/runWords'
import { showAsked, statusWord, windowWords } from '../../logic/verdictWords'
import ForkGauge from '../gauge/ForkGauge.vue'
import StateMark from '../gauge/StateMark.vue'

defineProps<{ cells: readonly ComparedCell[], stale: ReadonlySet<string> }>()

const judged = (c: ComparedCell) => c.before.asked.window !== null || c.before.asked.limit !== null
const shown = (cell: CellState) => cell.latest ? showAsked(cell.latest.reading, cell.want.quantity, cell.asked.nominalHz) : null
function gauge(c: ComparedCell) {
  const { asked } = c.after
  const factor = asked.nominalHz === null ? QUANTITIES[c.want.quantity].perSi : 1
  const scale = (v: number | null | undefined) => v == null ? null : (v - (asked.nominalHz ?? 0)) * factor
  const u = c.after.latest?.reading.standardUncertainty
  const high = [asked.window?.high, asked.limit?.high].filter(v => v != null).sort((a, b) => a! - b!)[0]
  return { low: scale(asked.window?.low), high: scale(high), aim: scale(asked.window?.aim), asFound: scale(c.before.latest?.reading.value), now: scale(c.after.latest?.reading.value), bound: u == null ? null : standardToBound(u) * factor, signed: asked.nominalHz !== null }
}
const decimals = (c: ComparedCell) => c.after.latest?.reading.standardUncertainty ? Math.min(3, justifiedDecimals(c.after.latest.reading.standardUncertainty * QUANTITIES[c.want.quantity].perSi)) : 2
const name = (c: ComparedCell) => c.before.asked.nominalHz === null ? QUANTITIES[c.want.quantity].label : 'Frequency error'
</script>

<template>
  <table class="plain compare">
    <thead><tr><th>Row</th><th>Quantity</th><th>As found</th><th>As left</th><th>Before to after</th><th>Window</th></tr></thead>
    <tbody>
      <tr v-for="c in cells" :key="`${c.point.id}-${c.want.quantity}`">
        <td>{{ c.point.title }}</td><td>{{ name(c) }}</td>
        <td v-for="side in (['before', 'after'] as const)" :key="side" class="num">
          <template v-if="shown(c[side])">
            <span class="v" :class="{ plain: !judged(c) }"><StateMark v-if="judged(c)" :mark="side === 'after' && stale.has(c.point.id) ? 'stale' : c[side].judgement!.verdict" /> <b class="fig">{{ shown(c[side])!.value }}&#8239;{{ shown(c[side])!.unit }}</b> <span class="quiet fig">{{ shown(c[side])!.plusMinus ?? '' }}</span></span>
            <span v-if="judged(c)" class="quiet word">{{ side === 'after' && stale.has(c.point.id) ? 'stale' : statusWord(c[side].judgement!.verdict) }}</span>
          </template>
          <span v-else class="quiet">not measured</span>
        </td>
        <td><ForkGauge v-if="judged(c) && (c.before.latest || c.after.latest)" compact :values="gauge(c)" :unit="QUANTITIES[c.want.quantity].shownUnit" :decimals="decimals(c)" :mark="c.after.judgement?.verdict ?? null" />
          <span v-if="c.differences && c.differences.length > 0" class="quiet differ">not comparable: {{ c.differences.map(differenceWords).join(', ') }}</span></td>
        <td class="quiet fig">{{ c.before.asked.window ? windowWords(c.before.asked.window.low, c.before.asked.window.high, c.want.quantity, c.before.asked.nominalHz) : '' }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.compare td { padding-top: 6px; padding-bottom: 6px; vertical-align: middle; }
.v { display: flex; align-items: center; gap: 7px; white-space: nowrap; }
.num .quiet { font-size: 12px; }
.num .word { display: block; padding-left: 21px; line-height: 1.1; }
.v.plain { padding-left: 21px; }
.v b { font-weight: 600; }
.differ { font-size: 12.5px; display: block; }
td.quiet { font-size: 12.5px; }
</style>

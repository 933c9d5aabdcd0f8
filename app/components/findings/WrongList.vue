<script setup lang="ts">
import { computed } from 'vue'
import { quantityInfo } from '../../../core/quantity'
import type { RowState } from '../../../core/run'
import { reasonWords, showAsked } from '../../../shared/words/verdictWords'
import StateMark from '../gauge/StateMark.vue'

/** Readings that are not inside, each with why; the readings that contradict; how many are in order. */
const props = defineProps<{ rows: readonly RowState[], doubts: readonly { title: string, words: string }[] }>()
const judged = computed(() => props.rows.flatMap(row => row.cells.flatMap(cell => cell.latest && (cell.asked.window || cell.asked.limit) ? [{ row, cell, reading: cell.latest.reading, verdict: cell.judgement!.verdict }] : [])))
const outside = computed(() => judged.value.filter(j => j.verdict === 'above' || j.verdict === 'below'))
const undecided = computed(() => judged.value.filter(j => j.verdict === 'cannot-tell'))
const shown = (j: typeof judged.value[number]) => showAsked(j.reading, j.cell.want.quantity, j.cell.asked.nominalHz)
/** Row and quantity, said once where the row is named after it. */
function name(j: typeof judged.value[number]): string {
  const quantity = j.cell.asked.nominalHz === null ? quantityInfo(j.cell.want.quantity).label : 'frequency error'
  const title = j.row.point.title
  return title.toLowerCase().includes(quantity.toLowerCase()) ? title : `${title}, ${/^[A-Z][a-z]/.test(quantity) ? quantity[0]!.toLowerCase() + quantity.slice(1) : quantity}`
}
/** The reason that led to the verdict, not the first that was weighed. */
function why(j: typeof judged.value[number]): string {
  const leading = j.cell.judgement!.reasons.findIndex(r => r.verdict === j.verdict)
  return reasonWords(j.cell.judgement!, j.cell.want.quantity, j.cell.asked)[Math.max(0, leading)] ?? ''
}
</script>

<template>
  <section aria-label="Readings">
    <p><b class="fig">{{ outside.length }}</b> outside, <b class="fig">{{ undecided.length }}</b> that this bench cannot decide, <b class="fig">{{ judged.length - outside.length - undecided.length }}</b> in order, of {{ judged.length }} judged readings.</p>
    <ul class="list">
      <li v-for="j in [...outside, ...undecided]" :key="j.reading.id"><StateMark :mark="j.verdict" :size="12" /><span>{{ name(j) }} <b class="fig">{{ shown(j).value }}&#8239;{{ shown(j).unit }}</b> <span class="quiet">{{ why(j) }}</span></span></li>
    </ul>
    <template v-if="doubts.length"><h2>Contradictions</h2><p class="quiet">Settle these first: nothing is turned on a reading that cannot be true.</p><ul class="list"><li v-for="d in doubts" :key="d.words"><span><b>{{ d.title }}</b>: {{ d.words }}</span></li></ul></template>
  </section>
</template>

<style scoped>
.list { list-style: none; padding: 0 !important; margin: 4px 0 0; columns: 2; column-gap: 28px; font-size: 14px; }
.list li { display: flex; gap: 8px; align-items: baseline; padding: 2px 0; break-inside: avoid; } .list :deep(.state-mark) { align-self: center; flex: none; }
@media (max-width: 900px) { .list { columns: 1; } }
</style>

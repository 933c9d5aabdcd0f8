<script setup lang="ts">
import { computed, ref } from 'vue'
import type { PracticeSession } from '#shared/practiceSession'
import {
  actionWords,
  clock,
  momentOf,
  outsideWords,
  poweredWords,
  verdictWords,
} from '../logic/practiceReview'
import ReplayChart from './ReplayChart.vue'

/** Looking back at a finished case. */
const MAX_ROWS = 8
const LEAD_S = 20
const props = defineProps<{ session: PracticeSession; night: boolean }>()
const review = computed(() => props.session.review!)
const trace = computed(() => props.session.trace ?? [])
const log = computed(() => props.session.log ?? [])
/** Warm-up is long and empty: the time line begins shortly before the first key-down or turn. */
const beginS = computed(() =>
  Math.max(
    0,
    Math.min(
      trace.value.find(t => t.keyed)?.atS ?? 0,
      log.value.find(l => l.action.kind === 'turn')?.atS ?? Infinity,
    ) - LEAD_S,
  ),
)
const atS = ref(beginS.value)
const signed = (hz: number) => `${hz < 0 ? '\u2212' : '+'}${Math.abs(hz).toFixed(0)}`
const moment = computed(() => momentOf(trace.value, log.value, atS.value))
</script>

<template>
  <div>
    <p class="verdict">{{ verdictWords(review) }}</p>
    <div class="facts">
      <section>
        <h2>Fault</h2>
        <ul>
          <li v-for="f in review.faults" :key="f.id">
            <b>{{ f.name }}</b><br />{{ f.cured ? 'repaired' : 'not repaired' }},
            {{ f.named ? 'identified' : 'not identified' }}. Symptom: {{ f.shows }}.
          </li>
          <li v-if="review.faults.length === 0">None: a lesson.</li>
          <li v-for="f in review.wronglyNamed" :key="f.id">
            You also named &ldquo;{{ f.name }}&rdquo;. It was not present.
          </li>
        </ul>
        <h2>Out of tolerance</h2>
        <ul>
          <li v-for="o in review.outside.slice(0, MAX_ROWS)" :key="o.rowId + o.quantity">
            {{ o.row }}: {{ outsideWords(o) }}
          </li>
          <li v-if="review.outside.length > MAX_ROWS">and {{ review.outside.length - MAX_ROWS }} more</li>
          <li v-if="review.outside.length === 0">Everything on its sheet is within tolerance.</li>
        </ul>
      </section>
      <section>
        <h2>Working method</h2>
        <ul>
          <li v-if="review.measuredFirst === false">
            An adjuster was moved before anything was measured as found.
          </li>
          <li v-else-if="review.measuredFirst">Measured as found before the first adjustment.</li>
          <li v-for="o in review.order" :key="o.adjuster + o.before">
            {{ o.adjuster }} (step {{ o.step }}) was set before {{ o.before }} (step {{ o.needs }}), on which
            it depends. It needs a recheck.
          </li>
          <li v-if="review.order.length === 0 && review.turns > 0">
            No later adjustment made a reading out of date.
          </li>
          <li>
            Keyed <b class="fig">{{ review.keyDown.totalS.toFixed(0) }}&#8239;s</b> in total, longest
            <b class="fig">{{ review.keyDown.longestS.toFixed(0) }}&#8239;s</b> (limit
            {{ review.keyDown.limitS }}&#8239;s<template v-if="review.keyDown.timesOver"
              >, exceeded {{ review.keyDown.timesOver }}&times;</template
            >).
          </li>
          <li v-for="p in review.powered" :key="`powered ${p.atS}`" class="care">
            {{ poweredWords(p, review.plateV) }}
          </li>
          <li>
            Output device, highest <b class="fig">{{ review.hottestC.toFixed(0) }}&#8239;&deg;C</b>.
          </li>
          <li v-for="d in review.damage" :key="d.what + d.timeS">
            Destroyed after {{ clock(d.timeS) }}: {{ d.what }}, {{ d.why }}.
          </li>
          <li v-if="review.damage.length === 0">Nothing destroyed.</li>
          <li>
            Time on the set <b class="fig">{{ clock(review.workedS) }}</b>, warm-up included;
            {{ review.turns }} adjustments.
          </li>
        </ul>
      </section>
    </div>
    <ReplayChart
      v-if="trace.length > 1"
      :trace="trace"
      :log="log"
      :at-s="atS"
      :begin-s="beginS"
      :night="night"
      @moment="atS = $event"
    />
    <div v-if="trace.length > 1" class="moment">
      <input
        v-model.number="atS"
        type="range"
        :min="beginS"
        :max="trace.at(-1)!.atS"
        step="0.5"
        aria-label="moment"
      />
      <span class="fig">{{ clock(atS) }}</span>
      <span v-if="moment.point"
        >{{ moment.point.keyed ? 'keyed' : 'not keyed' }},
        <b class="fig">{{ moment.point.powerW.toFixed(2) }}&#8239;W</b>,
        <b class="fig">{{ moment.point.junctionC.toFixed(0) }}&#8239;&deg;C</b
        ><template v-if="moment.point.errorHz !== null"
          >, <b class="fig">{{ signed(moment.point.errorHz) }}&#8239;Hz</b> from the channel</template
        ></span
      >
      <span class="last">{{ moment.done.map(l => actionWords(l.action)).join(' \u2192 ') }}</span>
    </div>
  </div>
</template>

<style scoped>
.verdict {
  font-size: 24px;
  font-weight: 600;
  margin: 4px 0 10px;
}
.facts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 36px;
}
h2 {
  font-size: 16px;
  margin: 10px 0 4px;
}
ul {
  margin: 0;
  padding-left: 18px;
  display: grid;
  gap: 5px;
}
.moment {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
}
.moment input {
  flex: 1 1 320px;
  height: 44px;
  accent-color: var(--accent);
}
.last {
  flex-basis: 100%;
  min-height: 22px;
  color: var(--ink2);
}
@media (max-width: 800px) {
  .facts {
    grid-template-columns: 1fr;
  }
}
</style>

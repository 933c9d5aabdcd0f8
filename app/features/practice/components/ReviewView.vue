<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t, translated } from '#shared/i18n'
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
const signed = (hz: number) => groupDigits(hz, 0, true)
const moment = computed(() => momentOf(trace.value, log.value, atS.value))
</script>

<template>
  <div>
    <p class="verdict">{{ verdictWords(review) }}</p>
    <div class="facts">
      <section>
        <h2>{{ t('practice.fault') }}</h2>
        <ul>
          <li v-for="f in review.faults" :key="f.id">
            <b>{{ f.name }}</b><br />{{
              t('practice.symptom', {
                repaired: f.cured ? t('practice.repaired') : t('practice.notRepaired'),
                identified: f.named ? t('practice.identified') : t('practice.notIdentified'),
                shows: f.shows,
              })
            }}
          </li>
          <li v-if="review.faults.length === 0">{{ t('practice.noneALesson') }}</li>
          <li v-for="f in review.wronglyNamed" :key="f.id">
            {{ t('practice.youAlsoNamedItWasNot', { name: f.name }) }}
          </li>
        </ul>
        <h2>{{ t('practice.outOfTolerance') }}</h2>
        <ul>
          <li v-for="o in review.outside.slice(0, MAX_ROWS)" :key="o.rowId + o.quantity">
            {{ o.row }}: {{ outsideWords(o) }}
          </li>
          <li v-if="review.outside.length > MAX_ROWS">
            {{ t('practice.andMore', { count: review.outside.length - MAX_ROWS }) }}
          </li>
          <li v-if="review.outside.length === 0">{{ t('practice.everythingOnItsSheetIsWithin') }}</li>
        </ul>
      </section>
      <section>
        <h2>{{ t('practice.workingMethod') }}</h2>
        <ul>
          <li v-if="review.measuredFirst === false">
            {{ t('practice.anAdjusterWasMovedBeforeAnything') }}
          </li>
          <li v-else-if="review.measuredFirst">{{ t('practice.measuredAsFoundBeforeTheFirst') }}</li>
          <li v-for="o in review.order" :key="o.adjuster + o.before">
            {{
              t('practice.stepWasSetBeforeStepOn', {
                adjuster: o.adjuster,
                step: o.step,
                before: o.before,
                needs: o.needs,
              })
            }}
          </li>
          <li v-if="review.order.length === 0 && review.turns > 0">
            {{ t('practice.noLaterAdjustmentMadeAReading') }}
          </li>
          <li>
            {{ t('practice.keyed') }} <b class="fig">{{ groupDigits(review.keyDown.totalS, 0) }}&#8239;s</b>
            {{ t('practice.inTotalLongest') }}
            <b class="fig">{{ groupDigits(review.keyDown.longestS, 0) }}&#8239;s</b>
            {{ t('practice.limitS', { limitS: review.keyDown.limitS })
            }}<template v-if="review.keyDown.timesOver">{{
              t('practice.exceeded', { timesOver: review.keyDown.timesOver })
            }}</template
            >).
          </li>
          <li v-for="p in review.powered" :key="t('practice.powered', { atS: p.atS })" class="care">
            {{ poweredWords(p, review.plateV) }}
          </li>
          <li>
            {{ t('practice.outputDeviceHighest') }}
            <b class="fig">{{ groupDigits(review.hottestC, 0) }}&#8239;&deg;C</b>.
          </li>
          <li v-for="d in review.damage" :key="d.what + d.timeS">
            {{
              t('practice.destroyedAfter', {
                clock: clock(d.timeS),
                what: translated(d.what),
                why: translated(d.why),
              })
            }}
          </li>
          <li v-if="review.damage.length === 0">{{ t('practice.nothingDestroyed') }}</li>
          <li>
            {{ t('practice.timeOnTheSet') }} <b class="fig">{{ clock(review.workedS) }}</b>{{
              t('practice.warmUpIncludedAdjustments', { turns: review.turns })
            }}
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
        :aria-label="t('practice.moment')"
      />
      <span class="fig">{{ clock(atS) }}</span>
      <span v-if="moment.point"
        >{{ moment.point.keyed ? t('practice.keyedMoment') : t('practice.notKeyed') }},
        <b class="fig">{{ groupDigits(moment.point.powerW, 2) }}&#8239;W</b>,
        <b class="fig">{{ groupDigits(moment.point.junctionC, 0) }}&#8239;&deg;C</b
        ><template v-if="moment.point.errorHz !== null"
          >, <b class="fig">{{ signed(moment.point.errorHz) }}&#8239;Hz</b>
          {{ t('practice.fromTheChannel') }}</template
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

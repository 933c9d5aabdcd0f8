<script setup lang="ts">
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { HEX_BYTE, QUANTITIES } from '#core/quantity'
import type { StepState } from '#core/run'
import { markOfJudged, showAgainst } from '#shared/words/verdictWords'
import StateMark from '~/ui/gauge/StateMark.vue'

/** The points of a step, each with what was taken; the one at hand is marked. */
const props = defineProps<{ state: StepState; at: string }>()
const emit = defineEmits<{ choose: [pointId: string]; strike: [readingId: string] }>()
function wantsOf(pointId: string) {
  return props.state.wants.filter(w => w.point.id === pointId)
}
function markOf(pointId: string) {
  const wants = wantsOf(pointId)
  if (wants.some(w => w.latest && w.latest.staleBy.length > 0)) return 'stale'
  if (wants.some(w => !w.latest)) return 'none'
  return markOfJudged(wants.map(w => w.judgement!))
}
</script>

<template>
  <div class="points">
    <div v-for="p in state.step.points" :key="p.id" class="point" :class="{ on: p.id === at }">
      <button type="button" class="pick" :aria-pressed="p.id === at" @click="emit('choose', p.id)">
        <StateMark :mark="markOf(p.id)" />
        <span
          ><span class="title">{{ p.title }}</span>
          <span v-for="w in wantsOf(p.id)" :key="w.want.quantity" class="fig taken">
            <template v-if="w.latest"
              >{{
                showAgainst(
                  w.latest.reading,
                  w.want.quantity,
                  w.requirement.nominalHz,
                  w.want.menu ?? HEX_BYTE,
                ).value
              }}&#8239;{{
                showAgainst(
                  w.latest.reading,
                  w.want.quantity,
                  w.requirement.nominalHz,
                  w.want.menu ?? HEX_BYTE,
                ).unit
              }}</template
            >
            <template v-else>{{ t('common.notMeasured') }}</template>
          </span>
        </span>
      </button>
      <button
        v-for="w in p.id === at ? wantsOf(p.id).filter(x => x.latest) : []"
        :key="w.want.quantity"
        type="button"
        class="strike"
        :aria-label="t('align.strikeOutOf', { label: quantityLabel(w.want.quantity), title: p.title })"
        @click="emit('strike', w.latest!.reading.id)"
      >
        {{ t('align.strikeOut', { symbol: QUANTITIES[w.want.quantity].symbol }) }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.points {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-top: 8px;
}
.pick {
  display: flex;
  gap: 9px;
  align-items: center;
  min-height: 46px;
  padding: 3px 14px 3px 10px;
  color: inherit;
  text-align: left;
  border-bottom: 3px solid var(--line);
}
.on .pick {
  border-bottom-color: var(--accent);
  background: var(--sheet);
}
.title {
  display: block;
  font-size: 12.5px;
  color: var(--ink2);
  line-height: 1.2;
}
.taken {
  font-size: 14.5px;
  margin-right: 10px;
  white-space: nowrap;
}
.point {
  display: flex;
  align-items: stretch;
}
.strike {
  min-height: 44px;
  padding: 0 8px;
  font-size: 12px;
  color: var(--ink2);
  text-decoration: underline dotted;
}
</style>

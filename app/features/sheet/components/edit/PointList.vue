<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { channelName, type ChannelPlan } from '#core/rules'
import type { MeasurePoint, SetState, Measurand } from '#core/sheet'
import StateFields from './StateFields.vue'
import WantFields from './WantFields.vue'

/** Rows that are measured: how the set stands, and which numbers are read in one key-down. */
const props = defineProps<{
  points: readonly MeasurePoint[]
  plan: ChannelPlan
  steps: readonly string[]
  fresh: MeasurePoint
}>()
const emit = defineEmits<{ change: [points: MeasurePoint[]] }>()
const channels = computed(() =>
  props.plan.channelsHz.map((_, i) => ({
    value: i + 1,
    title: channelName(props.plan, i + 1),
  })),
)
const text = (e: Event) => (e.target as HTMLInputElement).value
const put = (i: number, change: Partial<MeasurePoint>) =>
  emit(
    'change',
    props.points.map((p, k) => (k === i ? { ...p, ...change } : p)),
  )
const state = (i: number, change: Partial<SetState>) =>
  put(i, { state: { ...props.points[i]!.state, ...change } })
const wants = (i: number, change: (wants: readonly Measurand[]) => Measurand[]) =>
  put(i, { wants: change(props.points[i]!.wants) })
/** A new row is the last one again, under a name of its own: rows are mostly alike but for the channel. */
function add() {
  const like = props.points.at(-1) ?? props.fresh
  const ids = props.points.map(p => p.id)
  const id = Array.from({ length: 200 }, (_, k) => `row-${ids.length + 1 + k}`).find(n => !ids.includes(n))!
  emit('change', [...props.points, { ...like, id, title: t('sheet.again', { title: like.title }) }])
}
</script>

<template>
  <div>
    <details v-for="(p, i) in points" :key="i" class="point labelled-tight">
      <summary>
        <b class="fig">{{ p.id }}</b> {{ p.title }}
        <span class="quiet"
          >{{ p.state.mode
          }}{{
            p.state.channel === null
              ? ''
              : t('sheet.channel', { channel: channelName(plan, p.state.channel) })
          }}, {{ p.state.keyed ? t('sheet.keyed') : t('sheet.receiving') }};
          {{ t('sheet.quantitiesMeasured', { count: p.wants.length }) }}</span
        >
      </summary>
      <div class="state">
        <label class="short"
          >{{ t('sheet.rowField')
          }}<input class="fig" :value="p.id" maxlength="40" @change="put(i, { id: text($event) })"
        /></label>
        <label class="long"
          >{{ t('sheet.title') }}<input :value="p.title" @change="put(i, { title: text($event) })"
        /></label>
        <label class="check"
          ><input
            type="checkbox"
            :checked="p.isOptional"
            @change="put(i, { isOptional: p.isOptional ? undefined : true })"
          />
          {{ t('sheet.optionalRow') }}</label
        >
        <StateFields :state="p.state" :channels="channels" @change="change => state(i, change)" />
      </div>
      <WantFields
        v-for="(w, k) in p.wants"
        :key="k"
        :want="w"
        :steps="steps"
        @change="v => wants(i, ws => ws.map((x, n) => (n === k ? v : x)))"
        @remove="wants(i, ws => ws.filter((_, n) => n !== k))"
      />
      <div class="acts">
        <v-btn
          height="44"
          @click="wants(i, ws => [...ws, { quantity: 'powerW', target: null, judgeLimit: true }])"
          >{{ t('sheet.addQuantity') }}</v-btn><v-btn
          height="44"
          @click="
            emit(
              'change',
              points.filter((_, k) => k !== i),
            )
          "
          >{{ t('sheet.removeRowAction') }}</v-btn
        >
      </div>
    </details>
    <v-btn height="44" class="mt-2" @click="add">{{ t('sheet.addRow') }}</v-btn>
  </div>
</template>

<style scoped>
.point {
  border-bottom: 1px solid var(--line);
}
summary {
  min-height: 44px;
  padding: 10px 0;
  cursor: pointer;
}
.state {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: end;
  padding: 0 0 8px 14px;
}
.long {
  flex: 1 1 220px;
}
.acts {
  display: flex;
  gap: 10px;
  padding: 8px 0 12px 14px;
}
</style>

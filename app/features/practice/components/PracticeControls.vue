<script setup lang="ts">
import { t, withTextsTranslated, translated } from '#shared/i18n'
import { computed, ref } from 'vue'
import { modelSheet } from '#core/sheet'
import type { PracticeChange, PracticeState } from '#shared/practice'
import { useHeldPositions } from '../logic/useHeldPositions'
import { handsOf, motionWords } from '../logic/practiceHands'
import AdjusterHand from './AdjusterHand.vue'
import BenchAround from './BenchAround.vue'
import FrontPanel from './FrontPanel.vue'
import RepairHands from './RepairHands.vue'

/** The hands on the simulated set: front panel, generators, one control per adjuster, iron, leads. */
const props = defineProps<{
  state: PracticeState
  failure: string | null
  narrow?: boolean
  wanted?: readonly string[]
  /** settles when the set has answered */
  change: (what: Partial<PracticeChange>) => Promise<unknown>
}>()
const emit = defineEmits<{ close: [] }>()
const TOOL_WORDS = {
  'plastic hexagon': 'practice.plasticHexagon',
  'steel screwdriver': 'practice.steelScrewdriver',
} as const
const tool = ref<keyof typeof TOOL_WORDS>('plastic hexagon')
const forced = ref(false)
const sheet = computed(() => withTextsTranslated(modelSheet(props.state.session.designId)))
const { held, turn } = useHeldPositions((designator, position) =>
  props.change({
    adjusters: [
      {
        designator,
        position,
        tool: coils.value.includes(designator) ? tool.value : undefined,
        forced: forced.value || undefined,
      },
    ],
  }),
)
const hands = computed(() => handsOf(sheet.value, props.state, held.value, props.wanted ?? []))
const coils = computed(() => hands.value.filter(h => h.kind === 'core').map(h => h.designator))
const motion = computed(() => motionWords(props.state.motion))
</script>

<template>
  <div class="practice" :class="{ narrow }">
    <div class="banner">
      <b>{{ t('practice.simulator') }}</b>
      {{ t('practice.noRadioIsConnected', { model: state.session.model })
      }}<v-btn v-if="narrow" size="small" height="44" class="close" @click="emit('close')"
        >{{ t('common.close') }} <kbd>P</kbd></v-btn
      >
    </div>
    <p v-if="failure" class="care" role="alert">{{ failure }}</p>
    <p v-for="d in state.damage" :key="d.what + d.why" class="care" role="alert">
      {{ t('practice.destroyed', { what: translated(d.what), why: translated(d.why) }) }}
    </p>
    <div class="halves">
      <FrontPanel class="front" :state="state" @change="change($event)" />
      <section class="turned" :aria-label="t('practice.adjusters')">
        <h3>{{ t('practice.adjusters') }}</h3>
        <div v-if="coils.length" class="tools">
          <span class="seg" role="group" :aria-label="t('common.tool')"
            ><button
              v-for="(words, kind) in TOOL_WORDS"
              :key="kind"
              type="button"
              :aria-pressed="kind === tool"
              @click="tool = kind"
            >
              {{ t(words) }}
            </button></span
          >
          <label class="force"
            ><input v-model="forced" type="checkbox" /> {{ t('practice.withForce') }}</label
          >
          <span v-if="motion" class="motion" role="status">{{ motion }}</span>
        </div>
        <AdjusterHand
          v-for="h in hands"
          :key="h.designator"
          :hand="h"
          :wanted="wanted?.includes(h.designator) ?? false"
          @turn="(p, released) => turn(h.designator, p, released)"
          @soften="change({ soften: h.designator })"
          @clean="change({ clean: h.designator })"
        />
      </section>
      <div class="around">
        <BenchAround :state="state" @change="change($event)" />
        <RepairHands :state="state" :coils="coils" @change="change($event)" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.practice {
  padding: 12px 14px 20px;
}
.banner {
  border: 2px dashed var(--unsure);
  border-radius: 6px;
  padding: 8px 12px;
  margin-bottom: 12px;
  display: flex;
  gap: 4px 10px;
  align-items: center;
  flex-wrap: wrap;
}
.close {
  margin-left: auto;
}
.tools {
  display: flex;
  gap: 8px 14px;
  flex-wrap: wrap;
  align-items: center;
  margin-bottom: 6px;
}
.seg {
  display: inline-flex;
  border: 1px solid var(--edge);
  border-radius: 6px;
  overflow: hidden;
}
.seg button {
  min-height: 44px;
  padding: 0 10px;
  color: inherit;
  font-size: 13px;
}
.seg button + button {
  border-left: 1px solid var(--edge);
}
.seg button[aria-pressed='true'] {
  background: var(--accent);
  color: var(--paper);
  font-weight: 600;
}
.force {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  font-size: 13px;
}
.motion {
  color: var(--unsure);
  font-weight: 600;
  font-size: 13.5px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  grid-template-areas: 'front turned' 'around turned';
  grid-template-rows: auto 1fr;
  gap: 0 36px;
  align-items: start;
}
.front {
  grid-area: front;
}
.turned {
  grid-area: turned;
}
.around {
  grid-area: around;
}
.narrow .halves {
  grid-template: 'front' 'turned' 'around' / minmax(0, 1fr);
}
@media (max-width: 900px) {
  .halves {
    grid-template: 'front' 'turned' 'around' / minmax(0, 1fr);
  }
}
h3 {
  font-size: 13px;
  color: var(--ink2);
  margin: 0 0 6px;
  font-weight: 600;
}
</style>

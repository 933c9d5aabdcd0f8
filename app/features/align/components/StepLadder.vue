<script setup lang="ts">
import { t } from '#shared/i18n'
import { nextTick, ref, watch } from 'vue'
import type { StepState } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { stepLine } from '#shared/words/runWords'
import { markOf } from '#shared/words/verdictWords'
import StateMark from '~/ui/gauge/StateMark.vue'

const props = defineProps<{
  sheet: ModelSheet
  steps: readonly StepState[]
  at: string
  nextId: string | null
}>()
const emit = defineEmits<{ choose: [stepId: string] }>()
const list = ref<HTMLElement | null>(null)
watch(
  () => props.at,
  () => void nextTick(() => list.value?.querySelector('.on')?.scrollIntoView({ block: 'nearest' })),
)
</script>

<template>
  <section class="ladder">
    <h3>
      {{
        t('align.alignmentOfStepsDone', {
          done: steps.filter(s => s.satisfied).length,
          total: steps.length,
        })
      }}
    </h3>
    <ol ref="list">
      <li v-for="s in steps" :key="s.step.id">
        <button
          type="button"
          class="step"
          :class="{ on: s.step.id === at }"
          :aria-current="s.step.id === at ? 'step' : undefined"
          :data-step="s.step.id"
          :data-status="s.status"
          @click="emit('choose', s.step.id)"
        >
          <StateMark class="m" :mark="markOf(s.status)" />
          <span
            ><span class="t">{{ s.step.title }}</span
            ><span class="v"
              >{{ stepLine(sheet, s)
              }}<template v-if="s.step.id === nextId && s.step.id !== at"
                >, <b>{{ t('align.nextMark') }}</b></template
              ></span
            ></span
          >
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.ladder {
  border-right: 1px solid var(--line);
  padding-top: 14px;
  overflow: auto;
}
h3 {
  margin: 0 18px 6px;
  font-size: 12.5px;
  font-weight: 600;
  color: var(--ink2);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  position: relative;
}
li:not(:last-child)::after {
  content: '';
  position: absolute;
  left: 22.5px;
  top: 27px;
  bottom: -8px;
  border-left: 1.5px solid var(--line2);
  z-index: 1;
}
.step {
  display: grid;
  grid-template-columns: 46px 1fr;
  width: 100%;
  min-height: 46px;
  padding: 5px 12px 5px 0;
  text-align: left;
  color: inherit;
  align-items: start;
}
.m {
  justify-self: center;
  margin-top: 4px;
  position: relative;
  z-index: 2;
}
.t {
  display: block;
  font-size: 14.5px;
  line-height: 1.25;
}
.v {
  display: block;
  font-size: 12.5px;
  line-height: 1.3;
  color: var(--ink2);
}
.on {
  background: var(--sheet);
  box-shadow: inset 3px 0 0 var(--accent);
}
.on .t {
  font-weight: 650;
}
</style>

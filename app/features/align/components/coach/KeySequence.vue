<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import type { StepAction } from '#core/sheet'
import { useCountdown } from '~/ui/useCountdown'

/**
 * Keys of the set one after the other, large, with the seconds that are left; Space or a press goes on. A
 * held key shows how long it was held.
 */
const props = defineProps<{ action: StepAction }>()
const emit = defineEmits<{ close: [] }>()
const keys = computed(() => (props.action.kind === 'keys' ? props.action.keys : []))
const limitS = computed(() => {
  if (props.action.kind === 'keys') return props.action.withinS
  return props.action.kind === 'hold' ? props.action.holdS : 0
})
const clock = useCountdown(() => limitS.value)
const at = ref(-1)
const holding = computed(() => props.action.kind === 'hold')
const done = computed(() =>
  holding.value ? clock.running.value && clock.over.value : at.value >= keys.value.length,
)
const late = computed(() => !holding.value && clock.over.value && !done.value)

function onward() {
  if (late.value || done.value) return again()
  if (!clock.running.value) clock.start()
  if (holding.value) return
  at.value++
  if (done.value) clock.stop()
}
function again() {
  if (done.value) return emit('close')
  at.value = -1
  clock.reset()
}
function key(e: KeyboardEvent) {
  if (e.key === 'Escape') emit('close')
  if (e.key !== ' ' && e.key !== 'Enter') return
  e.preventDefault()
  e.stopImmediatePropagation()
  onward()
}
onMounted(() => window.addEventListener('keydown', key, { capture: true }))
onBeforeUnmount(() => window.removeEventListener('keydown', key, { capture: true }))
const left = computed(() => groupDigits(Math.max(0, limitS.value - clock.seconds.value), 1))
</script>

<template>
  <v-dialog :model-value="true" fullscreen @update:model-value="v => v || emit('close')">
    <v-card class="sequence" tabindex="-1" @click="onward">
      <p class="words">{{ action.words }}</p>
      <p class="now" role="status" aria-live="assertive">
        <template v-if="late">{{ t('align.startAgainTooLate') }}</template>
        <template v-else-if="done">{{
          holding ? t('align.checkThatTheSetShowsSaved') : t('align.done')
        }}</template>
        <template v-else-if="holding">{{
          clock.running.value ? t('align.hold') : t('align.pressAndHold')
        }}</template>
        <template v-else-if="at < 0">{{ t('align.first', { key: keys[0] }) }}</template>
        <template v-else>{{ keys[at] }}</template>
      </p>
      <p v-if="!holding && at >= 0 && at + 1 < keys.length && !late" class="then">
        {{ t('align.then', { key: keys[at + 1] }) }}
      </p>
      <p class="clock fig" :class="{ late }">
        {{
          clock.running.value && !done
            ? holding
              ? t('align.ofS', { seconds: groupDigits(clock.seconds.value, 1), limitS })
              : t('align.sLeft', { left })
            : t(holding ? 'align.atLeastS' : 'align.withinS', { limitS })
        }}
      </p>
      <p class="quiet">
        {{
          t('align.escCloses', {
            what:
              at < 0 && !clock.running.value
                ? t('align.aPressOrSpaceStartsThe')
                : late || done
                  ? t('align.pressToContinue')
                  : t('align.aPressOrSpaceNextKey'),
          })
        }}
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.sequence {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  text-align: center;
  gap: 10px;
  cursor: pointer;
  background: var(--paper);
}
.words {
  font-size: 24px;
  margin: 0;
}
.now {
  font-size: clamp(56px, 14vw, 150px);
  font-weight: 700;
  line-height: 1.05;
  margin: 0;
}
.then {
  font-size: 34px;
  color: var(--ink2);
  margin: 0;
}
.clock {
  font-size: 46px;
  margin: 8px 0 0;
}
.clock.late {
  color: var(--out);
}
</style>

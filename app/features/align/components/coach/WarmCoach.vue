<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import type { WarmGate } from '#core/run'
import { gateWords } from '#shared/words/coachWords'
import { dayAndTime } from '#shared/words/dateWords'
import TextDialog from '~/ui/frame/TextDialog.vue'
import CoachLine from './CoachLine.vue'

/** Frequency waits until the set has warmed up; one may go on, and that is kept. */
const props = defineProps<{ gate: WarmGate; passedAtMs: number | null }>()
const emit = defineEmits<{ pass: [reason: string] }>()
const words = computed(() => gateWords(props.gate))
const asking = ref(false)
function pass(reason: string) {
  asking.value = false
  emit('pass', reason)
}
</script>

<template>
  <CoachLine v-if="gate.state !== 'open'" :say="words.say" :how="words.how" tone="stop">
    <p v-if="passedAtMs !== null" class="quiet mb-0">
      {{ t('align.continuedBeforeWarmUpNotedIn', { dayAndTime: dayAndTime(passedAtMs) }) }}
    </p>
    <v-btn v-else height="44" class="mt-1" @click="asking = true">{{ t('align.continueAnyway') }}</v-btn>
    <TextDialog
      :open="asking"
      :title="t('align.setFrequencyBeforeWarmUp')"
      :hint="t('align.theDriftMeasuredSoFarIs')"
      :label="t('common.reason')"
      :action="t('align.continueAnywayAction')"
      :required="false"
      @close="asking = false"
      @done="pass"
    />
  </CoachLine>
  <p v-else class="quiet warm">{{ words.say }}. {{ words.how }}</p>
</template>

<style scoped>
.warm {
  margin: 4px 0;
  font-size: 14px;
}
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { modelSheet } from '#core/sheet'
import type { PracticeChange, PracticeState } from '#shared/practice'
import { GROUP_NAMES } from '../logic/practiceHands'
import SetCautions from '~/features/job/components/work/SetCautions.vue'

/** What an iron can do: parts, glue, a trimmer where none is; and the leads of the instruments. */
const props = defineProps<{ state: PracticeState; coils: readonly string[] }>()
const emit = defineEmits<{ change: [change: Partial<PracticeChange>] }>()
const sheet = computed(() => modelSheet(props.state.session.designId))
const group = ref('')
const coil = ref('')
function replace() {
  if (coil.value && group.value === 'stages')
    emit('change', { replace: { group: 'stages', designator: coil.value } })
  else if (group.value)
    emit('change', {
      replace: { group: group.value as PracticeState['groups'][number], designator: undefined },
    })
}
</script>

<template>
  <section aria-label="Repair">
    <h3>Soldering and freezer spray</h3>
    <SetCautions :sheet="sheet" />
    <div class="line">
      <label class="pick"
        ><select v-model="group" aria-label="part to replace">
          <option value="">part &hellip;</option>
          <option v-if="coils.length" value="stages">core of a coil</option>
          <option v-for="g in state.groups" :key="g" :value="g">{{ GROUP_NAMES[g] }}</option>
        </select></label
      >
      <label v-if="group === 'stages'" class="pick"
        ><select v-model="coil" aria-label="which coil">
          <option value="">which?</option>
          <option v-for="c in coils" :key="c" :value="c">{{ c }}</option>
        </select></label
      >
      <v-btn :disabled="!group || (group === 'stages' && !coil)" @click="replace">Replace</v-btn>
      <v-btn v-if="group === 'final'" @click="emit('change', { remove: 'final' })">Remove</v-btn>
    </div>
    <div class="line">
      <v-btn @click="emit('change', { wash: true })">Wash off the glue</v-btn>
      <v-btn v-if="state.session.designId === 'osmund-40a'" @click="emit('change', { fitTrimmer: true })"
        >Fit a trimmer at C31</v-btn
      >
      <span class="note"
        >DC gain of the output device on a component tester:
        <b class="fig">{{ state.dcGain > 0 ? state.dcGain.toFixed(0) : 'none, a MOSFET' }}</b></span
      >
    </div>
    <h3>Leads of the simulated instruments</h3>
    <div class="line">
      <v-btn
        v-for="i in state.instruments"
        :key="i.key"
        :aria-pressed="!i.pluggedIn"
        @click="emit('change', { plug: { key: i.key, pluggedIn: !i.pluggedIn } })"
        >{{ i.name }}: {{ i.pluggedIn ? 'plugged in' : 'unplugged' }}</v-btn
      >
    </div>
    <v-btn class="mt-2" @click="emit('change', { deliverAgain: true })">Reset the set</v-btn>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin-bottom: 8px;
  align-items: center;
}
.pick select {
  height: 46px;
  font: inherit;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--edge);
  border-radius: 6px;
  padding: 0 8px;
}
.note {
  font-size: 13px;
}
h3 {
  font-size: 13px;
  color: var(--ink2);
  margin: 14px 0 6px;
  font-weight: 600;
}
</style>

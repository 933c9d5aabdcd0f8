<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t, withTextsTranslated } from '#shared/i18n'
import { computed, ref } from 'vue'
import { modelSheet } from '#core/sheet'
import type { PracticeChange, PracticeState } from '#shared/practice'
import { groupName } from '../logic/practiceHands'
import SetCautions from '~/features/job/components/work/SetCautions.vue'

/** What an iron can do: parts, glue, a trimmer where none is; and the leads of the instruments. */
const props = defineProps<{ state: PracticeState; coils: readonly string[] }>()
const emit = defineEmits<{ change: [change: Partial<PracticeChange>] }>()
const sheet = computed(() => withTextsTranslated(modelSheet(props.state.session.designId)))
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
  <section :aria-label="t('practice.repair')">
    <h3>{{ t('practice.solderingAndFreezerSpray') }}</h3>
    <SetCautions :sheet="sheet" />
    <div class="line">
      <label class="pick"
        ><select v-model="group" :aria-label="t('practice.partToReplace')">
          <option value="">{{ t('practice.part') }}</option>
          <option v-if="coils.length" value="stages">{{ t('practice.coreOfACoil') }}</option>
          <option v-for="g in state.groups" :key="g" :value="g">{{ groupName(g) }}</option>
        </select></label
      >
      <label v-if="group === 'stages'" class="pick"
        ><select v-model="coil" :aria-label="t('practice.whichCoil')">
          <option value="">{{ t('practice.which') }}</option>
          <option v-for="c in coils" :key="c" :value="c">{{ c }}</option>
        </select></label
      >
      <v-btn :disabled="!group || (group === 'stages' && !coil)" @click="replace">{{
        t('practice.replace')
      }}</v-btn>
      <v-btn v-if="group === 'final'" @click="emit('change', { remove: 'final' })">{{
        t('common.remove')
      }}</v-btn>
    </div>
    <div class="line">
      <v-btn @click="emit('change', { wash: true })">{{ t('practice.washOffTheGlue') }}</v-btn>
      <v-btn v-if="state.session.designId === 'osmund-40a'" @click="emit('change', { fitTrimmer: true })">{{
        t('practice.fitATrimmerAtC31')
      }}</v-btn>
      <span class="note"
        >{{ t('practice.dcGainOfTheOutputDevice') }}
        <b class="fig">{{
          state.dcGain > 0 ? groupDigits(state.dcGain, 0) : t('practice.noneAMosfet')
        }}</b></span
      >
    </div>
    <h3>{{ t('practice.leadsOfTheSimulatedInstruments') }}</h3>
    <div class="line">
      <v-btn
        v-for="i in state.instruments"
        :key="i.key"
        :aria-pressed="!i.pluggedIn"
        @click="emit('change', { plug: { key: i.key, pluggedIn: !i.pluggedIn } })"
        >{{ i.name }}: {{ i.pluggedIn ? t('practice.pluggedIn') : t('practice.unplugged') }}</v-btn
      >
    </div>
    <v-btn class="mt-2" @click="emit('change', { deliverAgain: true })">{{
      t('practice.resetTheSet')
    }}</v-btn>
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

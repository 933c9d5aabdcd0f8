<script setup lang="ts">
import { typedNumberOrNull, groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed, ref, watch } from 'vue'
import { channelHz, channelPlan, type RuleSet } from '#core/rules'
import type { KeptOptions } from '#shared/recording'

/** What is known beside the recording: mode, channel, tone, carrier power, rules. Kept for the next time. */
const props = defineProps<{
  options: KeptOptions
  ruleSets: readonly RuleSet[]
  /** an open recording of the carrier alone, through the same receiver */
  unmodulated: { name: string; dbfs: number } | null
}>()
const emit = defineEmits<{ change: [options: KeptOptions] }>()
const MODES = [
  { value: 'auto', title: t('signals.detect') },
  { value: 'am', title: 'AM' },
  { value: 'fm', title: 'FM' },
  { value: 'ssb', title: 'SSB' },
  { value: 'audio', title: t('signals.sound') },
]
const CHANNEL = /^\d{1,2}$/
const rules = computed(() => props.ruleSets.find(r => r.id === props.options.ruleSetId))
const plan = computed(() => channelPlan(rules.value?.planId ?? 'forty'))
const channelOrMhz = ref(props.options.nominalHz === null ? '' : String(props.options.nominalHz / 1e6))
const texts = ref({
  toneHz: text(props.options.toneHz),
  carrierW: text(props.options.carrierW),
  unmodulatedDbfs: text(props.options.unmodulatedDbfs),
  widthKhz: text(props.options.channelWidthHz && props.options.channelWidthHz / 1000),
})
watch(
  () => props.options.unmodulatedDbfs,
  dbfs => (texts.value.unmodulatedDbfs = text(dbfs)),
)
watch(
  () => props.options.nominalHz,
  hz => CHANNEL.test(channelOrMhz.value) || (channelOrMhz.value = hz === null ? '' : String(hz / 1e6)),
)

function text(v: number | null | undefined) {
  return v == null ? '' : String(v)
}
function change(part: Partial<KeptOptions>) {
  emit('change', { ...props.options, ...part })
}
function number(value: string): number | null {
  const v = typedNumberOrNull(value)
  return v !== null && v > 0 ? v : null
}
const hertz = (kilohertz: string) => {
  const v = number(kilohertz)
  return v === null ? null : v * 1000
}
/** A level against full scale, a minus of any kind before it. */
function level(value: string): number | null {
  const v = typedNumberOrNull(value)
  return v !== null && Math.abs(v) <= 120 ? v : null
}
const takesUnmodulated = computed(() => props.options.as === 'am' || props.options.as === 'auto')
/** "19" is a channel of the plan, "27.185" a frequency. */
const nominalHz = computed(() => {
  const channels = plan.value.channelsHz.length
  if (CHANNEL.test(channelOrMhz.value.trim()))
    return Number(channelOrMhz.value) >= 1 && Number(channelOrMhz.value) <= channels
      ? channelHz(plan.value, Number(channelOrMhz.value))
      : null
  const mhz = number(channelOrMhz.value)
  return mhz === null ? null : mhz * 1e6
})
const wrongPlace = computed(() =>
  channelOrMhz.value.trim() !== '' && nominalHz.value === null ? t('signals.aChannelOrMhzLike27') : undefined,
)
</script>

<template>
  <div class="settings">
    <v-select
      :model-value="options.as"
      :label="t('common.mode')"
      :items="MODES"
      @update:model-value="v => change({ as: v })"
    />
    <v-text-field
      v-model="channelOrMhz"
      :label="t('signals.channelOrMhz')"
      inputmode="decimal"
      :error-messages="wrongPlace"
      :hint="
        nominalHz === null
          ? t('signals.notKnownOffsetsAreRelativeTo')
          : `${groupDigits(nominalHz / 1e6, 5)} MHz`
      "
      persistent-hint
      @change="change({ nominalHz })"
    />
    <v-text-field
      v-model="texts.toneHz"
      :label="t('signals.toneHz')"
      inputmode="decimal"
      :hint="t('signals.detectedIfEmpty')"
      persistent-hint
      @change="change({ toneHz: number(texts.toneHz) })"
    />
    <v-text-field
      v-model="texts.carrierW"
      :label="t('signals.carrierW')"
      inputmode="decimal"
      :hint="t('signals.forLimitsInWatts')"
      persistent-hint
      @change="change({ carrierW: number(texts.carrierW) })"
    />
    <v-text-field
      v-model="texts.widthKhz"
      :label="t('signals.widthKhz')"
      inputmode="decimal"
      :hint="t('signals.ofTheChannelTheUsualWidth')"
      persistent-hint
      @change="change({ channelWidthHz: hertz(texts.widthKhz) })"
    />
    <div v-if="takesUnmodulated">
      <v-text-field
        v-model="texts.unmodulatedDbfs"
        :label="t('signals.levelDbfs')"
        :hint="t('signals.ofTheUnmodulatedCarrierAtThe')"
        persistent-hint
        @change="change({ unmodulatedDbfs: level(texts.unmodulatedDbfs) })"
      />
      <v-btn
        v-if="unmodulated && options.unmodulatedDbfs !== unmodulated.dbfs"
        class="use"
        variant="text"
        @click="change({ unmodulatedDbfs: unmodulated.dbfs })"
        >{{
          t('signals.useDbfsOf', { dbfs: groupDigits(unmodulated.dbfs, 2), name: unmodulated.name })
        }}</v-btn
      >
    </div>
    <v-select
      :model-value="options.ruleSetId"
      :label="t('common.ruleSet')"
      :items="ruleSets.map(r => ({ value: r.id, title: r.name }))"
      @update:model-value="v => change({ ruleSetId: v })"
    />
  </div>
</template>

<style scoped>
.use {
  white-space: normal;
  height: auto;
  min-height: 44px;
  text-align: left;
}
.settings {
  display: grid;
  grid-template-columns: 124px 1.76fr 1.12fr 1.36fr 1.48fr 1.58fr 2.06fr;
  gap: 12px;
  align-items: start;
}
@media (max-width: 900px) {
  .settings {
    grid-template-columns: 1fr 1fr;
  }
}
</style>

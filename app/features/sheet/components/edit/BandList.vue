<script setup lang="ts">
import { ref } from 'vue'
import { t } from '#shared/i18n'
import { NEW_BAND, bandChannelsHz, type PlanBand } from '#core/rules'
import { numberForField } from '#core/quantity'
import BandFields from './BandFields.vue'

/** Channels of a plan of one's own, band by band. */
const props = defineProps<{
  bands: readonly PlanBand[]
  rules: readonly { readonly value: string; readonly title: string }[]
}>()
const emit = defineEmits<{ change: [bands: readonly PlanBand[]] }>()
const put = (index: number, band: PlanBand) => emit('change', props.bands.with(index, band))
/** A new band is open until the next one: it is being written. */
const added = ref<number | null>(null)
function add() {
  added.value = props.bands.length
  emit('change', [...props.bands, NEW_BAND])
}
function remove(index: number) {
  added.value = null
  emit('change', props.bands.toSpliced(index, 1))
}
const mhz = (hz: number) => numberForField(hz / 1e6)

/** "40 channels, 27.60125 to 27.99125 MHz": what was written, as it is understood. */
function spanWords(band: PlanBand): string {
  const channelsHz = bandChannelsHz(band)
  const count = t('sheet.bandCount', { count: channelsHz.length })
  if (channelsHz.length === 0) return count
  const [from, to] = [mhz(Math.min(...channelsHz)), mhz(Math.max(...channelsHz))]
  return `${count}, ${from === to ? `${from} MHz` : t('sheet.bandSpan', { from, to })}`
}
</script>

<template>
  <section :aria-label="t('sheet.bands')">
    <h3>{{ t('sheet.bands') }}</h3>
    <p class="quiet">{{ t('sheet.bandsExplained') }}</p>
    <details v-for="(band, i) in bands" :key="i" class="labelled-tight" :open="i === added">
      <summary>
        <b>{{
          band.name ? t('sheet.bandNamed', { name: band.name }) : t('sheet.bandAt', { number: i + 1 })
        }}</b>
        <span class="quiet fig span">{{ spanWords(band) }}</span>
      </summary>
      <BandFields :band="band" :rules="rules" @change="b => put(i, b)" />
      <v-btn class="remove" height="44" @click="remove(i)">{{ t('sheet.removeBand') }}</v-btn>
    </details>
    <v-btn height="44" class="mt-2" @click="add">{{ t('sheet.addBand') }}</v-btn>
  </section>
</template>

<style scoped>
h3 {
  font-size: 15px;
  margin: 0;
}
details {
  border-bottom: 1px solid var(--line);
}
summary {
  min-height: 44px;
  padding: 10px 0;
  cursor: pointer;
}
.span {
  margin-left: 12px;
}
.remove {
  margin: 0 0 12px 14px;
}
</style>

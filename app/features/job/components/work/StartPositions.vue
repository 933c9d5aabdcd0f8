<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import type { StartPosition } from '#core/work'
import FoldedSection from '~/ui/frame/FoldedSection.vue'

/**
 * Where everything stood before it was turned: in words, as on a clock, as a menu value, with a photo. The
 * way back.
 */
const props = defineProps<{ positions: readonly StartPosition[] }>()
const emit = defineEmits<{ note: [designator: string, position: string] }>()
const texts = ref<Record<string, string>>({})
const CLOCK = ['7:00', '8:30', '10:00', '11:00', '12:00', '13:00', '14:00', '15:30', '17:00']
const noted = computed(() => props.positions.filter(p => p.position !== null).length)
const turnsLikeClock = (p: StartPosition) =>
  p.adjuster.kind === 'preset' || p.adjuster.kind === 'trimmer' || p.adjuster.kind === 'control'

function keep(p: StartPosition) {
  const text = (texts.value[p.adjuster.designator] ?? '').trim()
  if (text !== '' && text !== p.position) emit('note', p.adjuster.designator, text)
}
</script>

<template>
  <FoldedSection
    :title="t('job.startingPositions')"
    :state="t('job.ofStartingPositionsRecorded', { noted, count: positions.length })"
  >
    <slot />
    <ol>
      <li v-for="p in positions" :key="p.adjuster.designator">
        <span
          ><b class="fig">{{ p.adjuster.designator }}</b> {{ p.adjuster.name }}</span
        >
        <span v-if="p.turnedSince" class="quiet">{{
          t('job.adjustedSince', { position: p.position ?? t('job.notRecorded') })
        }}</span>
        <template v-else>
          <input
            v-model="texts[p.adjuster.designator]"
            :list="turnsLikeClock(p) ? 'clock-positions' : undefined"
            :placeholder="
              p.position ??
              (p.adjuster.kind === 'menu-value'
                ? t('common.menuValue')
                : turnsLikeClock(p)
                  ? t('job.oclock')
                  : t('job.turnsOut'))
            "
            :aria-label="t('job.positionOf', { designator: p.adjuster.designator })"
            maxlength="300"
            @change="keep(p)"
          />
          <b v-if="p.position" class="fig">{{ p.position }}</b>
        </template>
      </li>
    </ol>
    <datalist id="clock-positions">
      <option v-for="c in CLOCK" :key="c" :value="t('job.atOclock', { hour: c })" />
    </datalist>
  </FoldedSection>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0 4px;
  margin: 0;
  columns: 2;
  column-gap: 32px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px 96px;
  gap: 10px;
  align-items: center;
  min-height: 48px;
  break-inside: avoid;
  font-size: 14px;
}
input {
  min-width: 0;
}
@media (max-width: 1000px) {
  ol {
    columns: 1;
  }
}
</style>

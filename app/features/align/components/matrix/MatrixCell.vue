<script setup lang="ts">
import { quantityLabel } from '#shared/words/quantityWords'
import { t, translated } from '#shared/i18n'
import { computed } from 'vue'
import { HEX_BYTE } from '#core/quantity'
import type { CellState } from '#core/run'
import { reasonWords, showAgainst } from '#shared/words/verdictWords'
import StateMark from '~/ui/gauge/StateMark.vue'

const props = defineProps<{ cell: CellState; stale: boolean; active: boolean }>()
const emit = defineEmits<{ strike: [readingId: string] }>()
const reading = computed(() => props.cell.latest?.reading ?? null)
const shown = computed(() =>
  reading.value
    ? showAgainst(
        reading.value,
        props.cell.want.quantity,
        props.cell.requirement.nominalHz,
        props.cell.want.menu ?? HEX_BYTE,
      )
    : null,
)
const why = computed(() =>
  props.cell.judgement
    ? reasonWords(
        props.cell.judgement,
        props.cell.want.quantity,
        props.cell.requirement,
        props.cell.latest!.reading,
      )
    : [],
)
/** A value of a menu is a number that was written down, not a measurement. */
const isExact = computed(() => props.cell.want.quantity === 'menuCode')
const judged = computed(() => props.cell.requirement.window !== null || props.cell.requirement.limit !== null)
const label = computed(() =>
  props.cell.requirement.nominalHz === null
    ? quantityLabel(props.cell.want.quantity)
    : t('align.frequencyError'),
)
</script>

<template>
  <div class="cell" :class="{ missing: !reading }">
    <span class="label">{{ label }}</span>
    <template v-if="reading && shown">
      <div class="value">
        <StateMark v-if="judged" :mark="stale ? 'stale' : cell.judgement!.verdict" />
        <b class="fig">{{ shown.value }}</b><i>{{ shown.unit }}</i>
        <v-menu v-if="active" :close-on-content-click="false" location="bottom" max-width="360">
          <template #activator="{ props: menu }"
            ><button
              v-bind="menu"
              type="button"
              class="more"
              :aria-label="t('align.aboutThisReadingOf', { label })"
            >
              {{ t('align.why') }}
            </button></template
          >
          <v-card class="pa-4">
            <p v-for="w in why" :key="w">{{ w }}</p>
            <p v-if="why.length === 0">{{ t('align.recordedNoRequirement') }}</p>
            <p class="quiet">
              {{ reading.source === 'typed' ? t('align.typedReading') : t('align.taken') }},
              {{ reading.instrument ? translated(reading.instrument) : t('align.instrumentNotStated') }}
              {{ shown.plusMinus ?? '' }}
            </p>
            <v-btn size="small" @click="emit('strike', reading.id)">{{ t('align.strikeOutAction') }}</v-btn>
          </v-card>
        </v-menu>
      </div>
      <span class="pm fig"
        >{{ isExact ? '' : (shown.plusMinus ?? t('align.uncertaintyUnknown'))
        }}{{ reading.source === 'typed' ? t('align.typed') : '' }}</span
      >
    </template>
    <span v-else class="quiet value">{{ t('common.notMeasured') }}</span>
  </div>
</template>

<style scoped>
.cell {
  min-width: 136px;
}
.label {
  font-size: 12px;
  color: var(--ink2);
  display: block;
}
.value {
  display: flex;
  align-items: baseline;
  gap: 6px;
  min-height: 26px;
  white-space: nowrap;
}
.value :deep(.state-mark) {
  align-self: center;
}
.value b {
  font-size: 18px;
  font-weight: 550;
}
.value i,
.pm {
  font-style: normal;
  font-size: 12px;
  color: var(--ink2);
}
.pm {
  display: block;
  margin-top: -3px;
  line-height: 1.2;
}
.more {
  font-size: 12px;
  color: var(--ink2);
  text-decoration: underline dotted;
  padding: 4px 6px;
  min-height: 28px;
}
.missing .value {
  font-size: 13px;
}
@media print {
  .more {
    display: none;
  }
}
</style>

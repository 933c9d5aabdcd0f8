<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import {
  groupDigits,
  hzToPpm,
  quantityInfo,
  showMeasured,
  type Measured,
  type Quantity,
} from '#core/quantity'
import type { Requirement } from '#core/run'
import { noReadingWords, type ShownEntry } from '~/features/instruments/logic/noReadingWords'
import { showAgainst } from '#shared/words/verdictWords'

/** The reading, legible from across the bench. Old values are struck through, never shown as if live. */
const props = defineProps<{
  quantity: Quantity
  requirement: Requirement
  live: ShownEntry | null
  hold: number | null
  typedOnly: boolean
}>()
const measured = computed<Measured | null>(() =>
  props.live?.entry.value != null
    ? { value: props.live.entry.value, standardUncertainty: props.live.entry.standardUncertainty }
    : null,
)
const stale = computed(() => props.live?.freshness === 'stale')
const main = computed(() =>
  measured.value ? showAgainst(measured.value, props.quantity, props.requirement.nominalHz) : null,
)
const absolute = computed(() =>
  measured.value && props.requirement.nominalHz !== null
    ? showMeasured(measured.value, props.quantity)
    : null,
)
const ppm = computed(() =>
  measured.value && props.requirement.nominalHz !== null
    ? groupDigits(
        hzToPpm(measured.value.value - props.requirement.nominalHz, props.requirement.nominalHz),
        1,
        true,
      )
    : null,
)
const held = computed(() =>
  props.hold === null
    ? null
    : showAgainst(
        { value: props.hold, standardUncertainty: measured.value?.standardUncertainty ?? null },
        props.quantity,
        props.requirement.nominalHz,
      ),
)
const nothing = computed(() => {
  if (props.typedOnly) return t('align.noConnectedInstrumentReadsThisType')
  return props.live ? noReadingWords(props.live) : ''
})
</script>

<template>
  <div class="big" :class="{ stale }">
    <span class="n fig" :class="{ long: (main?.value.length ?? 0) > 5 }" data-testid="big">{{
      main?.value ?? '\u2013'
    }}</span>
    <span class="u">{{
      main?.unit ?? (requirement.nominalHz === null ? quantityInfo(quantity).shownUnit : 'Hz')
    }}</span>
    <span class="side">
      <span v-if="absolute" class="fig">{{ absolute.value }}&#8239;{{ absolute.unit }}</span>

      <span class="fig"
        >{{ main?.plusMinus ?? '' }}<template v-if="ppm">&ensp;{{ ppm }}&#8239;ppm</template></span
      >
      <span v-if="held" class="fig hold">{{ t('align.peak', { held: held.value, unit: held.unit }) }}</span>
      <span v-if="nothing" class="words">{{ nothing }}</span>
    </span>
  </div>
</template>

<style scoped>
.big {
  display: flex;
  align-items: baseline;
  gap: 14px;
  margin-top: 4px;
  min-height: 100px;
}
.n {
  font-size: 100px;
  line-height: 1;
  font-weight: 500;
  letter-spacing: -0.04em;
  white-space: nowrap;
}
.n.long {
  font-size: 84px;
}
.u {
  font-size: 30px;
  color: var(--ink2);
}
.side {
  display: flex;
  flex-direction: column;
  font-size: 17px;
  color: var(--ink2);
  margin-left: 6px;
}
.side .fig {
  white-space: nowrap;
}
.words {
  font-size: 15px;
  color: var(--ink);
  white-space: normal;
  max-width: 30ch;
}
.hold {
  color: var(--ink);
  font-weight: 600;
}
.stale .n {
  color: var(--ink2);
  text-decoration: line-through;
  text-decoration-thickness: 4px;
}
@media (max-height: 820px) {
  .n,
  .n.long {
    font-size: 72px;
  }
  .big {
    min-height: 72px;
  }
}
@media (max-width: 700px) {
  .n {
    font-size: 72px;
  }
  .big {
    flex-wrap: wrap;
  }
}
</style>

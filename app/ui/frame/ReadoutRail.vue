<script setup lang="ts">
import { railLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { QUANTITY_NAMES, quantityInfo, showMeasured, type Quantity, type RailSlot } from '#core/quantity'
import type { HeatView, KeyDownView } from '#core/run'
import type { Freshness, LiveEntry } from '~/features/instruments/logic/liveBook'
import type { LiveLink } from '#shared/live'
import KeyDownClock from '../gauge/KeyDownClock.vue'
import { clockTime, clockSeconds } from '#shared/words/dateWords'

type BestReading = { entry: LiveEntry; freshness: Freshness } | null
const props = defineProps<{
  shown: (q: Quantity) => BestReading
  clock: KeyDownView
  warmth: HeatView
  keySensed: boolean
  links: readonly LiveLink[]
  connected: boolean
  started: boolean
}>()

const railOf = (q: Quantity) => quantityInfo(q).rail
const placed = (slot: RailSlot['slot']) => QUANTITY_NAMES.filter(q => railOf(q)?.slot === slot)
const rankOf = (q: Quantity) => {
  const rail = railOf(q)
  return rail?.slot === 'when-read' ? rail.rank : 0
}
/** Always there when an instrument reads them, so that the eye finds them in one place. */
const FIRST = placed('first')
const DEVIATION = placed('deviation')
const DEPTH = placed('depth')
const THEN = placed('then')
/** Shown only while they have a value; the reference only while there is no carrier to look at. */
const NOW_AND_THEN = placed('when-read').sort((a, b) => rankOf(a) - rankOf(b))

const reads = (q: Quantity) => props.shown(q)?.entry.status === 'ok'
/** One place for the modulation, whichever there is. */
const rail = computed(() => [
  ...FIRST,
  ...(DEPTH.some(reads) && !DEVIATION.some(reads) ? DEPTH : DEVIATION),
  ...THEN,
  ...NOW_AND_THEN.filter(q => reads(q) && !(q === 'referenceHz' && reads('carrierHz'))),
])
const cells = computed(() =>
  rail.value.flatMap(quantity => {
    const best = props.shown(quantity)
    if (!best) return []
    const { entry, freshness } = best
    const text =
      entry.status === 'ok' && entry.value !== null
        ? showMeasured({ value: entry.value, standardUncertainty: entry.standardUncertainty }, quantity)
        : null
    return [
      {
        quantity,
        label: railLabel(quantity),
        receivedAtMs: entry.receivedAtMs,
        stale: freshness === 'stale',
        value: text?.value ?? '\u2013',
        unit:
          text?.unit ??
          (
            {
              'no-signal': t('common.noSignal'),
              'overload': t('frame.overload'),
              'garbled': t('frame.garbled'),
              'ok': '',
            } as const
          )[entry.status],
        plusMinus: text?.plusMinus ?? '',
        since: freshness === 'stale' ? clockTime(entry.receivedAtMs) : '',
      },
    ]
  }),
)
const silent = computed(() => props.links.filter(l => l.state !== 'live'))
</script>

<template>
  <footer class="rail frame-rail" :aria-label="t('frame.liveReadings')" tabindex="0">
    <KeyDownClock :view="clock" :warmth="warmth" :sensed="keySensed" />
    <slot name="unsent" />
    <div
      v-for="c in cells"
      :key="c.quantity"
      class="ro"
      :class="{ stale: c.stale }"
      :data-quantity="c.quantity"
      :data-received-at="c.receivedAtMs"
    >
      <span>{{ c.label }}{{ c.stale ? t('frame.lastRead', { since: c.since }) : '' }}</span>
      <div>
        <b class="fig">{{ c.value }}</b> <i>{{ c.unit }}</i>
      </div>
      <i class="pm fig">{{ c.stale ? t('frame.notUpdating') : c.plusMinus }}</i>
    </div>
    <div v-if="cells.length === 0" class="ro empty">
      <span>{{ t('frame.liveReadings') }}</span>
      <div>
        {{
          !started
            ? t('frame.connecting')
            : !connected
              ? t('frame.instrumentsOfflineTypeTheReadings')
              : silent.length > 0
                ? t('frame.noInstrumentAnswers')
                : t('frame.noInstrumentConnectedAddOneUnder')
        }}
      </div>
    </div>
    <div
      v-if="silent.length > 0 || (started && !connected && cells.length > 0)"
      class="ro trouble"
      role="status"
    >
      <span v-for="l in silent" :key="l.instrumentId"
        ><b>{{ l.instrument }}</b>
        {{ t('frame.notAnsweringSince', { value: clockSeconds(l.sinceMs) }) }}</span
      >
      <span v-if="!connected">{{ t('frame.instrumentsOffline') }}</span>
    </div>
  </footer>
</template>

<style scoped>
.rail {
  display: flex;
  align-items: stretch;
  background: var(--sheet);
  border-top: 1px solid var(--line2);
  height: 76px;
  overflow-x: auto;
  overflow-y: hidden;
}
.ro {
  padding: 8px 14px 0;
  border-left: 1px solid var(--line);
  white-space: nowrap;
}
.ro span {
  font-size: 12px;
  color: var(--ink2);
  display: block;
}
.ro b {
  font-size: 20px;
  font-weight: 550;
  letter-spacing: -0.02em;
}
.ro i {
  font-style: normal;
  font-size: 13px;
  color: var(--ink2);
}
.ro .pm {
  display: block;
  font-size: 11.5px;
  line-height: 1;
}
.ro.stale b {
  color: var(--ink2);
  text-decoration: line-through;
  text-decoration-thickness: 1px;
}
.ro.empty {
  align-self: center;
  padding: 0 16px;
}
.ro.trouble {
  align-self: stretch;
  display: flex;
  flex-direction: column;
  justify-content: center;
  padding: 0 14px;
  border-left: 4px dashed var(--out);
}
.ro.trouble span {
  color: var(--ink);
  font-size: 12.5px;
}
.ro.trouble b {
  font-size: 12.5px;
  font-weight: 650;
  letter-spacing: 0;
}
</style>

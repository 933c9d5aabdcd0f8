<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { computed, ref } from 'vue'
import { QUANTITIES, groupDigits } from '#core/quantity'
import { STRIKE_REASONS, canBeStruck, keyDownTotals, validEvents, type JobEvent } from '#core/run'
import { eventWords } from '#shared/words/eventWords'
import { clockTime } from '#shared/words/dateWords'
import TextDialog from '~/ui/frame/TextDialog.vue'

/**
 * Everything that was entered, the last first; any entry can be struck out with a reason, and seconds keyed
 * add up.
 */
const props = defineProps<{ events: readonly JobEvent[] }>()
const emit = defineEmits<{
  close: []
  strike: [eventId: string, reason: string]
  strikeReading: [readingId: string, reason: string]
}>()
const MAX = 200
const all = ref(false)
const striking = ref<{ id: string; isReading: boolean } | null>(null)
const struckReadings = computed(
  () =>
    new Map(
      validEvents(props.events).flatMap(e =>
        e.kind === 'reading-struck' ? [[e.readingId, translated(e.reason)] as const] : [],
      ),
    ),
)
const readingsOf = (e: JobEvent) => (e.kind === 'row-taken' ? e.readings : [])
const struck = computed(
  () =>
    new Map(
      props.events.flatMap(e =>
        e.kind === 'event-struck' ? [[e.eventId, translated(e.reason)] as const] : [],
      ),
    ),
)
const counts = computed(() => new Set(validEvents(props.events).map(e => e.id)))
const waiting = computed(
  () => new Set(props.events.filter(e => e.unreleased && !counts.value.has(e.id)).map(e => e.id)),
)
const shown = computed(() => [...props.events].reverse().slice(0, all.value ? undefined : MAX))
const totals = computed(() => keyDownTotals(props.events))
const minutes = (s: number) => (s < 100 ? `${groupDigits(s, 0)} s` : `${groupDigits(s / 60, 1)} min`)
function strike(reason: string) {
  const { id, isReading } = striking.value!
  if (isReading) emit('strikeReading', id, reason)
  else emit('strike', id, reason)
  striking.value = null
}
</script>

<template>
  <v-dialog :model-value="true" max-width="860" scrollable @update:model-value="v => v || emit('close')">
    <v-card :title="t('align.log')">
      <v-card-text>
        <p>
          {{ t('align.keyed') }} <b class="fig">{{ minutes(totals.totalS) }}</b>
          {{ t('align.inTotalFromMeasuredRf')
          }}<template v-for="[step, s] in totals.byStep" :key="step ?? ''"
            ><template v-if="step"
              >, <span class="fig">{{ step }} {{ minutes(s) }}</span></template
            ></template
          >.
        </p>
        <ol>
          <li v-for="e in shown" :key="e.id" :class="{ struck: struck.has(e.id) }">
            <span class="fig quiet">{{ clockTime(e.atMs) }}</span>{{ ' ' }}
            <span class="what"
              ><span v-if="e.author" class="quiet">{{ e.author.name }}: </span>{{ eventWords(e)
              }}<span v-if="waiting.has(e.id)" class="quiet"> ({{ t('job.notReleased') }})</span
              ><span v-if="struck.has(e.id)" class="quiet">
                {{ t('align.struckOut', { get: struck.get(e.id) }) }}</span
              ></span
            >
            <button
              v-if="canBeStruck(e) && !struck.has(e.id)"
              type="button"
              @click="striking = { id: e.id, isReading: false }"
            >
              {{ t('align.strikeOutQuantity') }}
            </button>
            <span v-if="readingsOf(e).length > 0" class="readings">
              <button
                v-for="r in readingsOf(e)"
                :key="r.id"
                type="button"
                :disabled="struckReadings.has(r.id)"
                :class="{ struck: struckReadings.has(r.id) }"
                :title="struckReadings.get(r.id) ?? t('align.strikeOutThisReadingOnly')"
                @click="striking = { id: r.id, isReading: true }"
              >
                {{ struckReadings.has(r.id) ? t('align.struckOutMark') : t('align.strikeOutQuantity') }}
                {{ QUANTITIES[r.quantity].symbol }}
              </button>
            </span>
          </li>
        </ol>
        <p v-if="events.length === 0" class="quiet">{{ t('align.noEntriesYet') }}</p>
        <v-btn v-if="!all && events.length > MAX" height="44" @click="all = true">{{
          t('align.allEntries', { count: events.length })
        }}</v-btn>
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn height="44" @click="emit('close')"
          >{{ t('common.close') }} <kbd>{{ t('common.esc') }}</kbd></v-btn
        ></v-card-actions
      >
      <TextDialog
        :open="striking !== null"
        :title="t('align.strikeOutThisEntry')"
        :hint="t('align.itStaysInTheLogWith')"
        :label="t('common.reason')"
        :action="t('align.strikeOutAction')"
        :suggestions="STRIKE_REASONS"
        @close="striking = null"
        @done="strike"
      />
    </v-card>
  </v-dialog>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
  margin: 8px 0;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px solid var(--line);
}
.what {
  flex: 1;
}
.struck .what {
  text-decoration: line-through;
}
li button {
  min-height: 44px;
  font-size: 13px;
  color: var(--accent);
  text-decoration: underline;
}
.readings {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
}
.readings .struck {
  text-decoration: line-through;
  color: var(--ink2);
}
</style>

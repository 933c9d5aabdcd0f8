<script setup lang="ts">
import { typedNumber } from '#core/quantity'
import { t, translated } from '#shared/i18n'
import { dayMonthYear } from '#shared/words/dateWords'
import { computed, ref } from 'vue'
import {
  fieldKind,
  fieldValue,
  suggestions,
  type FieldChange,
  type FieldValue,
  type ModelSheet,
  type Suggestion,
} from '#core/sheet'
import type { FieldTrust } from '#shared/sheetFile'
import { confidenceWords, fieldValueWords, fieldPathWords } from '#shared/words/sheetWords'

/** One field of the sheet corrected in the middle of the work: the likely correction is one press. */
const props = defineProps<{
  sheet: ModelSheet
  path: string
  trust: FieldTrust | null
  failure: string | null
}>()
const emit = defineEmits<{
  close: []
  amend: [changes: readonly FieldChange[], reason: string]
  confirm: []
}>()
const value = computed(() => fieldValue(props.sheet, props.path))
const offered = computed(() => suggestions(props.sheet, props.path))
function words({ kind: of, designators, changes }: Suggestion): string {
  const [first, second] = designators
  if (of === 'swap') return t('align.changePlaces', { first, second })
  const [twin, named] = [first, second].map(d => props.sheet.adjusters.find(a => a.designator === d))
  if (of === 'exchange')
    return t('align.takenForEachOther', {
      first,
      name: translated(named!.name),
      second,
      other: translated(twin!.name),
    })
  return twin ? `${first}, ${translated(twin.name)}` : fieldValueWords(changes[0]!.to)
}
const kind = computed(() => fieldKind(props.path))
const text = ref(fieldText(value.value))
const reason = ref('')
const day = computed(() => (props.trust?.correctedAtMs ? dayMonthYear(props.trust.correctedAtMs) : null))

function fieldText(v: FieldValue): string {
  if (v === null) return ''
  if (Array.isArray(v)) return v.join(' ')
  return typeof v === 'object' ? '' : String(v)
}
function typed(): FieldValue {
  const plain = text.value.trim()
  if (kind.value === 'designators') return plain === '' ? [] : plain.split(/[\s,]+/)
  if (kind.value === 'seconds') return typedNumber(plain)
  return kind.value === 'optional-text' && plain === '' ? null : plain
}
const changed = computed(() => JSON.stringify(typed()) !== JSON.stringify(value.value))
</script>

<template>
  <v-dialog :model-value="true" max-width="620" @update:model-value="v => v || emit('close')">
    <v-card :title="fieldPathWords(path)">
      <v-card-text>
        <p class="now">
          {{ fieldValueWords(value) }}<br /><span class="quiet">{{
            confidenceWords(day, trust?.confirmed ?? 0)
          }}</span>
        </p>
        <div v-if="offered.length > 0" class="offers">
          <v-btn
            v-for="(s, i) in offered"
            :key="words(s)"
            size="large"
            :variant="i === 0 ? 'flat' : 'outlined'"
            :color="i === 0 ? 'primary' : undefined"
            @click="emit('amend', s.changes, reason.trim() || t('align.checkedOnTheSet'))"
            >{{ words(s) }}</v-btn
          >
        </div>
        <v-textarea
          v-if="kind !== 'position'"
          v-model="text"
          :label="
            kind === 'designators'
              ? t('align.designatorsInTheOrderOfAdjustment')
              : kind === 'seconds'
                ? t('align.seconds')
                : t('align.correctText')
          "
          rows="2"
          auto-grow
          :error-messages="failure ?? undefined"
        />
        <v-text-field v-model="reason" class="mt-3" :label="t('align.reasonOptional')" maxlength="500" />
      </v-card-text>
      <v-card-actions>
        <v-btn height="44" @click="emit('confirm')">{{ t('align.confirmEntry') }}</v-btn><v-spacer />
        <v-btn height="44" @click="emit('close')">{{ t('common.cancel') }}</v-btn>
        <v-btn
          height="44"
          variant="flat"
          color="primary"
          :disabled="!changed || kind === 'position'"
          @click="
            emit(
              'amend',
              [{ line: path, from: value, to: typed() }],
              reason.trim() || t('align.checkedOnTheSet'),
            )
          "
          >{{ t('align.saveCorrection') }}</v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.now {
  font-size: 17px;
  margin: 0 0 12px;
}
.offers {
  display: flex;
  flex-direction: column;
  gap: 8px;
  margin-bottom: 16px;
  align-items: stretch;
}
</style>

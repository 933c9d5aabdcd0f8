<script setup lang="ts">
import { numberForField, typedNumber } from '#core/quantity'
import { t } from '#shared/i18n'
import type { RuleSetBody } from '#shared/ruleSet'
import { protectedBandsWords } from '#shared/words/ruleWords'

/** Limits in watts on what lies beside the carrier; an empty number field is no such limit. */
const adjacent = defineModel<RuleSetBody['adjacent']>('adjacent', { required: true })
const spurious = defineModel<RuleSetBody['spurious']>('spurious', { required: true })
const W_PER_UW = 1e-6

const typed = (event: Event) => {
  const value = typedNumber((event.target as HTMLInputElement).value)
  return value === null ? null : value * W_PER_UW
}
const shown = (value: number | null | undefined) =>
  numberForField(value === null || value === undefined ? null : value / W_PER_UW, 6)

function setAdjacent(maxW: number | null) {
  adjacent.value = maxW === null ? null : { id: adjacent.value?.id ?? 'ADJ', maxW }
}
/** Both or none: with one of two powers the form says which is missing. */
function setSpurious(what: { protectedMaxW?: number | null; otherMaxW?: number | null }) {
  const next = {
    id: spurious.value?.id ?? 'SPUR',
    protectedMaxW: spurious.value?.protectedMaxW ?? null,
    otherMaxW: spurious.value?.otherMaxW ?? null,
    ...what,
  }
  const isEmpty = next.protectedMaxW === null && next.otherMaxW === null
  spurious.value = isEmpty ? null : (next as NonNullable<RuleSetBody['spurious']>)
}
</script>

<template>
  <fieldset class="labelled" :aria-label="t('rules.limitsInWatts')">
    <label
      >{{ t('rules.adjacentChannelWMax')
      }}<input
        class="fig"
        inputmode="decimal"
        :value="shown(adjacent?.maxW)"
        @change="e => setAdjacent(typed(e))"
    /></label>
    <label
      >{{ t('rules.spuriousInProtectedBandsWMax')
      }}<input
        class="fig"
        inputmode="decimal"
        :value="shown(spurious?.protectedMaxW)"
        @change="e => setSpurious({ protectedMaxW: typed(e) })"
    /></label>
    <label
      >{{ t('rules.spuriousElsewhereWMax')
      }}<input
        class="fig"
        inputmode="decimal"
        :value="shown(spurious?.otherMaxW)"
        @change="e => setSpurious({ otherMaxW: typed(e) })"
    /></label>
  </fieldset>
  <p class="quiet">{{ t('rules.protectedBandsEmptyNoSuchLimit', { protectedBandsWords }) }}</p>
</template>

<style scoped>
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: end;
  border: 0;
  padding: 8px 0 0;
  margin: 0;
}
p {
  margin: 4px 0 0;
  font-size: 13px;
}
</style>

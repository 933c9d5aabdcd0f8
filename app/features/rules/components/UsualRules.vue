<script setup lang="ts">
import { computed } from 'vue'
import { t } from '#shared/i18n'
import type { RuleSet } from '#core/rules'

/** Under which rule set most sets of this workshop are used; null = as the sheet of each model says. */
const chosen = defineModel<string | null>({ required: true })
const props = defineProps<{ ruleSets: readonly RuleSet[]; error?: string | undefined }>()
/** A list without a null of its own. */
const AS_SHEET = ''
/** Limits that speak of no channels fit no model by themselves. */
const choices = computed(() => [
  { value: AS_SHEET, title: t('rules.asTheSheetSays') },
  ...props.ruleSets
    .filter(r => r.planId !== null)
    .map(r => ({ value: r.id, title: `${r.name} (${r.region})` })),
])
</script>

<template>
  <v-select
    :model-value="chosen ?? AS_SHEET"
    :items="choices"
    :label="t('rules.usualRules')"
    :hint="t('rules.usualRulesHint')"
    persistent-hint
    :error-messages="error"
    @update:model-value="(id: string) => (chosen = id === AS_SHEET ? null : id)"
  />
</template>

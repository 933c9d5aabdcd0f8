<script setup lang="ts">
import { MAX_PASSWORD } from '#shared/people'

/** A password that somebody has, or one that is about to be set. */
const password = defineModel<string>({ required: true })
defineProps<{ label: string; isNew?: boolean; hint?: string; wrong?: string | undefined }>()
</script>

<template>
  <v-text-field
    v-model="password"
    type="password"
    :label="label"
    :autocomplete="isNew ? 'new-password' : 'current-password'"
    :maxlength="MAX_PASSWORD"
    :hint="hint"
    :persistent-hint="hint !== undefined"
    :error-messages="wrong"
  />
</template>

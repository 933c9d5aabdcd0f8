<script setup lang="ts">
import { t } from '#shared/i18n'
import { MIN_PASSWORD } from '#shared/people'

/** Name and password of the first owner. */
const owner = defineModel<{ name: string; password: string }>({ required: true })
defineProps<{ wrong: (field: 'name' | 'password') => string | undefined }>()
</script>

<template>
  <v-text-field
    v-model="owner.name"
    :label="t('people.yourName')"
    autocomplete="username"
    maxlength="60"
    :error-messages="wrong('name')"
    class="mb-4"
  />
  <v-text-field
    v-model="owner.password"
    type="password"
    :label="t('people.password')"
    autocomplete="new-password"
    maxlength="128"
    :hint="t('people.passwordHint', { min: MIN_PASSWORD })"
    persistent-hint
    :error-messages="wrong('password')"
    class="mb-4"
  />
</template>

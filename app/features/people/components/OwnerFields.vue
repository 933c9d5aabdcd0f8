<script setup lang="ts">
import { t } from '#shared/i18n'
import { MIN_PASSWORD } from '#shared/people'
import PasswordField from './PasswordField.vue'

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
  <PasswordField
    v-model="owner.password"
    is-new
    :label="t('people.password')"
    :hint="t('people.passwordHint', { min: MIN_PASSWORD })"
    :wrong="wrong('password')"
    class="mb-4"
  />
</template>

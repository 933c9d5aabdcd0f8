<script setup lang="ts">
import { ref } from 'vue'
import { t } from '#shared/i18n'
import { MIN_PASSWORD, type Role } from '#shared/people'
import PasswordField from './PasswordField.vue'
import RoleField from './RoleField.vue'

/** Adds somebody, with a first password that he or she changes. */
defineProps<{ wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{
  add: [person: { id: string; name: string; role: Role; password: string }, kept: () => void]
}>()
const empty = () => ({ id: crypto.randomUUID(), name: '', role: 'technician' as Role, password: '' })
const person = ref(empty())
const add = () => emit('add', person.value, () => (person.value = empty()))
</script>

<template>
  <form :aria-label="t('people.add')" @submit.prevent="add">
    <v-text-field
      v-model="person.name"
      :label="t('people.name')"
      autocomplete="off"
      maxlength="60"
      :error-messages="wrong('name')"
    />
    <RoleField v-model="person.role" :error="wrong('role')" />
    <PasswordField
      v-model="person.password"
      is-new
      :label="t('people.firstPassword')"
      :hint="t('people.passwordHint', { min: MIN_PASSWORD })"
      :wrong="wrong('password')"
    />
    <v-btn type="submit" size="large" :disabled="!person.name.trim() || !person.password">{{
      t('people.add')
    }}</v-btn>
  </form>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) minmax(0, 2fr) auto;
  gap: 12px;
  align-items: start;
}
@media (max-width: 800px) {
  form {
    grid-template-columns: 1fr;
  }
}
</style>

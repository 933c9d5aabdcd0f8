<script setup lang="ts">
import { t } from '#shared/i18n'
import { ROLES, type Role } from '#shared/people'
import { roleHint, roleWords } from '#shared/words/peopleWords'

/** What somebody may do. */
const role = defineModel<Role>({ required: true })
defineProps<{ error: string | undefined }>()
const choices = ROLES.map(value => ({
  value,
  title: t('people.roleWithHint', { role: roleWords(value), hint: roleHint(value) }),
}))
</script>

<template>
  <v-select v-model="role" :items="choices" :label="t('people.role')" :error-messages="error" />
</template>

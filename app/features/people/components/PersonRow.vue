<script setup lang="ts">
import { ref, watch } from 'vue'
import { t } from '#shared/i18n'
import type { Person } from '#shared/people'
import { roleWords } from '#shared/words/peopleWords'
import PasswordField from './PasswordField.vue'
import RoleField from './RoleField.vue'

/** Somebody of the workshop: what he or she may do, and a new password when the old one is lost. */
const props = defineProps<{ person: Person; wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{ change: [person: Person]; password: [password: string] }>()
const edited = ref({ ...props.person })
const password = ref('')
watch(
  () => props.person,
  now => {
    edited.value = { ...now }
    password.value = ''
  },
)
</script>

<template>
  <details>
    <summary>
      <b>{{ person.name }}</b> <span class="quiet">{{ roleWords(person.role) }}</span>
      <span v-if="!person.active">, {{ t('people.notActive') }}</span>
    </summary>
    <form
      :aria-label="t('people.change', { name: person.name })"
      @submit.prevent="emit('change', { ...edited, version: person.version })"
    >
      <v-text-field
        v-model="edited.name"
        :label="t('people.name')"
        maxlength="60"
        :error-messages="wrong('name')"
      />
      <RoleField v-model="edited.role" :error="wrong('role')" />
      <v-checkbox v-model="edited.active" :label="t('people.active')" hide-details />
      <v-btn type="submit" size="large">{{ t('people.save') }}</v-btn>
    </form>
    <form @submit.prevent="emit('password', password)">
      <PasswordField
        v-model="password"
        is-new
        :label="t('people.newPasswordFor', { name: person.name })"
        :hint="t('people.signedOutEverywhere', { name: person.name })"
        :wrong="wrong('password')"
      />
      <v-btn type="submit" size="large" :disabled="!password">{{ t('people.setPassword') }}</v-btn>
    </form>
  </details>
</template>

<style scoped>
details {
  border-bottom: 1px solid var(--line2);
}
summary {
  min-height: 48px;
  box-sizing: border-box;
  padding: 12px 4px;
  cursor: pointer;
}
form {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) auto auto;
  gap: 12px;
  align-items: start;
  padding: 8px 4px 16px;
}
form + form {
  grid-template-columns: minmax(0, 4fr) auto;
}
@media (max-width: 800px) {
  form,
  form + form {
    grid-template-columns: 1fr;
  }
}
</style>

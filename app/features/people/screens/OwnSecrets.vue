<script setup lang="ts">
import { ref } from 'vue'
import { t } from '#shared/i18n'
import { MIN_PASSWORD } from '#shared/people'
import { failureOf, type Failure } from '~/data/failureWords'
import PasswordField from '../components/PasswordField.vue'
import { useSessionStore } from '../store/session'

/** One's own password and PIN; each asks for the present password. */
const session = useSessionStore()
const old = ref('')
const password = ref('')
const pin = ref('')
const done = ref<string | null>(null)
const failure = ref<Failure | null>(null)
const wrong = (field: string) => (failure.value?.field === field ? failure.value.words : undefined)

async function send(work: () => Promise<void>, words: string) {
  done.value = failure.value = null
  try {
    await work()
    done.value = words
    old.value = password.value = pin.value = ''
  } catch (error) {
    failure.value = failureOf(error)
  }
}
const changePassword = () =>
  send(() => session.changePassword(old.value, password.value), t('people.passwordChanged'))
const changePin = (to: string | null) =>
  send(() => session.changePin(old.value, to), to === null ? t('people.pinRemoved') : t('people.pinSet'))
</script>

<template>
  <form class="secrets" :aria-label="t('people.you')" @submit.prevent>
    <PasswordField v-model="old" :label="t('people.presentPassword')" class="mb-4" />
    <div class="change">
      <PasswordField
        v-model="password"
        is-new
        :label="t('people.newPassword')"
        :hint="t('people.passwordHint', { min: MIN_PASSWORD })"
        :wrong="wrong('password')"
      />
      <v-btn size="large" :disabled="!old || !password" @click="changePassword">{{
        t('people.changePassword')
      }}</v-btn>
    </div>
    <div class="change">
      <v-text-field
        v-model="pin"
        type="password"
        inputmode="numeric"
        :label="t('people.pin')"
        autocomplete="off"
        maxlength="8"
        :hint="t('people.pinHint')"
        persistent-hint
        :error-messages="wrong('pin')"
      />
      <v-btn size="large" :disabled="!old || pin.length < 4" @click="changePin(pin)">{{
        t('people.setPin')
      }}</v-btn>
      <v-btn size="large" :disabled="!old" @click="changePin(null)">{{ t('people.removePin') }}</v-btn>
    </div>
    <p v-if="done" role="status">{{ done }}</p>
    <p v-if="failure && !failure.field" class="care" role="alert">{{ failure.words }}</p>
  </form>
</template>

<style scoped>
.secrets {
  max-width: 760px;
}
.change {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: start;
  margin-bottom: 12px;
}
.change .v-text-field {
  flex: 1 1 260px;
}
</style>

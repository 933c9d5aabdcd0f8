<script setup lang="ts">
import { computed, ref } from 'vue'
import { t } from '#shared/i18n'
import { namedHost } from '#shared/passkeyHost'
import type { Passkey } from '#shared/people'
import { dayMonthYear } from '#shared/words/dateWords'
import PasswordField from '../components/PasswordField.vue'
import { usePasskeysStore } from '../store/passkeys'

/** One's own passkeys; a new one asks for the present password. */
const store = usePasskeysStore()
const named = namedHost(location.origin)
const host = 'PublicKeyCredential' in window ? named : null
const name = ref('')
const password = ref('')
const busy = ref(false)
const done = ref<string | null>(null)
const usual = computed(() => t('people.passkeyNumber', { n: store.passkeys.length + 1 }))
const wrong = (field: string) => (store.failure?.field === field ? store.failure.words : undefined)

async function add() {
  if (busy.value) return
  busy.value = true
  done.value = null
  if (await store.add(name.value.trim() || usual.value, password.value)) {
    done.value = t('people.passkeyAdded')
    name.value = password.value = ''
  }
  busy.value = false
}
async function remove(id: string) {
  done.value = null
  if (await store.remove(id)) done.value = t('people.passkeyRemoved')
}
const said = ({ host: under, addedAtMs, usedAtMs }: Passkey) =>
  [
    t('people.passkeyOn', { host: under, day: dayMonthYear(addedAtMs) }),
    usedAtMs === null
      ? t('people.passkeyNeverUsed')
      : t('people.passkeyUsed', { day: dayMonthYear(usedAtMs) }),
  ].join(', ')
void store.load()
</script>

<template>
  <section :aria-label="t('people.passkeys')">
    <h2>{{ t('people.passkeys') }}</h2>
    <p v-if="host === null" class="quiet">
      {{ t(named === null ? 'people.passkeyNeedsName' : 'people.passkeyNoBrowser') }}
    </p>
    <p v-else>{{ t('people.passkeyLead', { host }) }}</p>
    <ul v-if="store.passkeys.length > 0" class="passkeys">
      <li v-for="k in store.passkeys" :key="k.id">
        <span
          ><b>{{ k.name }}</b> <span class="quiet">{{ said(k) }}</span></span
        >
        <v-btn height="44" @click="remove(k.id)">{{ t('people.removePasskey', { name: k.name }) }}</v-btn>
      </li>
    </ul>
    <form v-if="host !== null" class="new" @submit.prevent="add">
      <v-text-field
        v-model="name"
        :label="t('people.passkeyName')"
        :placeholder="usual"
        persistent-placeholder
        maxlength="60"
        autocomplete="off"
        :error-messages="wrong('name')"
      />
      <PasswordField v-model="password" :label="t('people.presentPassword')" :wrong="wrong('password')" />
      <v-btn type="submit" size="large" :disabled="busy || !password">{{ t('people.addPasskey') }}</v-btn>
    </form>
    <p v-if="done" role="status">{{ done }}</p>
    <p v-if="store.failure && !store.failure.field" class="care" role="alert">{{ store.failure.words }}</p>
  </section>
</template>

<style scoped>
section {
  max-width: 760px;
}
.passkeys {
  list-style: none;
  padding: 0;
}
.passkeys li {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 8px;
}
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: start;
}
.new .v-text-field {
  flex: 1 1 220px;
}
</style>

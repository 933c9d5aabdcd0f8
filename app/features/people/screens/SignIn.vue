<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Author } from '#core/run'
import { t } from '#shared/i18n'
import { failureOf } from '~/data/failureWords'
import PasswordField from '../components/PasswordField.vue'
import { useSessionStore } from '../store/session'
import { vFocus } from '~/ui/vFocus'

/** Signs somebody in: by a press on the name and a PIN where the browser knows the person, else by password. */
const props = defineProps<{
  /** a page lies behind it that stays as it is */
  over: boolean
  /** somebody else wants to work here: whoever is signed in may go on too */
  mayClose: boolean
}>()
const emit = defineEmits<{ close: []; done: [] }>()
const session = useSessionStore()
const known = computed(() => session.me.known)
const chosen = ref<Author | null>(null)
const byPassword = ref(known.value.length === 0)
const name = ref('')
const password = ref('')
const pin = ref('')
const busy = ref(false)
const failure = ref<string | null>(null)

function choose(person: Author) {
  chosen.value = person
  byPassword.value = false
  pin.value = ''
  failure.value = null
}
const send = () =>
  attempt(() =>
    byPassword.value
      ? session.signIn(name.value, password.value)
      : session.signInByPin(chosen.value!.personId, pin.value),
  )
async function attempt(work: () => Promise<void>) {
  if (busy.value) return
  busy.value = true
  failure.value = null
  try {
    await work()
    emit('done')
  } catch (error) {
    failure.value = failureOf(error).words
    pin.value = ''
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="460"
    :aria-label="t('people.signIn')"
    :persistent="!mayClose"
    :scrim="over"
    @update:model-value="v => v || emit('close')"
  >
    <v-card>
      <form @submit.prevent="send">
        <v-card-text>
          <h1>{{ known.length > 0 ? t('people.whoIsWorking') : t('people.signIn') }}</h1>
          <p v-if="session.me.workshop" class="quiet">{{ session.me.workshop }}</p>
          <p v-if="props.over && !mayClose">{{ t('people.signInAgain') }}</p>
          <div v-if="known.length > 0" class="known">
            <v-btn
              v-for="k in known"
              :key="k.personId"
              size="large"
              :variant="chosen?.personId === k.personId && !byPassword ? 'flat' : 'outlined'"
              :color="chosen?.personId === k.personId && !byPassword ? 'primary' : undefined"
              :aria-pressed="chosen?.personId === k.personId && !byPassword"
              @click="choose(k)"
              >{{ k.name }}</v-btn
            >
            <v-btn v-if="!byPassword" variant="text" height="44" @click="byPassword = true">{{
              t('people.somebodyElse')
            }}</v-btn>
          </div>
          <v-btn
            v-if="session.me.hasPasskeys"
            size="large"
            class="passkey"
            :disabled="busy"
            @click="attempt(session.signInByPasskey)"
            >{{ t('people.signInByPasskey') }}</v-btn
          >
          <template v-if="byPassword">
            <v-text-field
              v-model="name"
              v-focus
              :label="t('people.name')"
              autocomplete="username"
              maxlength="60"
              class="mb-4"
            />
            <PasswordField v-model="password" :label="t('people.password')" />
            <p class="quiet small">{{ t('people.lostPassword') }}</p>
          </template>
          <v-text-field
            v-else-if="chosen"
            :key="chosen.personId"
            v-model="pin"
            v-focus
            type="password"
            inputmode="numeric"
            :label="t('people.pinOf', { name: chosen.name })"
            autocomplete="off"
            maxlength="8"
          />
          <p v-if="failure" class="care" role="alert">{{ failure }}</p>
        </v-card-text>
        <v-card-actions>
          <v-btn v-if="session.me.person" height="44" @click="session.signOut()">{{
            t('people.signOut')
          }}</v-btn>
          <v-spacer />
          <v-btn v-if="mayClose" height="44" @click="emit('close')">{{ t('common.cancel') }}</v-btn>
          <v-btn
            v-if="byPassword || chosen"
            type="submit"
            height="44"
            variant="flat"
            color="primary"
            :disabled="busy || (byPassword ? !name.trim() || !password : pin.length < 4)"
            >{{ t('people.signIn') }}</v-btn
          >
        </v-card-actions>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.known {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 14px 0;
}
.passkey {
  margin: 14px 0;
}
.small {
  font-size: 13px;
}
</style>

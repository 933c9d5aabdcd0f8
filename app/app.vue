<script setup lang="ts">
import { watch } from 'vue'
import { useOutboxStore } from '~/data/outbox'
import { useSessionStore } from '~/features/people/store/session'
import { laterComponent } from '~/ui/laterComponent'

const FirstStart = laterComponent(() => import('~/features/people/screens/FirstStart.vue'))
const SignIn = laterComponent(() => import('~/features/people/screens/SignIn.vue'))
const session = useSessionStore()
const outbox = useOutboxStore()
/** What somebody entered before waits for him or her to be here again. */
watch(
  () => session.me.person?.personId,
  () => void outbox.flush(),
)
</script>

<template>
  <v-app v-if="session.isFirstStart"><FirstStart /></v-app>
  <template v-else>
    <NuxtLayout v-if="session.entered || !session.asks"><NuxtPage /></NuxtLayout>
    <v-app v-if="session.asks">
      <SignIn
        :over="session.entered"
        :may-close="session.switching && session.me.person !== null"
        @close="session.goOn"
      />
    </v-app>
  </template>
</template>

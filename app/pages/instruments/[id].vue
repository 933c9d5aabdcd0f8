<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref, onMounted } from 'vue'
import { useCookie, useHead, useRoute } from '#imports'
import type { InstrumentAnswer } from '#shared/instrumentCommands'
import type { OwnProfile } from '#shared/instrument'
import { profileOf } from '#shared/instrumentSetup'
import ProfileEditor from '~/features/instruments/components/ProfileEditor.vue'
import TryQuery from '~/features/instruments/components/TryQuery.vue'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'

const store = useInstrumentsStore()
const route = useRoute()
const theme = useCookie<'day' | 'night'>('theme', { default: () => 'day' })
const instrument = computed(() => store.items?.find(i => i.id === route.params.id) ?? null)
const profile = computed(() => (instrument.value ? profileOf(instrument.value) : null))
const asked = ref<InstrumentAnswer | null>(null)
const failure = ref<string | null>(null)
const saved = ref('')
const busy = ref(false)
const text = ref('*IDN?')
useHead({ title: t('instruments.queriesOfAnInstrument') })
onMounted(() => void store.load())

async function ask(line: string) {
  busy.value = true
  const answer = await store.ask(String(route.params.id), line)
  asked.value = answer.asked
  failure.value = answer.failure?.words ?? null
  busy.value = false
}
async function save(own: OwnProfile | null) {
  busy.value = true
  const problem = await store.saveProfile(instrument.value!, own)
  failure.value = problem?.words ?? null
  const done = own ? t('instruments.savedTheseQueriesAreUsedFrom') : t('instruments.defaultsRestored')
  saved.value = problem ? '' : done
  busy.value = false
}
</script>

<template>
  <div class="page">
    <h1>{{ t('instruments.queriesOf', { name: instrument?.name ?? t('instruments.instrument') }) }}</h1>
    <p class="lead">
      {{ t('instruments.queriesToTheInstrumentConversionTo') }}
      <NuxtLink to="/instruments">{{ t('instruments.allInstruments') }}</NuxtLink>
    </p>
    <p v-if="store.items && !instrument" class="care">{{ t('instruments.instrumentNotFound') }}</p>
    <template v-if="profile">
      <p v-if="saved" role="status">{{ saved }}</p>
      <TryQuery
        v-model="text"
        :answer="asked"
        :busy="busy"
        :failure="failure"
        :night="theme === 'night'"
        @ask="ask"
      />
      <ProfileEditor
        :key="JSON.stringify(instrument!.ownProfile)"
        :profile="profile"
        :own="Boolean(instrument!.ownProfile)"
        :busy="busy"
        @save="save"
        @shipped="save(null)"
        @tries="
          q => {
            text = q
            ask(q)
          }
        "
      />
    </template>
  </div>
</template>

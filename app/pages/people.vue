<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { t } from '#shared/i18n'
import { roleWords } from '#shared/words/peopleWords'
import { useHead } from '#imports'
import AuditTable from '~/features/people/components/AuditTable.vue'
import NewPerson from '~/features/people/components/NewPerson.vue'
import OtherDevices from '~/features/people/components/OtherDevices.vue'
import OwnPasskeys from '~/features/people/screens/OwnPasskeys.vue'
import OwnSecrets from '~/features/people/screens/OwnSecrets.vue'
import OwnerFields from '~/features/people/components/OwnerFields.vue'
import PersonRow from '~/features/people/components/PersonRow.vue'
import { usePeopleStore } from '~/features/people/store/people'
import { useWayInStore } from '~/features/people/store/wayIn'
import { useSessionStore } from '~/features/people/store/session'
import { failureOf, type Failure } from '~/data/failureWords'

/** Who works here: for the owner everybody, for all others themselves; or sign-in is brought in. */
const session = useSessionStore()
const store = usePeopleStore()
const network = useWayInStore()
const me = computed(() => session.me.person)
const isOwner = computed(() => me.value?.role === 'owner')
/** what the last change was about, so that a refusal stands beside it */
const about = ref('')
const wrongAt = (where: string) => (field: string) =>
  about.value === where && store.failure?.field === field ? store.failure.words : undefined
function at<T>(where: string, work: () => Promise<T>): Promise<T> {
  about.value = where
  return work()
}
const workshop = ref(session.me.workshop)
const owner = ref({ name: '', password: '' })
const refused = ref<Failure | null>(null)
const refusedAt = (field: string) => (refused.value?.field === field ? refused.value.words : undefined)

async function bringIn() {
  refused.value = null
  try {
    await session.setUp({ workshop: workshop.value, owner: owner.value })
    await store.load()
  } catch (error) {
    refused.value = failureOf(error)
  }
}
// Another person may sign in while the page stays.
watch(isOwner, owns => owns && void store.load(), { immediate: true })
watch(me, somebody => somebody && void network.load(), { immediate: true })
useHead({ title: t('people.people') })
</script>

<template>
  <div class="page">
    <h1>{{ t('people.people') }}</h1>
    <form v-if="!session.me.signIn" class="bring-in" @submit.prevent="bringIn">
      <p class="lead">{{ t('people.noSignInYet') }}</p>
      <v-text-field
        v-model="workshop"
        :label="t('people.workshop')"
        maxlength="120"
        :error-messages="refusedAt('workshop')"
        class="mb-4"
      />
      <OwnerFields v-model="owner" :wrong="field => refusedAt(`owner.${field}`)" />
      <p v-if="refused && !refused.field" class="care" role="alert">{{ refused.words }}</p>
      <v-btn type="submit" size="large" :disabled="!owner.name.trim() || !owner.password">{{
        t('people.bringInSignIn')
      }}</v-btn>
    </form>
    <template v-else-if="me">
      <p class="lead">{{ t('people.signedInAs', { name: me.name, role: roleWords(me.role) }) }}</p>
      <OwnSecrets :key="me.personId" />
      <OwnPasskeys :key="me.personId" />
      <OtherDevices v-if="network.wayIn" :way-in="network.wayIn" />
      <template v-if="isOwner">
        <h2>{{ session.me.workshop }}</h2>
        <p v-if="store.failure && !store.failure.field" class="care" role="alert">
          {{ store.failure.words }}
        </p>
        <PersonRow
          v-for="p in store.people"
          :key="p.id"
          :person="p"
          :wrong="wrongAt(p.id)"
          @change="changed => at(p.id, () => store.change(changed))"
          @password="password => at(p.id, () => store.resetPassword(p.id, password))"
        />
        <h2>{{ t('people.add') }}</h2>
        <NewPerson
          :wrong="wrongAt('new')"
          @add="(person, kept) => at('new', () => store.add(person)).then(ok => ok && kept())"
        />
        <h2>{{ t('people.audit') }}</h2>
        <p class="quiet">{{ t('people.auditLead', { count: store.audit.length }) }}</p>
        <AuditTable :entries="store.audit" />
      </template>
    </template>
  </div>
</template>

<style scoped>
.bring-in {
  max-width: 640px;
}
</style>

<script setup lang="ts">
import { ref } from 'vue'
import { t, LANGUAGES, LANGUAGE_NAMES, language, type Language } from '#shared/i18n'
import { failureOf, type Failure } from '~/data/failureWords'
import { useLanguageCookie } from '~/data/languageCookie'
import UsualRules from '~/features/rules/components/UsualRules.vue'
import { useRulesStore } from '~/features/rules/store/rules'
import { useSessionStore } from '../store/session'
import OwnerFields from '../components/OwnerFields.vue'

/** The first thing that a new workshop is asked. */
const session = useSessionStore()
const rules = useRulesStore()
const spoken = useLanguageCookie()
const workshop = ref('')
const way = ref<'alone' | 'people'>('alone')
const ruleSetId = ref<string | null>(null)
const owner = ref({ name: '', password: '' })
const busy = ref(false)
const failure = ref<Failure | null>(null)

function speak(to: Language) {
  spoken.value = to
  location.reload()
}
const wrong = (field: string) => (failure.value?.field === field ? failure.value.words : undefined)
async function begin() {
  busy.value = true
  failure.value = null
  try {
    await session.setUp({
      workshop: workshop.value,
      owner: way.value === 'people' ? owner.value : null,
      ruleSetId: ruleSetId.value,
    })
  } catch (error) {
    failure.value = failureOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main class="first">
    <form @submit.prevent="begin">
      <h1>{{ t('people.firstStart') }}</h1>
      <p class="quiet">{{ t('people.firstStartLead') }}</p>
      <div class="languages" role="group">
        <v-btn
          v-for="l in LANGUAGES"
          :key="l"
          :lang="l"
          height="44"
          :variant="l === language() ? 'flat' : 'outlined'"
          :aria-pressed="l === language()"
          @click="l === language() || speak(l)"
          >{{ LANGUAGE_NAMES[l] }}</v-btn
        >
      </div>
      <v-text-field
        v-model="workshop"
        :label="t('people.workshop')"
        maxlength="120"
        :error-messages="wrong('workshop')"
        class="mb-4"
      />
      <UsualRules v-model="ruleSetId" :rule-sets="rules.all" :error="wrong('ruleSetId')" class="mb-6" />
      <v-radio-group v-model="way" :label="t('people.howIsItUsed')">
        <v-radio value="alone"
          ><template #label
            ><span
              ><b>{{ t('people.aloneHere') }}</b
              ><br /><span class="quiet">{{ t('people.aloneHereHint') }}</span></span
            ></template
          ></v-radio
        >
        <v-radio value="people"
          ><template #label
            ><span
              ><b>{{ t('people.withPeople') }}</b
              ><br /><span class="quiet">{{ t('people.withPeopleHint') }}</span></span
            ></template
          ></v-radio
        >
      </v-radio-group>
      <OwnerFields v-if="way === 'people'" v-model="owner" :wrong="field => wrong(`owner.${field}`)" />
      <p v-if="failure && !failure.field" class="care" role="alert">{{ failure.words }}</p>
      <v-btn
        type="submit"
        size="large"
        variant="flat"
        color="primary"
        :disabled="busy || !workshop.trim() || (way === 'people' && (!owner.name.trim() || !owner.password))"
        >{{ t('people.begin') }}</v-btn
      >
    </form>
  </main>
</template>

<style scoped>
.first {
  max-width: 640px;
  margin: 0 auto;
  padding: 32px 20px;
  height: 100dvh;
  overflow-y: auto;
}
.languages {
  display: flex;
  gap: 10px;
  margin: 16px 0 22px;
}
.first :deep(.v-radio .v-label) {
  opacity: 1;
  padding: 6px 0;
}
</style>

<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { onMounted, ref } from 'vue'
import { useHead } from '#imports'
import { RULE_SETS } from '#core/rules'
import type { OwnRuleSet, RuleSetBody } from '#shared/ruleSet'
import { toBody } from '#shared/ownRuleSet'
import RuleSetForm from '~/features/rules/components/RuleSetForm.vue'
import RuleSetText from '~/features/rules/components/RuleSetText.vue'
import UsualRules from '~/features/rules/components/UsualRules.vue'
import SchoolList from '~/features/rules/components/SchoolList.vue'
import { useSessionStore } from '~/features/people/store/session'
import { useRulesStore } from '~/features/rules/store/rules'
import { failureOf } from '~/data/failureWords'

/**
 * What is allowed, with its source and date; sets of one's own for what a licence or another country says.
 */
const store = useRulesStore()
const session = useSessionStore()
const editing = ref<{ set: OwnRuleSet | null; body: RuleSetBody } | null>(null)
const failure = ref<string | null>(null)

async function keep(body: RuleSetBody) {
  failure.value = (await store.keep(editing.value!.set, body))?.words ?? null
  if (!failure.value) editing.value = null
}
async function choose(ruleSetId: string | null) {
  failure.value = await session.chooseRules(ruleSetId).then(
    () => null,
    error => failureOf(error).words,
  )
}
function edit(set: OwnRuleSet | null, body: RuleSetBody) {
  failure.value = null
  editing.value = { set, body }
}
onMounted(() => {
  void store.load()
  void store.loadSchools()
})
useHead({ title: t('rules.ruleSetsAndWorkshopPractice') })
</script>

<template>
  <div class="page">
    <h1>{{ t('rules.ruleSetsAndWorkshopPractice') }}</h1>
    <template v-if="editing">
      <RuleSetForm :initial="editing.body" :failure="failure" @done="keep" @cancel="editing = null" />
    </template>
    <template v-else>
      <p class="lead">
        {{ t('rules.everyJobIsJudgedByOne') }}
      </p>
      <UsualRules
        :model-value="session.me.ruleSetId"
        :rule-sets="store.all"
        :error="failure ?? undefined"
        class="usual"
        @update:model-value="choose"
      />
      <section v-for="o in store.own" :key="o.id">
        <RuleSetText :set="store.of(o.id)!" /><v-btn @click="edit(o, o.body)">{{ t('common.edit') }}</v-btn>
      </section>
      <section v-for="r in withTextsTranslated(RULE_SETS)" :key="r.id">
        <RuleSetText :set="r" /><v-btn @click="edit(null, toBody(r))">{{ t('rules.copyRuleSet') }}</v-btn>
      </section>
      <SchoolList :choices="store.schools" @choose="store.chooseSchool" />
    </template>
  </div>
</template>

<style scoped>
.usual {
  max-width: 640px;
  margin: 0 0 20px;
}
section {
  border-top: 1px solid var(--line2);
  padding: 12px 0 16px;
}
</style>

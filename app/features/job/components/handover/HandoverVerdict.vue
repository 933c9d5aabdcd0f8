<script setup lang="ts">
import { computed } from 'vue'
import { compliances } from '#core/handover'
import type { RuleSet } from '#core/rules'
import type { RunState } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { complianceWords } from '#shared/words/handoverWords'
import { rulesWords } from '#shared/words/ownerWords'
import StateMark from '~/ui/gauge/StateMark.vue'

/** Whether the readings show that the set complies with the rules of the job, and with which. */
const props = defineProps<{ sheet: ModelSheet; rules: RuleSet; run: RunState }>()
const MARK = { 'met': 'inside', 'outside': 'above', 'not-shown': 'none', 'no-legal-rules': 'none' } as const
const verdicts = computed(() =>
  compliances(props.sheet, props.rules, props.run).map(found => ({
    found,
    legal: complianceWords(found, found.rules),
  })),
)
</script>

<template>
  <section v-for="{ found, legal } in verdicts" :key="found.rules.id" class="verdict">
    <StateMark aria-hidden="true" :mark="MARK[found.kind]" :size="20" />
    <div>
      <b>{{ legal.words }}</b>
      <ul v-if="legal.detail.length">
        <li v-for="d in legal.detail" :key="d">{{ d }}</li>
      </ul>
      <p class="quiet">{{ rulesWords(found.rules) }}</p>
    </div>
  </section>
</template>

<style scoped>
.verdict {
  display: flex;
  gap: 14px;
  border-top: 1px solid var(--line2);
  border-bottom: 1px solid var(--line2);
  padding: 12px 0;
  margin-top: 4px;
}
.verdict + .verdict {
  border-top: 0;
  margin-top: 0;
}
.verdict b {
  font-size: 17px;
}
.verdict p {
  margin: 4px 0 0;
  font-size: 13px;
}
</style>

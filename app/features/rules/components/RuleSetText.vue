<script setup lang="ts">
import { t } from '#shared/i18n'
import type { RuleSet } from '#core/rules'
import { maskWords, powerLimitWords } from '#shared/words/ruleWords'

defineProps<{ set: RuleSet }>()
</script>

<template>
  <div class="text">
    <h2>
      {{ set.name }} <span class="quiet fig">{{ set.id }}</span>
    </h2>
    <p class="quiet">
      {{
        t('rules.ruleSetSummary', {
          kind: set.kind === 'legal' ? t('rules.legalKind') : t('rules.workshopKind'),
          region: set.region,
          source: set.source,
          asOf: set.asOf,
          unverified: set.fromMemory ? t('rules.unverifiedCheckAgainstTheCurrentText') : '',
        })
      }}
    </p>
    <ul>
      <li v-for="l in set.limits" :key="l.id">
        <span class="fig">{{ l.id }}</span> {{ l.words }}
      </li>
      <li v-for="m in maskWords(set.mask)" :key="m">{{ m }}</li>
      <li v-for="p in powerLimitWords(set)" :key="p.id">
        <span class="fig">{{ p.id }}</span> {{ p.words }}
      </li>
      <li v-for="a in set.alsoSays" :key="a" class="quiet">{{ a }}</li>
    </ul>
  </div>
</template>

<style scoped>
h2 {
  margin: 0;
}
p {
  margin: 2px 0;
}
ul {
  margin: 4px 0 10px;
}
</style>

<script setup lang="ts">
import { typedNumber } from '#core/quantity'
import { t, translated } from '#shared/i18n'
import { computed, ref } from 'vue'
import { STATEMENTS, checkStatement, statementKind } from '#core/diagnose'
import { statementWords } from '#shared/words/statementWords'
import StateMark from '~/ui/gauge/StateMark.vue'

/** Figures that somebody told you: possible or not, by two or three numbers. */
const id = ref(STATEMENTS[0]!.id)
const texts = ref<string[]>([])
const kind = computed(() => statementKind(id.value))
const values = computed(() =>
  kind.value.fields.map((_, i) => typedNumber(texts.value[i] ?? '') ?? Number.NaN),
)
const checked = computed(() =>
  values.value.every(Number.isFinite) ? checkStatement(id.value, values.value) : null,
)
const MARKS = { possible: 'inside', doubtful: 'cannot-tell', impossible: 'above' } as const
</script>

<template>
  <section class="check labelled" :aria-label="t('findings.checkAStatement')">
    <h2>{{ t('findings.plausibilityCheck') }}</h2>
    <p class="quiet">{{ t('findings.forFiguresFromTheOwnerAnother') }}</p>
    <div class="fields">
      <label
        >{{ t('findings.statement')
        }}<select v-model="id" @change="texts = []">
          <option v-for="s in STATEMENTS" :key="s.id" :value="s.id">{{ translated(s.title) }}</option>
        </select></label
      >
      <label v-for="(f, i) in kind.fields" :key="f.id"
        >{{ translated(f.label) }}{{ f.unit ? `, ${f.unit}` : ''
        }}<input v-model="texts[i]" class="fig" inputmode="decimal" autocomplete="off"
      /></label>
    </div>
    <p v-if="checked" class="answer" role="status">
      <StateMark aria-hidden="true" :mark="MARKS[checked.verdict]" /> {{ statementWords(kind, checked) }}
      <span class="quiet">{{ checked.rule }}</span>
    </p>
  </section>
</template>

<style scoped>
.check {
  border-top: 1px solid var(--line2);
  margin-top: 18px;
  padding-top: 12px;
}
h2 {
  margin: 0;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 6px;
}
.answer {
  display: flex;
  gap: 8px;
  align-items: center;
  font-weight: 600;
}
</style>

<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { SCHOOLS, type School, type SchoolChoices } from '#core/sheet'
import FoldedSection from '~/ui/frame/FoldedSection.vue'

/** Where practitioners differ: the default with its reason, and the side this shop takes. */
const props = defineProps<{ choices: SchoolChoices }>()
const emit = defineEmits<{ choose: [schoolId: string, optionId: string] }>()
/** A side that there is no more is no choice. */
const sideOf = ({ id, options, defaultId }: School) =>
  options.find(o => o.id === props.choices[id])?.id ?? defaultId
const acting = withTextsTranslated(SCHOOLS.filter(s => s.acts))
const others = withTextsTranslated(SCHOOLS.filter(s => !s.acts))
const usual = ({ options, defaultId }: School) => options.find(o => o.id === defaultId)!.words
</script>

<template>
  <section :aria-label="t('rules.workshopPractice')">
    <h2>{{ t('rules.workshopPractice') }}</h2>
    <p class="quiet">
      {{ t('rules.wherePractitionersDiffer') }}
    </p>
    <fieldset v-for="s in acting" :key="s.id">
      <legend>{{ s.question }}</legend>
      <label v-for="o in s.options" :key="o.id"
        ><input
          type="radio"
          :name="s.id"
          :value="o.id"
          :checked="sideOf(s) === o.id"
          @change="emit('choose', s.id, o.id)"
        /><span
          >{{ o.words }}{{ ' '
          }}<span v-if="o.id === s.defaultId" class="quiet">{{
            t('rules.defaultWord', { because: s.because })
          }}</span></span
        ></label
      >
    </fieldset>
    <FoldedSection
      :title="t('rules.whereElseTheyDiffer')"
      :state="t('rules.ofPractices', { count: others.length })"
    >
      <p class="quiet">{{ t('rules.noChoice') }}</p>
      <dl>
        <template v-for="s in others" :key="s.id">
          <dt>{{ s.question }}</dt>
          <dd>
            {{ usual(s) }} <span class="quiet">{{ t('rules.defaultWord', { because: s.because }) }}</span>
          </dd>
        </template>
      </dl>
    </FoldedSection>
  </section>
</template>

<style scoped>
section {
  border-top: 1px solid var(--line2);
  padding-top: 12px;
}
h2 {
  margin: 0;
}
fieldset {
  border: 0;
  border-bottom: 1px solid var(--line);
  padding: 8px 0;
  margin: 0;
}
legend {
  font-weight: 600;
  padding: 0;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
input {
  flex: none;
}
dt {
  font-weight: 600;
  margin-top: 8px;
}
dd {
  margin: 0;
}
</style>

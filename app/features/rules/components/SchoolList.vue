<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { SCHOOLS, type SchoolChoices } from '#core/sheet'

/** Where practitioners differ: the default with its reason, and the side this shop takes. */
defineProps<{ choices: SchoolChoices }>()
const emit = defineEmits<{ choose: [schoolId: string, optionId: string] }>()
</script>

<template>
  <section :aria-label="t('rules.workshopPractice')">
    <h2>{{ t('rules.workshopPractice') }}</h2>
    <p class="quiet">
      {{ t('rules.wherePractitionersDifferOptionsMarkedApplied') }}
    </p>
    <fieldset v-for="s in withTextsTranslated(SCHOOLS)" :key="s.id">
      <legend>
        <span class="fig">{{ s.id }}</span> {{ s.question }}
        <span v-if="s.acts" class="acts">{{ t('rules.applied') }}</span>
      </legend>
      <label v-for="o in s.options" :key="o.id"
        ><input
          type="radio"
          :name="s.id"
          :value="o.id"
          :checked="(choices[s.id] ?? s.defaultId) === o.id"
          @change="emit('choose', s.id, o.id)"
        /><span
          >{{ o.words
          }}<span v-if="o.id === s.defaultId" class="quiet">
            {{ t('rules.defaultWord', { because: s.because }) }}</span
          ></span
        ></label
      >
    </fieldset>
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
.acts {
  font-weight: 400;
  font-size: 12.5px;
  border: 1px solid var(--edge);
  border-radius: 10px;
  padding: 0 8px;
  margin-left: 6px;
}
</style>

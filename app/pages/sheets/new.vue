<script setup lang="ts">
import { localDay } from '#shared/words/dateWords'
import { t, withTextsTranslated } from '#shared/i18n'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { navigateTo, useHead, useRoute } from '#imports'
import { SHEET_TEMPLATES, blankSheet, fromTemplate, type ModelSheet } from '#core/sheet'
import SheetEditor from '~/features/sheet/screens/SheetEditor.vue'
import { readDraft } from '~/features/sheet/logic/useSheetDraft'
import { sheetIdOf } from '#shared/sheet/sheetId'
import { useSheetsStore } from '~/features/sheet/store/sheets'
import { vFocus } from '../../ui/vFocus'

/** A sheet from nothing, from a family, or from one that is here. */
const route = useRoute()
const store = useSheetsStore()
const model = ref('')
const from = ref('')
const initial = shallowRef<ModelSheet | null>(null)
const problem = ref('')
const today = localDay(Date.now())
const copyOf = computed(() => (typeof route.query.copy === 'string' ? route.query.copy : null))
const choices = computed(() => [
  {
    id: '',
    name: t('sheet.emptySheet'),
    what: t('sheet.oneAsFoundRowOneStep'),
  },
  ...withTextsTranslated(SHEET_TEMPLATES),
])

async function begin() {
  problem.value = ''
  if (model.value.trim() === '') return void (problem.value = t('sheet.modelUseTheNameOnThe'))
  const id = sheetIdOf(model.value)
  if (store.summary(id)) return void (problem.value = t('sheet.sheetExistsCorrectThatOneOr', { id }))
  const like = copyOf.value ? (await store.view(copyOf.value))?.sheet : null
  if (copyOf.value && !like)
    return void (problem.value = store.failure?.words ?? t('sheet.theSheetToCopyWasNot'))
  const fresh = (name: string) =>
    from.value === '' ? blankSheet(id, name, today) : fromTemplate(from.value, id, name, today)
  const name = model.value.trim()
  initial.value = like ? { ...like, id, model: name, revision: 1, revisedOn: today } : fresh(name)
}
onMounted(() => {
  void store.load()
  // A new sheet that was written and not saved is taken up again.
  const name = typeof route.query.draft === 'string' ? route.query.draft : null
  const kept = name ? readDraft(name) : null
  if (kept) initial.value = kept.base
})
useHead({ title: t('sheet.newSheet') })
</script>

<template>
  <div class="page">
    <h1>{{ initial ? initial.model : t('sheet.newSheet') }}</h1>
    <SheetEditor v-if="initial" :initial="initial" is-new @saved="s => navigateTo(`/sheets/${s.id}`)" />
    <form v-else novalidate @submit.prevent="begin">
      <p class="lead">
        {{
          copyOf
            ? t('sheet.aCopyOfEverythingCanBe', { nameOf: store.nameOf(copyOf) })
            : t('sheet.beginFromTheFamilyTheSet')
        }}
      </p>
      <v-text-field
        v-model="model"
        v-focus
        :label="t('common.model')"
        maxlength="100"
        class="model"
        :error-messages="problem || undefined"
      />
      <fieldset v-if="!copyOf">
        <legend>{{ t('sheet.beginFrom') }}</legend>
        <label v-for="c in choices" :key="c.id" class="choice" :class="{ on: from === c.id }"
          ><input v-model="from" type="radio" name="from" :value="c.id" /><b>{{ c.name }}</b
          ><span class="quiet">{{ c.what }}</span></label
        >
      </fieldset>
      <v-btn type="submit" size="large" variant="flat" color="primary" class="mt-4">{{
        t('sheet.createSheet')
      }}</v-btn>
    </form>
  </div>
</template>

<style scoped>
.model {
  max-width: 420px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  font-weight: 650;
  margin-bottom: 4px;
}
.choice {
  display: grid;
  grid-template-columns: 28px 260px 1fr;
  align-items: baseline;
  gap: 8px;
  min-height: 44px;
  padding: 10px 4px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}
.choice.on {
  box-shadow: inset 3px 0 0 var(--accent);
  background: var(--sheet);
}
@media (max-width: 700px) {
  .choice {
    grid-template-columns: 28px 1fr;
  }
  .choice .quiet {
    grid-column: 2;
  }
}
</style>

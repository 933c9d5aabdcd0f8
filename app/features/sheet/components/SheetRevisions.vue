<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { computed, ref, shallowRef } from 'vue'
import { compareSheets, type ModelSheet } from '#core/sheet'
import type { RevisionInfo } from '#shared/sheetFile'
import { dayAndTime } from '#shared/words/dateWords'
import { differenceName, fieldValueWords, fieldPathWords } from '#shared/words/sheetWords'
import { jobTag } from '#shared/jobTag'

/** Who changed what, when and why; any two revisions side by side. */
const props = defineProps<{
  id: string
  revisions: readonly RevisionInfo[]
  revision: (id: string, n: number) => Promise<ModelSheet | null>
}>()
const numbers = computed(() => props.revisions.map(r => r.revision))
const left = ref(numbers.value[1] ?? numbers.value[0]!)
const right = ref(numbers.value[0]!)
const shown = shallowRef<{ before: ModelSheet; after: ModelSheet } | null>(null)
const differences = computed(() => (shown.value ? compareSheets(shown.value.before, shown.value.after) : []))
async function compare() {
  const [before, after] = await Promise.all([
    props.revision(props.id, left.value),
    props.revision(props.id, right.value),
  ])
  shown.value = before && after ? { before, after } : null
}
</script>

<template>
  <section>
    <table class="plain">
      <thead>
        <tr>
          <th>{{ t('sheet.revision') }}</th>
          <th>{{ t('sheet.whenWho') }}</th>
          <th>{{ t('sheet.whatAndWhy') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in revisions" :key="r.revision">
          <td class="fig">{{ r.revision }}</td>
          <td>
            {{ r.revisedAtMs === null ? '' : dayAndTime(r.revisedAtMs) }}<br /><span class="quiet">{{
              r.who
            }}</span>
          </td>
          <td>
            <div v-for="c in r.changes" :key="c.line">
              <b>{{ fieldPathWords(c.line) }}</b>: <del>{{ fieldValueWords(c.from) }}</del>
              {{ fieldValueWords(c.to) }}
            </div>
            <span class="quiet">{{ r.reason }}</span>{{ ' ' }}
            <NuxtLink v-if="r.jobId && r.jobNumber !== null" :to="`/jobs/${r.jobId}/align`">{{
              t('sheet.on', { jobTag: jobTag(r.jobNumber) })
            }}</NuxtLink>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="numbers.length > 1" class="compare no-print">
      <label
        >{{ t('sheet.revision') }}
        <select v-model.number="left">
          <option v-for="n in numbers" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
      <label
        >{{ t('sheet.beside') }}
        <select v-model.number="right">
          <option v-for="n in numbers" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
      <v-btn height="44" @click="compare">{{ t('sheet.compare') }}</v-btn>
    </div>
    <div v-if="shown" class="scroll" tabindex="0">
      <p v-if="differences.length === 0" class="quiet">{{ t('sheet.theRevisionsAreIdentical') }}</p>
      <table v-else class="plain">
        <thead>
          <tr>
            <th>{{ t('sheet.where') }}</th>
            <th>{{ t('sheet.revisionNumber', { revision: shown.before.revision }) }}</th>
            <th>{{ t('sheet.revisionNumber', { revision: shown.after.revision }) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="d in differences" :key="d.part + d.name + d.field">
            <td>
              <b>{{ differenceName(d) }}</b>
            </td>
            <td>{{ d.before === undefined ? t('sheet.notPresent') : translated(d.before) }}</td>
            <td>{{ d.after === undefined ? t('sheet.removed') : translated(d.after) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.compare {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-top: 10px;
  flex-wrap: wrap;
}
select {
  min-width: 64px;
}
td {
  overflow-wrap: anywhere;
}
del {
  color: var(--ink2);
}
.scroll {
  overflow-x: auto;
}
</style>

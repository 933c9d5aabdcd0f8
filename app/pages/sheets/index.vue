<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, onMounted, ref } from 'vue'
import { useHead } from '#imports'
import { discardDraft, listDrafts, type DraftEntry } from '~/features/sheet/logic/useSheetDraft'
import { useNotice } from '../../ui/useNotice'
import { useSheetsStore } from '~/features/sheet/store/sheets'

const store = useSheetsStore()
const { said, say } = useNotice()
const search = ref('')
const file = ref<HTMLInputElement | null>(null)
const found = computed(() => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean)
  return store.list.filter(s => words.every(w => `${s.model} ${s.description}`.toLowerCase().includes(w)))
})
async function take(files: FileList | null | undefined) {
  const [chosen] = files ?? []
  if (!chosen) return
  const done = await store.importFile(chosen)
  if (!done) return say(store.failure!.words, 'problem')
  await store.load()
  say(
    {
      new: t('sheet.importedRevision', { nameOf: store.nameOf(done.id), revision: done.revision }),
      revision: t('sheet.theFileBecameRevision', { nameOf: store.nameOf(done.id), revision: done.revision }),
      same: t('sheet.isIdenticalToTheSheetAlready', { nameOf: store.nameOf(done.id) }),
    }[done.kind],
  )
}
const drafts = ref<readonly DraftEntry[]>([])
function discard(name: string) {
  discardDraft(name)
  drafts.value = listDrafts()
}
onMounted(() => {
  void store.load()
  drafts.value = listDrafts()
})
useHead({ title: t('sheet.sheets') })
</script>

<template>
  <div class="page" @dragover.prevent @drop.prevent="take($event.dataTransfer?.files)">
    <div class="top">
      <h1>{{ t('sheet.serviceSheets') }}</h1>
      <label class="find"
        >{{ t('sheet.find') }} <input v-model="search" type="search" :placeholder="t('sheet.modelKind')"
      /></label>
      <v-btn height="44" @click="file?.click()">{{ t('sheet.importASheet') }}</v-btn>
      <v-btn height="44" variant="flat" color="primary" to="/sheets/new">{{ t('sheet.newSheet') }}</v-btn>
      <input
        ref="file"
        type="file"
        accept="application/json,.json"
        class="sr"
        :aria-label="t('sheet.sheetFile')"
        @change="take(($event.target as HTMLInputElement).files)"
      />
    </div>
    <p class="lead">
      {{ t('sheet.whichAdjusterSetsWhatWhereIt') }}
      <NuxtLink to="/rules">{{ t('sheet.ruleSetsAndWorkshopPractice') }}</NuxtLink>.
    </p>
    <p class="said" role="status" :class="said?.kind">{{ said?.text }}</p>
    <section v-if="drafts.length > 0" :aria-label="t('sheet.draftsInThisBrowser')">
      <h2>{{ t('sheet.notSavedYet') }}</h2>
      <div v-for="d in drafts" :key="d.name" class="draft">
        <b>{{ d.model }}</b><span class="quiet">{{
          t('sheet.linesInThisBrowserOnly', {
            what: d.isNew ? t('sheet.newSheetDraft') : t('sheet.changesToASheet'),
            lines: d.lines,
          })
        }}</span>
        <v-btn height="44" :to="d.isNew ? `/sheets/new?draft=${d.name}` : `/sheets/${d.name}/edit`">{{
          t('sheet.open')
        }}</v-btn><v-btn height="44" @click="discard(d.name)">{{ t('common.discard') }}</v-btn>
      </div>
    </section>
    <NuxtLink v-for="s in found" :key="s.id" :to="`/sheets/${s.id}`" class="sheet"
      ><b>{{ s.model }}</b
      ><span>{{ s.description }}</span
      ><span class="quiet"
        >{{ t('sheet.adjustersStepsJobs', { adjusters: s.adjusters, steps: s.steps, jobs: s.jobs }) }}<br />{{
          t('sheet.revisionOfDay', {
            revision: s.revision,
            revisedOn: s.revisedOn,
            what: s.shipped ? '' : t('sheet.writtenHere'),
          })
        }}</span
      ></NuxtLink
    >
    <p v-if="found.length === 0 && store.list.length > 0" class="lead">
      {{ t('sheet.noSheetMatchesCreateOneFrom', { search }) }}
    </p>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
  gap: 14px;
  flex-wrap: wrap;
  margin-bottom: 8px;
}
.find {
  margin-left: auto;
  font-size: 13px;
  color: var(--ink2);
}
.find input {
  width: 200px;
  margin-left: 8px;
}
.said {
  min-height: 22px;
  margin: 0;
  font-weight: 600;
}
.said.problem {
  color: var(--out);
}
.said.ok {
  color: var(--in);
}
.sheet {
  display: grid;
  grid-template-columns: 180px 1fr auto;
  gap: 20px;
  padding: 14px 4px;
  min-height: 56px;
  border-bottom: 1px solid var(--line);
  color: inherit;
  text-decoration: none;
  align-items: baseline;
}
.sheet:hover {
  background: var(--sheet);
}
.sheet b {
  font-size: 16px;
}
.sheet > .quiet {
  text-align: right;
}
@media (max-width: 700px) {
  .sheet {
    grid-template-columns: 1fr;
    gap: 2px;
  }
  .sheet > .quiet {
    text-align: left;
  }
}
.draft {
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
  min-height: 52px;
  border-bottom: 1px solid var(--line);
}
.draft .quiet {
  flex: 1;
}
</style>

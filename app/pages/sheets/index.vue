<script setup lang="ts">
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
      new: `${store.nameOf(done.id)} imported, revision ${done.revision}.`,
      revision: `${store.nameOf(done.id)}: the file became revision ${done.revision}.`,
      same: `${store.nameOf(done.id)} is identical to the sheet already here.`,
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
useHead({ title: 'Sheets' })
</script>

<template>
  <div class="page" @dragover.prevent @drop.prevent="take($event.dataTransfer?.files)">
    <div class="top">
      <h1>Service sheets</h1>
      <label class="find">Find <input v-model="search" type="search" placeholder="model, kind" /></label>
      <v-btn height="44" @click="file?.click()">Import a sheet</v-btn>
      <v-btn height="44" variant="flat" color="primary" to="/sheets/new">New sheet</v-btn>
      <input
        ref="file"
        type="file"
        accept="application/json,.json"
        class="sr"
        aria-label="sheet file"
        @change="take(($event.target as HTMLInputElement).files)"
      />
    </div>
    <p class="lead">
      Which adjuster sets what, where it is and with which tool; what is measured, in which order, and why.
      See also
      <NuxtLink to="/rules">rule sets and workshop practice</NuxtLink>.
    </p>
    <p class="said" role="status" :class="said?.kind">{{ said?.text }}</p>
    <section v-if="drafts.length > 0" aria-label="Drafts in this browser">
      <h2>Not saved yet</h2>
      <div v-for="d in drafts" :key="d.name" class="draft">
        <b>{{ d.model }}</b><span class="quiet"
          >{{ d.isNew ? 'new sheet' : 'changes to a sheet' }}, {{ d.lines }}
          {{ d.lines === 1 ? 'line' : 'lines' }}, in this browser only</span
        >
        <v-btn height="44" :to="d.isNew ? `/sheets/new?draft=${d.name}` : `/sheets/${d.name}/edit`"
          >Open</v-btn
        ><v-btn height="44" @click="discard(d.name)">Discard</v-btn>
      </div>
    </section>
    <NuxtLink v-for="s in found" :key="s.id" :to="`/sheets/${s.id}`" class="sheet"
      ><b>{{ s.model }}</b
      ><span>{{ s.description }}</span
      ><span class="quiet"
        >{{ s.adjusters }} adjusters, {{ s.steps }} steps, {{ s.jobs }} {{ s.jobs === 1 ? 'job' : 'jobs'
        }}<br />revision {{ s.revision }} of {{ s.revisedOn }}{{ s.shipped ? '' : ', written here' }}</span
      ></NuxtLink
    >
    <p v-if="found.length === 0 && store.list.length > 0" class="lead">
      No sheet matches "{{ search }}". Create one from the family the set belongs to.
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
  height: 44px;
  width: 200px;
  margin-left: 8px;
  padding: 0 12px;
  font: inherit;
  font-size: 15px;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--edge);
  border-radius: 6px;
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

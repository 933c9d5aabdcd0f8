<script setup lang="ts">
import Papa from 'papaparse'
import { computed, ref } from 'vue'
import { withAdjusterTable, type TableProblem, type TableRow } from '../../core/formats'
import type { BoardSide, ModelSheet } from '../../core/sheet'
import { differenceName, sheetProblemWords } from '../../shared/words/sheetWords'
import AdjusterList from '../components/sheet/edit/AdjusterList.vue'
import BoardEdit from '../components/sheet/edit/BoardEdit.vue'
import OtherLists from '../components/sheet/edit/OtherLists.vue'
import PointList from '../components/sheet/edit/PointList.vue'
import SchemeFields from '../components/sheet/edit/SchemeFields.vue'
import SetFields from '../components/sheet/edit/SetFields.vue'
import StepList from '../components/sheet/edit/StepList.vue'
import { useSaid } from '../composables/useSaid'
import { useSheetDraft } from '../composables/useSheetDraft'
import { useWho } from '../composables/useWho'
import { blankSheet } from '../../core/sheet'
import { useRulesStore } from '../stores/rules'
import { useSheetsStore } from '../stores/sheets'

/** A sheet being written: parts as tabs, what does not hold together named below, every change undoable, kept in this browser until it is saved. */
const props = defineProps<{ initial: ModelSheet, isNew: boolean }>()
const emit = defineEmits<{ saved: [sheet: ModelSheet] }>()
const store = useSheetsStore()
const rules = useRulesStore()
const { said, say } = useSaid()
const who = useWho()
const reason = ref('')
const saving = ref(false)
const uploading = ref(false)
const TABS = ['Set', 'Adjusters', 'Board', 'As found', 'Procedure', 'Oscillators', 'Other'] as const
const tab = ref<typeof TABS[number]>('Set')
const draft = useSheetDraft(props.isNew ? 'new' : props.initial.id)
draft.begin(props.initial)
void rules.load()
const sheet = computed(() => draft.draft.value!)
const fresh = computed(() => sheet.value.matrix[0] ?? blankSheet('x', 'x', '2000-01-01').matrix[0]!)
const TABLE_WORDS: Readonly<Record<TableProblem['why'], string>> = { 'no-designator': 'has no designator', 'unknown-kind': 'has an unknown kind', 'unknown-role': 'has an unknown role', 'named-twice': 'names one twice', 'too-long': 'is too long' }

async function readTable(file: File) {
  const { data, errors } = Papa.parse<TableRow>(await file.text(), { header: true, skipEmptyLines: 'greedy' })
  if (data.length === 0) return say(`Nothing was read: ${errors[0]?.message ?? 'the table is empty'}. The first line names the columns.`, 'problem')
  const { adjusters, problems, added, changed } = withAdjusterTable(sheet.value.adjusters, data)
  if (added + changed > 0) draft.change({ adjusters })
  say([`${added} added, ${changed} brought up to date.`, ...problems.slice(0, 3).map(p => `Row ${p.row} ${TABLE_WORDS[p.why]}${p.value ? ` ("${p.value}")` : ''}.`)].join(' '), problems.length > 0 ? 'problem' : 'ok')
}
async function photo(file: File, side: BoardSide) {
  uploading.value = true
  const kept = await store.keepPicture(file)
  uploading.value = false
  if (!kept) return say(store.failure!.words, 'problem')
  draft.change({ boards: [...(sheet.value.boards ?? []).filter(b => b.side !== side), { side, drawing: null, pictureId: kept.id }] })
}
async function save() {
  if (draft.problems.value.length > 0) return say(sheetProblemWords(draft.problems.value[0]!), 'problem')
  if (!props.isNew && reason.value.trim() === '') return say('Say why in a few words: whoever uses the sheet next wants to know.', 'problem')
  saving.value = true
  const kept = props.isNew ? await store.add(sheet.value, who.value.trim(), reason.value.trim()) : await store.revise(sheet.value, props.initial.revision, who.value.trim(), reason.value.trim())
  saving.value = false
  if (!kept) return say(`${store.failure!.words}`, 'problem')
  draft.forget()
  emit('saved', kept)
}
</script>

<template>
  <div>
    <p v-if="draft.recovered.value" class="care">This is what you wrote last time and did not save. <button type="button" class="link" @click="draft.startOver">Start over from the saved sheet</button></p>
    <v-tabs v-model="tab" show-arrows density="comfortable" color="primary"><v-tab v-for="t in TABS" :key="t" :value="t">{{ t }}</v-tab></v-tabs>
    <div class="part">
      <SetFields v-if="tab === 'Set'" :sheet="sheet" :rules="rules.all" :is-new="isNew" @change="draft.change" />
      <AdjusterList v-else-if="tab === 'Adjusters'" :adjusters="sheet.adjusters" @change="adjusters => draft.change({ adjusters })" @table="readTable" />
      <BoardEdit v-else-if="tab === 'Board'" :sheet="sheet" :uploading="uploading" @change="draft.change" @photo="photo" />
      <PointList v-else-if="tab === 'As found'" :points="sheet.matrix" :plan-id="sheet.planId" :steps="sheet.procedure.map(s => s.id)" :fresh="fresh" @change="matrix => draft.change({ matrix })" />
      <StepList v-else-if="tab === 'Procedure'" :sheet="sheet" :fresh="fresh" @change="procedure => draft.change({ procedure })" @say="w => say(w, 'problem')" />
      <SchemeFields v-else-if="tab === 'Oscillators'" :sheet="sheet" @change="draft.change" />
      <OtherLists v-else :sheet="sheet" @change="draft.change" />
    </div>
    <footer class="save">
      <p class="said" role="status" :class="said?.kind ?? (draft.problems.value.length > 0 ? 'problem' : '')">{{ said?.text ?? (draft.problems.value[0] ? sheetProblemWords(draft.problems.value[0]) : '') }}<span v-if="!said && draft.problems.value.length > 1" class="quiet"> and {{ draft.problems.value.length - 1 }} more</span></p>
      <div class="line">
        <v-btn height="44" :disabled="!draft.canUndo.value" @click="draft.undo">Undo</v-btn><v-btn height="44" :disabled="!draft.canRedo.value" @click="draft.redo">Redo</v-btn>
        <span class="quiet changes" :title="draft.differences.value.map(differenceName).join('\n')">{{ draft.differences.value.length }} {{ draft.differences.value.length === 1 ? 'line changed' : 'lines changed' }}</span>
        <v-text-field v-model="who" class="who" label="Who" maxlength="60" hide-details /><v-text-field v-model="reason" class="why" label="Why" maxlength="500" hide-details />
        <v-btn size="large" variant="flat" color="primary" :loading="saving" :disabled="!isNew && draft.differences.value.length === 0" @click="save">{{ isNew ? 'Save the sheet' : `Save as revision ${initial.revision + 1}` }}</v-btn>
      </div>
    </footer>
  </div>
</template>

<style scoped>
.part { padding: 16px 0 24px; min-height: 320px; }
.save { position: sticky; bottom: 0; background: var(--paper); border-top: 1px solid var(--line2); padding: 6px 0 10px; z-index: 3; }
.said { margin: 0; min-height: 22px; font-weight: 600; } .said.problem { color: var(--out); } .said.ok { color: var(--in); }
.line { display: flex; gap: 10px; align-items: center; flex-wrap: wrap; } .who { max-width: 160px; min-width: 110px; } .why { min-width: 200px; flex: 1; } .changes { white-space: nowrap; }
.link { font: inherit; color: var(--accent); background: none; border: 0; text-decoration: underline; cursor: pointer; min-height: 44px; }
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'
import Papa from 'papaparse'
import { computed, ref } from 'vue'
import { withAdjusterTable, type TableProblem, type TableRow } from '#core/record'
import {
  withoutAdjuster,
  withoutStep,
  type Adjuster,
  type BoardSide,
  type ModelSheet,
  type SheetProblem,
  type SheetReference,
  type Step,
} from '#core/sheet'
import { differenceName, sheetProblemWords } from '#shared/words/sheetWords'
import AdjusterList from '../components/edit/AdjusterList.vue'
import BoardEdit from '../components/edit/BoardEdit.vue'
import OtherLists from '../components/edit/OtherLists.vue'
import PointList from '../components/edit/PointList.vue'
import SchemeFields from '../components/edit/SchemeFields.vue'
import SetFields from '../components/edit/SetFields.vue'
import StepList from '../components/edit/StepList.vue'
import { useNotice } from '~/ui/useNotice'
import { newDraftName, useSheetDraft } from '../logic/useSheetDraft'
import { leftHanging, listEdit, problemPlace, withAdjusters, withProcedure } from '../logic/sheetEdits'
import ConflictList from '../components/edit/ConflictList.vue'
import RemovalDialog from '../components/edit/RemovalDialog.vue'
import { useWho } from '~/features/job/logic/useWho'
import { blankSheet } from '#core/sheet'
import { useRulesStore } from '~/features/rules/store/rules'
import { useSheetsStore } from '../store/sheets'

/**
 * A sheet being written: parts as tabs, what does not hold together named below, every change undoable, kept
 * in this browser until it is saved.
 */
const props = defineProps<{ initial: ModelSheet; isNew: boolean }>()
const emit = defineEmits<{ saved: [sheet: ModelSheet] }>()
const store = useSheetsStore()
const rules = useRulesStore()
const { said, say } = useNotice()
const who = useWho()
const reason = ref('')
const saving = ref(false)
const uploading = ref(false)
const TABS = {
  'Set': 'sheet.set',
  'Adjusters': 'sheet.adjusters',
  'Board': 'sheet.board',
  'As found': 'common.asFound',
  'Procedure': 'sheet.procedure',
  'Oscillators': 'sheet.oscillators',
  'Other': 'sheet.other',
} as const
const tab = ref<keyof typeof TABS>('Set')
const draft = useSheetDraft(props.isNew ? newDraftName(props.initial.id) : props.initial.id)
draft.begin(props.initial)
void rules.load()
const sheet = computed(() => draft.draft.value!)
const fresh = computed(() => sheet.value.matrix[0] ?? blankSheet('x', 'x', '2000-01-01').matrix[0]!)
const TABLE_WORDS: Readonly<Record<TableProblem['why'], string>> = {
  'no-designator': t('sheet.hasNoDesignator'),
  'unknown-kind': t('sheet.hasAnUnknownKind'),
  'unknown-role': t('sheet.hasAnUnknownRole'),
  'named-twice': t('sheet.namesOneTwice'),
  'too-long': t('sheet.isTooLong'),
}

async function readTable(file: File) {
  const { data, errors } = Papa.parse<TableRow>(await file.text(), { header: true, skipEmptyLines: 'greedy' })
  if (data.length === 0)
    return say(
      t('sheet.nothingImportedTheFirstLineNames', {
        message: errors[0]?.message ?? t('sheet.theTableIsEmpty'),
      }),
      'problem',
    )
  const { adjusters, problems, added, changed } = withAdjusterTable(sheet.value.adjusters, data)
  if (added + changed > 0) draft.change({ adjusters })
  say(
    [
      t('sheet.addedUpdated', { added, changed }),
      ...problems.slice(0, 3).map(p =>
        t('sheet.tableRowProblem', {
          row: p.row,
          table: TABLE_WORDS[p.why],
          what: p.value ? ` ("${p.value}")` : '',
        }),
      ),
    ].join(' '),
    problems.length > 0 ? 'problem' : 'ok',
  )
}
async function photo(file: File, side: BoardSide) {
  uploading.value = true
  const kept = await store.keepPicture(file)
  uploading.value = false
  if (!kept) return say(store.failure!.words, 'problem')
  draft.change({
    boards: [
      ...(sheet.value.boards ?? []).filter(b => b.side !== side),
      { side, drawing: null, pictureId: kept.id },
    ],
  })
}
/** Something that other places name, about to go. */
const removal = ref<{
  name: string
  list: 'adjusters' | 'procedure'
  references: readonly SheetReference[]
} | null>(null)
const openStep = ref<string | null>(null)

function changeList(
  list: 'adjusters' | 'procedure',
  before: readonly string[],
  after: readonly string[],
  next: () => ModelSheet,
) {
  const edit = listEdit(before, after)
  const references = edit?.kind === 'removed' ? leftHanging(sheet.value, list, edit.name) : []
  if (edit?.kind === 'removed' && references.length > 0)
    return void (removal.value = { name: edit.name, list, references })
  draft.change(next())
}
const changeAdjusters = (adjusters: Adjuster[]) =>
  changeList(
    'adjusters',
    sheet.value.adjusters.map(a => a.designator),
    adjusters.map(a => a.designator),
    () => withAdjusters(sheet.value, adjusters),
  )
const changeProcedure = (procedure: Step[]) =>
  changeList(
    'procedure',
    sheet.value.procedure.map(s => s.id),
    procedure.map(s => s.id),
    () => withProcedure(sheet.value, procedure),
  )
function removeAll() {
  const { name, list } = removal.value!
  draft.change(list === 'adjusters' ? withoutAdjuster(sheet.value, name) : withoutStep(sheet.value, name))
  removal.value = null
}
function goTo(problem: SheetProblem) {
  const place = problemPlace(problem)
  tab.value = place.tab
  openStep.value = place.stepId
}

async function save() {
  if (draft.conflicts.value.length > 0) return say(t('sheet.decideEachFieldThatBothChanged'), 'problem')
  if (draft.problems.value.length > 0) return say(sheetProblemWords(draft.problems.value[0]!), 'problem')
  if (!props.isNew && reason.value.trim() === '') return say(t('sheet.giveAShortReasonForThe'), 'problem')
  saving.value = true
  const kept = props.isNew
    ? await store.add(sheet.value, who.value.trim(), reason.value.trim())
    : await store.revise(sheet.value, draft.start.value!.revision, who.value.trim(), reason.value.trim())
  saving.value = false
  if (!kept) {
    say(store.failure!.words, 'problem')
    return store.failure!.code === 'changed-meanwhile' ? putTogether() : undefined
  }
  draft.forget()
  emit('saved', kept)
}
/** Somebody saved a revision meanwhile: what was written here is put together with it. */
async function putTogether() {
  const newest = (await store.view(props.initial.id))?.sheet
  if (newest) draft.begin(newest)
}
</script>

<template>
  <div>
    <p v-if="draft.recovered.value" class="care">
      {{ t('sheet.thisIsAnUnsavedDraftFrom') }}
      <button type="button" class="link" @click="draft.startOver">{{ t('sheet.discardTheDraft') }}</button>
    </p>
    <ConflictList
      v-if="draft.taken.value > 0"
      :conflicts="draft.conflicts.value"
      :taken="draft.taken.value"
      @decide="draft.decide"
    />
    <v-tabs v-model="tab" show-arrows density="comfortable" color="primary"
      ><v-tab v-for="(words, name) in TABS" :key="name" :value="name">{{ t(words) }}</v-tab></v-tabs
    >
    <div class="part">
      <SetFields
        v-if="tab === 'Set'"
        :sheet="sheet"
        :rules="rules.all"
        :is-new="isNew"
        @change="draft.change"
      />
      <AdjusterList
        v-else-if="tab === 'Adjusters'"
        :adjusters="sheet.adjusters"
        @change="changeAdjusters"
        @table="readTable"
      />
      <BoardEdit
        v-else-if="tab === 'Board'"
        :sheet="sheet"
        :uploading="uploading"
        @change="draft.change"
        @photo="photo"
      />
      <PointList
        v-else-if="tab === 'As found'"
        :points="sheet.matrix"
        :plan-id="sheet.planId"
        :steps="sheet.procedure.map(s => s.id)"
        :fresh="fresh"
        @change="matrix => draft.change({ matrix })"
      />
      <StepList
        v-else-if="tab === 'Procedure'"
        v-model:open="openStep"
        :sheet="sheet"
        :fresh="fresh"
        @change="changeProcedure"
        @say="w => say(w, 'problem')"
      />
      <SchemeFields v-else-if="tab === 'Oscillators'" :sheet="sheet" @change="draft.change" />
      <OtherLists v-else :sheet="sheet" @change="draft.change" />
    </div>
    <footer class="save">
      <p class="said" role="status" :class="said?.kind ?? (draft.problems.value.length > 0 ? 'problem' : '')">
        {{ said?.text ?? '' }}
      </p>
      <ul v-if="draft.problems.value.length > 0" class="problems" :aria-label="t('sheet.problemsOfTheSheet')">
        <li v-for="p in draft.problems.value.slice(0, 4)" :key="p.code + sheetProblemWords(p)">
          <button type="button" class="link" @click="goTo(p)">{{ sheetProblemWords(p) }}</button>
        </li>
        <li v-if="draft.problems.value.length > 4" class="quiet">
          {{ t('sheet.andMore', { count: draft.problems.value.length - 4 }) }}
        </li>
      </ul>
      <div class="line">
        <v-btn height="44" :disabled="!draft.canUndo.value" @click="draft.undo">{{
          t('sheet.undo')
        }}</v-btn><v-btn height="44" :disabled="!draft.canRedo.value" @click="draft.redo">{{
          t('sheet.redo')
        }}</v-btn>
        <span class="quiet changes" :title="draft.differences.value.map(differenceName).join('\n')"
          >{{ draft.differences.value.length }}
          {{ draft.differences.value.length === 1 ? t('sheet.lineChanged') : t('sheet.linesChanged') }}</span
        >
        <v-text-field
          v-model="who"
          class="who"
          :label="t('sheet.who')"
          maxlength="60"
          hide-details
        /><v-text-field v-model="reason" class="why" :label="t('sheet.why')" maxlength="500" hide-details />
        <v-btn
          size="large"
          variant="flat"
          color="primary"
          :loading="saving"
          :disabled="!isNew && draft.differences.value.length === 0"
          @click="save"
          >{{
            isNew
              ? t('sheet.saveTheSheet')
              : t('sheet.saveAsRevision', { revision: (draft.start.value?.revision ?? initial.revision) + 1 })
          }}</v-btn
        >
      </div>
    </footer>
    <RemovalDialog
      :name="removal?.name ?? null"
      :references="removal?.references ?? []"
      @close="removal = null"
      @clear="removeAll"
    />
  </div>
</template>

<style scoped>
.part {
  padding: 16px 0 24px;
  min-height: 320px;
}
.save {
  position: sticky;
  bottom: 0;
  background: var(--paper);
  border-top: 1px solid var(--line2);
  padding: 6px 0 10px;
  z-index: 3;
}
.said {
  margin: 0;
  min-height: 22px;
  font-weight: 600;
}
.said.problem {
  color: var(--out);
}
.said.ok {
  color: var(--in);
}
.line {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.who {
  max-width: 160px;
  min-width: 110px;
}
.why {
  min-width: 200px;
  flex: 1;
}
.changes {
  white-space: nowrap;
}
.problems {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 132px;
  overflow: auto;
}
.problems .link {
  text-align: left;
  color: var(--out);
  min-height: 32px;
}
.link {
  font: inherit;
  color: var(--accent);
  background: none;
  border: 0;
  text-decoration: underline;
  cursor: pointer;
  min-height: 44px;
}
</style>

<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import { planOf } from '#core/rules'
import { blankSheet, type ModelSheet, type SheetProblem } from '#core/sheet'
import AdjusterList from '../components/edit/AdjusterList.vue'
import BoardEdit from '../components/edit/BoardEdit.vue'
import ConflictList from '../components/edit/ConflictList.vue'
import OtherLists from '../components/edit/OtherLists.vue'
import PointList from '../components/edit/PointList.vue'
import PowerControls from '../components/edit/PowerControls.vue'
import RemovalDialog from '../components/edit/RemovalDialog.vue'
import SaveBar from '../components/edit/SaveBar.vue'
import SchemeFields from '../components/edit/SchemeFields.vue'
import SetFields from '../components/edit/SetFields.vue'
import StepList from '../components/edit/StepList.vue'
import { useNotice } from '~/ui/useNotice'
import { importAdjusterTable } from '../logic/adjusterTable'
import { SHEET_TABS, problemPlace, type SheetTab } from '../logic/sheetEdits'
import { useNamedLists } from '../logic/useNamedLists'
import { newDraftName, useSheetDraft } from '../logic/useSheetDraft'
import { useRulesStore } from '~/features/rules/store/rules'
import { useSheetSaving } from '../store/useSheetSaving'

/**
 * A sheet being written: parts as tabs, what does not hold together named below, every change undoable, kept
 * in this browser until it is saved.
 */
const props = defineProps<{ initial: ModelSheet; isNew: boolean }>()
const emit = defineEmits<{ saved: [sheet: ModelSheet] }>()
const rules = useRulesStore()
const { said, say } = useNotice()
const draft = useSheetDraft(props.isNew ? newDraftName(props.initial.id) : props.initial.id)
draft.begin(props.initial)
void rules.load()
const sheet = computed(() => draft.draft.value!)
const fresh = computed(() => sheet.value.matrix[0] ?? blankSheet('x', 'x', '2000-01-01').matrix[0]!)
const { removal, changeAdjusters, changeProcedure, keepAll, removeAll } = useNamedLists(
  () => sheet.value,
  draft.change,
)
const saver = useSheetSaving(draft, props.isNew, say)
const { who, reason, saving, uploading, addPhoto } = saver
const tab = ref<SheetTab>('set')
const openStep = ref<string | null>(null)

async function readTable(file: File) {
  const { adjusters, words, isWhole } = importAdjusterTable(await file.text(), sheet.value.adjusters)
  if (adjusters) draft.change({ adjusters })
  say(words, isWhole ? 'ok' : 'problem')
}
function goTo(problem: SheetProblem) {
  const there = problemPlace(problem)
  tab.value = there.tab
  openStep.value = there.stepId
}
async function save() {
  const saved = await saver.save()
  if (saved) emit('saved', saved)
}
</script>

<template>
  <div>
    <p v-if="draft.recovered.value" class="care">
      {{ t('sheet.thisIsAnUnsavedDraftFrom') }}
      <button type="button" class="text-button" @click="draft.startOver">
        {{ t('sheet.discardTheDraft') }}
      </button>
    </p>
    <ConflictList
      v-if="draft.taken.value > 0"
      :conflicts="draft.conflicts.value"
      :taken="draft.taken.value"
      @decide="draft.decide"
    />
    <v-tabs v-model="tab" show-arrows density="comfortable" color="primary"
      ><v-tab v-for="(words, name) in SHEET_TABS" :key="name" :value="name">{{ t(words) }}</v-tab></v-tabs
    >
    <div class="part">
      <SetFields
        v-if="tab === 'set'"
        :sheet="sheet"
        :rules="rules.all"
        :is-new="isNew"
        @change="draft.change"
      />
      <AdjusterList
        v-else-if="tab === 'adjusters'"
        :adjusters="sheet.adjusters"
        @change="changeAdjusters"
        @table="readTable"
      />
      <BoardEdit
        v-else-if="tab === 'board'"
        :sheet="sheet"
        :uploading="uploading"
        @change="draft.change"
        @photo="addPhoto"
      />
      <template v-else-if="tab === 'as-found'">
        <PointList
          :points="sheet.matrix"
          :plan="planOf(sheet)"
          :steps="sheet.procedure.map(s => s.id)"
          :fresh="fresh"
          @change="matrix => draft.change({ matrix })"
        />
        <PowerControls :sheet="sheet" @change="draft.change" />
      </template>
      <StepList
        v-else-if="tab === 'procedure'"
        v-model:open="openStep"
        :sheet="sheet"
        :fresh="fresh"
        @change="changeProcedure"
        @say="w => say(w, 'problem')"
      />
      <SchemeFields v-else-if="tab === 'oscillators'" :sheet="sheet" @change="draft.change" />
      <OtherLists v-else :sheet="sheet" @change="draft.change" />
    </div>
    <SaveBar
      v-model:who="who"
      v-model:reason="reason"
      :said="said"
      :problems="draft.problems.value"
      :differences="draft.differences.value"
      :can-undo="draft.canUndo.value"
      :can-redo="draft.canRedo.value"
      :saving="saving"
      :is-new="isNew"
      :revision="(draft.start.value?.revision ?? initial.revision) + 1"
      @go-to="goTo"
      @undo="draft.undo"
      @redo="draft.redo"
      @save="save"
    />
    <RemovalDialog
      :name="removal?.name ?? null"
      :references="removal?.references ?? []"
      @close="keepAll"
      @clear="removeAll"
    />
  </div>
</template>

<style scoped>
.part {
  padding: 16px 0 24px;
  min-height: 320px;
}
</style>

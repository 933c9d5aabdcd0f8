<script setup lang="ts">
import { computed, ref } from 'vue'
import { sheetsUsed, unfittingEntries, validEvents, type ModelChanged } from '#core/run'
import { t } from '#shared/i18n'
import type { Failure } from '~/data/failureWords'
import { useSheetsStore } from '~/features/sheet/store/sheets'
import ModelDialog from '../components/ModelDialog.vue'
import { sendModelChange } from '../store/changeModel'
import { useJobStore } from '../store/job'

/** The job is measured by another sheet from here on: of another model, or a better one of its own. */
const store = useJobStore()
const sheets = useSheetsStore()
const open = ref(false)
const busy = ref(false)
const failure = ref<Failure | null>(null)
/** entries that would not count by the sheet that is chosen; null = not known yet */
const unfitting = ref<number | null>(null)
const newestOf = (sheetId: string) => sheets.summary(sheetId)!.revision
const hasNewer = computed(
  () => (sheets.summary(store.job!.sheetId)?.revision ?? 0) > store.job!.sheetRevision,
)

/** Sheet that was asked about last: an answer about another is late. */
let asked = ''
async function look(sheetId: string) {
  unfitting.value = null
  asked = sheetId
  const sheet = await sheets.revision(sheetId, newestOf(sheetId))
  if (sheetId !== asked) return
  if (sheet) unfitting.value = unfittingEntries(sheet, validEvents(store.events)).length
  failure.value = sheet ? null : sheets.failure
}
async function finish(sheetId: string, because: ModelChanged['because'], reason: string) {
  const { id, sheetId: from, sheetRevision } = store.job!
  // A model that it was before is taken as it was then: its entries count again.
  const used = because === 'own-sheet' ? null : sheetsUsed(store.events).find(s => s.sheetId === sheetId)
  busy.value = true
  failure.value = await sendModelChange(id, {
    because,
    from: { sheetId: from, sheetRevision },
    to: used ?? { sheetId, sheetRevision: newestOf(sheetId) },
    reason,
  })
  await store.open(id)
  busy.value = false
  if (!failure.value) open.value = false
}
</script>

<template>
  <v-btn v-if="!store.handedOver" class="mt-6 mr-3" @click="open = true"
    >{{ t('job.changeModelAction') }}&hellip;</v-btn
  >
  <ModelDialog
    :open="open"
    :models="sheets.list"
    :sheet-id="store.job!.sheetId"
    :revision="store.job!.sheetRevision"
    :has-newer="hasNewer"
    :unfitting="unfitting"
    :busy="busy"
    :failure="failure"
    @close="open = false"
    @look="look"
    @done="finish"
  />
</template>

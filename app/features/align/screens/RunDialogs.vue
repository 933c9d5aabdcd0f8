<script setup lang="ts">
import { errorWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import { CoreError } from '#core/errors'
import { STRIKE_REASONS, leftSo, schemeReadings, type StepState } from '#core/run'
import { amended, type FieldChange } from '#core/sheet'
import type { FieldTrust } from '#shared/sheetFile'
import { leftSoWords } from '#shared/words/leftSoWords'
import { fieldPathWords } from '#shared/words/sheetWords'
import AmendDialog from '../components/AmendDialog.vue'
import AttributionDialog from '../components/AttributionDialog.vue'
import RunLog from '../components/RunLog.vue'
import TextDialog from '~/ui/frame/TextDialog.vue'
import type { useStepConfirm } from '../logic/useStepConfirm'
import { useWho } from '~/features/job/logic/useWho'
import { useJobStore } from '~/features/job/store/job'

/** Whatever is asked during a run: notes, strikes, corrections of the sheet, the log, the oscillators. */
const props = defineProps<{
  which: string | null
  /** reading to be struck out; null = the last of the step */
  reading: string | null
  /** path of the sheet's field to be corrected */
  field: string | null
  state: StepState
  confirm: ReturnType<typeof useStepConfirm>
  trust: readonly FieldTrust[]
}>()
const emit = defineEmits<{ close: []; closeField: []; say: [text: string, kind?: 'problem'] }>()
const job = useJobStore()
const who = useWho()
const failure = ref<string | null>(null)
const stepId = computed(() => props.state.step.id)
const lastReading = computed(
  () =>
    props.reading ??
    job.run?.history.readings.findLast(t => t.row.stepId === stepId.value && t.struck === null)?.reading.id ??
    null,
)

/** What goes on in the set where a frequency is accepted as it is. */
const acceptHint = computed(() => {
  const left = props.confirm.asking.value === 'as-is' && job.sheet ? leftSo(job.sheet, props.state) : null
  const consequence = left ? ` ${leftSoWords(job.sheet!, left)}` : ''
  return `${t('align.itBecomesAnOpenItemOf')}${consequence}`
})

async function amend(changes: readonly FieldChange[], reason: string) {
  failure.value = null
  try {
    amended(job.writtenSheet!, changes)
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return void (failure.value = errorWords(error))
  }
  await job.append({ kind: 'sheet-amended', changes, reason, who: who.value.trim() })
  emit('closeField')
  emit('say', t('align.correctedTheNextJobOnThis', { line: fieldPathWords(changes[0]!.line) }))
}
async function confirmField() {
  await job.append({ kind: 'line-confirmed', line: props.field!, who: who.value.trim() })
  emit('closeField')
  emit('say', t('align.lineConfirmed', { line: fieldPathWords(props.field!) }))
}
async function done(append: Promise<void>, words: string) {
  await append
  emit('close')
  if (words) emit('say', words)
}
const strike = (reason: string) =>
  lastReading.value
    ? done(job.append({ kind: 'reading-struck', readingId: lastReading.value, reason }), '')
    : emit('close')
</script>

<template>
  <div>
    <TextDialog
      :open="which === 'note'"
      :title="t('align.note')"
      :hint="t('align.noteTo', { title: state.step.title })"
      :label="t('align.note')"
      :action="t('common.save')"
      @close="emit('close')"
      @done="text => done(job.append({ kind: 'note', stepId, text }), t('align.noteSaved'))"
    />
    <TextDialog
      :open="which === 'strike' && lastReading !== null"
      :title="t('align.strikeOutTheReading')"
      :hint="t('align.readingStaysInTheLog')"
      :label="t('common.reason')"
      :action="t('align.strikeOutAction')"
      :suggestions="STRIKE_REASONS"
      @close="emit('close')"
      @done="strike"
    />
    <TextDialog
      :open="which === 'reopen'"
      :title="t('align.reopenTheStep')"
      :label="t('common.reason')"
      :action="t('align.reopen')"
      @close="emit('close')"
      @done="reason => done(job.append({ kind: 'step-reopened', stepId, reason }), '')"
    />
    <TextDialog
      :open="confirm.asking.value !== null"
      :title="
        confirm.asking.value === 'skipped' ? t('align.skipWithoutMeasuring') : t('align.acceptAsIsTitle')
      "
      :hint="acceptHint"
      :label="t('common.reason')"
      :action="confirm.asking.value === 'skipped' ? t('align.skipAction') : t('align.acceptAction')"
      @close="confirm.cancel"
      @done="confirm.withReason"
    />
    <TextDialog
      :open="which === 'park'"
      :title="t('align.putRunOnHold')"
      :hint="t('align.rechecksRemainDue')"
      :label="t('align.waitingFor')"
      :action="t('align.putOnHoldAction')"
      @close="emit('close')"
      @done="
        text =>
          done(
            job.append({ kind: 'wait-begun', waitsFor: 'other', text, untilDay: null }),
            t('align.runOnHold'),
          )
      "
    />
    <AmendDialog
      v-if="field"
      :key="field"
      :sheet="job.writtenSheet!"
      :path="field"
      :trust="trust.find(t => t.path === field) ?? null"
      :failure="failure"
      @close="emit('closeField')"
      @amend="amend"
      @confirm="confirmField"
    />
    <RunLog
      v-if="which === 'log'"
      :events="job.entered"
      @close="emit('close')"
      @strike="(eventId, reason) => job.append({ kind: 'event-struck', eventId, reason })"
      @strike-reading="(readingId, reason) => job.append({ kind: 'reading-struck', readingId, reason })"
    />
    <AttributionDialog
      v-if="which === 'attribution'"
      :sheet="job.sheet!"
      :readings="schemeReadings(job.sheet!, job.run!.history)"
      @close="emit('close')"
    />
  </div>
</template>

import { computed, type Ref } from 'vue'
import { settleClaim } from '#core/claims'
import type { RuleSet } from '#core/rules'
import { entriesOfSheet, jobSheets, validEvents, type JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { isTunedByBand, jobState } from '#core/work'
import { withTextsTranslated } from '#shared/i18n'
import type { Job } from '#shared/job'

/** A job as it was read: its intake, what was entered, and the sheets that it is measured by. */
interface OpenJob {
  readonly job: Readonly<Ref<Job | null>>
  readonly entered: Readonly<Ref<JobEvent[]>>
  /** revision of its sheet that it began with */
  readonly base: Readonly<Ref<ModelSheet | null>>
  /** of the model that the set came as; null = it was not converted */
  readonly foundBase: Readonly<Ref<ModelSheet | null>>
  readonly rules: Readonly<Ref<RuleSet | null>>
}

/** Everything that follows from the entries of the open job, computed. */
export function useDerived({ job, entered, base, foundBase, rules }: OpenJob) {
  const valid = computed(() => validEvents(entered.value))
  /** what counts by the sheet that the job is measured by now */
  const events = computed(() => (base.value ? entriesOfSheet(base.value, valid.value) : valid.value))
  const sheets = computed(() =>
    job.value && base.value ? jobSheets(base.value, foundBase.value, job.value.schools, valid.value) : null,
  )
  /** as it is written: what is corrected on it is corrected there */
  const writtenSheet = computed(() => sheets.value?.now ?? null)
  const sheet = computed(() => withTextsTranslated(writtenSheet.value))
  const isConverted = computed(() => sheets.value !== null && sheets.value.found.id !== sheets.value.now.id)
  const foundSheet = computed(() =>
    isConverted.value ? withTextsTranslated(sheets.value!.found) : sheet.value,
  )
  /** what counts by the sheet of the model that it came as */
  const foundEvents = computed(() =>
    isConverted.value ? entriesOfSheet(sheets.value!.found, valid.value) : events.value,
  )
  const state = computed(() =>
    sheet.value && rules.value
      ? jobState(sheet.value, rules.value, valid.value, foundSheet.value ?? undefined)
      : null,
  )
  return {
    events,
    foundEvents,
    sheet,
    writtenSheet,
    foundSheet,
    isConverted,
    run: computed(() => state.value?.run ?? null),
    foundRun: computed(() => state.value?.foundRun ?? null),
    asFound: computed(() => state.value?.asFound ?? []),
    asLeft: computed(() => state.value?.asLeft ?? []),
    compared: computed(() => state.value?.compared ?? []),
    reminders: computed(() => state.value?.reminders ?? []),
    items: computed(() => state.value?.items ?? []),
    card: computed(() => state.value?.card ?? []),
    /** whether there is a settings card to show or to write */
    hasCard: computed(
      () => (state.value?.card.length ?? 0) > 0 || (sheet.value !== null && isTunedByBand(sheet.value)),
    ),
    claims: computed(() =>
      (job.value?.claims ?? []).map(c =>
        settleClaim(c, state.value?.claimRows ?? [], state.value?.claimContext),
      ),
    ),
    handedOver: computed(() => events.value.findLast(e => e.kind === 'handed-over') ?? null),
    keptChallenges: computed(() => events.value.filter(e => e.kind === 'challenge-kept')),
    done: computed(() => state.value?.done ?? null),
    stages: computed(() => state.value?.stages ?? []),
  }
}

import { coversPlan, planOf, usualRules, type RuleSet } from '#core/rules'
import type { JobKind } from '#core/run'
import { SET_FAMILIES } from '#core/sheet'
import { outlook, runsInto, stagesOfKind, type BlockedPeriod } from '#core/work'
import { LANGUAGES, LANGUAGE_NAMES, t } from '#shared/i18n'
import type { NewModel } from '#shared/job'
import { sheetIdOf } from '#shared/sheet/sheetId'
import type { SheetSummary } from '#shared/sheetFile'
import { outlookWords, runsIntoWords } from '#shared/words/benchWords'
import { localDay } from '#shared/words/dateWords'

/** Languages that an owner may be written to in. */
export const ownerLanguages = () => [
  { value: '', title: t('job.languageOfThePrinter') },
  ...LANGUAGES.map(value => ({ value, title: LANGUAGE_NAMES[value] })),
]

/** The models that are here, and one that has no sheet yet under what is known of its family. */
export function withNewModel(
  models: readonly SheetSummary[],
  asked: NewModel | null,
): readonly SheetSummary[] {
  const family = SET_FAMILIES.find(f => f.id === asked?.family)
  if (!asked || !family) return models
  const { kind, planId, bands, defaultRuleSetId, adjusters, procedure } = family.like
  const summary: SheetSummary = {
    id: sheetIdOf(asked.model),
    model: asked.model,
    kind,
    description: t('job.onFamilySheet'),
    planId,
    ...(bands ? { bands } : {}),
    defaultRuleSetId,
    revision: 1,
    revisedOn: localDay(Date.now()),
    adjusters: adjusters.length,
    steps: procedure.length,
    shipped: false,
    jobs: 0,
  }
  return [summary, ...models]
}

export const modelChoices = (models: readonly SheetSummary[]) =>
  models.map(s => ({ value: s.id, title: s.model, subtitle: s.description }))

/** Whether a rule set is about other channels than those of the model; not while either is unknown. */
export const isOtherPlan = (rules: RuleSet | undefined, model: SheetSummary | undefined): boolean =>
  Boolean(rules?.planId && model && !coversPlan(rules.planId, planOf(model)))

/** The rule set that is offered for a model: of the workshop's country where that covers it. */
export function offeredRuleSetId(
  model: SheetSummary,
  ruleSets: readonly RuleSet[],
  usualRuleSetId: string | null | undefined,
): string {
  const rulesOf = (id: string | null | undefined) => ruleSets.find(r => r.id === id) ?? null
  const usual = usualRules(rulesOf(usualRuleSetId), rulesOf(model.defaultRuleSetId), planOf(model))
  return usual?.id ?? model.defaultRuleSetId
}

/** Whether a promise can be kept, while it is made; '' = nothing stands in its way. */
export function promiseWords(
  promisedOn: string | null,
  blocked: readonly BlockedPeriod[],
  jobKind: JobKind,
): string {
  const ahead = stagesOfKind(jobKind)
  const today = localDay(Date.now())
  if (promisedOn) return outlookWords(outlook(promisedOn, ahead, today, blocked))
  const period = runsInto(ahead, today, blocked)
  return period ? runsIntoWords(period) : ''
}

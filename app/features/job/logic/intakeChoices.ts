import { coversPlan, usualRules, type RuleSet } from '#core/rules'
import { outlook, runsInto, type BlockedPeriod } from '#core/work'
import { LANGUAGES, LANGUAGE_NAMES, t } from '#shared/i18n'
import type { SheetSummary } from '#shared/sheetFile'
import { outlookWords, runsIntoWords } from '#shared/words/benchWords'
import { localDay } from '#shared/words/dateWords'

/** Languages that an owner may be written to in. */
export const ownerLanguages = () => [
  { value: '', title: t('job.languageOfThePrinter') },
  ...LANGUAGES.map(value => ({ value, title: LANGUAGE_NAMES[value] })),
]

export const modelChoices = (models: readonly SheetSummary[]) =>
  models.map(s => ({ value: s.id, title: s.model, subtitle: s.description }))

/** Whether a rule set is about other channels than those of the model; not while either is unknown. */
export const isOtherPlan = (rules: RuleSet | undefined, model: SheetSummary | undefined): boolean =>
  Boolean(rules?.planId && model && !coversPlan(rules.planId, model.planId))

/** The rule set that is offered for a model: of the workshop's country where that covers it. */
export function offeredRuleSetId(
  model: SheetSummary,
  ruleSets: readonly RuleSet[],
  usualRuleSetId: string | null | undefined,
): string {
  const rulesOf = (id: string | null | undefined) => ruleSets.find(r => r.id === id) ?? null
  const usual = usualRules(rulesOf(usualRuleSetId), rulesOf(model.defaultRuleSetId), model.planId)
  return usual?.id ?? model.defaultRuleSetId
}

/** Whether a promise can be kept, while it is made; '' = nothing stands in its way. */
export function promiseWords(promisedOn: string | null, blocked: readonly BlockedPeriod[]): string {
  const today = localDay(Date.now())
  if (promisedOn) return outlookWords(outlook(promisedOn, 'intake', today, blocked))
  const period = runsInto('intake', today, blocked)
  return period ? runsIntoWords(period) : ''
}

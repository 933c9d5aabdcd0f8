import { itemTitle, itemDetail } from './itemWords'
import { t, type MessageCode, translated } from '#shared/i18n'
import { groupDigits, showPlain } from '#core/quantity'
import type { CarrierAdvice } from '#core/handover'
import { jobKindOf, type JobEvent, type OpenItem, type RunState } from '#core/run'
import type { RuleSet } from '#core/rules'
import { SHEET_TEMPLATES, isLeastPower, kindHas, type ModelSheet } from '#core/sheet'
import { causeOf } from '#core/diagnose'
import { LIMITER_ITEM, inspectionItems, questions, soaks } from '#core/work'
import { sentence, midSentence } from './sentence'
import { day, localDay } from './dateWords'
import { ANSWER_WORDS, durationWords } from './workWords'

/** The handover in words that an owner understands: no jargon, no designators. */

/** Supplies above this are mains: polarity is no question [V]. */
const MAINS_V = 60

const BY_WORDS: Record<Exclude<CarrierAdvice['by'], 'as-is'>, MessageCode> = {
  'rule': 'owner.limitOfTheRuleSet',
  'target': 'owner.theTargetOfTheServiceSheet',
  'quarter-of-pep': 'owner.aQuarterOfThePepOf',
}

/** How high to leave the AM carrier, with the position of its control. */
export function carrierWords({ maxW, by, isFound, asLeftW, setting }: CarrierAdvice): string {
  const asIs = isFound ? 'owner.asItWasFound' : 'owner.asItWasLeft'
  const at = setting ? ` (${setting})` : ''
  const now = by === 'as-is' ? '' : ` ${t('owner.itIsAtWTurnIt', { asLeftW: groupDigits(asLeftW, 1), at })}`
  return t('owner.amCarrierWMaxALarger', {
    maxW: groupDigits(maxW, 1),
    by: t(by === 'as-is' ? asIs : BY_WORDS[by]),
    what: by === 'as-is' ? at : '',
    now,
  })
}

/** What the carrier as it was left asks of the final; empty = no ceiling was seen, or it is enough. */
function headroomWords({ asLeftW, headroom }: CarrierAdvice): string[] {
  if (!headroom || headroom.mostDepthRatio >= 1) return []
  const { neededW, reachedW, mostDepthRatio } = headroom
  return [
    t('owner.headroom', {
      carrier: showPlain(asLeftW, 'powerW'),
      needed: showPlain(neededW, 'pepW'),
      reached: showPlain(reachedW, 'pepW'),
      depth: groupDigits(mostDepthRatio * 100, 0),
    }),
  ]
}

/** How to run the set: only what the record and its sheet bear. */
export function operatingAdvice(
  sheet: ModelSheet,
  advice: CarrierAdvice | null,
  events: readonly JobEvent[],
): string[] {
  const hasLimiter = sheet.adjusters.some(a => a.role === 'modulation-preset') && !limiterMissing(events)
  const hasAm = sheet.matrix.some(p => p.state.mode === 'AM')
  return [
    sheet.nominalSupplyV > MAINS_V
      ? t('owner.supplyVMainsFuseAsRated', { nominalSupplyV: sheet.nominalSupplyV })
      : t('owner.supplyVDcFuseAsRated', { nominalSupplyV: sheet.nominalSupplyV }),
    t('owner.neverTransmitWithoutAnAntennaOr'),
    ...highVoltageWords(sheet),
    ...(advice ? [carrierWords(advice), ...headroomWords(advice)] : []),
    ...(hasAm && hasLimiter ? [t('owner.setTheMicrophoneGainForClear')] : []),
    ...(sheet.matrix.some(p => isLeastPower(p.state)) ? [t('owner.useLowPowerWithHighAntennas')] : []),
    t('owner.noExternalAmplifierAndNoChanged'),
  ]
}

/** Seen on inspection as a defect, and not put right since. */
function limiterMissing(events: readonly JobEvent[]): boolean {
  const looks = events.filter(e => e.kind === 'item-inspected').filter(e => e.itemId === LIMITER_ITEM)
  return looks.at(-1)?.state === 'seen'
}

/** What was measured in the alignment, by the names of the steps. */
export function alignedWords(run: RunState): string[] {
  const titles = run.steps
    .filter(s => s.satisfied && s.status === 'inside')
    .map(s => midSentence(s.step.title))
  return titles.length > 0 ? [t('owner.checkedAndWithinTolerance', { list: titles.join(', ') })] : []
}

const ITEM_STATES = {
  treated: 'owner.putRight',
  ask: 'owner.forTheOwnerToDecide',
  seen: 'owner.defectFound',
} as const

/** That nobody has confirmed the sheet for this model yet; empty = somebody has. */
export function familyWords({ model, family }: ModelSheet): string[] {
  const found = SHEET_TEMPLATES.find(f => f.id === family)
  return found ? [t('paper.familySheet', { model, family: translated(found.name) })] : []
}

/** That it leaves as another model than it came; empty = it does not. */
export function convertedWords(now: ModelSheet, found: ModelSheet): string[] {
  return found.id === now.id ? [] : [t('owner.convertedFrom', { from: found.model, to: now.model })]
}

/** What was found and mended, from the record. */
export function mendedWords(sheet: ModelSheet, events: readonly JobEvent[]): string[] {
  const seen = new Map(events.flatMap(e => (e.kind === 'item-inspected' ? [[e.itemId, e] as const] : [])))
  return [
    ...inspectionItems(sheet).flatMap(i => {
      const last = seen.get(i.id)
      return last && last.state !== 'fine'
        ? [
            sentence(
              `${translated(i.lookFor)}: ${t(ITEM_STATES[last.state])}${last.text ? `, ${last.text}` : ''}`,
            ),
          ]
        : []
    }),
    ...events.flatMap(e =>
      e.kind === 'cause-confirmed' ? [t('owner.found', { title: translated(causeOf(e.causeId).title) })] : [],
    ),
    ...events.flatMap(e =>
      e.kind === 'part-changed'
        ? [
            t('owner.replacedFitted', {
              designator: e.designator,
              what: e.partOut ? t('owner.removed', { partOut: e.partOut }) : '',
              partIn: e.partIn,
            }),
          ]
        : [],
    ),
    ...events.flatMap(e =>
      e.kind === 'treated'
        ? [`${e.what[0]!.toUpperCase()}${e.what.slice(1)}${e.where ? `, ${e.where}` : ''}.`]
        : [],
    ),
    ...convertedWithinWords(events),
    ...askedWords(events),
    ...soaks(events).flatMap(s => (s.ended ? [soakWords(s.ended.atMs - s.begun.atMs, s.ended)] : [])),
  ]
}

/** What was asked and answered: consent that somebody may come back to. */
const askedWords = (events: readonly JobEvent[]): string[] =>
  questions(events).flatMap(({ asked, answered }) =>
    answered
      ? [
          t('owner.askedAndAnswered', {
            question: sentence(asked.text),
            answer: [midSentence(t(ANSWER_WORDS[answered.answer])), answered.text].filter(Boolean).join(', '),
            day: day(localDay(answered.atMs)),
          }),
        ]
      : [],
  )

/** A conversion within one model; one that makes another model of the set is told by its two names. */
function convertedWithinWords(events: readonly JobEvent[]): string[] {
  const isConverted =
    jobKindOf(events) === 'conversion' &&
    events.some(e => e.kind === 'part-changed') &&
    !events.some(e => e.kind === 'model-changed' && e.because === 'conversion')
  return isConverted ? [t('owner.convertedWithin')] : []
}

function soakWords(lengthMs: number, { passed, text }: { passed: boolean; text: string }): string {
  return passed
    ? t('owner.soakTestedForNoFaultSeen', { duration: durationWords(lengthMs) })
    : t('owner.soakTestOf', { duration: durationWords(lengthMs), text })
}

/**
 * What is still open, as an owner needs to know it: unfinished measuring in one line, the rest item by item.
 */
export function openForOwner(items: readonly OpenItem[]): string[] {
  const open = items.filter(i => i.settled === null)
  const unfinished = open.filter(i => i.kind === 'step-open' || i.kind.startsWith('as-'))
  return [
    ...(unfinished.length > 0
      ? [
          t(
            unfinished.some(i => i.kind === 'step-open')
              ? 'owner.measurementAndAlignmentAreNotFinished'
              : 'owner.measurementIsNotFinished',
          ),
        ]
      : []),
    ...open.filter(i => !unfinished.includes(i)).map(i => sentence(`${itemTitle(i)}: ${itemDetail(i)}`)),
  ]
}

export function rulesWords(rules: RuleSet): string {
  const memory = rules.fromMemory ? t('owner.unverifiedCheckAgainstTheCurrentText') : ''
  return t('owner.ruleSetAsOfLocalRegulation', {
    id: rules.id,
    name: rules.name,
    source: rules.source,
    asOf: rules.asOf,
    memory,
  })
}

/** Valves have it whether the sheet knows how much or not. */
function highVoltageWords({ kind, plateV }: ModelSheet): string[] {
  if (plateV !== undefined) return [t('owner.vInsideLethalCoversStayOn', { plateV })]
  return kindHas(kind, 'valves') ? [t('owner.highVoltageInside')] : []
}

/** The cautions that go with every set of its kind. */
export function handoverCautions(sheet: ModelSheet): string[] {
  const isMains = sheet.nominalSupplyV > MAINS_V
  return [
    isMains ? t('owner.mainsSetCheckEarthAndFuse') : t('owner.checkFuseAndPolarityBeforeConnecting'),
    ...highVoltageWords(sheet),
    t('owner.neverTransmitWithoutAntennaOrDummy'),
    t('owner.noExternalAmplifierAndNoChanged'),
    t('owner.cbAndAmateurTransmittersAreRegulated'),
  ]
}

import { statusWord } from './verdictWords'
import { quantityLabel } from '#shared/words/quantityWords'
import { t, type MessageCode } from '#shared/i18n'
import type { RuleSet } from '#core/rules'
import { groupDigits, showPlain, showSmallPower } from '#core/quantity'
import type { JudgedReading, JudgedSignal, Limit, SignalFinding } from '#core/signal'
import { sentence } from './sentence'

/** More than this in the next channel is no number to hold against a limit of microwatts [W]. */
const MAX_SAID_W = 0.01
const percent = (ratio: number, digits = 1) => `${groupDigits(100 * ratio, digits)} %`

/** The verdict in one or two sentences: what is gravest, and where the power lands. */
export function verdictLine(judged: JudgedSignal): string {
  const [first, ...rest] = judged.findings
  const neighbours = rest.find(f => f.kind === 'neighbours')
  return [findingWords(first!), ...(neighbours ? [findingWords(neighbours)] : [])].join(' ')
}

export function findingWords(f: SignalFinding): string {
  switch (f.kind) {
    case 'nothing-sent':
      return t('signals.noSignalAboveTheNoise')
    case 'only-at-centre':
      return t('signals.aWeakLineAtTheCentre')
    case 'overload':
      return t('signals.theRecordingIsOverloadedRecordIt')
    case 'pinched':
      return t('signals.overModulatedCarrierCutOffOf', { percent: percent(f.share) })
    case 'reversed':
      return t('signals.overModulatedTheCarrierReversesIts', { percent: percent(f.depth, 0) })
    case 'flat-topped':
      return t('signals.flatToppingThePositivePeakIs', { percent: percent(f.share) })
    case 'outside':
      return (
        `${quantityLabel(f.reading.quantity)} ${statusWord(f.reading.judgement!.verdict)}: ` +
        sentence(`${valueWords(f.reading)}. ${f.reading.limit!.rule.words}`)
      )
    case 'undecided':
      return t('signals.cannotTellTheLimit', {
        label: quantityLabel(f.reading.quantity),
        value: valueWords(f.reading),
        words: f.reading.limit!.rule.words,
        why: f.reading.judgement!.reasons.find(r => r.rule === 'limit')?.undecided,
      })
    case 'neighbours':
      return t('signals.ofThePowerIsInThe', { percent: percent(f.share, f.share < 0.01 ? 2 : 1) })
    case 'adjacent-power':
      return t('signals.inAnAdjacentChannelMax', {
        microwatts: microwatts(f.watts),
        maxW: showSmallPower(f.maxW),
      })
    case 'adjacent-untold':
      return untoldWords(f)
    case 'mask':
      return t('signals.outsideTheMaskOfByDb', {
        ruleSet: f.ruleSet,
        value: groupDigits(-f.marginDb, 1),
        offsetKhz: groupDigits(Math.abs(f.offsetHz) / 1000, 1),
        what: f.offsetHz < 0 ? t('common.below') : t('common.above'),
      })
    case 'clean':
      return t('signals.allJudgedResultsAreWithinThe')
  }
}

const microwatts = (watts: number) => `${groupDigits(watts * 1e6, 0)} \u00b5W`

/** The limit of a rule set on the adjacent channel, beside the figures; null = it has none in watts. */
export function adjacentLimitWords(rules: RuleSet, carrierW: number | null): string | null {
  if (!rules.adjacent) return null
  const { id, maxW } = rules.adjacent
  const words = t('signals.maxInAnAdjacentChannel', { id, maxW: showSmallPower(maxW) })
  return carrierW === null ? t('signals.giveTheCarrierPowerToHave', { words }) : words
}

function untoldWords({ watts, maxW }: Extract<SignalFinding, { kind: 'adjacent-untold' }>): string {
  const inTotal = watts < MAX_SAID_W ? t('signals.inTotal', { microwatts: microwatts(watts) }) : ''
  return t('signals.adjacentChannelMaxCannotTellReceiver', { maxW: showSmallPower(maxW), inTotal })
}

/** What an uncertainty mostly comes from, and so what would make it smaller. */
const LIMIT_WORDS: Readonly<Record<Limit, MessageCode>> = {
  noise: 'signals.limitedByNoiseOfTheReceiver',
  length: 'signals.limitedByTheLengthOfThe',
  recorder: 'signals.limitedByFiltersAndRounding',
  neighbour: 'signals.limitedByAdjacentSignals',
  assumption: 'signals.theCarrierFrequencyIsAssumed',
  reference: 'signals.limitedByTheReferenceOfThe',
  gain: 'signals.limitedByTheGainBetweenTwo',
  drift: 'signals.limitedByDrift',
  modulation: 'signals.limitedByTheModulation',
}
export const limitWords = (limit: Limit | null): string => (limit === null ? '' : t(LIMIT_WORDS[limit]))

/** A reading with its unit; a carrier by its distance from the channel too. */
export function valueWords(r: JudgedReading): string {
  const off =
    r.nominalHz === null
      ? ''
      : t('signals.hzFromTheChannel', {
          what: r.value >= r.nominalHz ? '+' : '\u2212',
          offHz: groupDigits(Math.abs(r.value - r.nominalHz), 1),
        })
  return `${showPlain(r.value, r.quantity)}${off}`
}

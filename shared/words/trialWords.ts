import { BOUND_SIGNS, groupDigits, wattsToDbm, type Quantity } from '#core/quantity'
import { eachRuleSet, type RuleSet } from '#core/rules'
import { TRIAL_ORDER, type TrialAmplifier } from '#core/run'
import type {
  Change,
  Efficiency,
  Gain,
  MetersOnCarrier,
  Neighbours,
  NotSameDepth,
  NotTrueAverage,
  PeakByDepth,
  PerDevice,
  Trial,
  TrialFinding,
} from '#core/trial'
import { trialFindings } from '#core/trial'
import { t, translated } from '#shared/i18n'
import { measuredText } from './quantityWords'

/** Three digits or fewer: more means nothing on a wattmeter. */
const watts = (value: number) => `${groupDigits(value, decimalsOf(value))} W`
function decimalsOf(value: number): number {
  if (value >= 100) return 0
  return value >= 1 ? 1 : 2
}
const percent = (ratio: number) => groupDigits(100 * ratio, 0)
const db = (value: number) => groupDigits(value, 2, true)
const times = (value: number) => groupDigits(value, 2)
type Words = {
  readonly [K in TrialFinding['kind']]: (
    finding: Extract<TrialFinding, { kind: K }>,
    trial: Trial,
    rules: RuleSet,
  ) => string[]
}

const WORDS: Words = {
  'pep': peakWords,
  'envelope': peakWords,
  'not-same-depth': notSameDepthWords,
  'not-true-average': averageWords,
  'meters-on-carrier': metersWords,
  'efficiency': efficiencyWords,
  'change': changeWords,
  'gain': gainWords,
  'per-device': perDeviceWords,
  'neighbours': neighbourWords,
}

/** What one trial says, in sentences; a job with several rule sets names the limit of each. */
export function trialWords(trial: Trial, all: readonly Trial[], rules: RuleSet): string[] {
  const [own, ...others] = eachRuleSet(rules)
  const more = others.flatMap(r =>
    trialFindings(trial, all, r).flatMap(f => (f.kind === 'neighbours' ? neighbourWords(f, trial, r) : [])),
  )
  return [...trialFindings(trial, all, own!).flatMap(f => wordsOf(f, trial, own!)), ...more]
}

const wordsOf = (finding: TrialFinding, trial: Trial, rules: RuleSet): string[] =>
  (WORDS[finding.kind] as (f: TrialFinding, trial: Trial, rules: RuleSet) => string[])(finding, trial, rules)

function peakWords(peak: PeakByDepth, { base }: Trial): string[] {
  const depth = percent(peak.depthRatio)
  if (peak.kind === 'envelope')
    return [
      `${t('trial.envelope', { depth, expected: times(peak.expected), read: times(peak.read), db: db(peak.db) })} ` +
        tailWords(peak),
    ]
  const said = t('trial.pep', {
    depth,
    base: base!.number,
    expected: watts(peak.expected),
    read: watts(peak.read),
    db: db(peak.db),
  })
  return [`${said} ${tailWords(peak)}`]
}

function tailWords({ kind, verdict, boundDb }: PeakByDepth): string {
  if (verdict === null || boundDb === null) return t('trial.unknown')
  const bound = groupDigits(boundDb, 2)
  if (verdict === 'fits') return t('trial.fits', { bound })
  if (verdict === 'more') return t('trial.more', { bound })
  return kind === 'pep' ? t('trial.lessPep', { bound }) : t('trial.less', { bound })
}

function notSameDepthWords(found: NotSameDepth, { number }: Trial): string[] {
  const said = t('trial.notSameDepth', {
    other: found.other.number,
    number,
    depth: percent(found.depthRatio),
    otherPep: watts(found.otherW),
    pep: watts(found.readW),
    db: groupDigits(Math.abs(found.db), 2),
  })
  if (found.largerDepthRatio === null) return [said]
  const larger = t('trial.largerDepth', {
    pep: watts(Math.max(found.readW, found.otherW)),
    depth: percent(found.largerDepthRatio),
  })
  return [`${said} ${larger}`]
}

function averageWords(found: NotTrueAverage): string[] {
  const said = t('trial.average', {
    meter: found.meter === null ? t('trial.someMeter') : translated(found.meter),
    read: watts(found.readW),
    ratio: times(found.ratio),
    most: times(found.trueRatio),
    mean: watts(found.carrierW * found.trueRatio),
  })
  return [`${said} ${found.isProven ? t('trial.notTrueAverage') : t('trial.hardlyTrueAverage')}`]
}

function metersWords({ powerW, pepW, agree }: MetersOnCarrier): string[] {
  return [t(agree ? 'trial.metersAgree' : 'trial.metersDiffer', { power: watts(powerW), pep: watts(pepW) })]
}

function efficiencyWords({ meanW, supplyW, ratio, boundRatio, isComputed }: Efficiency): string[] {
  const said = t('trial.efficiency', {
    mean: watts(meanW),
    supply: watts(supplyW),
    percent: `${percent(ratio)}${boundRatio === null ? '' : ` \u00b1${percent(boundRatio)}`}`,
  })
  return [isComputed ? `${said} ${t('trial.averageComputed')}` : said]
}

function changeWords(change: Change): string[] {
  const { neighbours } = change
  const list = [
    t('trial.changePep', { db: db(change.pepDb) }),
    ...(change.depthDb === null ? [] : [t('trial.changeDepth', { db: db(change.depthDb) })]),
    ...(change.peakDb === null ? [] : [t('trial.changePeak', { db: db(change.peakDb) })]),
    ...(change.lineDb === null ? [] : [t('trial.changeLine', { db: groupDigits(change.lineDb, 1, true) })]),
    ...(neighbours
      ? [
          t('trial.changeNeighbours', {
            now: measuredText(neighbours.now, 'adjacentDbc'),
            before: measuredText(neighbours.before, 'adjacentDbc'),
          }),
        ]
      : []),
  ].join(', ')
  const more = [...stayedWords(change), ...(change.isOvershoot ? [t('trial.overshoot')] : [])]
  return [[t('trial.change', { number: change.from.number, list }), ...more].join(' ')]
}

function stayedWords({ lineStayedWithinDb, pepDb, neighbours }: Change): string[] {
  if (lineStayedWithinDb === null || pepDb <= 0) return []
  const bound = groupDigits(lineStayedWithinDb, 1)
  return [t(neighbours?.haveRisen ? 'trial.besideChannel' : 'trial.carrierStayed', { bound })]
}

function gainWords({ driveW, outW, db: gainDb, first }: Gain): string[] {
  const said = t('trial.gain', { drive: watts(driveW), out: watts(outW), db: groupDigits(gainDb, 1) })
  if (!first) return [said]
  const against = t('trial.gainAgainst', { number: first.trial.number, db: db(first.changeDb) })
  return [`${said} ${against} ${gainTail(first)}`]
}

function gainTail({ changeDb, boundDb, isOtherDrive }: NonNullable<Gain['first']>): string {
  if (boundDb === null) return t('trial.gainOpen')
  if (Math.abs(changeDb) > boundDb) return t('trial.gainOther')
  return isOtherDrive ? t('trial.gainSame') : t('trial.gainAgain')
}

function perDeviceWords({ pepW, devices, eachW, claimedW }: PerDevice): string[] {
  const said = t('trial.perDevice', { pep: watts(pepW), count: devices, each: watts(eachW) })
  if (claimedW === null) return [said]
  const claimed = watts(claimedW)
  const factor = groupDigits(claimedW / eachW, 1)
  return [
    claimedW > eachW
      ? `${said} ${t('trial.claimedMore', { claimed, factor })}`
      : `${said} ${t('trial.claimedReached', { claimed })}`,
  ]
}

function neighbourWords({ level, bound, maxW }: Neighbours, _trial: Trial, rules: RuleSet): string[] {
  const said = t('trial.neighbours', {
    dbm: `${bound ? BOUND_SIGNS[bound] : ''}${groupDigits(level.dbm, 1, true)}`,
    limit: groupDigits(wattsToDbm(maxW), 0),
    rules: rules.name,
  })
  return [`${said} ${neighbourTail(level)}`]
}

function neighbourTail({ verdict, overDb }: Neighbours['level']): string {
  if (verdict === 'above') return t('trial.neighboursAbove', { over: groupDigits(overDb, 0) })
  return verdict === 'inside' ? t('trial.neighboursBelow') : t('trial.neighboursOpen')
}

export function amplifierWords({ name, devices }: TrialAmplifier): string {
  return t('trial.amplifierOf', { name, count: devices ?? 0 })
}

/** What was read in a trial, as its meter showed it; null = not read. */
export function trialReading({ noted }: Trial, quantity: Quantity): string | null {
  const reading = noted.readings.findLast(r => r.quantity === quantity)
  return reading ? measuredText(reading, quantity) : null
}

/** Quantities that were read in any of the trials, in the order of their fields. */
export const quantitiesRead = (trials: readonly Trial[]): Quantity[] =>
  TRIAL_ORDER.filter(q => trials.some(trial => trialReading(trial, q) !== null))

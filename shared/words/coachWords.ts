import { t, type MessageCode } from '#shared/i18n'
import { capital } from './sentence'
import type {
  BalanceMove,
  BeatAdvice,
  BiasDevice,
  DriftFit,
  MenuProposal,
  PeakLook,
  SettingAdvice,
  WarmGate,
} from '#core/run'
import type { Adjuster, BiasRule } from '#core/sheet'
import { HEX_BYTE, groupDigits, showMenuValue, type MenuFormat } from '#core/quantity'

/** What the hand does, at most five words, and why or how far. */
export interface Guide {
  readonly say: string
  readonly how: string
}

interface GuideCodes {
  readonly say: MessageCode
  readonly how: MessageCode
}

const PEAK_WORDS: Readonly<Record<PeakLook['word'], GuideCodes>> = {
  'wait': { say: 'guide.wait', how: 'guide.theMeterHasNotSettled' },
  'go-on': { say: 'guide.sameDirection', how: 'guide.turnALittleThenWait' },
  'touch': { say: 'guide.sameDirectionSlightly', how: 'guide.aFewDegreesThenWait' },
  'turn-back': { say: 'guide.turnBackSlightly', how: 'guide.pastThePeakTheLevelFell' },
  'stop': { say: 'guide.stopPeak', how: 'guide.estimatedWithin01Db' },
  'flat': { say: 'guide.otherDirection12Turn', how: 'guide.noChangeIfStillNoneTry' },
  'end': { say: 'guide.stopTurning', how: 'guide.levelNoLongerChangesPossibleEnd' },
}

/** What to do with a core, for an eye that looks up for half a second. */
export function peakGuide(word: PeakLook['word']): Guide {
  const { say, how } = PEAK_WORDS[word]
  return { say: t(say), how: t(how) }
}

const SHARES: readonly (readonly [number, string])[] = [
  [0.08, 'slightly'],
  [0.18, '1/8'],
  [0.29, '1/4'],
  [0.42, '1/3'],
  [0.58, '1/2'],
  [0.72, '2/3'],
  [0.88, '3/4'],
]
const nearest = (share: number) => SHARES.find(([most]) => share < most)?.[1] ?? '1'

/** A part of a turn as hands know it. */
export function turnWords(turns: number): string {
  const part = nearest(Math.abs(turns))
  return part === 'slightly' ? t('guide.slightly') : t('guide.turn', { part })
}

/** So much of the last movement. */
export function lastTurnWords(ratio: number): string {
  const share = Math.abs(ratio)
  const part = nearest(share)
  if (part === 'slightly') return t('guide.slightly')
  if (part !== '1') return t('guide.aboutOfTheLastTurn', { part })
  if (share < 1.25) return t('guide.aboutAsFarAsTheLast')
  return t('guide.aboutTimesTheLastTurn', { what: share < 1.75 ? '1.5' : Math.round(share) })
}

type Way = NonNullable<Adjuster['raisedBy']>

const WAY_WORDS: Readonly<Record<Way, MessageCode>> = {
  clockwise: 'guide.clockwise',
  anticlockwise: 'guide.anticlockwise',
  inwards: 'guide.inwards',
  outwards: 'guide.outwards',
  up: 'guide.up',
  down: 'guide.down',
}

const OTHER_WAY: Readonly<Record<Way, Way>> = {
  clockwise: 'anticlockwise',
  anticlockwise: 'clockwise',
  inwards: 'outwards',
  outwards: 'inwards',
  up: 'down',
  down: 'up',
}

/** What the hand does to come to the target. */
export function settingWords(
  { kind, need, ofLastTurn }: SettingAdvice,
  raisedBy: Adjuster['raisedBy'],
): Guide {
  const way = raisedBy && need ? t(WAY_WORDS[need === 'up' ? raisedBy : OTHER_WAY[raisedBy]]) : null
  const reads = t('guide.reading', { what: t(need === 'up' ? 'guide.low' : 'guide.high') })
  switch (kind) {
    case 'there':
      return { say: t('guide.takeTheReading'), how: t('guide.onTarget') }
    case 'first-touch':
      return way
        ? {
            say: t('guide.directionSlightly', { capital: capital(way) }),
            how: t('guide.waitForTheMeter', { reads }),
          }
        : { say: t('guide.turnSlightlyThenWait'), how: t('guide.directionUnknown', { reads }) }
    case 'no-effect':
      return { say: t('guide.stopNoEffect'), how: t('guide.checkTheAdjusterAndItsEnd') }
    case 'turn':
      return {
        say: ofLastTurn! > 0 ? t('guide.sameDirection') : t('guide.otherDirection'),
        how: `${capital(lastTurnWords(ofLastTurn!))}. ${reads}`,
      }
  }
}

const WEAK_WORDS: Readonly<Record<BalanceMove['weakEnd'], MessageCode>> = {
  low: 'guide.lowEndWeak',
  high: 'guide.highEndWeak',
  both: 'guide.bothEndsWeakResponseTooNarrow',
  none: 'guide.balanced',
}

/** Which coil to offset, which way and how far. @param coils the two that are turned, in circuit order */
export function balanceWords({ weakEnd, turns }: BalanceMove, coils: readonly string[]): Guide {
  const one = (name: string, turns: number) =>
    Math.abs(turns) < 0.02
      ? null
      : t(turns > 0 ? 'guide.turnIn' : 'guide.turnOut', { name, turn: turnWords(turns) })
  const moves = turns
    ? [
        one(coils[0] ?? t('guide.firstCoil'), turns.first),
        one(coils[1] ?? t('guide.secondCoil'), turns.second),
      ].filter(move => move !== null)
    : []
  if (moves.length === 0) return { say: t(WEAK_WORDS[weakEnd]), how: t('guide.nothingToAdjust') }
  if (moves.length === 1)
    return { say: moves[0]!, how: t('guide.weakThenMeasure', { weak: t(WEAK_WORDS[weakEnd]) }) }
  return {
    say: t('guide.offsetBothCoils'),
    how: t('guide.weakThenMoves', { weak: t(WEAK_WORDS[weakEnd]), list: moves.join(', ') }),
  }
}

const minutes = (s: number) => (s < 90 ? `${Math.max(1, Math.round(s))} s` : `${Math.round(s / 60)} min`)

/** A drift with what it may be off by (k = 2): nothing is called a drift that could be none. */
function rateWords({ rateHzPerMin, rateUncertaintyHzPerMin }: DriftFit): string {
  const slack = Math.max(0.1, 2 * rateUncertaintyHzPerMin)
  const rate = Math.abs(rateHzPerMin)
  if (rate <= slack) return t('guide.driftHzMinAtMost', { rate: groupDigits(rate + slack, 1) })
  return t('guide.driftHzMin', {
    rateHzPerMin: groupDigits(rateHzPerMin, 1, true),
    slack: groupDigits(slack, 1),
  })
}

function endWords({ settlesHz, settlesUncertaintyHz }: DriftFit): string {
  if (settlesHz === null) return t('guide.tooEarlyToPredictTheFinal')
  const uncertaintyHz = Math.max(1, 2 * settlesUncertaintyHz!)
  return t('guide.finalErrorOnTransmitAboutHz', {
    settlesHz: groupDigits(settlesHz, 0, true),
    uncertaintyHz: groupDigits(uncertaintyHz, 0),
  })
}

/** Whether frequency may be set, and when. */
export function gateWords({ state, by, fit, opensInS, limitHzPerMin }: WarmGate): Guide {
  const rate = fit ? rateWords(fit) : ''
  const notDecisive = fit ? t('guide.notDecisive', { rate }) : t('guide.driftNotMeasured')
  const rateAndLimit = t('guide.limit', { rate, limitHzPerMin })
  if (state === 'open')
    return {
      say: t('guide.warmedUp'),
      how: by === 'drift' ? rateAndLimit : t('guide.longEnoughSincePowerOn', { notDecisive }),
    }
  if (state === 'unknown')
    return {
      say: t('guide.enterSwitchOnTime'),
      how: fit ? t('guide.orLetTheCounterRunOn', { notDecisive }) : t('guide.warmUpUnknownOrLetThe'),
    }
  if (by === 'time')
    return {
      say: t('guide.waitWarmingUp'),
      how: t('guide.left', { minutes: minutes(opensInS!), notDecisive }),
    }
  const soon = opensInS === null ? '' : ` ${t('guide.aboutLeft', { minutes: minutes(opensInS) })}`
  return { say: t('guide.waitWarmingUp'), how: `${rateAndLimit}${soon} ${endWords(fit!)}` }
}

/** A menu value as the set shows it. */
export function codeWords(code: number, format: MenuFormat = HEX_BYTE): string {
  return showMenuValue(code, format)
}

/** The menu value to set next. @param shown a value of the quantity, in words */
export function menuWords(
  p: MenuProposal,
  shown: (value: number) => string,
  format: MenuFormat = HEX_BYTE,
  isBoundKnown = true,
): Guide {
  const code = codeWords(p.code, format)
  const expected = p.expected === null ? '' : shown(p.expected)
  switch (p.why) {
    case 'there':
      return {
        say: t('guide.keep', { code }),
        how:
          expected &&
          (isBoundKnown
            ? t('guide.withinToleranceUncertaintyIncluded', { expected })
            : t('guide.withinToleranceMeterUnknown', { expected })),
      }
    case 'end':
      return {
        say: t('guide.endOfRange', { code }),
        how: expected ? t('guide.theMenuHasNoFurtherValue', { expected }) : t('guide.menuAtItsEnd'),
      }
    case 'higher':
      return { say: t('guide.try', { code }), how: t('guide.aCarefulStepUpOneMore') }
    case 'lower':
      return { say: t('guide.try', { code }), how: t('guide.lowerItReadsAboveTheLimit') }
    default:
      return { say: t('guide.set', { code }), how: expected && t('guide.expected', { expected }) }
  }
}

export const BIAS_BY_WORDS: Readonly<Record<BiasRule['by'], MessageCode>> = {
  'rise': 'guide.riseOfTheSupplyCurrentAbove',
  'stage-current': 'guide.stageCurrent',
  'gate-voltage': 'guide.gateVoltage',
}

export function biasDeviceWords({ idleA, gateV, burnsW, ticks }: BiasDevice): string {
  if (idleA === null) return gateV === null ? t('common.notMeasured') : `${groupDigits(gateV, 2)} V`
  return [
    `${groupDigits(idleA * 1000, 0)} mA`,
    ...(ticks === null ? [] : [t('guide.divisions', { ticks: groupDigits(ticks, 1) })]),
    t('guide.dissipatesW', { burnsW: groupDigits(burnsW!, 1) }),
  ].join(', ')
}

export const BEAT_WORDS: Readonly<Record<BeatAdvice['word'], MessageCode>> = {
  there: 'guide.zeroBeat',
  touch: 'guide.turnSlightly',
  nearer: 'guide.sameDirection',
  further: 'guide.otherDirection',
}

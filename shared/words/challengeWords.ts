import { t } from '#shared/i18n'
import type { Challenge } from '#core/diagnose'
import { criterionWords, modulationWords } from './receiverWords'
import { groupDigits, hzToPpm, powerRatioToDb, showPlain } from '#core/quantity'

type Rule = Challenge['rule']

/** By rule: why the reading cannot be true, with the limit that it breaks and what to look at. */
const WORDS: { readonly [R in Rule]: (c: Extract<Challenge, { rule: R }>) => string } = {
  P01: c =>
    t('doubt.dbSinadAtIsBetterThan', {
      readDb: groupDigits(c.readDb, 1),
      inputV: showPlain(c.inputV, 'sensitivityV'),
      maxDb: groupDigits(c.maxDb, 1),
    }),
  P03: c =>
    t('doubt.depthOnTheMeterFromPep', { metered: percent(c.readRatio), fromPep: percent(c.byPepRatio) }),
  P04: c =>
    t('doubt.averageExceedsPepImpossibleAreThe', {
      meanW: showPlain(c.meanW, 'powerW'),
      pepW: showPlain(c.pepW, 'pepW'),
    }),
  P05: c =>
    t('doubt.averageOnACarrierOfAt', {
      meanW: showPlain(c.meanW, 'powerW'),
      carrierW: showPlain(c.carrierW, 'powerW'),
      maxW: groupDigits(c.maxW, 1),
    }),
  P06: c =>
    c.isUnusual
      ? t('doubt.efficiencyHigh', {
          meanW: showPlain(c.meanW, 'powerW'),
          inputW: groupDigits(c.inputW, 1),
          efficiencyPercent: Math.round((c.meanW / c.inputW) * 100),
        })
      : t('doubt.efficiencyImpossible', {
          meanW: showPlain(c.meanW, 'powerW'),
          inputW: groupDigits(c.inputW, 1),
          efficiencyPercent: Math.round((c.meanW / c.inputW) * 100),
          maxRatio: c.maxRatio * 100,
        }),
  P09: c =>
    c.side === 'low'
      ? t('doubt.isBelow10OfTheScale', {
          read: showPlain(c.read, c.quantity),
          fullScale: showPlain(c.fullScale, c.quantity),
          tenth: showPlain(c.fullScale / 10, c.quantity),
        })
      : t('doubt.isBeyondTheScaleUseA', {
          read: showPlain(c.read, c.quantity),
          fullScale: showPlain(c.fullScale, c.quantity),
        }),
  P10: c =>
    t('doubt.isTimesWCheckTheRange', {
      readW: showPlain(c.readW, 'powerW'),
      factor: c.factor,
      likelyW: groupDigits(c.likelyW, 1),
    }),
  P11: c =>
    t('doubt.isOffByNoCrystalIs', {
      readHz: showPlain(c.readHz, c.quantity),
      off: offWords(c.readHz - c.nominalHz, c.nominalHz),
      meant: meantWords(c),
    }),
  P12: c =>
    t('doubt.isChannelOfThePlanOn', {
      readHz: showPlain(c.readHz, 'carrierHz'),
      channel: c.channel,
      planName: c.planName,
      nominalHz: showPlain(c.nominalHz, 'carrierHz'),
    }),
  P42: c =>
    t('doubt.isAnotherChannel', {
      readHz: showPlain(c.readHz, 'carrierHz'),
      channel: c.channelName,
      rowChannel: c.rowChannelName,
    }),
  P13: c =>
    t('doubt.onTheToneIsTheChannel', {
      mode: c.mode,
      rightSide: c.mode === 'USB' ? t('common.above') : t('common.below'),
      offHz: groupDigits(Math.abs(c.offHz), 0),
      foundSide: c.offHz > 0 ? t('common.above') : t('common.below'),
    }),
  P41: c =>
    t('doubt.depthWithAToneWasMeant', {
      read: percent(c.readRatio, 2),
      meant: percent(100 * c.readRatio),
    }),
  P16: c => t('doubt.aNegativePeakOfItCannot', { percent: percent(c.readRatio) }),
  P21: c =>
    t('doubt.pepHereAtBothFullyModulated', {
      pepW: showPlain(c.pepW, 'pepW'),
      otherW: showPlain(c.otherW, 'pepW'),
      otherTitle: c.otherTitle,
      apartDb: groupDigits(Math.abs(powerRatioToDb(c.pepW / c.otherW)), 1),
    }),
  P22: c =>
    t('doubt.outOfWOfPlateInput', {
      outputW: showPlain(c.outputW, 'powerW'),
      inputW: groupDigits(c.inputW, 0),
      maxRatio: c.maxRatio * 100,
    }),
  P23: c =>
    t('doubt.beforeNowAtTheSameSetting', {
      beforeW: showPlain(c.beforeW, 'powerW'),
      nowW: showPlain(c.nowW, 'powerW'),
    }),
  P25: c =>
    t('doubt.depthButAFinalThatReaches', {
      read: percent(c.readRatio),
      pepMostW: groupDigits(c.pepMostW, 1),
      maxDepth: percent(c.maxRatio),
    }),
  P26: c =>
    t('doubt.isBetweenHalfDivisionsOfEach', {
      read: showPlain(c.read, c.quantity),
      tick: showPlain(c.tick, c.quantity),
    }),
  P24: c =>
    t('doubt.pepOnACarrierOfIs', {
      pepW: showPlain(c.pepW, 'pepW'),
      carrierW: showPlain(c.carrierW, 'powerW'),
      percent: percent(c.byPepRatio),
    }),
  P33: c =>
    t('doubt.forIsBetterThanThermalNoise', {
      readV: showPlain(c.readV, c.quantity),
      what: c.quantity === 'audibleV' ? t('doubt.anAudibleTone') : criterionWords(c.test),
      modulation: modulationWords(c.test.modulation),
      minV: groupDigits(c.minV * 1e6, 3),
    }),
  P40: c =>
    t('doubt.isKnownToHzOnlyThe', {
      readHz: showPlain(c.readHz, c.quantity),
      boundHz: groupDigits(c.boundHz, 0),
      windowHz: groupDigits(c.windowHz, 0),
    }),
  P37: c => t('doubt.ofDeviationWithoutAToneHum', { readHz: showPlain(c.readHz, c.quantity) }),
}

export function challengeWords<R extends Rule>(c: Extract<Challenge, { rule: R }>): string {
  return WORDS[c.rule as R](c)
}

const percent = (ratio: number, decimals = 0) => `${groupDigits(ratio * 100, decimals)} %`

function offWords(errorHz: number, nominalHz: number): string {
  const ppm = hzToPpm(errorHz, nominalHz)
  return Math.abs(errorHz) < 1e5
    ? `${groupDigits(errorHz / 1000, 1, true)} kHz`
    : `${groupDigits(ppm, 0, true)} ppm`
}

/** What was meant, as far as it can be guessed. */
function meantWords({ likelyHz, quantity }: Extract<Challenge, { rule: 'P11' }>): string {
  if (likelyHz.length === 0) return ''
  return ` ${t('doubt.meant', { list: likelyHz.map(hz => showPlain(hz, quantity)).join(` ${t('doubt.or')} `) })}`
}

import type { Challenge } from '#core/diagnose'
import { criterionWords, modulationWords } from './receiverWords'
import { groupDigits, hzToPpm, powerRatioToDb, showPlain } from '#core/quantity'

type Rule = Challenge['rule']

/** By rule: why the reading cannot be true, with the limit that it breaks and what to look at. */
const WORDS: { readonly [R in Rule]: (c: Extract<Challenge, { rule: R }>) => string } = {
  P01: c =>
    `${groupDigits(c.readDb, 1)} dB SINAD at ${showPlain(c.inputV, 'sensitivityV')} ` +
    `is better than thermal noise allows (${groupDigits(c.maxDb, 1)} dB). Leakage, ` +
    'wrong port or wrong unit? Disconnect the cable and see whether the signal stays.',
  P03: c =>
    `Depth ${percent(c.readRatio)} on the meter, ${percent(c.byPepRatio)} from PEP and ` +
    'carrier. One of them is wrong, or the positive peak is flat-topped. Look at the envelope.',
  P04: c =>
    `Average ${showPlain(c.meanW, 'powerW')} exceeds PEP ` +
    `${showPlain(c.pepW, 'pepW')}: impossible. Are the two swapped?`,
  P05: c =>
    `Average ${showPlain(c.meanW, 'powerW')} on a carrier of ` +
    `${showPlain(c.carrierW, 'powerW')}: at this depth a true average is ` +
    `${groupDigits(c.maxW, 1)} W at most. The meter is probably not true-average.`,
  P06: c =>
    c.isUnusual
      ? `${showPlain(c.meanW, 'powerW')} of RF from ${groupDigits(c.inputW, 1)} ` +
        `W of DC is ${Math.round((c.meanW / c.inputW) * 100)} ` +
        '%. Possible, but such sets reach 35 to 50 %. Check both meters.'
      : `${showPlain(c.meanW, 'powerW')} of RF from ${groupDigits(c.inputW, 1)} ` +
        `W of DC is ${Math.round((c.meanW / c.inputW) * 100)} ` +
        `%. Above ${c.maxRatio * 100} % one of the readings is wrong.`,
  P09: c =>
    c.side === 'low'
      ? `${showPlain(c.read, c.quantity)} is below 10 % of the ` +
        `${showPlain(c.fullScale, c.quantity)} scale: too inaccurate. Use a lower ` +
        `range, or enter it as <${showPlain(c.fullScale / 10, c.quantity)}.`
      : `${showPlain(c.read, c.quantity)} is beyond the ${showPlain(c.fullScale, c.quantity)} ` +
        `scale. Use a higher range, or enter it as >${showPlain(c.fullScale, c.quantity)}.`,
  P10: c =>
    `${showPlain(c.readW, 'powerW')} is ${c.factor} times ` +
    `${groupDigits(c.likelyW, 1)} W. Check the range of the meter.`,
  P11: c =>
    `${showPlain(c.readHz, c.quantity)} is off by ` +
    `${offWords(c.readHz - c.nominalHz, c.nominalHz)}: no crystal is that far off.${meantWords(c)}`,
  P12: c =>
    `${showPlain(c.readHz, 'carrierHz')} is channel ${c.channel} of the plan ` +
    `${c.planName}. On this set it is ${showPlain(c.nominalHz, 'carrierHz')}.`,
  P13: c =>
    `On ${c.mode} the tone is ${c.mode === 'USB' ? 'above' : 'below'} the ` +
    `channel. This is ${groupDigits(Math.abs(c.offHz), 0)} Hz ` +
    `${c.offHz > 0 ? 'above' : 'below'} it. Wrong sideband, on the set or on the test set?`,
  P41: c =>
    `Depth ${percent(c.readRatio, 2)} with a tone: was ` +
    `${percent(100 * c.readRatio)} meant? Depth is typed in per cent.`,
  P16: c =>
    `A negative peak of ${percent(c.readRatio)}: it cannot exceed ` +
    '100 %. Is it the positive peak, or does the meter extrapolate?',
  P21: c =>
    `PEP ${showPlain(c.pepW, 'pepW')} here, ${showPlain(c.otherW, 'pepW')} ` +
    `at "${c.otherTitle}", both fully modulated: ` +
    `${groupDigits(Math.abs(powerRatioToDb(c.pepW / c.otherW)), 1)} ` +
    'dB apart. At least one was probably over-modulated.',
  P22: c =>
    `${showPlain(c.outputW, 'powerW')} out of ${groupDigits(c.inputW, 0)} W of plate input. ` +
    `Above ${c.maxRatio * 100} % one of the readings is wrong. Range, SWR, or is it PEP?`,
  P23: c =>
    `${showPlain(c.beforeW, 'powerW')} before, ${showPlain(c.nowW, 'powerW')} ` +
    'now at the same setting: more than 2 % apart. Warm-up, connector or supply?',
  P25: c =>
    `Depth ${percent(c.readRatio)}, but a final that reaches ${groupDigits(c.pepMostW, 1)} W PEP ` +
    `limits this carrier to ${percent(c.maxRatio)}. The depth meter reads high, or the PEP meter low.`,
  P26: c =>
    `${showPlain(c.read, c.quantity)} is between half divisions of ` +
    `${showPlain(c.tick, c.quantity)} each. Read the needle to half a division.`,
  P24: c =>
    `PEP ${showPlain(c.pepW, 'pepW')} on a carrier of ` +
    `${showPlain(c.carrierW, 'powerW')} is ${percent(c.byPepRatio)}. Over-modulated, or ` +
    'the meter overshoots. Power alone does not show clean modulation.',
  P33: c =>
    `${showPlain(c.readV, c.quantity)} for ` +
    `${c.quantity === 'audibleV' ? 'an audible tone' : criterionWords(c.test)}, ` +
    `${modulationWords(c.test.modulation)}, is better than thermal noise allows ` +
    `(${groupDigits(c.minV * 1e6, 3)} µV). Leakage, wrong port or wrong unit?`,
  P40: c =>
    `${showPlain(c.readHz, c.quantity)} is known to ±${groupDigits(c.boundHz, 0)} Hz ` +
    `only; the tolerance is ${groupDigits(c.windowHz, 0)} Hz wide. Read all digits first.`,
  P37: c =>
    `${showPlain(c.readHz, c.quantity)} of deviation without a tone: hum or noise, or the tone is on.`,
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
  return ` Meant ${likelyHz.map(hz => showPlain(hz, quantity)).join(' or ')}?`
}

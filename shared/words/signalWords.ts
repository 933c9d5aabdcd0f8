import type { RuleSet } from '#core/rules'
import { QUANTITIES, groupDigits, showPlain, showSmallPower } from '#core/quantity'
import type { JudgedReading, JudgedSignal, Limit, SignalFinding } from '#core/signal'
import { sentence } from './sentence'

/** More than this in the next channel is no number to hold against a limit of microwatts [W]. */
const MAX_SAID_W = 0.01
const percent = (ratio: number, digits = 1) => `${(100 * ratio).toFixed(digits)} %`

/** The verdict in one or two sentences: what is gravest, and where the power lands. */
export function verdictLine(judged: JudgedSignal): string {
  const [first, ...rest] = judged.findings
  const neighbours = rest.find(f => f.kind === 'neighbours')
  return [findingWords(first!), ...(neighbours ? [findingWords(neighbours)] : [])].join(' ')
}

export function findingWords(f: SignalFinding): string {
  switch (f.kind) {
    case 'nothing-sent':
      return 'No signal above the noise.'
    case 'only-at-centre':
      return (
        'A weak line at the centre of the recording: a carrier, or the ' +
        'offset of the receiver. Tune 10 kHz beside it and record again.'
      )
    case 'overload':
      return 'The recording is overloaded. Record it again with 10 dB less.'
    case 'pinched':
      return `Over-modulated: carrier cut off ${percent(f.share)} of the time.`
    case 'reversed':
      return `Over-modulated: the carrier reverses its phase, ${percent(f.depth, 0)} of a balanced modulator.`
    case 'flat-topped':
      return `Flat-topping: the positive peak is clipped ${percent(f.share)} of the time.`
    case 'outside':
      return (
        `${QUANTITIES[f.reading.quantity].label} ${f.reading.judgement!.verdict}: ` +
        sentence(`${valueWords(f.reading)}. ${f.reading.limit!.rule.words}`)
      )
    case 'undecided':
      return (
        `${QUANTITIES[f.reading.quantity].label}: cannot tell, ${valueWords(f.reading)} ` +
        `with the limit within the uncertainty (${f.reading.limit!.rule.words}).`
      )
    case 'neighbours':
      return `${percent(f.share, f.share < 0.01 ? 2 : 1)} of the power is in the adjacent channels.`
    case 'adjacent-power':
      return `${microwatts(f.watts)} in an adjacent channel, ${showSmallPower(f.maxW)} max.`
    case 'adjacent-untold':
      return untoldWords(f)
    case 'mask':
      return (
        `Outside the mask of ${f.ruleSet} by ${(-f.marginDb).toFixed(1)} ` +
        `dB, ${(Math.abs(f.offsetHz) / 1000).toFixed(1)} ` +
        `kHz ${f.offsetHz < 0 ? 'below' : 'above'} the channel.`
      )
    case 'clean':
      return 'All judged results are within the rule set.'
  }
}

const microwatts = (watts: number) => `${groupDigits(watts * 1e6, 0)} \u00b5W`

/** The limit of a rule set on the adjacent channel, beside the figures; null = it has none in watts. */
export function adjacentLimitWords(rules: RuleSet, carrierW: number | null): string | null {
  if (!rules.adjacent) return null
  const { id, maxW } = rules.adjacent
  const words = `${id}: ${showSmallPower(maxW)} max. in an adjacent channel`
  return carrierW === null ? `${words}: give the carrier power to have it judged` : words
}

function untoldWords({ watts, maxW }: Extract<SignalFinding, { kind: 'adjacent-untold' }>): string {
  const inTotal = watts < MAX_SAID_W ? `, ${microwatts(watts)} in total` : ''
  return (
    `Adjacent channel, ${showSmallPower(maxW)} max.: cannot tell. ` +
    `Receiver noise or another station is included in the reading${inTotal}.`
  )
}

/** What an uncertainty mostly comes from, and so what would make it smaller. */
const LIMIT_WORDS: Readonly<Record<Limit, string>> = {
  noise: 'limited by noise of the receiver',
  length: 'limited by the length of the recording',
  recorder: 'limited by filters and rounding',
  neighbour: 'limited by adjacent signals',
  assumption: 'the carrier frequency is assumed',
  reference: 'limited by the reference of the receiver',
  gain: 'limited by the gain between two recordings',
  drift: 'limited by drift',
  modulation: 'limited by the modulation',
}
export const limitWords = (limit: Limit | null): string => (limit === null ? '' : LIMIT_WORDS[limit])

/** A reading with its unit; a carrier by its distance from the channel too. */
export function valueWords(r: JudgedReading): string {
  const off =
    r.nominalHz === null
      ? ''
      : `, ${r.value >= r.nominalHz ? '+' : '\u2212'}${groupDigits(Math.abs(r.value - r.nominalHz), 1)} ` +
        'Hz from the channel'
  return `${showPlain(r.value, r.quantity)}${off}`
}

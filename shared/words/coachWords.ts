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

/** What to do with a core, for an eye that looks up for half a second. */
export const PEAK_WORDS: Readonly<Record<PeakLook['word'], Guide>> = {
  'wait': { say: 'Wait', how: 'The meter has not settled.' },
  'go-on': { say: 'Same direction', how: 'Turn a little, then wait.' },
  'touch': { say: 'Same direction, slightly', how: 'A few degrees, then wait.' },
  'turn-back': { say: 'Turn back slightly', how: 'Past the peak: the level fell.' },
  'stop': { say: 'Stop: peak', how: 'Estimated within 0.1 dB.' },
  'flat': { say: 'Other direction, 1/2 turn', how: 'No change. If still none, try another core.' },
  'end': { say: 'Stop turning', how: 'Level no longer changes. Possible end stop: do not force.' },
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
  return part === 'slightly' ? part : `${part} turn`
}

/** So much of the last movement. */
export function lastTurnWords(ratio: number): string {
  const share = Math.abs(ratio)
  const part = nearest(share)
  if (part === 'slightly') return 'slightly'
  if (part !== '1') return `about ${part} of the last turn`
  if (share < 1.25) return 'about as far as the last turn'
  return `about ${share < 1.75 ? '1.5' : Math.round(share)} times the last turn`
}

const OTHER_WAY: Readonly<Record<NonNullable<Adjuster['raisedBy']>, string>> = {
  clockwise: 'anticlockwise',
  anticlockwise: 'clockwise',
  inwards: 'outwards',
  outwards: 'inwards',
  up: 'down',
  down: 'up',
}

const capital = (words: string) => words[0]!.toUpperCase() + words.slice(1)

/** What the hand does to come to the target. */
export function settingWords(
  { kind, need, ofLastTurn }: SettingAdvice,
  raisedBy: Adjuster['raisedBy'],
): Guide {
  const way = raisedBy && need ? (need === 'up' ? raisedBy : OTHER_WAY[raisedBy]) : null
  const reads = `Reading ${need === 'up' ? 'low' : 'high'}.`
  switch (kind) {
    case 'there':
      return { say: 'Take the reading', how: 'On target.' }
    case 'first-touch':
      return way
        ? { say: `${capital(way)}, slightly`, how: `${reads} Wait for the meter.` }
        : { say: 'Turn slightly, then wait', how: `${reads} Direction unknown.` }
    case 'no-effect':
      return { say: 'Stop: no effect', how: 'Check the adjuster and its end stop.' }
    case 'turn':
      return {
        say: ofLastTurn! > 0 ? 'Same direction' : 'Other direction',
        how: `${capital(lastTurnWords(ofLastTurn!))}. ${reads}`,
      }
  }
}

const WEAK_WORDS: Readonly<Record<BalanceMove['weakEnd'], string>> = {
  low: 'Low end weak',
  high: 'High end weak',
  both: 'Both ends weak, response too narrow',
  none: 'Balanced',
}

/** Which coil to offset, which way and how far. @param coils the two that are turned, in circuit order */
export function balanceWords({ weakEnd, turns }: BalanceMove, coils: readonly string[]): Guide {
  const one = (name: string, t: number) =>
    Math.abs(t) < 0.02 ? null : `${name} ${turnWords(t)} ${t > 0 ? 'in' : 'out'}`
  const moves = turns
    ? [one(coils[0] ?? 'First coil', turns.first), one(coils[1] ?? 'second coil', turns.second)].filter(
        move => move !== null,
      )
    : []
  if (moves.length === 0) return { say: WEAK_WORDS[weakEnd], how: 'Nothing to adjust.' }
  if (moves.length === 1)
    return { say: moves[0]!, how: `${WEAK_WORDS[weakEnd]}. Then measure all three channels.` }
  return {
    say: 'Offset both coils',
    how: `${WEAK_WORDS[weakEnd]}: ${moves.join(', ')}. Then measure all three channels.`,
  }
}

const minutes = (s: number) => (s < 90 ? `${Math.max(1, Math.round(s))} s` : `${Math.round(s / 60)} min`)

/** A drift with what it may be off by (k = 2): nothing is called a drift that could be none. */
function rateWords({ rateHzPerMin, rateUncertaintyHzPerMin }: DriftFit): string {
  const slack = Math.max(0.1, 2 * rateUncertaintyHzPerMin)
  const rate = Math.abs(rateHzPerMin)
  if (rate <= slack) return `Drift ${groupDigits(rate + slack, 1)} Hz/min at most`
  return `Drift ${groupDigits(rateHzPerMin, 1, true)} \u00b1 ${groupDigits(slack, 1)} Hz/min`
}

function endWords({ settlesHz, settlesUncertaintyHz }: DriftFit): string {
  if (settlesHz === null) return 'Too early to predict the final frequency.'
  const uncertaintyHz = Math.max(1, 2 * settlesUncertaintyHz!)
  return (
    `Final error on transmit about ${groupDigits(settlesHz, 0, true)} ` +
    `± ${groupDigits(uncertaintyHz, 0)} Hz.`
  )
}

/** Whether frequency may be set, and when. */
export function gateWords({ state, by, fit, opensInS, limitHzPerMin }: WarmGate): Guide {
  const rate = fit ? rateWords(fit) : ''
  const notDecisive = fit ? `${rate}, not decisive.` : 'Drift not measured.'
  const rateAndLimit = `${rate}, limit ${limitHzPerMin}.`
  if (state === 'open')
    return {
      say: 'Warmed up',
      how: by === 'drift' ? rateAndLimit : `Long enough since power-on. ${notDecisive}`,
    }
  if (state === 'unknown')
    return {
      say: 'Enter switch-on time',
      how: fit
        ? `${notDecisive} Or let the counter run on.`
        : 'Warm-up unknown. Or let the counter run for 1 min.',
    }
  if (by === 'time') return { say: 'Wait: warming up', how: `${minutes(opensInS!)} left. ${notDecisive}` }
  const soon = opensInS === null ? '' : ` About ${minutes(opensInS)} left.`
  return { say: 'Wait: warming up', how: `${rateAndLimit}${soon} ${endWords(fit!)}` }
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
): Guide {
  const code = codeWords(p.code, format)
  const expected = p.expected === null ? '' : shown(p.expected)
  switch (p.why) {
    case 'there':
      return { say: `Keep ${code}`, how: expected && `${expected}, within tolerance, uncertainty included.` }
    case 'end':
      return {
        say: `${code}: end of range`,
        how: expected
          ? `${expected}. The menu has no further value that way.`
          : 'The menu has no further value.',
      }
    case 'higher':
      return { say: `Try ${code}`, how: 'A careful step up. One more reading gives a curve.' }
    case 'lower':
      return { say: `Try ${code}`, how: 'Lower: it reads above the limit.' }
    default:
      return { say: `Set ${code}`, how: expected && `Expected: ${expected}.` }
  }
}

export const BIAS_BY_WORDS: Readonly<Record<BiasRule['by'], string>> = {
  'rise': 'rise of the supply current above that without bias',
  'stage-current': 'stage current',
  'gate-voltage': 'gate voltage',
}

export function biasDeviceWords({ idleA, gateV, burnsW, ticks }: BiasDevice): string {
  if (idleA === null) return gateV === null ? 'not measured' : `${groupDigits(gateV, 2)} V`
  return [
    `${groupDigits(idleA * 1000, 0)} mA`,
    ...(ticks === null ? [] : [`${groupDigits(ticks, 1)} divisions`]),
    `dissipates ${groupDigits(burnsW!, 1)} W`,
  ].join(', ')
}

export const BEAT_WORDS: Readonly<Record<BeatAdvice['word'], string>> = {
  there: 'Zero beat',
  touch: 'Turn slightly',
  nearer: 'Same direction',
  further: 'Other direction',
}

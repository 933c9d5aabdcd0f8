import type {
  BalanceMove,
  BeatAdvice,
  BiasDevice,
  DriftFit,
  MenuProposal,
  PeakLook,
  SettingAdvice,
  WarmGate,
} from '../../core/run'
import type { Adjuster, BiasRule } from '../../core/sheet'
import { HEX_BYTE, groupDigits, showMenuValue, type MenuFormat } from '../../core/quantity'

/** What to do with a core, for an eye that looks up for half a second. */
export const PEAK_WORDS: Readonly<Record<PeakLook['word'], { readonly say: string; readonly how: string }>> =
  {
    'wait': { say: 'Wait for the needle', how: '' },
    'go-on': { say: 'The same way, a little', how: 'then wait for the needle' },
    'touch': { say: 'The same way, a touch', how: 'a few degrees, then wait' },
    'turn-back': {
      say: 'Past the peak, turn back',
      how: 'it fell: the top lies behind; a few degrees, then wait',
    },
    'stop': { say: 'Stop here', how: 'within a tenth of a dB of the top' },
    'flat': {
      say: 'No peak here',
      how: 'nothing changes: try the other way by half a turn; then another core, a broken one, or no drive at all',
    },
    'end': {
      say: 'The core reached its stop',
      how:
        'it rose and then no longer moved: the circuit is off range; ' +
        'note it, look for a changed part, do not force it',
    },
  }

const SHARES: readonly (readonly [number, string])[] = [
  [0.08, 'a touch'],
  [0.18, 'an eighth'],
  [0.29, 'a quarter'],
  [0.42, 'a third'],
  [0.58, 'half'],
  [0.72, 'two thirds'],
  [0.88, 'three quarters'],
]
const nearest = (share: number) => SHARES.find(([most]) => share < most)?.[1] ?? null

/** A part of a turn as hands know it. */
export function turnWords(turns: number): string {
  const part = nearest(Math.abs(turns))
  return part === null ? 'a whole turn' : part === 'a touch' ? 'a touch' : `${part} of a turn`
}

/** So much of the last movement. */
export function lastTurnWords(ratio: number): string {
  const share = Math.abs(ratio)
  const part = nearest(share)
  if (part === 'a touch') return 'a touch'
  if (part) return `about ${part} of your last turn`
  if (share < 1.25) return 'about as far again'
  if (share < 1.75) return 'about one and a half times your last turn'
  return `about ${Math.round(share)} times your last turn`
}

const OTHER_WAY: Readonly<Record<NonNullable<Adjuster['raisedBy']>, string>> = {
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
): { say: string; how: string } {
  const way = raisedBy && need ? (need === 'up' ? raisedBy : OTHER_WAY[raisedBy]) : null
  switch (kind) {
    case 'there':
      return { say: 'There', how: 'inside: take the reading' }
    case 'first-touch':
      return {
        say: `It must go ${need}`,
        how: way
          ? `a little ${way}, then wait: the first touch tells how far`
          : 'turn a little, then wait: the first touch tells how far and which way',
      }
    case 'no-effect':
      return {
        say: `It must go ${need}`,
        how: 'the last turn changed next to nothing: is it the right one, or at its stop?',
      }
    case 'turn':
      return ofLastTurn! > 0
        ? { say: `Turn on: ${need}`, how: `${lastTurnWords(ofLastTurn!)}, the same way` }
        : { say: `Turn back: ${need}`, how: `${lastTurnWords(ofLastTurn!)}, the other way` }
  }
}

const WEAK_WORDS: Readonly<Record<BalanceMove['weakEnd'], string>> = {
  low: 'The low end is weak',
  high: 'The high end is weak',
  both: 'Both ends are weak alike: peaked too sharply',
  none: 'Balanced',
}

/** Which coil to offset, which way and how far. @param coils the two that are turned, in circuit order */
export function balanceWords(
  { weakEnd, turns }: BalanceMove,
  coils: readonly string[],
): { say: string; how: string } {
  const one = (name: string, t: number) =>
    Math.abs(t) < 0.02 ? null : `${name} ${turnWords(t)} ${t > 0 ? 'in' : 'out'}`
  const moves = turns
    ? [one(coils[0] ?? 'the first coil', turns.first), one(coils[1] ?? 'its neighbour', turns.second)].filter(
        Boolean,
      )
    : []
  return {
    say: WEAK_WORDS[weakEnd],
    how: moves.length > 0 ? `${moves.join(', ')}; then measure all three again` : 'nothing to turn',
  }
}

const minutes = (s: number) => (s < 90 ? `${Math.max(1, Math.round(s))} s` : `${Math.round(s / 60)} min`)

/** A drift with what it may be off by (k = 2): nothing is called a drift that could be none. */
function rateWords({ rateHzPerMin, rateUncertaintyHzPerMin }: DriftFit): string {
  const slack = Math.max(0.1, 2 * rateUncertaintyHzPerMin)
  const rate = Math.abs(rateHzPerMin)
  if (rate <= slack) return `drifts by at most ${groupDigits(rate + slack, 1)} Hz/min`
  return `drifts ${groupDigits(rate, 1)} \u00b1 ${groupDigits(slack, 1)} Hz/min ${rateHzPerMin < 0 ? 'down' : 'up'}`
}

function endWords({ settlesHz, settlesUncertaintyHz }: DriftFit): string {
  if (settlesHz === null) return '; too early to say where it settles'
  return (
    `; settles on the air at ${groupDigits(settlesHz, 0, true)} \u00b1 ` +
    `${groupDigits(Math.max(1, 2 * settlesUncertaintyHz!), 0)} Hz`
  )
}

/** Whether frequency may be set, and when. */
export function gateWords({ state, by, fit, opensInS, limitHzPerMin }: WarmGate): {
  say: string
  how: string
} {
  const rate = fit ? rateWords(fit) : ''
  if (state === 'open') {
    if (by === 'drift') return { say: 'Warm', how: `${rate}, limit ${limitHzPerMin} Hz/min` }
    return {
      say: 'Warm',
      how: fit
        ? `long enough since power-on; ${rate}, which does not decide`
        : 'long enough since power-on; no drift was measured',
    }
  }
  if (state === 'unknown')
    return {
      say: 'Not known how warm it is',
      how: fit
        ? `${rate}: more readings tell better`
        : 'note when it was switched on, or let the counter run: a minute of readings tells the drift',
    }
  if (by === 'time')
    return {
      say: 'Wait for the warm-up',
      how:
        `${minutes(opensInS!)} more by the clock; ` +
        `${fit ? `${rate}, which does not decide` : 'measured drift would tell better'}`,
    }
  const soon = opensInS === null ? '' : `: in about ${minutes(opensInS)}`
  return {
    say: 'Wait for the warm-up',
    how: `${rate}, limit ${limitHzPerMin} Hz/min${soon}${endWords(fit!)}`,
  }
}

/** A menu value as the set shows it. */
export function codeWords(code: number, format: MenuFormat = HEX_BYTE): string {
  return showMenuValue(code, format)
}

/** The menu value to write next. @param shown a value of the quantity, in words */
export function menuWords(
  p: MenuProposal,
  shown: (value: number) => string,
  format: MenuFormat = HEX_BYTE,
): { say: string; how: string } {
  const code = codeWords(p.code, format)
  switch (p.why) {
    case 'there':
      return {
        say: `Leave it at ${code}`,
        how: p.expected === null ? '' : `${shown(p.expected)}, inside with its uncertainty`,
      }
    case 'end':
      return {
        say: `${code} is the end of the range`,
        how:
          p.expected === null
            ? 'the menu has nothing further'
            : `${shown(p.expected)}; the menu has nothing further that way`,
      }
    case 'higher':
      return { say: `Try ${code}`, how: 'a careful step up: one more reading makes a curve' }
    case 'lower':
      return { say: `Try ${code}`, how: 'down: it reads above the limit' }
    default:
      return { say: `Write ${code}`, how: p.expected === null ? '' : `expected ${shown(p.expected)}` }
  }
}

export const BIAS_BY_WORDS: Readonly<Record<BiasRule['by'], string>> = {
  'rise': 'rise of the supply current over that without bias',
  'stage-current': 'current of the stage',
  'gate-voltage': 'gate voltage',
}

export function biasDeviceWords({ idleA, gateV, burnsW, ticks }: BiasDevice): string {
  if (idleA === null) return gateV === null ? 'not read yet' : `${groupDigits(gateV, 2)} V`
  return [
    `${groupDigits(idleA * 1000, 0)} mA`,
    ...(ticks === null ? [] : [`${groupDigits(ticks, 1)} ticks`]),
    `burns ${groupDigits(burnsW!, 1)} W`,
  ].join(', ')
}

export const BEAT_WORDS: Readonly<Record<BeatAdvice['word'], string>> = {
  there: 'Zero beat',
  touch: 'Turn a touch: a tone has no sign',
  nearer: 'Nearer: the same way',
  further: 'Further off: the other way',
}

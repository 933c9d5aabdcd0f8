import { DEFAULT_OPTIONS, type MeasureOptions } from '../../core/signal'
import { emissionMask } from '../../core/rules'

export interface Arguments {
  readonly file: string
  readonly json: boolean
  readonly monoIs: 'audio' | 'real' | undefined
  readonly options: MeasureOptions
}

export const USAGE =
  'measure -- FILE [--as am|fm|ssb|audio|auto] [--nominal-hz N] [--tone-hz ' +
  'N] [--spacing-hz 10000] [--channel-width-hz N] [--unmodulated-dbfs ' +
  'N] [--carrier-w P] [--reference-ppm N] [--rules R-US] [--json]'
const MOST_DBFS = 120
const MODES = ['am', 'fm', 'ssb', 'audio', 'auto'] as const
const NUMBERS = {
  '--nominal-hz': 'nominalHz',
  '--tone-hz': 'toneHz',
  '--spacing-hz': 'spacingHz',
  '--channel-width-hz': 'channelWidthHz',
  '--carrier-w': 'carrierW',
  '--reference-ppm': 'referencePpm',
} as const

/** @throws {Error} in words, by argument */
export function parseArguments(list: readonly string[]): Arguments {
  let file: string | null = null
  let json = false
  let ruleSetId = 'R-US'
  let options: MeasureOptions = DEFAULT_OPTIONS
  const rest = [...list]
  for (let word = rest.shift(); word !== undefined; word = rest.shift()) {
    const [name, glued] =
      word.startsWith('--') && word.includes('=')
        ? [word.slice(0, word.indexOf('=')), word.slice(word.indexOf('=') + 1)]
        : [word, undefined]
    const value = () => glued ?? rest.shift() ?? fail(name, 'needs a value')
    if (name === '--json') json = true
    else if (name === '--as') options = { ...options, as: modeOf(value()) }
    else if (name === '--rules') ruleSetId = value()
    else if (name === '--unmodulated-dbfs') options = { ...options, unmodulatedDbfs: levelOf(name, value()) }
    else if (name in NUMBERS)
      options = { ...options, [NUMBERS[name as keyof typeof NUMBERS]]: numberOf(name, value()) }
    else if (name.startsWith('--')) fail(name, `is an unknown option; ${USAGE}`)
    else if (file !== null) fail(word, 'is a second file; give one file at a time')
    else file = word
  }
  if (file === null) throw new Error(`file: none given; ${USAGE}`)
  return {
    file,
    json,
    monoIs: options.as === 'auto' ? undefined : options.as === 'audio' ? 'audio' : 'real',
    options: {
      ...options,
      mask: { ruleSetId, parts: (mode, powerW) => emissionMask(ruleSetId, mode, powerW) },
    },
  }
}

function modeOf(value: string): MeasureOptions['as'] {
  return (MODES as readonly string[]).includes(value)
    ? (value as MeasureOptions['as'])
    : fail('--as', `"${value}" is not one of ${MODES.join(', ')}`)
}

function numberOf(name: string, text: string): number {
  const value = Number(text)
  if (text.trim() === '' || !Number.isFinite(value) || value <= 0)
    fail(name, `"${text}" is not a number above zero`)
  return value
}

/** A level against full scale is mostly negative. */
function levelOf(name: string, text: string): number {
  const value = Number(text)
  if (text.trim() === '' || !(Math.abs(value) <= MOST_DBFS)) fail(name, `"${text}" is not a level in dBFS`)
  return value
}

function fail(name: string, reason: string): never {
  throw new Error(`${name}: ${reason}`)
}

import { t } from '#shared/i18n'
import { parseArgs } from 'node:util'
import { DEFAULT_OPTIONS, type MeasureOptions } from '#core/signal'
import { RULE_SETS, emissionMask, type RuleSet } from '#core/rules'

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
const MAX_DBFS = 120
const MODES = ['am', 'fm', 'ssb', 'audio', 'auto'] as const
const NUMBERS = {
  'nominal-hz': 'nominalHz',
  'tone-hz': 'toneHz',
  'spacing-hz': 'spacingHz',
  'channel-width-hz': 'channelWidthHz',
  'carrier-w': 'carrierW',
  'reference-ppm': 'referencePpm',
} as const
const WITH_VALUE = ['as', 'rules', 'unmodulated-dbfs', ...Object.keys(NUMBERS)]

/** @throws {Error} in words, by argument */
export function parseArguments(list: readonly string[]): Arguments {
  const { file, values, json } = read(list)
  const as = modeOf(values.get('as') ?? DEFAULT_OPTIONS.as)
  const rules = ruleSetOf(values.get('rules') ?? 'R-US')
  const level = values.get('unmodulated-dbfs')
  const mono = as === 'audio' ? 'audio' : 'real'
  const numbers = Object.entries(NUMBERS).flatMap(([name, option]) => {
    const text = values.get(name)
    return text === undefined ? [] : [[option, numberOf(`--${name}`, text)] as const]
  })
  return {
    file,
    json,
    monoIs: as === 'auto' ? undefined : mono,
    options: {
      ...DEFAULT_OPTIONS,
      ...Object.fromEntries(numbers),
      ...(level === undefined ? {} : { unmodulatedDbfs: levelOf('--unmodulated-dbfs', level) }),
      as,
      mask: { ruleSetId: rules.id, parts: (mode, powerW) => emissionMask(rules.mask, mode, powerW) },
    },
  }
}

/** Not strict: a level is mostly negative, and "-12" is a value here. What is unknown is refused below. */
function read(list: readonly string[]) {
  const options = Object.fromEntries(WITH_VALUE.map(name => [name, { type: 'string' as const }]))
  const { tokens } = parseArgs({ args: [...list], options, strict: false, tokens: true })
  const values = new Map<string, string>()
  let file: string | null = null
  let json = false
  for (const token of tokens) {
    if (token.kind === 'positional') {
      if (file !== null) fail(token.value, t('command.secondFile'))
      file = token.value
    } else if (token.kind === 'option') {
      const { name, rawName, value } = token
      if (name === 'json') json = value === undefined || fail(rawName, t('command.noValue'))
      else if (!WITH_VALUE.includes(name)) fail(rawName, t('command.unknownOption', { usage: USAGE }))
      else values.set(name, value ?? fail(rawName, t('command.needsValue')))
    }
  }
  if (file === null) throw new Error(t('command.noFile', { usage: USAGE }))
  return { file, values, json }
}

function ruleSetOf(value: string): RuleSet {
  const known = RULE_SETS.map(r => r.id).join(', ')
  return RULE_SETS.find(r => r.id === value) ?? fail('--rules', t('command.notOneOf', { value, list: known }))
}

function modeOf(value: string): MeasureOptions['as'] {
  return (MODES as readonly string[]).includes(value)
    ? (value as MeasureOptions['as'])
    : fail('--as', t('command.notOneOf', { value, list: MODES.join(', ') }))
}

function numberOf(name: string, text: string): number {
  const value = Number(text)
  if (text.trim() === '' || !Number.isFinite(value) || value <= 0)
    fail(name, t('command.notAboveZero', { text }))
  return value
}

/** A level against full scale is mostly negative. */
function levelOf(name: string, text: string): number {
  const value = Number(text)
  if (text.trim() === '' || !(Math.abs(value) <= MAX_DBFS)) fail(name, t('command.notALevel', { text }))
  return value
}

function fail(name: string, reason: string): never {
  throw new Error(`${name}: ${reason}`)
}

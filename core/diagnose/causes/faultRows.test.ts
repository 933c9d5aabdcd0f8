import { describe, expect, it } from 'vitest'
import { healthy, type Truth } from '../../../test/fixtures/faults/truth'
import { readMatrix } from '../../../test/fixtures/faults/readMatrix'
import { randomFrom } from '../../../test/fixtures/faults/random'
import { modelSheet } from '../../sheet'
import { diagnose } from './diagnose'
import type { Domain } from './observable'

/** Rows of the fault table (common practice), each with a set that has it and one that only looks like it. */
type Kind = Parameters<typeof healthy>[0]
interface Case {
  readonly kind: Kind
  readonly sheet: string
  readonly truth: Partial<Truth>
  readonly tests?: Record<string, string>
}
interface Row {
  readonly row: string
  readonly domain: Domain
  readonly cause: string
  readonly has: Case
  readonly hasNot: Case
}

const FM = { kind: 'mobile', sheet: 'osmund-27f' } as const
const AM = { kind: 'mobile', sheet: 'osmund-40a' } as const
const LX8 = { kind: 'multimode', sheet: 'larkfield-lx8' } as const
const VALVE = { kind: 'valve', sheet: 'quillon-hb150' } as const
const TALLIS = { kind: 'high', sheet: 'brantwick-tallis60' } as const
const ppm = (value: number) => (channel: number) => (150 + channel) * 10_000 * value * 1e-6
const ssb = (change: Partial<Truth['ssb']>): Partial<Truth> => ({ ssb: { ...healthy().ssb, ...change } })

const ROWS: readonly Row[] = [
  {
    row: 'F05',
    domain: 'power',
    cause: 'carrier-high-set',
    has: { ...AM, truth: { powerW: () => 5.6 }, tests: { travel: 'acts' } },
    hasNot: { ...AM, truth: { powerW: () => 3.9 }, tests: { travel: 'acts' } },
  },
  {
    row: 'F09',
    domain: 'power',
    cause: 'ssb-path',
    has: { ...LX8, truth: ssb({ pepW: 3 }) },
    hasNot: { ...LX8, truth: { ...ssb({ pepW: 3 }), powerW: () => 1, keyedA: 0.7 } },
  },
  {
    row: 'F10',
    domain: 'modulation',
    cause: 'modulation-preset-low',
    has: { ...AM, truth: { depthAt: () => 0.55 } },
    hasNot: { ...AM, truth: { depthAt: db => 0.35 * 10 ** (db / 20) }, tests: { 'audio-after': 'weak' } },
  },
  {
    row: 'F11',
    domain: 'power',
    cause: 'carrier-low-set',
    has: { ...FM, truth: { powerW: () => 2.4, lowPowerW: 0.24, keyedA: 0.95 }, tests: { travel: 'acts' } },
    hasNot: { ...FM, truth: { powerW: () => 2.4, lowPowerW: 0.24, keyedA: 0.95 }, tests: { cores: 'off' } },
  },
  {
    row: 'F15',
    domain: 'modulation',
    cause: 'voice-unbalanced',
    has: { ...TALLIS, truth: { voiceRatio: 6 } },
    hasNot: { ...TALLIS, truth: { voiceRatio: 2.6 } },
  },
  {
    row: 'F25',
    domain: 'power',
    cause: 'bench-meter',
    has: { ...FM, truth: { meterRatio: 0.4 }, tests: { 'second-meter': 'other' } },
    hasNot: {
      ...FM,
      truth: { powerW: () => 1.5, lowPowerW: 0.15, keyedA: 0.8 },
      tests: { 'second-meter': 'same' },
    },
  },
  {
    row: 'F26',
    domain: 'frequency',
    cause: 'reference-off',
    has: { ...FM, truth: { referencePpm: 45, txErrorHz: ppm(45) } },
    hasNot: { ...FM, truth: { txErrorHz: () => -250 }, tests: { trimmer: 'reaches' } },
  },
  {
    row: 'F27',
    domain: 'receiver',
    cause: 'rx-off-centre',
    has: { ...AM, truth: { thresholdRatio: 2.5 }, tests: { 'rx-tuning': 'side' } },
    hasNot: { ...AM, truth: { thresholdRatio: 2.5 }, tests: { 'rx-tuning': 'centre', 'inject-if': 'good' } },
  },
  {
    row: 'F28',
    domain: 'frequency',
    cause: 'not-warm',
    has: {
      ...FM,
      truth: { txErrorHz: () => -130, referencePpm: -2, onTimeS: 240 },
      tests: { settles: 'moving' },
    },
    hasNot: { ...FM, truth: { txErrorHz: () => -130 }, tests: { settles: 'still', trimmer: 'reaches' } },
  },
  {
    row: 'F29',
    domain: 'frequency',
    cause: 'crystal-out-of-reach',
    has: { ...FM, truth: { txErrorHz: () => -391 }, tests: { trimmer: 'stops' } },
    hasNot: { ...FM, truth: { txErrorHz: () => -391 }, tests: { trimmer: 'reaches' } },
  },
  {
    row: 'F30',
    domain: 'frequency',
    cause: 'no-trimmer',
    has: { ...AM, truth: { referencePpm: -9, txErrorHz: () => -245 }, tests: { trimmer: 'missing' } },
    hasNot: { ...AM, truth: { referencePpm: -9, txErrorHz: () => -245 }, tests: { trimmer: 'reaches' } },
  },
  {
    row: 'F31',
    domain: 'frequency',
    cause: 'tx-trimmer-off',
    has: { ...FM, truth: { txErrorHz: () => -180 }, tests: { trimmer: 'reaches' } },
    hasNot: { ...FM, truth: { txErrorHz: () => 10 }, tests: { trimmer: 'reaches' } },
  },
  {
    row: 'F42',
    domain: 'receiver',
    cause: 'compensated-meter',
    has: { ...AM, truth: { thresholdRatio: 5, sinadDb: { high: 2, low: 0.3 } } },
    hasNot: { ...AM, truth: { thresholdRatio: 8, sMeterUnits: 5.8, sinadDb: { high: 0.5, low: 0.1 } } },
  },
  {
    row: 'F46',
    domain: 'power',
    cause: 'bias-off',
    has: { ...LX8, truth: { stageIdleA: 0.12 } },
    hasNot: { ...LX8, truth: { stageIdleA: 0.05 } },
  },
  {
    row: 'F53',
    domain: 'power',
    cause: 'coils-off',
    has: {
      ...FM,
      truth: { powerW: c => 1.6 + c * 0.05, lowPowerW: 0.25, keyedA: 0.9 },
      tests: { cores: 'off' },
    },
    hasNot: {
      ...FM,
      truth: { powerW: () => 2.4, lowPowerW: 0.24, keyedA: 0.95 },
      tests: { cores: 'peaked', travel: 'acts' },
    },
  },
  {
    row: 'F54',
    domain: 'modulation',
    cause: 'deviation-preset-low',
    has: { ...FM, truth: { deviationHz: { up: 1400, down: 1380 } }, tests: { 'preset-feel': 'smooth' } },
    hasNot: {
      ...FM,
      truth: { deviationHz: { up: 1400, down: 1380 } },
      tests: { 'audio-after': 'weak', 'preset-feel': 'end' },
    },
  },
  {
    row: 'F57',
    domain: 'modulation',
    cause: 'uneven-limiter',
    has: { ...FM, truth: { deviationHz: { up: 2450, down: 1500 } } },
    hasNot: { ...FM, truth: { deviationHz: { up: 2450, down: 2430 } } },
  },
  {
    row: 'F71',
    domain: 'power',
    cause: 'broken-core',
    has: { ...FM, truth: { powerW: () => 1, lowPowerW: 0.1, keyedA: 0.8 }, tests: { cores: 'dead' } },
    hasNot: { ...FM, truth: { powerW: () => 1, lowPowerW: 0.1, keyedA: 0.8 }, tests: { cores: 'off' } },
  },
  {
    row: 'F72',
    domain: 'modulation',
    cause: 'dirty-preset',
    has: { ...FM, truth: { deviationHz: { up: 500, down: 500 } }, tests: { 'preset-feel': 'jumps' } },
    hasNot: { ...FM, truth: { deviationHz: { up: 1400, down: 1400 } }, tests: { 'preset-feel': 'smooth' } },
  },
  {
    row: 'F73',
    domain: 'frequency',
    cause: 'glue-leak',
    has: { ...FM, truth: { txErrorHz: () => -90 }, tests: { humid: 'moves', settles: 'moving' } },
    hasNot: { ...FM, truth: { txErrorHz: () => -90 }, tests: { humid: 'steady' } },
  },
  {
    row: 'F74',
    domain: 'power',
    cause: 'wrong-driver',
    has: {
      ...FM,
      truth: { powerW: () => 0.25, lowPowerW: 0.03, keyedA: 1.8 },
      tests: { 'driver-resistors': 'burnt', 'rf-forward': 'lost-driver' },
    },
    hasNot: {
      ...FM,
      truth: { powerW: () => 0.25, lowPowerW: 0.03, keyedA: 1.6 },
      tests: { 'driver-resistors': 'fine', 'final-heat': 'hot', 'rf-forward': 'to-final' },
    },
  },
  {
    row: 'F76',
    domain: 'supply',
    cause: 'polarity-diode',
    has: {
      ...FM,
      truth: {},
      tests: {
        'idle': 'at-limit',
        'input-ohms': 'short-both',
        'lift-final': 'stays',
        'lift-driver': 'stays',
      },
    },
    hasNot: { ...FM, truth: {}, tests: { 'idle': 'at-limit', 'lift-final': 'falls' } },
  },
  {
    row: 'F77',
    domain: 'supply',
    cause: 'reversed-supply',
    has: { ...FM, truth: {}, tests: { trace: 'burnt' } },
    hasNot: { ...FM, truth: {}, tests: { trace: 'whole' } },
  },
  {
    row: 'F79',
    domain: 'receiver',
    cause: 'sidebands-uneven',
    has: { ...LX8, truth: {}, tests: { 'sideband-audio': 'uneven' } },
    hasNot: { ...LX8, truth: {}, tests: { 'sideband-audio': 'alike' } },
  },
  {
    row: 'F81',
    domain: 'power',
    cause: 'trap-off',
    has: { ...AM, truth: { harmonicDbc: -44 } },
    hasNot: { ...AM, truth: { harmonicDbc: -66 } },
  },
  {
    row: 'F82',
    domain: 'modulation',
    cause: 'hum',
    has: { ...FM, truth: {}, tests: { 'tone-off': 'hums' } },
    hasNot: { ...FM, truth: {}, tests: { 'tone-off': 'quiet' } },
  },
  {
    row: 'F83',
    domain: 'power',
    cause: 'intermittent',
    has: { ...FM, truth: {}, tests: { tap: 'jumps' } },
    hasNot: { ...FM, truth: {}, tests: { tap: 'steady' } },
  },
  {
    row: 'F84',
    domain: 'power',
    cause: 'drive-lost',
    has: {
      ...FM,
      truth: { powerW: () => 0.02, lowPowerW: 0.002, keyedA: 0.4 },
      tests: { 'rf-forward': 'lost-before' },
    },
    hasNot: {
      ...FM,
      truth: { powerW: () => 0.02, lowPowerW: 0.002, keyedA: 1.7 },
      tests: { 'rf-forward': 'lost-driver' },
    },
  },
  {
    row: 'F85',
    domain: 'modulation',
    cause: 'microphone',
    has: { ...FM, truth: {}, tests: { 'other-mic': 'cures' } },
    hasNot: { ...FM, truth: {}, tests: { 'other-mic': 'same' } },
  },
  {
    row: 'F18',
    domain: 'power',
    cause: 'worn-valves',
    has: { ...VALVE, truth: { powerW: () => 35, stageIdleA: 0.045 }, tests: { 'new-pair': 'rises' } },
    hasNot: { ...VALVE, truth: { powerW: () => 60, plateA: 0.3 }, tests: { 're-dip': 'rises' } },
  },
]

/** A whole matrix without luck: no error, no row missing. */
const still = () => ({ ...randomFrom(1), within: (a: number, b: number) => (a + b) / 2, chance: () => false })

function leader({ kind, sheet, truth, tests = {} }: Case, domain: Domain): string | null {
  const model = modelSheet(sheet)
  const made = Object.entries(tests).map(([observableId, outcome]) => ({ observableId, outcome }))
  return (
    diagnose(
      model,
      readMatrix(model, { ...healthy(kind), ...truth }, still()),
      made,
      () => true,
    ).domains.find(d => d.domain === domain)!.ranked[0]?.cause?.id ?? null
  )
}

describe.each(ROWS)('$row', ({ domain, cause, has, hasNot }) => {
  it(`names ${cause} first where it is`, () => expect(leader(has, domain)).toBe(cause))
  it(`does not name ${cause} first where it is not`, () => expect(leader(hasNot, domain)).not.toBe(cause))
})

import { describe, expect, it } from 'vitest'
import { answersOf, readTyped } from '../../../test/fixtures/faults/readMatrix'
import { randomFrom, type Random } from '../../../test/fixtures/faults/random'
import {
  FREQUENCY_SCENARIOS,
  MODULATION_SCENARIOS,
  POWER_SCENARIOS,
  RECEIVER_SCENARIOS,
  SUPPLY_SCENARIOS,
  truthOf,
  type Kind,
  type Scenario,
} from '../../../test/fixtures/faults/scenarios'
import type { Truth } from '../../../test/fixtures/faults/truth'
import { modelSheet } from '../../sheet'
import { causeOf } from './catalogue'
import { diagnose } from './diagnose'
import type { TestMade } from './observable'

/**
 * Records as they are typed on a busy bench: some rows only, values left out, two figures, often no meter
 * named. Each job has one or two faults at random strength; two of the tests that are proposed are made, one
 * answer in twenty wrong.
 */
const RUNS = 50
const SHEETS = {
  fm: 'osmund-27f',
  am: 'osmund-40a',
  ssb: 'larkfield-lx8',
  valve: 'quillon-hb150',
  kit: 'quillon-p5',
  high: 'brantwick-tallis60',
} as const
const SCENARIOS = [
  ...SUPPLY_SCENARIOS,
  ...POWER_SCENARIOS,
  ...FREQUENCY_SCENARIOS,
  ...MODULATION_SCENARIOS,
  ...RECEIVER_SCENARIOS,
]

interface TypedJob {
  readonly what: string
  readonly kind: Kind
  readonly faults: readonly string[]
  /** rows that somebody wrote down */
  readonly rows: RegExp
}

const JOBS: readonly TypedJob[] = [
  {
    what: 'too wide and deaf: the middle channel and the receiver',
    kind: 'am',
    faults: ['modulation-preset-end', 'if-strip'],
    rows: /-19$|level|purity|threshold|s9|sinad/,
  },
  {
    what: 'carrier preset up, nothing but carriers',
    kind: 'am',
    faults: ['carrier-high-set'],
    rows: /^carrier|^panel/,
  },
  {
    what: 'limiter gone, tone rows only',
    kind: 'am',
    faults: ['limiter-missing'],
    rows: /^(carrier|tone)-19|level|purity/,
  },
  {
    what: 'low by a circuit trimmer that is not there',
    kind: 'am',
    faults: ['no-trimmer'],
    rows: /^carrier/,
  },
  { what: 'owner says weak: coils, high power rows', kind: 'fm', faults: ['coils-off'], rows: /^high|^low/ },
  {
    what: 'reference and deviation',
    kind: 'fm',
    faults: ['reference-off', 'deviation-preset-high'],
    rows: /^reference|^high|tone-20/,
  },
  { what: 'no deviation to speak of', kind: 'fm', faults: ['dirty-preset'], rows: /^high-20|^tone/ },
  {
    what: 'carrier runs away, SSB right',
    kind: 'ssb',
    faults: ['regulator-shorted'],
    rows: /am-D|am-tone|fm-|USB/,
  },
  {
    what: 'SSB flat, mean and products only',
    kind: 'ssb',
    faults: ['ssb-flat-topping'],
    rows: /USB|LSB|purity-ssb|bias/,
  },
  { what: 'valves worn, three bands', kind: 'valve', faults: ['worn-valves'], rows: /idle|band-[135]|am-/ },
  { what: 'kit with the gate too low', kind: 'kit', faults: ['gate-low'], rows: /gate|carrier|receive/ },
  { what: 'claim of the seller', kind: 'high', faults: ['inflated-claim'], rows: /owner|mark|ssb/ },
]

function truthWith({ faults, kind }: TypedJob, r: Random): Truth {
  const truths = faults.map(id =>
    truthOf(
      SCENARIOS.find(s => s.causeId === id && s.kinds.includes(kind))!,
      r,
      kind,
    ),
  )
  const [first, ...others] = truths as [Truth, ...Truth[]]
  // Faults of different parts of a set: each brings what it changes.
  return others.reduce(
    (all, t, i) => ({
      ...all,
      ...changedBy(
        SCENARIOS.find(s => s.causeId === faults[i + 1] && s.kinds.includes(kind))!,
        r,
        kind,
      ),
      answers: { ...all.answers, ...t.answers },
      known: [...all.known, ...t.known],
    }),
    first,
  )
}
function changedBy(scenario: Scenario, r: Random, kind: Kind): Partial<Truth> {
  return scenario.draw(r, kind)
}

/** Places of the true causes after two tests in each of their parts of the set. */
function places(job: TypedJob, r: Random): number[] {
  const sheet = modelSheet(SHEETS[job.kind])
  const truth = truthWith(job, r)
  const rows = readTyped(sheet, truth, job.rows, r)
  return job.faults.map(id => {
    const { domain } = causeOf(id)
    const tests: TestMade[] = truth.known.map(observableId => ({
      observableId,
      outcome: truth.answers[observableId]!,
    }))
    const look = () => diagnose(sheet, rows, tests, () => true).domains.find(d => d.domain === domain)!
    for (let i = 0; i < 2; i++) {
      const test = look().next.find(n => n.observable.source.kind === 'test')
      if (test)
        tests.push({ observableId: test.observable.id, outcome: answersOf(truth, test.observable, r) })
    }
    const at = look().ranked.findIndex(c => c.cause?.id === id)
    return at < 0 ? 99 : at + 1
  })
}

describe('typed, partial records of twelve whole jobs', () => {
  const results = JOBS.map((job, j) => ({
    job,
    all: Array.from({ length: RUNS }, (_, n) => places(job, randomFrom(5000 * (j + 1) + 17 * n))).flat(),
  }))
  it.each(results)('$job.what: the true cause is seldom missed', ({ all }) => {
    expect(all.filter(p => p <= 2).length / all.length).toBeGreaterThanOrEqual(0.8)
  })
  it('over all of them the true cause is first or second in 95 %', () => {
    const all = results.flatMap(x => x.all)
    expect(all.filter(p => p <= 2).length / all.length).toBeGreaterThanOrEqual(0.95)
  })
})

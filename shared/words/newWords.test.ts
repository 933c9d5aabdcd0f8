import { describe, expect, it } from 'vitest'
import { compareMeters, type MeterReading } from '#core/instrument'
import { STATEMENTS, checkStatement, statementKind } from '#core/diagnose'
import { modelSheet } from '#core/sheet'
import type { JobSummary } from '../bench'
import type { SpreadCell } from '../search'
import { suggestionWords, timerWords } from './benchWords'
import { calibrationWords, comparisonWords, meterVerdictWords } from './meterWords'
import { spreadLines } from './spreadView'
import { statementWords } from './statementWords'
import { partDoubtWords, partTestWords, partVerdictWords } from './partWords'

const plain = (s: string) => s.replace(/[\u2009\u202f]/g, ' ').replace(/\u2212/g, '-')

describe('words about meters', () => {
  const meter = (
    name: string,
    shownW: number,
    u: number | null,
    path: string[] = [],
    kind: MeterReading['kind'] = 'true-mean',
  ): MeterReading => ({ name, kind, shownW, standardUncertaintyW: u, path })
  it('say how old a calibration is', () => {
    expect([
      calibrationWords(null, '2026-11-25'),
      calibrationWords('2026-11-25', '2026-11-25'),
      calibrationWords('2026-11-13', '2026-11-25'),
      calibrationWords('2025-01-01', '2026-11-25'),
    ]).toEqual([
      'calibration date unknown',
      'calibrated today',
      'calibrated 12 days ago',
      'calibration overdue: 693 days',
    ])
  })
  it('say whether several agree, and what one opinion is worth', () => {
    const two = compareMeters([meter('a', 3.82, 0.05), meter('b', 4.1, 0.2)], { kind: 'carrier' })
    expect(plain(comparisonWords(two))).toBe(
      'Weighted mean 3.84 W \u00b10.08 W of 2 independent meters. They agree within their uncertainties.',
    )
    expect(plain(meterVerdictWords(two.meters[1]!))).toMatch(
      /^\+0\.29 dB, factor 0\.936, 1\.4 standard deviations from the others\.$/,
    )
    expect(comparisonWords(compareMeters([meter('a', 4, 0.1)], { kind: 'carrier' }))).toMatch(
      /One meter alone proves nothing/,
    )
    expect(comparisonWords(compareMeters([meter('a', 4, null)], { kind: 'carrier' }))).toMatch(
      /No mean possible/,
    )
    const apart = compareMeters([meter('a', 3, 0.05), meter('b', 4, 0.05)], { kind: 'carrier' })
    expect(comparisonWords(apart)).toMatch(/differ by more/)
  })
  it('name what is shared, and what does not compare', () => {
    const shared = compareMeters(
      [
        meter('a', 4, 0.1, ['coupler']),
        meter('b', 4.1, 0.1, ['coupler']),
        meter('c', 4, 0.1, [], 'leaky-peak'),
      ],
      { kind: 'two-tone' },
    )
    expect(meterVerdictWords(shared.meters[1]!)).toMatch(/Not independent of a: shared path/)
    expect(meterVerdictWords(shared.meters[2]!)).toBe('Not comparable on this signal.')
  })
})

describe('words about statements', () => {
  it('every kind has words of its own for what can and what cannot be', () => {
    const cases: Record<string, [number[], number[]]> = {
      'sideband': [
        [28, 7],
        [28, 35],
      ],
      'swr': [
        [10, 1],
        [4, 5],
      ],
      'harmonic': [
        [27.2, 54.4, 2],
        [27.2, 81.6, 2],
      ],
      'span': [
        [5, 50],
        [5, 5],
      ],
      'off-or-moved': [
        [60, 25],
        [60, 60],
      ],
      'bessel': [
        [1039.58, 2.5],
        [453, 2.5],
      ],
      'drift': [
        [-140, -90, -65],
        [-140, -90, -120],
      ],
      'per-device': [
        [120, 2, 70],
        [350, 2, 70],
      ],
      'lead': [
        [4, 4.1],
        [4, 4.6],
      ],
    }
    expect(Object.keys(cases).sort()).toEqual(STATEMENTS.map(s => s.id).sort())
    for (const [id, [right, wrong]] of Object.entries(cases)) {
      const words = [right, wrong].map(values =>
        statementWords(statementKind(id), checkStatement(id, values)),
      )
      expect(words[0], id).not.toBe(words[1])
      for (const w of words) expect(w, id).toMatch(/^[A-Z\d].{4,}\.|\?$/)
    }
    expect(
      plain(statementWords(statementKind('harmonic'), checkStatement('harmonic', [27.2, 81.6, 2]))),
    ).toBe('It is number 3: the fundamental counts as the first.')
  })
})

describe('words of the bench', () => {
  const job = (number: number, sheetId = 'osmund-27f') =>
    ({
      job: { number, sheetId },
      model: modelSheet(sheetId).model,
      kind: modelSheet(sheetId).kind,
    }) as JobSummary
  const words = (s: Parameters<typeof suggestionWords>[0]) => suggestionWords(s, id => job(Number(id)))
  it('name the job and why it comes first', () => {
    expect(words({ kind: 'stopped', jobId: '7' })).toEqual({
      title: 'W-0007 Osmund 27F: isolate the short',
      why: expect.stringMatching(/Keep it off/) as string,
    })
    expect(words({ kind: 'switch-on', jobId: '7', beside: '8' }).why).toBe(
      'It warms up for 20 min while W-0008 is on the bench.',
    )
    expect(words({ kind: 'ask-again', jobId: '7', days: 4 }).why).toMatch(
      /4 days\. No work without an answer/,
    )
    expect(words({ kind: 'promised', jobId: '7', late: true, promisedOn: '2026-11-20' }).why).toBe('overdue')
    expect(words({ kind: 'promised', jobId: '7', late: false, promisedOn: '2026-11-27' }).why).toMatch(
      /27 Nov.*: start today/,
    )
    expect(words({ kind: 'soak-due', jobId: '7' }).title).toMatch(/soak time is up/)
    expect(words({ kind: 'go-on', jobId: '7' }).title).toBe('Continue W-0007 Osmund 27F')
  })
  it('reckon what a batch saves: 3 sets of 20 + 40 min, 180 against 140', () => {
    expect(words({ kind: 'batch', jobId: '7', like: '8', others: 2 })).toEqual({
      title: '2 more Osmund 27F are waiting: work on them together',
      why: expect.stringMatching(/Saves about 40 min/) as string,
    })
  })
  it('count what runs by itself', () => {
    const NOW = 1_000_000_000
    expect(timerWords({ warmUp: null, soakEndsAtMs: null }, NOW)).toBeNull()
    expect(timerWords({ warmUp: { sinceMs: NOW, warmAtMs: NOW + 600_000 }, soakEndsAtMs: null }, NOW)).toBe(
      'warming up, 10 min left',
    )
    expect(timerWords({ warmUp: { sinceMs: 0, warmAtMs: NOW - 300_000 }, soakEndsAtMs: null }, NOW)).toBe(
      'warm for 5 min',
    )
    expect(timerWords({ warmUp: null, soakEndsAtMs: NOW + 7_500_000 }, NOW)).toBe(
      'soak test, 2 h 05 min left',
    )
    expect(timerWords({ warmUp: null, soakEndsAtMs: NOW - 1 }, NOW)).toBe('soak time is up')
  })
})

describe('a set against the others of its model', () => {
  const sheet = modelSheet('osmund-27f')
  const cell = (change: Partial<SpreadCell>): SpreadCell => ({
    pointId: 'high-20',
    quantity: 'powerW',
    count: 9,
    p10: 2,
    p25: 3,
    p50: 3.5,
    p75: 4,
    p90: 5,
    own: null,
    ...change,
  })
  it('stands on a scale on which the middle half spans -1 to 1', () => {
    const [line] = spreadLines(sheet, [cell({ own: 4.5 })])
    expect(line).toMatchObject({ p25: -1, p75: 1, p10: -3, p90: 3, own: 2, beyond: false })
    expect(plain(line!.words)).toBe('this set 4.5 W; half of 9 sets between 3 W and 4 W, median 3.5 W')
  })
  it('is marked beyond nine in ten, and drawn at the edge when far out', () => {
    expect(spreadLines(sheet, [cell({ own: 40 })])[0]).toMatchObject({ own: 6, beyond: true })
    expect(spreadLines(sheet, [cell({ own: 1.9 })])[0]).toMatchObject({ beyond: true })
  })
  it('says nothing from few sets, or where all are alike', () => {
    expect(spreadLines(sheet, [cell({ count: 4 }), cell({ p25: 3.5, p75: 3.5 })])).toEqual([])
  })
})

describe('words about parts', () => {
  it('say what is odd about a value and what a test showed', () => {
    expect([
      partDoubtWords({ kind: 'decade', factor: 10 }),
      partDoubtWords({ kind: 'decade', factor: 0.1 }),
      partDoubtWords({ kind: 'not-preferred', text: '5k' }),
    ]).toEqual([
      '10 times the old value: decade error? Check the circuit diagram.',
      '1/10 times the old value: decade error? Check the circuit diagram.',
      '5k is not an E24 value. Check the circuit diagram.',
    ])
    expect(
      partTestWords({
        kind: 'part-tested',
        id: 'p',
        atMs: 1,
        part: 'Q',
        boughtAt: 'a market',
        dcGain: 60,
        rfPowerW: 0.8,
        rfReferenceW: 4,
        fallsWhileKeyed: true,
        heat: 'hot',
        text: '',
      }),
    ).toBe('DC gain 60, RF 0.8 W of 4 W, falls while keyed, hot, from a market')
  })
  it('a test names its set, its meter and its scale, and a part that was tried with RF is not sent there again', () => {
    const tested = {
      kind: 'part-tested',
      id: 'p',
      atMs: 1,
      part: 'Q',
      boughtAt: '',
      dcGain: 8,
      gainFrom: 40,
      gainTo: 180,
      rfPowerW: 1.04,
      rfReferenceW: 4,
      testSet: 'the workshop’s Osmund 40A',
      meter: 'in-line',
      scale: '5 W',
      fallsWhileKeyed: null,
      heat: null,
      text: '',
    } as const
    expect(partTestWords(tested)).toBe(
      'DC gain 8 (type 40 to 180), RF 1.04 W of 4 W, in the workshop’s Osmund 40A, on in-line, scale 5 W',
    )
    expect(partVerdictWords(tested)).toBe(
      "doubtful: its DC gain is far from its type's range, 26 % of the reference power",
    )
    expect(partVerdictWords({ ...tested, dcGain: 60 })).not.toContain('Test at RF')
  })
})

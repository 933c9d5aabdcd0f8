import { describe, expect, it } from 'vitest'
import { forecast, runState } from '#core/run'
import { ruleSet } from '#core/rules'
import { OSMUND_27F } from '#core/sheet/osmund27f/sheet'
import { boundToStandard } from '#core/quantity'
import type { Job } from '#shared/job'
import { asFoundFor, balanceCoils, confirming, connectedAccuracy, earPlace, openPointId } from './alignView'
import { bandCharts } from '#shared/words/bandChart'
import { failureOf } from '~/data/failureWords'
import { findJobs } from '~/features/job/logic/findJobs'
import { nextWords, stepLine } from '#shared/words/runWords'
import { BARE_SETUP } from '#core/instrument'
import { BARE_INSTRUMENT } from '#shared/instrumentSetup'
import { typedInstruments, typedReading, usualInstrument } from './typedInstrument'
import { forecastWords, reasonWords, showAgainst } from '#shared/words/verdictWords'
import { compareMatrix, matrixState, type JobEvent } from '#core/run'
import { confirmed, goodRun, goodStart, rowTaken, stepRow, turned } from '../../../../test/fixtures/jobEvents'

const RULES = ruleSet('R-UK27')
const plain = (s: string) => s.replace(/[\u2009\u202f]/g, ' ').replace(/\u2212/g, '-')
const run = (events: readonly JobEvent[]) => runState(OSMUND_27F, RULES, events)
const step = (events: readonly JobEvent[], id: string) => run(events).steps.find(s => s.step.id === id)!
const compared = (events: readonly JobEvent[]) => {
  const { history } = run(events)
  return compareMatrix(
    { now: OSMUND_27F, found: OSMUND_27F },
    matrixState(OSMUND_27F, RULES, history, 'as-found'),
    matrixState(OSMUND_27F, RULES, history, 'as-left'),
  )
}

describe('words of the run', () => {
  it('say which step is next and why', () => {
    expect(nextWords(OSMUND_27F, run([]).next!)).toBe('Warm-up: not measured yet')
    const late = run([...goodRun(), turned('CT1')])
    const [before, after] = nextWords(OSMUND_27F, late.next!).split(/adjusted at \d\d:\d\d; /)
    expect(before).toBe('Reference 10.240 MHz: recheck. CT1 (reference trimmer): ')
    expect(after).toMatch(/^every synthesised frequency follows/)
    const lapsed = run([
      ...goodStart(),
      confirmed('A1.8', 'skipped'),
      turned('L6'),
      ...[1, 20, 40].map(c => stepRow('A1.7', `ch${c}`, { powerW: 2.5 })),
      confirmed('A1.7', 'as-is'),
    ])
    expect(nextWords(OSMUND_27F, lapsed.next!)).toContain('which is no longer within')
  })
  it('say what a ladder line holds', () => {
    expect(plain(stepLine(OSMUND_27F, step(goodRun(), 'A1.5')))).toBe('+10 Hz, within')
    expect(stepLine(OSMUND_27F, step([...goodRun(), turned('CT1')], 'A1.5'))).toBe(
      'recheck: CT1 adjusted since',
    )
    expect(stepLine(OSMUND_27F, step(goodRun(), 'A1.8'))).toBe(
      'skipped: "Power check before adjustment" is within',
    )
    expect(plain(stepLine(OSMUND_27F, step(goodRun(), 'A1.7')))).toBe('spread 0.00 dB, within')
  })
  it('give the reasons of a verdict with its numbers', () => {
    const state = step([stepRow('A1.10', 'ch20', { powerW: 3.95 })], 'A1.10').wants[0]!
    expect(
      reasonWords(state.judgement!, 'powerW', state.requirement, state.latest!.reading).map(plain),
    ).toEqual([
      'cannot tell: the legal limit (4 W max.) lies within the uncertainty',
      'within tolerance, 3.6 W to 4 W',
    ])
  })
  it('warn before keying and name an instrument that would do', () => {
    const { requirement } = step([], 'A1.10').wants[0]!
    expect(forecastWords(forecast(requirement, { ofFullScale: 0.05, fullScale: 20 })!, 'powerW')).toMatch(
      /cannot confirm the tolerance.*11 % of reading.*RF power meter, SCPI/,
    )
    expect(forecastWords(forecast(requirement, { ofReading: 0.03 })!, 'powerW')).toBeNull()
    expect(
      forecastWords(forecast(step([], 'A1.5').wants[0]!.requirement, { ofReading: 1e-6 })!, 'carrierHz'),
    ).toBe('This meter cannot resolve the tolerance.')
  })
  it('show an error where there is a nominal', () => {
    expect(
      plain(showAgainst({ value: 27_791_182, standardUncertainty: 1.6 }, 'carrierHz', 27_791_250).value),
    ).toBe('-68')
  })
})

describe('the align screen', () => {
  it('is at the first point that is missing or stale', () => {
    expect(openPointId(step([], 'A1.9'))).toBe('ch1')
    expect(openPointId(step([stepRow('A1.9', 'ch1', { powerW: 3.8 })], 'A1.9'))).toBe('ch20')
    expect(
      openPointId(
        step(
          [stepRow('A1.9', 'ch1', { powerW: 3.8 }), stepRow('A1.9', 'ch20', { powerW: 3.8 }), turned('L6')],
          'A1.9',
        ),
      ),
    ).toBe('ch1')
  })
  it('knows what Enter would do', () => {
    const kind = (events: readonly JobEvent[], id: string) => confirming(step(events, id), run(events)).kind
    expect(kind([], 'A1.3')).toBe('skip')
    expect(kind([stepRow('A1.0', 'warm', { onTimeS: 1500 })], 'A1.0')).toBe('done')
    expect(kind(goodRun(), 'A1.10')).toBe('already')
    expect(kind(goodStart(), 'A1.8')).toBe('skip-justified')
    expect(
      kind(
        [1, 20, 40].map(c => stepRow('A1.7', `ch${c}`, { powerW: 2 })),
        'A1.7',
      ),
    ).toBe('decide')
    expect(kind([stepRow('A1.10', 'ch20', { powerW: 3.95 })], 'A1.10')).toBe('as-is')
    expect(kind([...goodRun(), turned('RV1')], 'A1.11')).toBe('retake')
  })
  it('balance turns the last two of what the step turns', () => {
    expect(balanceCoils(step([], 'A1.9').step)).toEqual(['L5', 'L6'])
    expect(balanceCoils(step([], 'A1.8').step)).toEqual(['L6', 'L7'])
  })
  it('finds the as-found value of the same state, and the accuracy of a live instrument', () => {
    const found = matrixState(
      OSMUND_27F,
      RULES,
      run([rowTaken('as-found', null, 'low-20', { powerW: 0.9, supplyA: 0.6 }, { lowPower: true })]).history,
      'as-found',
    )
    expect(asFoundFor(found, step([], 'A1.11').wants[0]!)).toBe(0.9)
    expect(asFoundFor(found, step([], 'A1.10').wants[0]!)).toBeNull()
    const link = {
      instrumentId: 'a',
      instrument: 'Meter',
      profileId: 'scpi-power-meter',
      setup: BARE_SETUP,
      sinceMs: 0,
      detail: null,
      identity: null,
    }
    expect(connectedAccuracy([{ ...link, state: 'silent' }], 'powerW')).toBeNull()
    expect(connectedAccuracy([{ ...link, state: 'live' }], 'powerW')).toEqual({
      ofReading: 0.03,
      absolute: 0.001,
    })
  })
  it('gives the ear a place on the scale, or a rise while peaking', () => {
    const want = step([], 'A1.10').wants[0]!
    expect(earPlace(3.8, want, null)).toBeCloseTo(0, 12)
    expect(earPlace(4.2, want, null)!).toBeGreaterThan(0)
    expect(earPlace(null, want, null)).toBeNull()
    const peak = step([stepRow('A1.8', 'ch20', { powerW: 2 })], 'A1.8').wants[0]!
    expect(earPlace(4, peak, 2)).toBe(1)
    expect(earPlace(4, peak, null)).toBe(0)
    // Half the scale is the edge of a window, by ratio: a watt below counts like a watt above it.
    expect(earPlace(want.requirement.window!.high, want, null)!).toBeGreaterThan(0.2)
  })
})

describe('typed readings', () => {
  const instruments = [
    {
      id: 'a',
      version: 1,
      name: 'Our meter',
      profileId: 'eye-power-20',
      host: '',
      port: null,
      ...BARE_INSTRUMENT,
    },
  ]
  it('offer the instruments of the bench first, then kinds any bench may have', () => {
    expect(typedInstruments(instruments, 'powerW').map(i => i.name)).toEqual([
      'Our meter',
      'In-line power meter, 20 W scale',
      'Terminating power meter, 5 W scale',
      'Communications test set',
      'In-line power meter, 200 W scale',
    ])
  })
  it('are credited to what is here, or to what was chosen: no meter that nobody has', () => {
    const ours = typedInstruments(instruments, 'powerW')
    expect(usualInstrument(ours, undefined)?.name).toBe('Our meter')
    expect(usualInstrument(ours, 'Communications test set')?.name).toBe('Communications test set')
    expect(usualInstrument(ours, '')).toBeNull()
    const none = typedInstruments([], 'powerW')
    expect(usualInstrument(none, undefined)).toBeNull()
    // One that was taken away since is none that is here.
    expect(usualInstrument(none, 'Our meter')).toBeNull()
    // The set's own meter and a clock need not be added.
    expect(usualInstrument(typedInstruments([], 'panelPowerW'), undefined)?.profileId).toBe('eye-panel')
    expect(usualInstrument(typedInstruments([], 'onTimeS'), undefined)?.profileId).toBe('eye-clock')
  })
  it('carry the uncertainty of the instrument, or none', () => {
    expect(
      typedReading(3, 'powerW', typedInstruments(instruments, 'powerW')[0]!).standardUncertainty,
    ).toBeCloseTo(boundToStandard(1), 12)
    expect(typedReading(3, 'powerW', null)).toEqual({ value: 3, standardUncertainty: null })
    expect(typedReading(10_239_000, 'referenceHz', null, 500).standardUncertainty).toBeCloseTo(
      boundToStandard(500),
      9,
    )
    expect(
      typedReading(3, 'powerW', typedInstruments(instruments, 'powerW')[0]!, 0.05).standardUncertainty,
    ).toBeCloseTo(boundToStandard(1), 12)
  })
  it('are those at the set: 10 dB in front and another scale are part of the meter', () => {
    const behind = [{ ...instruments[0]!, attenuationDb: 10, fullScale: 5 }]
    const [meter] = typedInstruments(behind, 'powerW')
    const reading = typedReading(0.4, 'powerW', meter!)
    expect(reading.value).toBeCloseTo(4, 12)
    expect(reading.standardUncertainty).toBeCloseTo(boundToStandard(0.05 * 50), 12)
    expect(meter!.words).toMatch(/10\.0 dB external attenuation added/)
  })
})

describe('handover', () => {
  const asLeft = (powerW: number) =>
    [1, 20, 40].flatMap(c => [
      rowTaken(
        'as-left',
        null,
        `high-${c}`,
        { carrierHz: 27_591_250 + 10_000 * c + 5, powerW, supplyV: 13.8, supplyA: 1 },
        { channel: c },
      ),
      rowTaken('as-left', null, `low-${c}`, { powerW: 0.37, supplyA: 0.5 }, { channel: c, lowPower: true }),
      rowTaken(
        'as-left',
        null,
        `tone-${c}`,
        { deviationPositiveHz: 2400, deviationNegativeHz: 2400 },
        { channel: c, toneHz: 1000 },
      ),
    ])
  it('draws the band before and after', () => {
    const [power, frequency] = bandCharts(compared(asLeft(3.8)), OSMUND_27F)
    expect(power!.after).toMatchObject({ channels: [1, 20, 40], values: [3.8, 3.8, 3.8] })
    expect(power!.before.channels).toEqual([])
    expect(frequency!.after.values).toEqual([5, 5, 5])
    expect(frequency!.window).toEqual({ low: -50, high: 50 })
  })
})

describe('finding and failing', () => {
  const job = (number: number, owner: string, serial: string) => ({
    job: { number, owner, serial, sheetId: 'osmund-27f', complaint: 'weak' } as Job,
    model: 'Osmund 27F',
  })
  it('finds a job by any of its words', () => {
    const jobs = [job(231, 'Barge Heron', '41877'), job(230, 'Quarry', '41190')]
    expect(findJobs(jobs, 'heron osmund')).toHaveLength(1)
    expect(findJobs(jobs, 'W-0230')).toHaveLength(1)
    expect(findJobs(jobs, '')).toHaveLength(2)
    expect(findJobs(jobs, 'zebra')).toHaveLength(0)
  })
  it.each([
    [
      { statusCode: 422, data: { data: { code: 'unknown-channel', field: null, message: 'no channel 41' } } },
      { words: 'no channel 41', passing: false },
    ],
    [
      { statusCode: 503, data: { data: { code: 'database-away', field: null, message: 'away' } } },
      { passing: true, code: 'database-away' },
    ],
    [new TypeError('failed to fetch'), { words: 'The server is not responding.', passing: true }],
    [{ statusCode: 404 }, { passing: false }],
  ])('reads failure %#', (error, failure) => {
    expect(failureOf(error)).toMatchObject(failure)
  })
})

import { describe, expect, it } from 'vitest'
import {
  SHEET_PROBLEMS,
  amended,
  compareSheets,
  checkSheet,
  modelSheet,
  moveStep,
  type SheetProblem,
} from '../../core/sheet'
import { JOB_EVENT_KINDS, type JobEvent, type WarmGate } from '../../core/run'
import {
  balanceWords,
  biasDeviceWords,
  gateWords,
  lastTurnWords,
  menuWords,
  settingWords,
  turnWords,
} from './coachWords'
import { eventWords } from './eventWords'
import {
  actionWords,
  confidenceWords,
  differenceName,
  lineValueWords,
  lineWords,
  moveRefusedWords,
  sheetProblemWords,
} from './sheetWords'

const FM = modelSheet('osmund-27f')
const plain = (s: string) => s.replace(/[\u2009\u202f]/g, ' ').replace(/\u2212/g, '-')

describe('how far to turn', () => {
  it.each([
    [0.05, 'a touch'],
    [-0.12, 'an eighth of a turn'],
    [0.25, 'a quarter of a turn'],
    [0.5, 'half of a turn'],
    [0.95, 'a whole turn'],
  ])('%d turns: %s', (t, words) => expect(turnWords(t)).toBe(words))
  it.each([
    [0.5, 'about half of your last turn'],
    [-1, 'about as far again'],
    [1.5, 'about one and a half times your last turn'],
    [3.2, 'about 3 times your last turn'],
    [0.03, 'a touch'],
  ])('%d of the last: %s', (r, words) => expect(lastTurnWords(r)).toBe(words))
  it('which way is told where the sheet knows it, both ways round', () => {
    expect(settingWords({ kind: 'first-touch', need: 'up', ofLastTurn: null }, 'clockwise').how).toMatch(
      /a little clockwise/,
    )
    expect(settingWords({ kind: 'first-touch', need: 'down', ofLastTurn: null }, 'clockwise').how).toMatch(
      /anticlockwise/,
    )
    expect(settingWords({ kind: 'first-touch', need: 'down', ofLastTurn: null }, undefined).how).toMatch(
      /which way/,
    )
    expect(settingWords({ kind: 'turn', need: 'up', ofLastTurn: -0.5 }, undefined)).toEqual({
      say: 'Turn back: up',
      how: 'about half of your last turn, the other way',
    })
    expect(settingWords({ kind: 'there', need: null, ofLastTurn: null }, undefined).say).toBe('There')
  })
  it('which coil, which way', () => {
    expect(
      balanceWords({ spreadDb: 2, met: false, weakEnd: 'low', turns: { first: 0.25, second: -0.12 } }, [
        'L5',
        'L6',
      ]).how,
    ).toBe('L5 a quarter of a turn in, L6 an eighth of a turn out; then measure all three again')
    expect(balanceWords({ spreadDb: 0.3, met: true, weakEnd: 'none', turns: null }, []).say).toBe('Balanced')
  })
})

describe('warm-up in words', () => {
  const fit = {
    kind: 'exponential' as const,
    rateUncertaintyHzPerMin: 0.2,
    settlesHz: -40,
    settlesUncertaintyHz: 2,
    amplitudeHz: 100,
    tauS: 300,
    fromS: 0,
    rateHzPerMin: -5,
    scatterHz: 1,
  }
  const gate = (g: Partial<WarmGate>): WarmGate => ({
    state: 'wait',
    by: 'drift',
    limitHzPerMin: 2,
    fit,
    opensInS: 240,
    ...g,
  })
  it('drift, when, and where it settles', () =>
    expect(plain(gateWords(gate({})).how)).toBe(
      'drifts 5.0 \u00b1 0.4 Hz/min down, limit 2 Hz/min: in about 4 min; settles on the air at -40 \u00b1 4 Hz',
    ))
  it('a straight line does not know the end', () =>
    expect(
      gateWords(gate({ fit: { ...fit, settlesHz: null, settlesUncertaintyHz: null }, opensInS: null })).how,
    ).toMatch(/too early to say/))
  it('a rate that could be none is a bound, with no direction', () => {
    expect(
      gateWords(gate({ state: 'open', fit: { ...fit, rateHzPerMin: 0.2, rateUncertaintyHzPerMin: 0.3 } }))
        .how,
    ).toBe('drifts by at most 0.8 Hz/min, limit 2 Hz/min')
  })
  it('without drift the clock, without a clock a question', () => {
    expect(gateWords(gate({ by: 'time', fit: null, opensInS: 600 })).how).toMatch(/10 min more by the clock/)
    expect(gateWords(gate({ state: 'unknown', by: 'nothing', fit: null, opensInS: null })).say).toBe(
      'Not known how warm it is',
    )
    expect(gateWords(gate({ state: 'open' })).say).toBe('Warm')
  })
})

describe('menu and bias in words', () => {
  const w = (v: number) => `${v} W`
  it('the value to write, the end of the range, the first step', () => {
    expect(menuWords({ code: 0x65, expected: 3.8, why: 'within' }, w)).toEqual({
      say: 'Write 65h',
      how: 'expected 3.8 W',
    })
    expect(menuWords({ code: 255, expected: 3, why: 'end' }, w).say).toBe('FFh is the end of the range')
    expect(menuWords({ code: 0x62, expected: null, why: 'higher' }, w).say).toBe('Try 62h')
    expect(menuWords({ code: 0x65, expected: 3.8, why: 'there' }, w).say).toBe('Leave it at 65h')
  })
  it('a device: milliamperes, ticks, watts; or its gate', () => {
    expect(
      plain(biasDeviceWords({ name: 'v', idleA: 0.06, gateV: null, burnsW: 48, tooHot: false, ticks: 3 })),
    ).toBe('60 mA, 3.0 ticks, burns 48.0 W')
    expect(
      plain(
        biasDeviceWords({ name: 'v', idleA: null, gateV: 2.4, burnsW: null, tooHot: false, ticks: null }),
      ),
    ).toBe('2.40 V')
  })
})

describe('sheets in words', () => {
  it('every problem says where it is and what to do', () => {
    for (const code of SHEET_PROBLEMS)
      expect(sheetProblemWords({ code, at: 'step A', names: ['X', 'Y'] } as SheetProblem)).toMatch(
        /^.{12,}\.$/,
      )
  })
  it('a ring is told as a ring', () => {
    const ring = {
      ...FM,
      procedure: FM.procedure.map(s => (s.id === 'A1.3' ? { ...s, needs: ['A1.5'] } : s)),
    }
    expect(checkSheet(ring).map(sheetProblemWords).join(' ')).toContain('A1.3 \u2192 A1.5 \u2192 A1.3')
  })
  it('a line, its value, a difference, a refused move', () => {
    expect([
      lineWords('adjuster/CT2/where'),
      lineWords('step/A1.5/adjusters'),
      lineWords('specification/Power/value'),
    ]).toEqual(['CT2, where it is', 'step A1.5, adjusters', 'Power, value'])
    expect([
      lineValueWords(null),
      lineValueWords(['L1', 'L2']),
      lineValueWords({ x: 0.5, y: 0.25, side: 'solder' }),
      lineValueWords(10),
    ]).toEqual(['nothing', 'L1 L2', '50 % across, 25 % down, solder side', '10 s'])
    const after = amended(FM, [{ line: 'adjuster/CT2/tool', from: null, to: 'x' }])
    expect(compareSheets(FM, after).map(differenceName)).toEqual(['Adjuster CT2 tool'])
    const refused = moveStep(FM.procedure, 3, 0)
    expect('why' in refused && moveRefusedWords(refused)).toMatch(/needs "Reference 10.240 MHz" first/)
  })
  it('trust and hands', () => {
    expect([confidenceWords(null, 0), confidenceWords('25 Nov', 3), confidenceWords('25 Nov', 1)]).toEqual([
      'not confirmed yet',
      'corrected on 25 Nov, confirmed 3 times',
      'corrected on 25 Nov, confirmed once',
    ])
    expect(actionWords({ kind: 'power-cycle', words: 'Off, on.', reread: ['01'] })).toBe(
      'Off, on. Then read 01 again.',
    )
    expect(actionWords({ kind: 'keys', words: 'Then:', keys: ['A', 'B'], withinS: 5 })).toBe(
      'Then: A, B, within 5 s',
    )
  })
})

describe('the log', () => {
  it('has words for every kind of entry', () => {
    const any = {
      id: 'x',
      atMs: 0,
      stepId: 'A1.5',
      designators: ['CT2'],
      outcome: 'done',
      reason: 'r',
      text: 't',
      changes: [{ line: 'adjuster/CT2/where', from: 'a', to: 'b' }],
      line: 'adjuster/CT2/where',
      driftHzPerMin: 3,
      onTimeS: 1,
      lengthS: 4,
      eventId: 'y',
      name: 'n',
      designator: 'CT2',
      position: 'p',
      itemId: 'I06',
      state: 'fine',
      partIn: 'new',
      phase: 'as-found',
      pointId: 'high-20',
      readings: [],
    }
    for (const kind of JOB_EVENT_KINDS)
      expect(eventWords({ ...any, kind } as unknown as JobEvent)).toMatch(/^[A-Za-z].{3,}/)
    expect(eventWords({ ...any, kind: 'keyed' } as unknown as JobEvent)).toBe('keyed 4.0 s in step A1.5')
    expect(eventWords({ ...any, kind: 'sheet-amended' } as unknown as JobEvent)).toBe(
      'sheet corrected, CT2, where it is: b',
    )
  })
})

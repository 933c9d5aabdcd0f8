import { describe, expect, it } from 'vitest'
import { t } from '#shared/i18n'
import {
  SHEET_PROBLEMS,
  amended,
  compareSheets,
  checkSheet,
  modelSheet,
  moveStep,
  type SheetProblem,
} from '#core/sheet'
import { JOB_EVENT_KINDS, type JobEvent, type WarmGate } from '#core/run'
import {
  BEAT_WORDS,
  peakGuide,
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
  fieldValueWords,
  fieldPathWords,
  moveRefusedWords,
  sheetProblemWords,
} from './sheetWords'

const FM = modelSheet('osmund-27f')
const plain = (s: string) => s.replace(/[\u2009\u202f]/g, ' ').replace(/\u2212/g, '-')

describe('how far to turn', () => {
  it.each([
    [0.05, 'slightly'],
    [-0.12, '1/8 turn'],
    [0.25, '1/4 turn'],
    [0.5, '1/2 turn'],
    [0.95, '1 turn'],
  ])('%d turns: %s', (t, words) => expect(turnWords(t)).toBe(words))
  it.each([
    [0.5, 'about 1/2 of the last turn'],
    [-1, 'about as far as the last turn'],
    [1.5, 'about 1.5 times the last turn'],
    [3.2, 'about 3 times the last turn'],
    [0.03, 'slightly'],
  ])('%d of the last: %s', (r, words) => expect(lastTurnWords(r)).toBe(words))
  it('the direction is named where the sheet knows it, both ways round', () => {
    const touch = (need: 'up' | 'down', raisedBy?: 'clockwise') =>
      settingWords({ kind: 'first-touch', need, ofLastTurn: null }, raisedBy)
    expect(touch('up', 'clockwise')).toEqual({
      say: 'Clockwise, slightly',
      how: 'Reading low. Wait for the meter.',
    })
    expect(touch('down', 'clockwise').say).toBe('Anticlockwise, slightly')
    expect(touch('down').how).toBe('Reading high. Direction unknown.')
    expect(settingWords({ kind: 'turn', need: 'up', ofLastTurn: -0.5 }, undefined)).toEqual({
      say: 'Other direction',
      how: 'About 1/2 of the last turn. Reading low.',
    })
    expect(settingWords({ kind: 'there', need: null, ofLastTurn: null }, undefined).say).toBe(
      'Take the reading',
    )
  })
  it('which coil, which way', () => {
    const low = (turns: { first: number; second: number }) =>
      balanceWords({ spreadDb: 2, met: false, weakEnd: 'low', turns }, ['L5', 'L6'])
    expect(low({ first: 0.25, second: 0 })).toEqual({
      say: 'L5 1/4 turn in',
      how: 'Low end weak. Then measure all three channels.',
    })
    expect(low({ first: 0.25, second: -0.12 })).toEqual({
      say: 'Offset both coils',
      how: 'Low end weak: L5 1/4 turn in, L6 1/8 turn out. Then measure all three channels.',
    })
    expect(balanceWords({ spreadDb: 0.3, met: true, weakEnd: 'none', turns: null }, []).say).toBe('Balanced')
  })
  it('a guide says it in five words, and the same way each time', () => {
    const looks = ['wait', 'go-on', 'touch', 'turn-back', 'stop', 'flat', 'end'] as const
    const guides = [
      ...looks.map(peakGuide),
      ...Object.values(BEAT_WORDS).map(say => ({ say: t(say), how: '' })),
    ]
    expect(peakGuide('wait')).toEqual({ say: 'Wait', how: 'The meter has not settled.' })
    for (const { say, how } of guides) {
      expect(say.split(' ').length, say).toBeLessThanOrEqual(5)
      expect(how.split(' ').length, how).toBeLessThanOrEqual(12)
    }
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
      'Drift -5.0 \u00b1 0.4 Hz/min, limit 2. About 4 min left. Final error on transmit about -40 \u00b1 4 Hz.',
    ))
  it('a straight line does not know the end', () =>
    expect(
      gateWords(gate({ fit: { ...fit, settlesHz: null, settlesUncertaintyHz: null }, opensInS: null })).how,
    ).toMatch(/Too early to predict/))
  it('a rate that could be none is a bound, with no direction', () => {
    expect(
      gateWords(gate({ state: 'open', fit: { ...fit, rateHzPerMin: 0.2, rateUncertaintyHzPerMin: 0.3 } }))
        .how,
    ).toBe('Drift 0.8 Hz/min at most, limit 2.')
  })
  it('without drift the clock, without a clock a question', () => {
    expect(gateWords(gate({ by: 'time', fit: null, opensInS: 600 })).how).toMatch(
      /^10 min left. Drift not measured.$/,
    )
    expect(gateWords(gate({ state: 'unknown', by: 'nothing', fit: null, opensInS: null })).say).toBe(
      'Enter switch-on time',
    )
    expect(gateWords(gate({ state: 'open' })).say).toBe('Warmed up')
  })
})

describe('menu and bias in words', () => {
  const w = (v: number) => `${v} W`
  it('the value to write, the end of the range, the first step', () => {
    expect(menuWords({ code: 0x65, expected: 3.8, why: 'within' }, w)).toEqual({
      say: 'Set 65h',
      how: 'Expected: 3.8 W.',
    })
    expect(menuWords({ code: 255, expected: 3, why: 'end' }, w).say).toBe('FFh: end of range')
    expect(menuWords({ code: 0x62, expected: null, why: 'higher' }, w).say).toBe('Try 62h')
    expect(menuWords({ code: 0x65, expected: 3.8, why: 'there' }, w).say).toBe('Keep 65h')
  })
  it('a device: milliamperes, divisions, watts; or its gate', () => {
    expect(
      plain(biasDeviceWords({ name: 'v', idleA: 0.06, gateV: null, burnsW: 48, tooHot: false, ticks: 3 })),
    ).toBe('60 mA, 3.0 divisions, dissipates 48.0 W')
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
      expect(
        sheetProblemWords({
          code,
          at: { kind: 'step', name: 'A', row: null },
          names: ['X', 'Y'],
        } satisfies SheetProblem),
      ).toMatch(/^.{12,}\.$/)
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
      fieldPathWords('adjuster/CT2/where'),
      fieldPathWords('step/A1.5/adjusters'),
      fieldPathWords('specification/Power/value'),
    ]).toEqual(['CT2, where it is', 'step A1.5, adjusters', 'Power, value'])
    expect([
      fieldValueWords(null),
      fieldValueWords(['L1', 'L2']),
      fieldValueWords({ x: 0.5, y: 0.25, side: 'solder' }),
      fieldValueWords(10),
    ]).toEqual(['nothing', 'L1 L2', '50 % across, 25 % down, solder side', '10 s'])
    const after = amended(FM, [{ line: 'adjuster/CT2/tool', from: null, to: 'x' }])
    expect(compareSheets(FM, after).map(differenceName)).toEqual(['Adjuster CT2 tool'])
    const refused = moveStep(FM.procedure, 3, 0)
    expect('why' in refused && moveRefusedWords(refused)).toMatch(/depends on "Reference 10.240 MHz"/)
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
      eventIds: ['y'],
      itemIds: ['A1.6', 'A1.16'],
      name: 'n',
      designator: 'CT2',
      position: 'p',
      itemId: 'I06',
      state: 'fine',
      partIn: 'new',
      phase: 'as-found',
      pointId: 'high-20',
      readings: [],
      seen: 'normal',
      answer: 'yes',
      part: 'final',
      what: 'core freed',
      hours: 2,
      passed: true,
      jobKind: 'check',
      result: 'reproduced',
      channel: 2,
      mode: 'AM',
      connectedTo: 'load',
      positions: [{ control: 'PLATE', position: '6.8' }],
    }
    for (const kind of JOB_EVENT_KINDS)
      expect(eventWords({ ...any, kind } as unknown as JobEvent)).toMatch(/^[A-Za-z].{3,}/)
    expect(eventWords({ ...any, kind: 'keyed' } as unknown as JobEvent)).toBe('keyed 4.0 s in step A1.5')
    expect(eventWords({ ...any, text: '', kind: 'settings-noted' } as unknown as JobEvent)).toBe(
      'settings for channel 2, AM, dummy load: PLATE 6.8',
    )
    expect(eventWords({ ...any, kind: 'sheet-amended' } as unknown as JobEvent)).toBe(
      'sheet corrected, CT2, where it is: b',
    )
  })
})

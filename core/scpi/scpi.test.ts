import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  StatusRegisters,
  blockHead,
  sameHeader,
  scpiBoolean,
  scpiChannel,
  scpiCommands,
  scpiDecimal,
  writeBlockHead,
} from './index'

describe('headers', () => {
  it.each([
    ['MEASure:POWer:AVERage?', 'MEAS:POW:AVER?', true],
    ['MEASure:POWer:AVERage?', 'measure:power:average?', true],
    ['MEASure:POWer:AVERage?', ':MEAS:POWER:AVER?', true],
    ['MEASure:POWer:AVERage?', 'MEASU:POW:AVER?', false],
    ['MEASure:POWer:AVERage?', 'MEAS:POW?', false],
    ['MEASure:POWer[:AVERage]?', 'MEAS:POW?', false],
    ['SOURce:RF[:LEVel]', 'SOUR:RF', true],
    ['SOURce:RF[:LEVel]', 'SOUR:RF:LEV', true],
    ['CURRent', 'CURR?', false],
  ])('%s, received %s: %s', (known, received, same) => expect(sameHeader(known, received)).toBe(same))
})

describe('messages', () => {
  it('at semicolons, parameters at commas, quotes and lists whole', () => {
    expect(scpiCommands('MEAS:FREQ? (@1,2);:CURR 1.5;*OPC?')).toEqual([
      { readings: [{ header: 'MEAS:FREQ?', parameters: ['(@1,2)'], query: true }] },
      { readings: [{ header: 'CURR', parameters: ['1.5'], query: false }] },
      { readings: [{ header: '*OPC?', parameters: [], query: true }] },
    ])
    expect(scpiCommands('MEAS:POIN? "VCO; control, low",2')).toEqual([
      { readings: [{ header: 'MEAS:POIN?', parameters: ['"VCO; control, low"', '2'], query: true }] },
    ])
  })
  it('a header after a semicolon may go on in the same subsystem', () => {
    const [, second] = scpiCommands('MEAS:POW:AVER?;PEAK?')
    expect(second).toEqual({
      readings: [
        { header: 'PEAK?', parameters: [], query: true },
        { header: 'MEAS:POW:PEAK?', parameters: [], query: true },
      ],
    })
  })
  it('nonsense is a syntax error, nothing is nothing', () => {
    expect(scpiCommands('12;MEAS:;:;A B')).toEqual(['syntax', 'syntax', 'syntax', expect.anything()])
    expect(scpiCommands(' ; ;')).toEqual([])
  })
  it.each([
    ['1.5', 1.5],
    ['30 mV', 0.03],
    ['27.185MHZ', 27_185_000],
    ['-.5', -0.5],
    ['1e3', 1000],
    ['90 PCT', 0.9],
    ['', null],
    ['1.5 furlong', null],
    ['1,5', null],
    ['NaN', null],
    ['1e999', null],
  ])('number "%s" is %s', (text, value) =>
    value === null ? expect(scpiDecimal(text)).toBeNull() : expect(scpiDecimal(text)).toBeCloseTo(value, 9),
  )
  it('booleans and channels', () => {
    expect(['ON', 'off', '1', '0', 'maybe'].map(scpiBoolean)).toEqual([true, false, true, false, null])
    expect(['(@2)', '(@12)', '2', '(@x)'].map(scpiChannel)).toEqual([2, 12, null, null])
  })
})

describe('blocks', () => {
  it.each([
    ['#15hello', { from: 3, length: 5 }],
    ['#216', { from: 4, length: 16 }],
    ['#', null],
    ['#3 1', null],
    ['#0', 'none'],
    ['#2ab', 'none'],
    ['#9999999999', 'none'],
    ['#9000000004', { from: 11, length: 4 }],
    ['3.9', 'none'],
  ])('%s', (text, head) => expect(blockHead(text)).toEqual(head))
  it('a written head is read again', () => {
    for (const n of [0, 7, 1604, 1_000_000])
      expect(blockHead(writeBlockHead(n))).toEqual({ from: writeBlockHead(n).length, length: n })
  })
})

describe('status', () => {
  it('queues errors in order, says when it runs over, and forgets on *CLS', () => {
    const s = new StatusRegisters()
    s.add('undefined-header')
    s.add('out-of-range')
    expect([s.next(), s.next(), s.next()]).toEqual([
      '-113,"Undefined header"',
      '-222,"Data out of range"',
      '0,"No error"',
    ])
    for (let i = 0; i < 40; i++) s.add('interrupted')
    expect(s.count).toBe(30)
    s.clear()
    expect([s.next(), s.takeEvents()]).toEqual(['0,"No error"', 0])
  })
  it('shows in the registers what happened', () => {
    const s = new StatusRegisters()
    expect(s.takeEvents()).toBe(128)
    s.masks = { event: 32, service: 32 }
    s.add('undefined-header')
    expect(s.statusByte(false)).toBe(4 + 32 + 64)
    expect(s.statusByte(true) & 16).toBe(16)
    s.complete()
    expect(s.takeEvents()).toBe(32 + 1)
    expect(s.takeEvents()).toBe(0)
  })
})

describe('whatever is sent', () => {
  it('is taken apart or refused, never more', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string({ maxLength: 300 }), fc.stringMatching(/^[#:;*?()@"', A-Z0-9.]{0,120}$/)),
        line => {
          for (const c of scpiCommands(line)) if (c !== 'syntax') expect(c.readings.length).toBeGreaterThan(0)
          const head = blockHead(line)
          if (head !== null && head !== 'none')
            expect(Number.isInteger(head.length) && head.length >= 0).toBe(true)
          const value = scpiDecimal(line)
          expect(value === null || Number.isFinite(value)).toBe(true)
        },
      ),
      { numRuns: 3000 },
    )
  })
})

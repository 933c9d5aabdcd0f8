import { describe, expect, it } from 'vitest'
import { amSignal, fmSignal, recordingOf } from '../../test/fixtures/signals'
import { DEFAULT_OPTIONS, measureRecording } from '#core/signal'
import { parseArguments } from './arguments'
import { measurementLines } from './words'

describe('arguments', () => {
  it('are taken in any order, glued or apart', () => {
    const a = parseArguments(['--as', 'fm', 'x.wav', '--nominal-hz=27185000', '--carrier-w', '4', '--json'])
    expect([
      a.file,
      a.json,
      a.monoIs,
      a.options.as,
      a.options.nominalHz,
      a.options.carrierW,
      a.options.spacingHz,
    ]).toEqual(['x.wav', true, 'real', 'fm', 27_185_000, 4, 10_000])
    expect(parseArguments(['x.wav', '--unmodulated-dbfs', '-12']).options.unmodulatedDbfs).toBe(-12)
    expect(parseArguments(['x.wav', '--rules', 'R-EU']).options.mask?.ruleSetId).toBe('R-EU')
    expect(parseArguments(['x.wav']).monoIs).toBeUndefined()
    expect(parseArguments(['x.wav', '--as', 'audio']).monoIs).toBe('audio')
  })
  it.each([
    [[], /file: none given/],
    [['a.wav', 'b.wav'], /b\.wav: is a second file/],
    [['a.wav', '--as', 'pm'], /--as: "pm" is not one of am/],
    [['a.wav', '--nominal-hz', 'x'], /--nominal-hz: "x" is not a number above zero/],
    [['a.wav', '--tone-hz'], /--tone-hz: needs a value/],
    [['a.wav', '--loud'], /--loud: is an unknown option/],
    [['a.wav', '--carrier-w', '-4'], /--carrier-w: "-4"/],
    [['a.wav', '--rules', 'R-XX'], /--rules: "R-XX" is not one of R-UK27, R-EU/],
    [['a.wav', '--json=yes'], /--json: takes no value/],
  ])('%j is refused by name', (list, words) => {
    expect(() => parseArguments(list)).toThrow(words)
  })
})

describe('lines for a terminal', () => {
  it('hold every figure with its uncertainty, and say what was not measured', async () => {
    const lines = measurementLines(
      (await measureRecording(recordingOf(amSignal({ depth: 0.8 })), DEFAULT_OPTIONS)).measurement,
    )
    expect(lines).toContain('signal: am')
    expect(lines.find(l => l.startsWith('am.depthNegative'))).toMatch(/0\.(7999|8)\d* \+\/- 0\.000\d/)
    expect(lines.filter(l => l.startsWith('note not-applicable'))).toHaveLength(3)
    expect(
      measurementLines(
        (await measureRecording(recordingOf(fmSignal(2000, 1000)), { ...DEFAULT_OPTIONS, as: 'fm' }))
          .measurement,
      ).some(l => l.startsWith('fm.deviationPositiveHz')),
    ).toBe(true)
  })
})

import { describe, expect, it } from 'vitest'
import { compareMatrix, matrixState, runState, type JobEvent, type Phase } from '#core/run'
import { ruleSet } from '#core/rules'
import { pointOf, type ModelSheet } from '#core/sheet'
import { rowTaken, turned } from '../../test/fixtures/jobEvents'
import { VARIABLE } from '../../test/fixtures/variablePower'
import { conditionsWords } from './conditionWords'
import { panelMeterWords } from './panelMeterWords'
import { rangeWordsOfCompared, rangeWordsOfRows } from './powerRangeWords'

const RULES = ruleSet('R-UK27')
const LEAST = { powerPosition: 'rear control at its left end' }
const ends = (phase: Phase, low: number, high: number): JobEvent[] => [
  rowTaken(phase, null, 'least', { powerW: low }, LEAST),
  rowTaken(phase, null, 'high-20', { powerW: high }),
]
const rows = (events: readonly JobEvent[], phase: Phase) =>
  matrixState(VARIABLE, RULES, runState(VARIABLE, RULES, events).history, phase)
const both = (events: readonly JobEvent[]) =>
  rangeWordsOfCompared(
    VARIABLE,
    compareMatrix({ now: VARIABLE, found: VARIABLE }, rows(events, 'as-found'), rows(events, 'as-left')),
    ['before', 'after'],
  )

describe('what is said of a power control', () => {
  it('as found and as left, each for itself', () => {
    const words = both([...ends('as-found', 27.5, 27.5), ...ends('as-left', 0.8, 3.9)])
    expect(words).toHaveLength(2)
    expect(words[0]).toMatch(
      /^As found: Rear power control: 27\.5.W at its lowest and 27\.5.W .* moves nothing/,
    )
    expect(words[1]).toMatch(/^As left: Rear power control: 0\.80.W to 3\.90.W \(6\.9 dB\)\.$/)
  })
  it('one end is no range', () => {
    const [word, ...others] = both([ends('as-left', 0.8, 3.9)[1]!])
    expect(word).toMatch(/^As left: .*3\.90.W at its highest end; its lowest end was not read/)
    expect(others).toEqual([])
  })
  it('nothing is said of what was turned since, but what was found stays found', () => {
    const events = [...ends('as-found', 0.8, 9.4), ...ends('as-left', 0.8, 3.9), turned('L7')]
    expect(both(events).map(w => w.slice(0, 8))).toEqual(['As found'])
    expect(rangeWordsOfRows(VARIABLE, rows(events, 'as-left'))).toEqual([])
    expect(rangeWordsOfRows(VARIABLE, rows(events, 'as-found'))).toHaveLength(1)
  })
  it('a row is read at the position that it names, by the names on the set', () => {
    const power = (id: string) =>
      conditionsWords(pointOf(VARIABLE, null, id), VARIABLE).find(c => c.label === 'Power')?.value
    expect(['high-20', 'low-20', 'medium', 'reference'].map(power)).toEqual([
      '4 W',
      '0.4 W',
      '1.5 W',
      undefined,
    ])
  })
})

describe('what is said of the panel meter', () => {
  it('needs it at two levels: its one row, and a low power where it was read too', () => {
    const sheet: ModelSheet = {
      ...VARIABLE,
      matrix: VARIABLE.matrix.map(p =>
        p.id === 'least'
          ? { ...p, wants: [...p.wants, { quantity: 'panelPowerW', target: null, judgeLimit: false }] }
          : p,
      ),
    }
    const of = (...events: JobEvent[]) =>
      panelMeterWords(matrixState(sheet, RULES, runState(sheet, RULES, events).history, 'as-left'))
    const full = [
      rowTaken('as-left', null, 'high-20', { powerW: 4 }),
      rowTaken('as-left', null, 'panel', { panelPowerW: 4 }),
    ]
    expect(of(...full)).toEqual([])
    const [words] = of(rowTaken('as-left', null, 'least', { powerW: 0.5, panelPowerW: 0.9 }, LEAST), ...full)
    expect(words).toMatch(/0\.90.W at 0\.500.W and 4\.0.* at 4\.00.W: right at the higher level only/)
  })
})

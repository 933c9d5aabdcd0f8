import { describe, expect, it } from 'vitest'
import {
  NEW_BAND,
  OWN_PLAN,
  bandsLike,
  channelHz,
  channelName,
  channelPlan,
  planOf,
  type PlanBand,
} from '../../rules'
import { point, statesIn, want } from '../build'
import { modelSheet } from '../sheets'
import type { ModelSheet } from '../modelSheet'
import { changePlan } from './changePlan'
import { checkSheet } from './checkSheet'

const HF = modelSheet('quillon-hb150')
const AM = modelSheet('osmund-40a')
const own = (sheet: ModelSheet, bands: readonly PlanBand[]) => changePlan(sheet, { planId: OWN_PLAN, bands })
const problems = (sheet: ModelSheet) => checkSheet(sheet).map(p => [p.code, ...p.names].join(' '))
const frequencies = (sheet: ModelSheet) =>
  [...sheet.matrix, ...sheet.procedure.flatMap(s => s.points)].map(p =>
    p.state.channel === null ? null : channelHz(planOf(sheet), p.state.channel),
  )
const band = (name: string, ...frequenciesHz: number[]): PlanBand => ({
  ...NEW_BAND,
  name,
  channels: { kind: 'list', frequenciesHz },
})

describe('other channels', () => {
  it('leave every row on its frequency', () => {
    const same = own(HF, bandsLike(planOf(HF)))
    expect(frequencies(same)).toEqual(frequencies(HF))
    // Two more bands before them: the same frequencies under other numbers.
    const more = own(same, [band('160 m', 1_850_000), band('30 m', 10_118_000), ...same.bands!])
    expect(frequencies(more)).toEqual(frequencies(HF))
    expect(more.main.fromChannel).toBe(HF.main.fromChannel + 2)
    expect(problems(more)).toEqual([])
  })
  it('take a row along with its band, where its test frequency is moved', () => {
    const moved = own(HF, bandsLike(planOf(HF)).with(1, band('40 m', 7_150_000)))
    const row = moved.matrix.find(
      p => p.state.channel !== null && channelName(planOf(moved), p.state.channel) === '40 m',
    )!
    expect(channelHz(planOf(moved), row.state.channel!)).toBe(7_150_000)
    expect(problems(moved)).toEqual([])
  })
  it('name every row whose channel is gone, and let none mean another channel', () => {
    const without = own(HF, bandsLike(planOf(HF)).toSpliced(1, 1))
    const gone = HF.matrix.filter(p => p.state.channel === 2).length
    expect(gone).toBeGreaterThan(0)
    expect(checkSheet(without).filter(p => p.code === 'unknown-channel').length).toBeGreaterThanOrEqual(gone)
  })
  it('go back to a plan that ships, without bands that are not used', () => {
    const back = changePlan(own(AM, bandsLike(planOf(AM))), { planId: 'forty' })
    expect(back).toEqual(AM)
  })
  it('find the forty channels in the six bands', () => {
    const six = changePlan(AM, { planId: 'six-band' })
    expect(frequencies(six)).toEqual(frequencies(AM))
    expect(channelName(planOf(six), six.matrix[0]!.state.channel!)).toMatch(/^D /)
  })
})

describe('bands that do not hold together', () => {
  const raster = (part: object): PlanBand => ({
    ...NEW_BAND,
    channels: { kind: 'raster', firstHz: 28e6, lastHz: 29.7e6, stepHz: 10_000, leftOutHz: [], ...part },
  })
  const of = (...bands: PlanBand[]) =>
    problems({ ...AM, planId: OWN_PLAN, bands, matrix: [], procedure: [] }).filter(
      p => !p.startsWith('no-matrix') && !p.startsWith('no-steps'),
    )
  it.each([
    ['none', [], 'no-bands'],
    ['one without a name among several', [band('a', 7e6), band('', 14e6)], 'unnamed-band'],
    ['two of one name', [band('a', 7e6), band('a', 14e6)], 'named-twice a'],
    ['one without a channel', [band('a')], 'empty-band'],
    ['upside down', [raster({ lastHz: 27e6 })], 'empty-band'],
    ['a gap where no channel lies', [raster({ leftOutHz: [28_005_000] })], 'not-on-raster 28.005'],
    ['a step typed in MHz', [raster({ stepHz: 10 })], 'too-many-channels 400'],
    [
      'a frequency beyond the edges',
      [{ ...band('40 m', 7_250_000), edgesHz: { low: 7e6, high: 7.2e6 } }],
      'outside-band 7.25',
    ],
    [
      'edges upside down',
      [{ ...band('40 m', 7_100_000), edgesHz: { low: 7.2e6, high: 7e6 } }],
      'window-upside-down',
    ],
  ])('%s', (_, bands, problem) => {
    expect(of(...bands)).toContain(problem)
  })
  it('are fine otherwise, edges included', () => {
    expect(of(raster({ leftOutHz: [28_010_000] }))).toEqual([])
    expect(of({ ...band('40 m', 7e6, 7.2e6), edgesHz: { low: 7e6, high: 7.2e6 } })).toEqual([])
  })
  it('say which row sends in a mode that its band is not used in', () => {
    const row = (mode: 'AM' | 'FM', keyed: boolean) => {
      const states = statesIn(mode)
      return point(`${mode}-${keyed}`, mode, keyed ? states.keyed(1) : states.receiving(1), [want('powerW')])
    }
    const sheet = {
      ...AM,
      planId: OWN_PLAN,
      bands: [{ ...band('FM-UK', 27_791_250), modes: ['FM'] as const }],
      main: { ...AM.main, fromChannel: 1, toChannel: 1 },
      procedure: AM.procedure.map(s => ({ ...s, points: [row('FM', true)] })),
      matrix: [row('FM', true), row('AM', true), row('AM', false)],
    }
    expect(
      checkSheet(sheet)
        .filter(p => p.code === 'mode-not-in-band')
        .map(p => p.at.name),
    ).toEqual(['AM-true'])
  })
})

it('a plan that ships is named as before', () => {
  expect(planOf({ planId: 'uk27' })).toBe(channelPlan('uk27'))
})

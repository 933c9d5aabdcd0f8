import { describe, expect, it } from 'vitest'
import { rowTaken } from '../../test/fixtures/jobEvents'
import { NEW_BAND, OWN_PLAN, bandsLike, channelPlan, ruleSet } from '#core/rules'
import { changePlan, operatingPoint, modelSheet, pointOf, type ModelSheet } from '#core/sheet'
import { jobState } from '#core/work'
import { bandCharts } from './bandChart'

const charts = (sheet: ModelSheet, rows: Record<string, Parameters<typeof rowTaken>[3]>) => {
  const events = Object.entries(rows).map(([id, values]) =>
    rowTaken('as-left', null, id, values, operatingPoint(pointOf(sheet, null, id).state)),
  )
  return bandCharts(jobState(sheet, ruleSet(sheet.defaultRuleSetId), events).compared, sheet)
}

describe('the picture of a band', () => {
  it('of a valve set has its bands, and no row of another mode or setting', () => {
    const [power] = charts(modelSheet('quillon-hb150'), {
      'band-1': { powerW: 118, plateA: 0.25 },
      'band-3': { powerW: 120, plateA: 0.25 },
      'am-carrier': { powerW: 28, plateA: 0.15 },
    })
    expect(power!.axis).toMatchObject({ title: 'band', joined: false })
    expect(power!.axis.ticks!.map(t => t.label)).toEqual(['80 m', '40 m', '20 m', '15 m', '10 m'])
    expect(power!.after).toMatchObject({ channels: [1, 3], values: [118, 120] })
  })
  it('of six bands is drawn over frequency', () => {
    const [power] = charts(modelSheet('larkfield-lx8'), {
      'am-A1': { carrierHz: 25_615_000, powerW: 3.6 },
      'am-D19': { carrierHz: 27_185_000, powerW: 3.9 },
      'fm-carrier': { powerW: 3.9 },
    })
    expect(power!.axis.title).toBe('MHz')
    expect(power!.after.channels).toEqual([25.615, 27.185])
  })
  it('of the high-power set holds the mark, not the minimum', () => {
    const [power] = charts(modelSheet('brantwick-tallis60'), {
      minimum: { powerW: 18 },
      mark: { powerW: 80 },
    })
    expect(power!.after.values).toEqual([80])
  })
  it('of a set with two country states has each channel once, as it is used', () => {
    const [power] = charts(modelSheet('corvid-m9'), {
      'fm-standard': { powerW: 3.8 },
      'fm-expanded': { powerW: 4.6 },
      'fm-uk': { powerW: 3.5 },
    })
    expect(power!.after.values).toEqual([3.8, 3.5])
  })
  it('of a set with bands of its own joins none of them, and shades only what holds for all', () => {
    const FM = modelSheet('osmund-27f')
    const [uk] = bandsLike(channelPlan('uk27'))
    const moved = changePlan(FM, {
      planId: OWN_PLAN,
      bands: [
        { ...NEW_BAND, name: 'home', channels: { kind: 'list', frequenciesHz: [27_205_000] } },
        { ...uk!, name: 'FM-UK' },
      ],
    })
    const rows = { 'high-1': { powerW: 3.4 }, 'high-20': { powerW: 3.8, carrierHz: 27_791_262 } }
    const [power, error] = charts(moved, rows)
    expect(power!.axis).toEqual({ title: 'MHz', ticks: null, joined: false })
    expect(power!.after.channels).toEqual([27.60125, 27.79125])
    expect(error!.window).toEqual(charts(FM, rows)[1]!.window)
    expect(error!.window).not.toBeNull()
    // A channel with a tolerance of its own: what is shaded would be untrue for one of them.
    const unlike: ModelSheet = {
      ...moved,
      matrix: moved.matrix.map(r =>
        r.id === 'high-1'
          ? {
              ...r,
              wants: r.wants.map(w =>
                w.quantity === 'carrierHz'
                  ? { ...w, target: { kind: 'channel-error', lowHz: -200, highHz: 200, aimHz: 0 } as const }
                  : w,
              ),
            }
          : r,
      ),
    }
    expect(charts(unlike, rows)[1]!.window).toBeNull()
  })
})

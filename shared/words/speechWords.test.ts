import { describe, expect, it } from 'vitest'
import { rowTaken } from '../../test/fixtures/jobEvents'
import { settleClaim } from '#core/claims'
import { carrierAdvice, compliance } from '#core/handover'
import type { Quantity } from '#core/quantity'
import { ruleSet } from '#core/rules'
import { levelChange, type JobEvent, type Phase } from '#core/run'
import { modelSheet, operatingPoint, pointOf, type ModelSheet } from '#core/sheet'
import { jobState, soakPoint } from '#core/work'
import { bandCharts } from './bandChart'
import { sidesOf, unreadRows } from './compareGauge'
import { remarksOfCompared, remarksOfRows } from './rowRemarks'
import { speechWords, toneWords } from './speechWords'

/** A sheet in another language: nothing but its field says that somebody speaks. */
const SHIPPED = modelSheet('osmund-40a')
const SHEET: ModelSheet = {
  ...SHIPPED,
  matrix: SHIPPED.matrix.map(p => (p.id === 'voice' ? { ...p, title: 'Canal 19, hablando' } : p)),
}
const RULES = ruleSet('R-EU')
const row = (phase: Phase, id: string, values: Partial<Record<Quantity, number>>): JobEvent =>
  rowTaken(phase, null, id, values, operatingPoint(pointOf(SHEET, null, id).state))
/** A carrier within the limit; the average of speech is far above it. */
const both = (phase: Phase) => [
  row(phase, 'carrier-19', { powerW: 3.5 }),
  row(phase, 'voice', { powerW: 6.8, pepW: 14 }),
]
const state = (...events: JobEvent[]) => jobState(SHEET, RULES, events)

describe('what is said of rows with speech', () => {
  it('by phase on the bench, side by side at the handover', () => {
    const s = state(...both('as-found'), row('as-left', 'carrier-19', { powerW: 3.5 }))
    expect(speechWords(s.asFound)).toEqual([
      expect.stringMatching(
        /^Canal 19, hablando: PEP 14.* over a carrier of 3\.5.* would be 100.*proves no depth/,
      ),
      expect.stringMatching(/6\.8.* on average while speaking.* no depth follows/),
    ])
    expect(remarksOfRows(SHEET, s.asFound, 'as-found')).toEqual(speechWords(s.asFound))
    expect(remarksOfCompared(SHEET, s, sidesOf(s.stages))).toEqual(
      speechWords(s.asFound).map(w => `As found: ${w}`),
    )
    expect(speechWords(s.asLeft)).toEqual([])
  })
})

describe('what is said of a steady tone whose depth nobody read', () => {
  const tone = (pepW: number, more: Partial<Record<Quantity, number>> = {}) =>
    toneWords(
      state(row('as-left', 'carrier-19', { powerW: 3.5 }), row('as-left', 'tone-19', { pepW, ...more }))
        .asLeft,
    )
  it('is the depth that its PEP stands for, and whether that leaves over-modulation open', () => {
    // (1 + 0.98)^2 x 3.5 W = 13.72 W
    expect(tone(13.72)).toEqual([
      expect.stringMatching(/is a depth of 98.*crest is not flattened.* neither shown nor excluded by it\./),
    ])
    expect(tone(7)).toEqual([expect.not.stringContaining('neither shown')])
  })
  it('is nothing where the depth was read, or the PEP is no more than the carrier', () => {
    expect(tone(13.17, { depthPositiveRatio: 0.9 })).toEqual([])
    expect(tone(3.5)).toEqual([])
  })
})

describe('the average of speech is no carrier', () => {
  const s = state(...both('as-found'), ...both('as-left'))
  it('is held against no limit of one', () => {
    const power = compliance(SHEET, RULES, s.run).standings.find(
      ({ limit }) => 'quantity' in limit && limit.quantity === 'powerW',
    )
    expect(power).toMatchObject({ outcome: 'inside', row: 'Channel 19, carrier' })
  })
  it('settles no claim of power', () => {
    const claim = { id: '1', quantity: 'powerW', kind: 'under', value: 4, meter: '' } as const
    expect(settleClaim(claim, s.asFound).measured?.value).toBe(3.5)
  })
  it('is not what a carrier is advised by', () =>
    expect(carrierAdvice(SHEET, RULES, s.run)).toMatchObject({ asLeftW: 3.5 }))
  it('has not risen or fallen in decibels', () => {
    const change = (id: string) =>
      levelChange(s.compared.find(c => c.point.id === id && c.want.quantity === 'powerW')!)
    expect(change('carrier-19')).not.toBeNull()
    expect(change('voice')).toBeNull()
  })
  it('is in no chart of the band, and no soak is logged by it', () => {
    expect(bandCharts(s.compared, SHEET)[0]!.after.values).toEqual([3.5])
    expect(
      soakPoint({ ...SHEET, matrix: SHEET.matrix.filter(p => !p.id.startsWith('carrier')) }),
    ).toBeUndefined()
  })
})

describe('a row that nobody owes', () => {
  it('is neither an open item nor among the rows that were not read', () => {
    const s = state(row('as-found', 'carrier-19', { powerW: 3.5 }))
    expect(s.items.filter(i => i.id.endsWith(':voice'))).toEqual([])
    expect(unreadRows(s.compared, sidesOf(s.stages))).not.toContain('Canal 19, hablando')
    expect(s.items.some(i => i.kind === 'as-found-missing')).toBe(true)
  })
})

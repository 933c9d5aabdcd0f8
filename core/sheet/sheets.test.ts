import { describe, expect, it } from 'vitest'
import { CHANNEL_PLANS, OWN_PLAN, RULE_SETS, channelPlan } from '../rules'
import { kindHas } from './kinds'
import { adjusterOf, pointOf, stepOf } from './lookup'
import { resolveTarget } from './resolveTarget'
import { SHEETS, modelSheet } from './sheets'
import { isOfReceiver } from './staleness'

describe.each(SHEETS.map(s => [s.model, s] as const))('sheet of %s', (_model, sheet) => {
  it('names each adjuster, step and row once', () => {
    for (const names of [
      sheet.adjusters.map(a => a.designator),
      sheet.procedure.map(s => s.id),
      sheet.matrix.map(p => p.id),
    ])
      expect(new Set(names).size).toBe(names.length)
  })
  it('refers only to what it has, and needs only what comes before', () => {
    sheet.procedure.forEach((step, i) => {
      step.adjusters.forEach(d => expect(adjusterOf(sheet, d).designator).toBe(d))
      for (const id of [...step.needs, ...(step.skipIf ? [step.skipIf] : [])])
        expect(sheet.procedure.slice(0, i).map(s => s.id)).toContain(id)
    })
    expect([...CHANNEL_PLANS.map(p => p.id), OWN_PLAN]).toContain(sheet.planId)
    expect(RULE_SETS.map(r => r.id)).toContain(sheet.defaultRuleSetId)
  })
  it('gives every keyed step a key-down limit and a dummy load', () => {
    for (const step of sheet.procedure.filter(s => s.points.some(p => p.state.keyed))) {
      expect(step.keyDownLimitS, step.id).not.toBeNull()
      expect(step.cautions.join(' '), step.id).toMatch(/dummy load/i)
    }
  })
  it('measures the receiver, where it has one', () => {
    expect(sheet.matrix.some(p => p.wants.some(w => isOfReceiver(w.quantity)))).toBe(
      !kindHas(sheet.kind, 'no-receiver'),
    )
  })
})

describe('looking up', () => {
  const sheet = modelSheet('osmund-27f')
  it('refuses what is not there, by name', () => {
    expect(() => modelSheet('nothing')).toThrow(expect.objectContaining({ code: 'unknown-sheet' }))
    expect(() => modelSheet('osmund-27f', 99)).toThrow(expect.objectContaining({ code: 'unknown-sheet' }))
    expect(() => stepOf(sheet, 'A9')).toThrow(expect.objectContaining({ code: 'unknown-step' }))
    expect(() => pointOf(sheet, 'A1.5', 'x')).toThrow(expect.objectContaining({ code: 'unknown-point' }))
    expect(() => adjusterOf(sheet, 'X1')).toThrow(expect.objectContaining({ code: 'unknown-adjuster' }))
  })
  it('makes targets absolute', () => {
    const UK27 = channelPlan('uk27')
    const none = () => undefined
    expect(resolveTarget({ kind: 'channel-error', lowHz: 0, highHz: 20, aimHz: 10 }, UK27, 20, none)).toEqual(
      { nominalHz: 27_791_250, window: { low: 27_791_250, high: 27_791_270, aim: 27_791_260 } },
    )
    expect(() =>
      resolveTarget({ kind: 'channel-error', lowHz: 0, highHz: 20, aimHz: 10 }, UK27, null, none),
    ).toThrow(expect.objectContaining({ code: 'unknown-channel' }))
    const like = {
      kind: 'like-reading',
      stepId: 'A1.10',
      quantity: 'powerW',
      lowRatio: 0.9,
      highRatio: 1.1,
    } as const
    expect(resolveTarget(like, UK27, 20, none)).toBeNull()
    expect(resolveTarget(like, UK27, 20, () => 4)!.window).toEqual({ low: 3.6, high: 4.4, aim: 4 })
  })
})

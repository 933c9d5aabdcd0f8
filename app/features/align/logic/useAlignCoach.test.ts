// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest'
import { effectScope } from 'vue'
import { runState, type JobEvent } from '#core/run'
import { ruleSet } from '#core/rules'
import { modelSheet } from '#core/sheet'
import { stepRow } from '../../../../test/fixtures/jobEvents'
import type { LiveEntry } from '~/features/instruments/logic/liveBook'
import { useAlignCoach } from './useAlignCoach'

const FM = modelSheet('osmund-27f')

const inScope = <T>(make: () => T): T => effectScope().run(make)!

describe('what helps at a step', () => {
  const at = (
    stepId: string,
    live: Partial<Record<string, number>> = {},
    sheet = FM,
    events: JobEvent[] = [],
  ) => {
    const run = runState(sheet, ruleSet(sheet.defaultRuleSetId), events)
    const state = run.steps.find(s => s.step.id === stepId)!
    const entry = (q: string) =>
      live[q] === undefined
        ? null
        : ({
            value: live[q],
            receivedAtMs: 1,
            status: 'ok',
            instrument: 'Meter',
            standardUncertainty: 0.01,
          } as unknown as LiveEntry)
    return inScope(() =>
      useAlignCoach({
        sheet: () => sheet,
        run: () => run,
        events: () => events,
        asFound: () => [],
        state: () => state,
        want: () => state.wants[0]!,
        nowMs: () => 1000,
        liveOf: entry,
        driftOf: () => [],
        rfSeen: () => ({ rfW: live.powerW ?? null, keyedBy: (live.powerW ?? 0) > 0.02 ? 'rf' : null }),
        stretchOf: () => '',
        accuracy: () => null,
      }),
    )
  }
  it('coils are peaked, on current while there is no output', () => {
    expect([
      at('A1.8', { powerW: 2, supplyA: 1 }).peakable.value,
      at('A1.8', { powerW: 2, supplyA: 1 }).peaked.value!.quantity,
      at('A1.8', { supplyA: 1 }).peaked.value!.quantity,
    ]).toEqual([true, 'powerW', 'supplyA'])
    expect(at('A1.8').peakable.value).toBe(false)
  })
  it('an unkeyed needle is no best and no advice', () => {
    const unkeyed = at('A1.8', { powerW: 0, supplyA: 0.3 })
    expect(unkeyed.shownValue.value).toBeNull()
    expect(at('A1.10', { powerW: 0 }).advice.value).toBeNull()
  })
  it('minutes since power-on that were typed count', () => {
    const typed = { ...stepRow('A1.0', 'warm', { onTimeS: 600 }), atMs: 1000 } as JobEvent
    expect(at('A1.5', {}, FM, [typed]).gate.value).toMatchObject({ state: 'wait', by: 'time', opensInS: 600 })
  })
  it('a trimmer is set to its window, not peaked', () =>
    expect(at('A1.5', { carrierHz: 27_791_200 }).peakable.value).toBe(false))
  it('frequency waits for the warm-up, power does not', () => {
    expect(at('A1.5', { onTimeS: 60 }).gate.value).toMatchObject({ state: 'wait', by: 'time' })
    expect(at('A1.5').gate.value).toMatchObject({ state: 'unknown' })
    expect(at('A1.8', { onTimeS: 60 }).gate.value).toBeNull()
  })
  it('a menu value has its goal under the limit and its entry', () => {
    const menu = at('A4.4b', {}, modelSheet('corvid-m6')).menu.value!
    expect(menu.entry).toBe('02')
    expect(menu.goal!.limit).toBeCloseTo(0.4, 2)
  })
})

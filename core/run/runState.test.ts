import { describe, expect, it } from 'vitest'
import { ruleSet } from '../rules'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import type { JobEvent } from './jobEvent'
import { missingNeeds, runState } from './runState'
import {
  TX_20_HZ,
  confirmed,
  goodRun,
  goodStart,
  reopened,
  rowTaken,
  stepRow,
  struck,
  turned,
} from '../../test/fixtures/jobEvents'

const state = (events: readonly JobEvent[]) => runState(OSMUND_27F, ruleSet('R-UK27'), events)
const step = (events: readonly JobEvent[], id: string) => state(events).steps.find(s => s.step.id === id)!
const stale = (events: readonly JobEvent[]) =>
  state(events)
    .steps.filter(s => s.status === 'stale')
    .map(s => s.step.id)

describe('what is next', () => {
  it('begins with the warm-up', () => {
    expect(state([]).next).toEqual({ stepId: 'A1.0', reason: { kind: 'not-measured' } })
  })
  it('follows the sheet, one step at a time', () => {
    const events = goodRun()
    const path = events.flatMap((e, i) =>
      e.kind === 'step-confirmed' ? [state(events.slice(0, i + 1)).next?.stepId ?? 'end'] : [],
    )
    expect(path).toEqual([
      'A1.3',
      'A1.4',
      'A1.5',
      'A1.7',
      'A1.8',
      'A1.9',
      'A1.10',
      'A1.11',
      'A1.13',
      'A1.15',
      'end',
    ])
    expect(state(events).steps.every(s => s.satisfied)).toBe(true)
  })
  it('waits for confirmation of a step that is inside', () => {
    expect(state([stepRow('A1.0', 'warm', { onTimeS: 1500 })]).next).toEqual({
      stepId: 'A1.0',
      reason: { kind: 'unconfirmed', status: 'inside' },
    })
  })
  it('stays with a step that is outside and says on which side', () => {
    const events = [
      ...goodStart().slice(0, 2),
      stepRow('A1.3', 'pin', { referenceHz: 10_239_590 }),
      confirmed('A1.3'),
    ]
    expect(state(events).next).toEqual({ stepId: 'A1.3', reason: { kind: 'outside', verdict: 'below' } })
    expect(missingNeeds(state(events).steps, 'A1.5').map(s => s.step.id)).toEqual(['A1.3'])
  })
  it('goes on when an outside reading is accepted with words, until it is read again', () => {
    const events = [
      ...goodStart().slice(0, 2),
      stepRow('A1.3', 'pin', { referenceHz: 10_239_950 }),
      confirmed('A1.3', 'as-is', 'trimmer at its stop, 5 ppm short'),
    ]
    expect(state(events).next?.stepId).toBe('A1.4')
    expect(step([...events, stepRow('A1.3', 'pin', { referenceHz: 10_239_952 })], 'A1.3').satisfied).toBe(
      false,
    )
  })
  it('comes back to a reopened step', () => {
    expect(state([...goodRun(), reopened('A1.11', 'meter range was wrong')]).next).toEqual({
      stepId: 'A1.11',
      reason: { kind: 'reopened', reason: 'meter range was wrong' },
    })
  })
  it('asks nothing of a step that was skipped for a reason in words', () => {
    const events = [...goodStart().slice(0, 2), confirmed('A1.3', 'skipped', 'pin not reachable')]
    expect(step(events, 'A1.3')).toMatchObject({ status: 'skipped', satisfied: false })
    expect(state(events).next).toBeNull() // everything else waits for the reference
  })
})

describe('skipping the coils', () => {
  it('is justified by a current reading inside its tolerance', () => {
    const events = [...goodStart(), confirmed('A1.8', 'skipped'), confirmed('A1.9', 'skipped')]
    expect(step(events, 'A1.9').satisfied).toBe(true)
    expect(state(events).next?.stepId).toBe('A1.10')
  })
  it('lapses when a coil is turned after all', () => {
    const events = [...goodStart(), confirmed('A1.8', 'skipped'), confirmed('A1.9', 'skipped'), turned('L6')]
    expect(step(events, 'A1.9').satisfied).toBe(false)
    expect(state(events).next).toMatchObject({ stepId: 'A1.7', reason: { kind: 'stale' } })
  })
  it('is not granted when the power is not right, and the deciding step has done its part', () => {
    const weak = [
      ...goodStart().slice(0, 11),
      ...[1, 20, 40].map(c => stepRow('A1.7', `ch${c}`, { powerW: c / 20 + 2 })),
      confirmed('A1.7', 'as-is'),
    ]
    expect(state(weak).next).toEqual({ stepId: 'A1.8', reason: { kind: 'not-measured' } })
    expect(step([...weak, confirmed('A1.8', 'skipped')], 'A1.8').satisfied).toBe(false)
    // Peaking makes the readings of A1.7 stale; it is not asked for again, since A1.9 and A1.10 measure the
    // same.
    const peaked = [
      ...weak,
      stepRow('A1.8', 'ch20', { powerW: 3 }),
      turned('L1', 'L2'),
      stepRow('A1.8', 'ch20', { powerW: 4.1 }),
      stepRow('A1.8', 'ch20', { powerW: 4.12 }),
      confirmed('A1.8'),
    ]
    expect(step(peaked, 'A1.7').status).toBe('stale')
    expect(state(peaked).next?.stepId).toBe('A1.9')
  })
})

describe('peaking and balance', () => {
  it('is over when a pass gains less than 0.1 dB', () => {
    const passes = (...powersW: number[]) =>
      step(
        powersW.map(powerW => stepRow('A1.8', 'ch20', { powerW })),
        'A1.8',
      )
    expect(passes(3)).toMatchObject({ status: 'in-progress', criterion: { met: null, passes: 0 } })
    expect(passes(3, 4.1)).toMatchObject({ status: 'in-progress', criterion: { met: false, passes: 1 } })
    expect(passes(3, 4.1, 4.15)).toMatchObject({ status: 'inside', criterion: { met: true, passes: 2 } })
    // 10 log 4.15/4.1 = 0.0526 dB, worked by hand
    expect(passes(3, 4.1, 4.15).criterion!.valueDb).toBeCloseTo(0.0526, 4)
    expect(passes(0, 0, 2).criterion!.met).toBe(false)
  })
  it('does not hold a peak above the rated power against the set while peaking', () => {
    expect(
      step([stepRow('A1.8', 'ch20', { powerW: 4.5 }), stepRow('A1.8', 'ch20', { powerW: 4.5 })], 'A1.8')
        .status,
    ).toBe('inside')
  })
  it('is balanced within 0.5 dB', () => {
    const rows = (...powersW: number[]) =>
      step(
        [1, 20, 40].map((c, i) => stepRow('A1.9', `ch${c}`, { powerW: powersW[i]! })),
        'A1.9',
      )
    expect(rows(3.8, 4, 3.6)).toMatchObject({ status: 'inside' }) // 0.46 dB
    expect(rows(3.8, 4, 3.5)).toMatchObject({ status: 'above' }) // 0.58 dB
  })
})

describe('what goes stale', () => {
  it('reference moved late: transmit frequency and lock', () => {
    const events = [...goodRun(), turned('CT1')]
    expect(stale(events)).toEqual(['A1.3', 'A1.4', 'A1.5'])
    expect(state([...events, stepRow('A1.3', 'pin', { referenceHz: 10_240_005 })]).next?.stepId).toBe('A1.4')
  })
  it('coils re-peaked: low power and panel meter', () => {
    expect(stale([...goodRun(), turned('L6')])).toEqual(
      expect.arrayContaining(['A1.7', 'A1.10', 'A1.11', 'A1.15']),
    )
    expect(stale([...goodRun(), turned('L6')])).not.toContain('A1.5')
    const twin = {
      kind: 'unlisted-turned',
      id: 'x',
      atMs: 9e12,
      name: 'L9, beside L6',
      role: 'coil',
      startPosition: '',
    } as const
    expect(stale([...goodRun(), twin]), 'F58: an adjuster that is not on the sheet').toEqual(
      stale([...goodRun(), turned('L6')]),
    )
  })
  it.each([
    ['CT2', ['A1.5']],
    ['RV1', ['A1.11']],
    ['RV2', ['A1.13']],
    ['RV3', ['A1.15']],
    ['CT3', []],
  ])('%s: %j', (designator, steps) => {
    expect(stale([...goodRun(), turned(designator)])).toEqual(steps)
  })
  it('names the turn that did it', () => {
    expect(step([...goodRun(), turned('CT1')], 'A1.5').staleBy).toMatchObject([
      { designator: 'CT1', inferred: false },
    ])
  })
  it('is over when the step is measured again, and comes back with the next turn', () => {
    const again = [
      ...goodRun(),
      turned('RV2'),
      stepRow('A1.13', 'tone', { deviationPositiveHz: 2380, deviationNegativeHz: 2340 }),
    ]
    expect(stale(again)).toEqual([])
    expect(stale([...again, turned('RV2')])).toEqual(['A1.13'])
  })
  it('is inferred from a reading that moved beyond both uncertainties', () => {
    const events = [...goodRun(), stepRow('A1.3', 'pin', { referenceHz: 10_240_015 })]
    expect(stale(events)).toEqual(['A1.4', 'A1.5'])
    expect(state(events).history.turns).toMatchObject([{ designator: 'CT1', inferred: true }])
    // 1 Hz is within 0.1 ppm of each reading
    expect(stale([...goodRun(), stepRow('A1.3', 'pin', { referenceHz: 10_240_002 })])).toEqual([])
  })
  it('does not infer a second turn from a change that is already explained', () => {
    const events = [
      ...goodRun(),
      turned('L7'),
      stepRow('A1.9', 'ch1', { powerW: 3.5 }),
      stepRow('A1.10', 'ch20', { powerW: 3.75 }),
      stepRow('A1.9', 'ch1', { powerW: 3.5 }),
    ]
    expect(state(events).history.turns.map(t => t.designator)).toEqual(['L7'])
    expect(step(events, 'A1.10').status).toBe('inside')
  })
  it('also within a step: a point read before the coil was turned again', () => {
    const events = [
      stepRow('A1.9', 'ch1', { powerW: 3.8 }),
      stepRow('A1.9', 'ch20', { powerW: 3.8 }),
      turned('L5'),
      stepRow('A1.9', 'ch40', { powerW: 3.8 }),
    ]
    expect(step(events, 'A1.9').status).toBe('stale')
  })
})

describe('records', () => {
  it('a struck-out reading stays in the history and no longer counts', () => {
    const events = goodRun()
    const reading = events.flatMap(e =>
      e.kind === 'row-taken' && e.stepId === 'A1.11' ? e.readings : [],
    )[0]!
    const after = [...events, struck(reading.id)]
    expect(step(after, 'A1.11').status).toBe('not-measured')
    expect(state(after).history.readings.find(t => t.reading.id === reading.id)?.struck).toBe('wrong channel')
  })
  it('the panel meter is judged by the power that was read', () => {
    const panel = (powerW: number, panelPowerW: number) =>
      step([stepRow('A1.10', 'ch20', { powerW }), stepRow('A1.15', 'panel', { panelPowerW })], 'A1.15').status
    expect(panel(3.8, 4.1)).toBe('inside')
    expect(panel(3.8, 3.3)).toBe('below')
  })
  it('refuses events that the sheet does not know', () => {
    expect(() => state([rowTaken('adjusting', 'A9.9', 'x', { powerW: 1 })])).toThrow(
      expect.objectContaining({ code: 'unknown-step' }),
    )
    expect(() => state([stepRow('A1.10', 'ch20', { powerW: 1 }), turned('CT9')])).toThrow(
      expect.objectContaining({ code: 'unknown-adjuster' }),
    )
  })
  it('cannot tell when the legal limit is straddled', () => {
    expect(step([stepRow('A1.10', 'ch20', { powerW: 3.95 })], 'A1.10').status).toBe('cannot-tell')
    expect(step([stepRow('A1.5', 'ch20', { carrierHz: TX_20_HZ + 25 })], 'A1.5').status).toBe('above')
  })
})

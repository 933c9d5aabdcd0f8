import { describe, expect, it } from 'vitest'
import { confirmed, eventStruck, rowTaken, settled, turned } from '../../test/fixtures/jobEvents'
import { trialNoted } from '../../test/fixtures/trials'
import { settleClaim } from '../claims'
import { compliance, currentReadings } from '../handover'
import { ruleSet } from '../rules'
import { JOB_KINDS, jobKindOf, putBackItem, type JobEvent, type JobKind } from '../run'
import { SHEETS, modelSheet, type ModelSheet } from '../sheet'
import { biasBeforeKey, jobState, owedAfterFinal } from './index'
import { stagesOfKind } from './stages'

const FM = modelSheet('osmund-27f')
let count = 0
const stamp = () => ({
  id: `71000000-0000-4000-8000-${String(++count).padStart(12, '0')}`,
  atMs: 1_796_000_000_000 + count,
})
const is = (jobKind: JobKind): JobEvent => ({ ...stamp(), kind: 'job-kind-set', jobKind, reason: '' })
const replaced = (): JobEvent => ({
  ...stamp(),
  kind: 'part-changed',
  designator: 'Q12',
  partOut: '',
  partIn: 'another',
  isFinal: false,
  text: '',
})
const state = (...events: JobEvent[]) => jobState(FM, ruleSet('R-UK27'), events)
const kindsOfItems = (...events: JobEvent[]) => [...new Set(state(...events).items.map(i => i.kind))]
const found = (powerW = 3.8) => rowTaken('as-found', null, 'high-20', { powerW })
const left = (powerW = 3.8) => rowTaken('as-left', null, 'high-20', { powerW })

describe('what a job is', () => {
  it('is a full service until somebody says so; the last word counts, and one struck out never did', () => {
    expect(jobKindOf([])).toBe('full-service')
    const [check, repair] = [is('check'), is('repair')]
    expect(jobKindOf([check, repair])).toBe('repair')
    expect(jobKindOf([check, repair, eventStruck(repair.id)])).toBe('check')
    expect(jobKindOf([{ ...check, unreleased: true }])).toBe('full-service')
  })
  it('decides the phases, in their order, from intake to handover', () => {
    for (const kind of JOB_KINDS) {
      const stages = stagesOfKind(kind)
      expect([stages[0], stages.at(-1)]).toEqual(['intake', 'handover'])
      expect(state(is(kind)).stages).toEqual(stages)
    }
    expect(stagesOfKind('check')).toEqual(['intake', 'inspection', 'as-found', 'findings', 'handover'])
  })
})

describe('what a kind of job does not ask for', () => {
  it('is no open item, on any sheet', () => {
    for (const sheet of SHEETS) {
      const items = (kind: JobKind) => jobState(sheet, ruleSet(sheet.defaultRuleSetId), [is(kind)]).items
      const asked = (kind: JobKind) => new Set(items(kind).map(i => i.kind))
      expect(asked('check')).toEqual(new Set(['as-found-missing']))
      expect(asked('proof')).toEqual(new Set(['as-left-missing']))
      expect(asked('repair')).toEqual(new Set(['as-found-missing', 'as-left-missing']))
      expect(asked('alignment')).toEqual(asked('full-service'))
    }
  })
  it('is asked once it was begun: that much, and not the rest', () => {
    const step = rowTaken('adjusting', 'A1.3', 'pin', { referenceHz: 10_240_100 })
    const open = (...events: JobEvent[]) => state(is('proof'), ...events).items.map(i => i.id)
    expect(open(step).filter(id => id.startsWith('A'))).toEqual(['A1.3'])
    expect(state(is('proof'), step).stages).toContain('align')
    expect(open(found()).filter(id => id.startsWith('as-found'))).toEqual(['as-found:high-20'])
    expect(state(is('proof'), found()).stages).toContain('as-found')
    expect(state(is('check'), confirmed('A1.3', 'skipped')).stages).toContain('align')
    expect(state(is('check'), replaced()).stages).toContain('repair')
  })
  it('is asked again in full once the job is that kind', () => {
    expect(kindsOfItems(is('check'), is('full-service'))).toEqual(kindsOfItems())
    expect(state(is('check'), is('repair')).stages).toEqual(stagesOfKind('repair'))
  })
})

describe('a demonstration', () => {
  const kind = is('demonstration')
  const altered = (): JobEvent => ({ ...stamp(), kind: 'set-altered', text: 'limiter taken out' })
  const trial = () => trialNoted('carrier', { powerW: 3.6 })
  it('asks for no row of the sheet, but as left for each that was read as found', () => {
    expect(state(kind).items).toEqual([])
    expect(state(kind).done).toMatchObject({ 'as-found': false, 'trials': false, 'as-left': false })
    expect(state(kind, found()).items.map(i => i.id)).toEqual(['as-found:high-20', 'as-left:high-20'])
  })
  it('is shown once there is a trial and what was changed for it is back', () => {
    expect(state(kind, trial()).done.trials).toBe(true)
    const out = altered()
    const item = state(kind, out, trial()).items.find(i => i.kind === 'put-back')!
    expect(state(kind, out, trial()).done.trials).toBe(false)
    expect(state(kind, out, trial(), settled(item.id, 'refitted')).done.trials).toBe(true)
    expect(state(kind, out, trial(), eventStruck(out.id)).done.trials).toBe(true)
  })
  it('takes no reading for how the set leaves that was read before all was back', () => {
    const out = altered()
    const back = settled(putBackItem(out.id), 'refitted')
    const items = (...events: JobEvent[]) => state(kind, found(), ...events).items.map(i => i.id)
    expect(items(out, left(), back)).toContain('altered:high-20')
    expect(items(out, left()), 'still out').toContain('altered:high-20')
    expect(items(out, back, left()), 'read again').not.toContain('altered:high-20')
    expect(items(left(), out), 'read before it').toContain('altered:high-20')
    const run = (...events: JobEvent[]) => currentReadings(FM, state(kind, ...events).run)
    expect(run(out, left(), back)).toEqual([])
    expect(run(out, back, left())).toHaveLength(1)
  })
  it('is begun on a job of any kind, and what was changed is owed there too', () => {
    expect(state(is('check'), trial()).stages).toContain('trials')
    expect(kindsOfItems(is('check'), altered())).toContain('put-back')
  })
})

describe('a check in which something was turned or replaced', () => {
  const item = (...events: JobEvent[]) =>
    state(is('check'), ...events).items.find(i => i.kind === 'more-than-kind') ?? null
  it('is more than a check: it says so until it is another kind of job, or somebody says why not', () => {
    expect(item(found())).toBeNull()
    for (const touch of [turned('RV1'), replaced()]) expect(item(found(), touch)?.settled).toBeNull()
    expect(item(turned('RV1'), is('repair'))).toBeNull()
    const said = settled('more-than-kind', 'turned back to its mark')
    expect(item(turned('RV1'), said)?.settled).toBe('turned back to its mark')
    expect(item(turned('RV1'), said, turned('RV1'))?.settled, 'words of before').toBeNull()
  })
  it('has a phase as left, which is not complete before anything was measured there', () => {
    const before = state(is('check'), found(), turned('RV1'))
    expect([before.stages.includes('as-left'), before.done['as-left']]).toEqual([true, false])
    const whole = left()
    const after = state(is('check'), turned('RV1'), whole)
    const row = after.asLeft.find(r => r.point.id === 'high-20')!
    expect(after.done['as-left']).toBe(row.complete)
    expect(after.items.filter(i => i.id.startsWith('as-left')).map(i => i.id)).toEqual(['as-left:high-20'])
  })
})

describe('what was found in a check', () => {
  const power = (...events: JobEvent[]) =>
    compliance(FM, ruleSet('R-UK27'), state(...events).run).standings.find(s => s.id === 'R-UK2')!.outcome
  it('says how the set is, until it was turned, mended, or the job became more', () => {
    expect(power(is('check'), found())).toBe('inside')
    expect(power(is('check'), found(), found(5))).toBe('above')
    expect(power(is('check'), found(), turned('RV1'))).toBe('inside')
    expect(power(is('check'), found(), turned('L4'))).toBe('not-measured')
    expect(power(is('check'), found(), replaced())).toBe('not-measured')
    expect(power(is('check'), replaced(), found())).toBe('inside')
    expect(power(is('check'), found(), replaced(), left(5))).toBe('above')
    expect(power(is('check'), found(), is('repair'))).toBe('not-measured')
    expect(power(found()), 'in a full service').toBe('not-measured')
  })
  it('is not handed over silently when it cannot be true', () => {
    const doubtful = (...events: JobEvent[]) =>
      state(...events).items.filter(i => i.kind === 'as-found-doubtful').length
    const impossible = rowTaken('as-found', null, 'high-20', { powerW: 40, supplyV: 13.8, supplyA: 1 })
    expect([doubtful(is('check'), impossible), doubtful(impossible)]).toEqual([1, 0])
  })
})

describe('claims', () => {
  const claim = { id: 'c', quantity: 'powerW', kind: 'about', value: 3, meter: '' } as const
  const outcome = (...events: JobEvent[]) => {
    const { claimRows, claimContext } = state(...events)
    return settleClaim(claim, claimRows, claimContext).outcome
  }
  it('are settled by what was found, and by what is left where the kind of job finds nothing', () => {
    expect(outcome(is('proof'), left(3))).toBe('confirmed')
    expect(outcome(left(3))).toBe('not-measured')
    expect(outcome(is('proof'), found(3), left(5))).toBe('confirmed')
  })
})

describe('a final that was replaced in a conversion', () => {
  const final: JobEvent = { ...(replaced() as Extract<JobEvent, { kind: 'part-changed' }>), isFinal: true }
  const owed = (sheet: ModelSheet, ...events: JobEvent[]) =>
    owedAfterFinal(sheet, [...events, final]).map(o => o.id.split(':').at(-1))
  it('owes what its own kind of set has: no gate of a valve, no headroom without AM', () => {
    const usual = ['bias', 'cause', 'coils', 'harmonics', 'heat']
    expect(owed(modelSheet('osmund-40a'), is('conversion'))).toEqual(['clamp', ...usual, 'headroom'])
    expect(owed(FM, is('conversion'))).toEqual(['clamp', ...usual])
    expect(owed(modelSheet('quillon-hb150'), is('conversion'))).toEqual(
      expect.arrayContaining(['bias', 'neutralising']),
    )
    expect(owed(modelSheet('quillon-hb150'), is('conversion'))).not.toContain('clamp')
    expect(owed(FM)).toEqual(usual)
  })
  it('is not keyed before its bias is settled, whatever else is owed first', () => {
    expect(biasBeforeKey(FM, [is('conversion'), final])).toBe(true)
    const bias = owedAfterFinal(FM, [is('conversion'), final]).find(o => o.id.endsWith(':bias'))!
    expect(biasBeforeKey(FM, [is('conversion'), final, settled(bias.id, '0.08 A')])).toBe(false)
  })
})

describe('a conversion', () => {
  it('is mended once something was fitted, whatever was found', () => {
    expect(state(is('conversion')).done.repair).toBe(false)
    expect(state(is('conversion'), found(9), replaced()).done.repair).toBe(true)
  })
})

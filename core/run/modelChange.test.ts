import { describe, expect, it } from 'vitest'
import { rowTaken, settled, turned } from '../../test/fixtures/jobEvents'
import { adjusted, compliance } from '../handover'
import { jobRecord } from '../record'
import { ruleSet } from '../rules'
import { modelSheet, operatingPoint, type ModelSheet } from '../sheet'
import { jobState } from '../work'
import { cameAs, entriesOfSheet, sheetsUsed, type JobEvent, type ModelChanged } from './index'

const BASIC = modelSheet('larkfield-lx8')
const MOSFET = modelSheet('larkfield-lx8m')
const AM = modelSheet('osmund-40a')
const FM = modelSheet('osmund-27f')
const RULES = ruleSet('R-SHOP')
let count = 0
const ref = ({ id, revision }: ModelSheet) => ({ sheetId: id, sheetRevision: revision })
const changed = (because: ModelChanged['because'], from: ModelSheet, to: ModelSheet): JobEvent => ({
  id: `72000000-0000-4000-8000-${String(++count).padStart(12, '0')}`,
  atMs: 1_796_000_000_000 + count,
  kind: 'model-changed',
  because,
  from: ref(from),
  to: ref(to),
  reason: '',
})
/** A row of the matrix of a sheet, with its first judged quantity. */
function row(sheet: ModelSheet, phase: 'as-found' | 'as-left', pointId: string, powerW: number): JobEvent {
  const point = sheet.matrix.find(p => p.id === pointId)!
  return rowTaken(phase, null, pointId, { powerW }, operatingPoint(point.state))
}
const powerRow = (sheet: ModelSheet) =>
  sheet.matrix.find(p => p.state.mode === 'AM' && p.wants.some(w => w.quantity === 'powerW'))!.id

describe('a set that was booked in under the wrong model', () => {
  const wrong = changed('wrong-model', AM, FM)
  const before = row(AM, 'as-found', powerRow(AM), 4.4)
  it('is measured by the right sheet; what was entered by the wrong one stays and does not count', () => {
    const events = [before, turned('RV4'), settled('as-found:high-20', 'not wanted'), wrong]
    const state = jobState(FM, ruleSet('R-UK27'), events)
    expect(state.run.history.readings).toEqual([])
    expect(state.run.history.turns).toEqual([])
    // It was turned all the same: the paper must not say that nothing was.
    expect(state.run.turnedElsewhere).toEqual(['RV4'])
    expect(adjusted(state.run, state.compared, events)).toMatchObject({ declared: [], elsewhere: ['RV4'] })
    expect(state.items.find(i => i.id === 'as-found:high-20')!.settled).toBeNull()
    expect(cameAs(events)).toBeNull()
    const after = rowTaken('as-found', null, 'high-20', { powerW: 3.8 })
    expect(jobState(FM, ruleSet('R-UK27'), [...events, after]).run.history.readings).toHaveLength(1)
  })
  it('finds its entries again when the first model was the right one after all', () => {
    const between = rowTaken('as-found', null, 'high-20', { powerW: 3.8 })
    const events = [before, wrong, between, changed('wrong-model', FM, AM)]
    const { history } = jobState(AM, ruleSet('R-EU'), events).run
    expect(history.readings.map(t => t.reading.value)).toEqual([4.4])
    expect(sheetsUsed(events)).toEqual([ref(AM), ref(FM)])
    expect(entriesOfSheet(FM, events)).toContain(between)
  })
})

describe('a conversion', () => {
  const id = powerRow(BASIC)
  const found = row(BASIC, 'as-found', id, 13)
  const converted = changed('conversion', BASIC, MOSFET)
  const left = row(MOSFET, 'as-left', id, 18)
  const state = (...events: JobEvent[]) => jobState(MOSFET, RULES, events, BASIC)
  it('keeps what it came as: found by the old sheet, left by the new one, side by side', () => {
    const { asFound, asLeft, compared } = state(found, converted, left)
    const rowOf = (rows: typeof asFound) => rows.find(r => r.point.id === id)!
    expect(asFound.map(r => r.point.id)).toEqual(BASIC.matrix.map(p => p.id))
    expect(asLeft.map(r => r.point.id)).toEqual(MOSFET.matrix.map(p => p.id))
    const power = compared.find(c => c.point.id === id && c.want.quantity === 'powerW')!
    expect([power.before.latest?.reading.value, power.after.latest?.reading.value]).toEqual([13, 18])
    expect(power.differences).toEqual([])
    expect(rowOf(asFound).cells.length).toBeGreaterThan(0)
    // Each row of either sheet stands once.
    const cells = (rows: typeof asFound) =>
      rows.flatMap(r => r.cells.map(c => `${r.point.id} ${c.want.quantity}`))
    const all = new Set([...cells(asFound), ...cells(asLeft)])
    expect(compared.length).toBeGreaterThanOrEqual(all.size)
  })
  it('pairs rows of a sheet that was kept with its fields in another order', () => {
    const kept: ModelSheet = {
      ...MOSFET,
      matrix: MOSFET.matrix.map(p => ({
        ...p,
        state: Object.fromEntries(Object.entries(p.state).reverse()) as unknown as typeof p.state,
      })),
    }
    const { compared } = jobState(kept, RULES, [found, converted, left], BASIC)
    const power = compared.find(c => c.point.id === id && c.want.quantity === 'powerW')!
    expect([power.before.latest?.reading.value, power.after.latest?.reading.value]).toEqual([13, 18])
  })
  it('keeps rows apart where the same channel is another frequency', () => {
    const moved: ModelSheet = { ...AM, id: 'moved', planId: 'uk27' }
    const events = [row(AM, 'as-found', powerRow(AM), 4), changed('conversion', AM, moved)]
    const { compared } = jobState(moved, RULES, events, AM)
    const power = compared.filter(c => c.point.id === powerRow(AM) && c.want.quantity === 'powerW')
    expect(power.map(c => [c.isGone, c.before.latest !== null])).toEqual([
      [false, false],
      [true, true],
    ])
  })
  it('judges before by the old targets and after by the new ones', () => {
    const { compared } = state(found, converted, left)
    for (const c of compared.filter(c => c.before.latest && c.after.latest)) {
      const want = (sheet: ModelSheet) =>
        sheet.matrix.find(p => p.id === c.point.id)!.wants.find(w => w.quantity === c.want.quantity)!
      expect(c.before.want).toEqual(want(BASIC))
      expect(c.after.want).toEqual(want(MOSFET))
    }
  })
  it('takes nothing of before for how it is now', () => {
    const early = row(BASIC, 'as-left', id, 13)
    const power = (...events: JobEvent[]) =>
      state(...events)
        .asLeft.find(r => r.point.id === id)!
        .cells.find(c => c.want.quantity === 'powerW')!.latest
    expect(power(early, converted)).toBeNull()
    expect(power(early, converted, left)?.reading.value).toBe(18)
    const standings = compliance(MOSFET, ruleSet('R-EU'), state(early, converted).run).standings
    expect(standings.every(s => s.outcome === 'not-measured')).toBe(true)
  })
  it('is none any more when it was converted back', () => {
    expect(cameAs([converted])).toEqual(ref(BASIC))
    expect(cameAs([converted, changed('conversion', MOSFET, BASIC)])).toBeNull()
    expect(cameAs([converted, changed('wrong-model', MOSFET, AM)])).toEqual(ref(BASIC))
    expect(cameAs([changed('wrong-model', AM, BASIC), converted])).toEqual(ref(BASIC))
  })
  it('stands in the record with both sheets', () => {
    const job = {
      tag: 'W-0001',
      owner: 'o',
      serial: 's',
      complaint: 'c',
      claims: [],
      accessories: '',
      boxNote: '',
      schools: {},
      mayDo: '',
      promisedOn: null,
      createdAtMs: 1,
    } as unknown as Parameters<typeof jobRecord>[0]
    const record = jobRecord(job, { now: MOSFET, found: BASIC }, RULES, [found, converted, left], 5)
    expect([record.sheet.id, record.foundSheet?.id]).toEqual([MOSFET.id, BASIC.id])
    expect(jobRecord(job, { now: BASIC, found: BASIC }, RULES, [found], 5).foundSheet).toBeNull()
  })
})

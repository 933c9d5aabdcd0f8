import { describe, expect, it } from 'vitest'
import { confirmed, rowTaken, turned } from '../../test/fixtures/jobEvents'
import { ruleSet } from '../rules'
import { fromTemplate, type ModelSheet } from '../sheet'
import { jobState } from '../work'
import { fittingEntry, runState, unfittingEntries, type JobEvent, type ModelChanged } from './index'

const FAMILY = fromTemplate('fm-three-crystal', 'tern-5', 'Tern 5', '2026-11-30')
const ROW = FAMILY.matrix.find(p => p.wants.length > 1 && p.wants.some(w => w.quantity === 'powerW'))!
const [GONE, KEPT] = FAMILY.adjusters.map(a => a.designator) as [string, string]
const STEP = FAMILY.procedure[0]!
/** Its own sheet: one adjuster and one quantity fewer, one step fewer, another row. */
const OWN: ModelSheet = {
  ...FAMILY,
  revision: 2,
  adjusters: FAMILY.adjusters.slice(1),
  procedure: FAMILY.procedure.slice(1).map(s => ({
    ...s,
    needs: s.needs.filter(n => n !== STEP.id),
    adjusters: s.adjusters.filter(d => d !== GONE),
  })),
  matrix: FAMILY.matrix.map(p =>
    p === ROW ? { ...p, wants: p.wants.filter(w => w.quantity === 'powerW') } : p,
  ),
}
const row = (values: Parameters<typeof rowTaken>[3]) => rowTaken('as-found', null, ROW.id, values)
const event = (e: object) =>
  ({ id: '72000000-0000-4000-8000-000000000099', atMs: 1_796_000_000_000, ...e }) as JobEvent
const change = (from: ModelSheet, to: ModelSheet, because: ModelChanged['because'] = 'own-sheet') =>
  event({
    kind: 'model-changed',
    because,
    from: { sheetId: from.id, sheetRevision: from.revision },
    to: { sheetId: to.id, sheetRevision: to.revision },
    reason: '',
  })

describe('what fits a better sheet', () => {
  it('is what it asks for too: of a row the quantities that are read there', () => {
    const both = row({ powerW: 3.8, carrierHz: 27_791_250 })
    const left = fittingEntry(OWN, both)
    expect(left).toMatchObject({ id: both.id, readings: [{ quantity: 'powerW' }] })
    expect(fittingEntry(OWN, row({ carrierHz: 27_791_250 }))).toBeNull()
    const power = row({ powerW: 3.8 })
    expect(fittingEntry(OWN, power)).toBe(power)
    expect(fittingEntry(OWN, rowTaken('as-found', null, 'elsewhere', { powerW: 1 }))).toBeNull()
  })
  it.each([
    ['an adjuster that it has', turned(KEPT), true],
    ['one that it has not', turned(GONE), false],
    ['where that stood', event({ kind: 'position-noted', designator: GONE, position: '3 h' }), false],
    ['an answer about it', event({ kind: 'turn-answered', rowId: 'x', designators: [GONE, KEPT] }), false],
    [
      'an answer that nothing was turned',
      event({ kind: 'turn-answered', rowId: 'x', designators: [] }),
      true,
    ],
    ['a step that it has', confirmed(FAMILY.procedure[1]!.id), true],
    ['one that it has not', confirmed(STEP.id), false],
    ['a line that it has', event({ kind: 'line-confirmed', line: `adjuster/${KEPT}/where` }), true],
    ['one that it has not', event({ kind: 'line-confirmed', line: `adjuster/${GONE}/where` }), false],
    ['a note', event({ kind: 'note', text: 'heard' }), true],
  ])('%s', (_, entry, fits) => {
    expect(fittingEntry(OWN, entry) === entry).toBe(fits)
    expect(unfittingEntries(OWN, [entry])).toHaveLength(fits ? 0 : 1)
  })
  it('of what was turned together it is those that are there', () => {
    const both = { ...turned(KEPT), designators: [GONE, KEPT] } as JobEvent
    expect(fittingEntry(OWN, both)).toMatchObject({ designators: [KEPT] })
  })
})

describe('a job whose model gets its own sheet', () => {
  const RULES = ruleSet('R-UK27')
  const before = [row({ powerW: 3.8, carrierHz: 27_791_250 }), turned(GONE), turned(KEPT)]
  it('keeps what fits, and says what was turned that the new sheet does not know', () => {
    const { run, asFound } = jobState(OWN, RULES, [...before, change(FAMILY, OWN)])
    expect(run.history.readings.map(t => t.reading.quantity)).toEqual(['powerW'])
    expect(run.history.turns.map(t => t.designator)).toEqual([KEPT])
    expect(run.turnedElsewhere).toEqual([GONE])
    expect(asFound.find(r => r.point.id === ROW.id)!.complete).toBe(true)
  })
  it('also under another id, and through another revision of that', () => {
    const other: ModelSheet = { ...OWN, id: 'tern-5a', revision: 1 }
    const later: ModelSheet = { ...other, revision: 2 }
    const events = [...before, change(FAMILY, other), change(other, later)]
    expect(runState(later, RULES, events).history.readings).toHaveLength(1)
    // By the wrong model nothing of it would count.
    expect(
      runState(other, RULES, [...before, change(FAMILY, other, 'wrong-model')]).history.readings,
    ).toEqual([])
  })
  it('refuses what no sheet of the job knows as before', () => {
    expect(() => runState(OWN, RULES, [turned('CT99')])).toThrow(
      expect.objectContaining({ code: 'unknown-adjuster' }),
    )
  })
})

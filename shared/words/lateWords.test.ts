import { describe, expect, it } from 'vitest'
import { told } from '../../test/fixtures/wholeJob/told'
import { claim, job, writer } from '../../test/fixtures/wholeJob/wholeJob'
import { levelChange, type JobEvent } from '#core/run'
import { modelSheet } from '#core/sheet'
import { lateWords } from './lateWords'

const AM = modelSheet('osmund-40a')
const w = writer(AM)
const carrier = () => w.found('carrier-19', { powerW: [3.2, 0.1] })
const receiver = () => w.found('threshold', { audibleV: [3.2e-6, 1e-6] })
const left = () => w.left('carrier-19', { powerW: [3.9, 0.1] })
const replaced = () =>
  w.work({
    kind: 'part-changed',
    designator: 'C71',
    partOut: '',
    partIn: '2200 uF',
    isFinal: false,
    text: '',
  })
const after = (...events: JobEvent[]) =>
  told(job(AM, 'R-EU', [claim({ quantity: 'powerW', value: 3.2 })], events))
const words = (...events: JobEvent[]) => lateWords(after(...events).state.asFound)
const paper = (t: ReturnType<typeof after>) => t.paper.join('\n')

describe('as found, read when the set was no longer as it came', () => {
  it('says nothing of rows that were read first', () => {
    expect(words(carrier(), w.turned('RV4'), replaced(), left())).toEqual([])
  })
  it('a row that a turned adjuster moves is not as it came, and tells neither a change nor a claim', () => {
    const late = after(w.turned('RV4'), carrier(), left())
    expect(lateWords(late.state.asFound)).toEqual([
      'As found, not as it came: RV4 had been turned before these were read: Channel 19, carrier.',
    ])
    const cell = late.state.compared.find(c => c.point.id === 'carrier-19' && c.want.quantity === 'powerW')!
    expect(cell.differences).toContainEqual(
      expect.objectContaining({
        kind: 'turned-before',
        turns: [expect.objectContaining({ designator: 'RV4' })],
      }),
    )
    expect(levelChange(cell)).toBeNull()
    expect(late.claims[0]!.outcome).toBe('not-measured')
    expect(paper(late)).not.toMatch(/when it came|instead of 3\.2/)
    const intime = after(carrier(), w.turned('RV4'), left())
    expect(intime.claims[0]!.outcome).toBe('confirmed')
    expect(paper(intime)).toMatch(/when it came/)
  })
  it('a receiver that was found late, with nothing turned that moves it, compares and says so', () => {
    expect(words(carrier(), w.turned('RV4'), receiver())).toEqual([
      expect.stringMatching(/^As found, read after work on the set had begun: Receiver, audible threshold\./),
    ])
  })
  it('after a part was replaced nobody says that the set came so', () => {
    const late = after(replaced(), carrier(), left())
    expect(lateWords(late.state.asFound)).toHaveLength(1)
    expect(paper(late)).toMatch(/3\.20? W when first read, after work had begun/)
    expect(paper(late)).not.toMatch(/when it came/)
  })
  it('of a row of which a part is as it came only the rest is named', () => {
    const both = w.found('carrier-19', { powerW: [3.2, 0.1], carrierHz: [27_185_000, 3] })
    expect(words(w.turned('RV4'), both)[0]).toMatch(/: Channel 19, carrier \(power, average\)\.$/)
  })
  it('what was put right while it was looked at was work too, unless that was a slip', () => {
    const looked = (state: 'treated' | 'fine') =>
      w.work({ kind: 'item-inspected', itemId: 'I33', state, text: '' })
    expect(words(looked('treated'), carrier())).toHaveLength(1)
    expect(words(looked('treated'), looked('fine'), carrier())).toEqual([])
  })
  it('a turn that nobody logged says that it is inferred', () => {
    const at = (watts: number) => w.step('A2.7', 'ch19', { powerW: [watts, 0.05] })
    expect(words(at(3), at(3.9), carrier())[0]).toMatch(/RV4 \(inferred from a reading that moved\)/)
  })
  it('a turn that was struck out never was', () => {
    const turn = w.turned('RV4')
    const struck: JobEvent = {
      kind: 'event-struck',
      id: 's',
      atMs: 9,
      eventId: turn.id,
      reason: 'not turned',
    }
    expect(words(turn, struck, carrier())).toEqual([])
  })
})

describe('read before and after on two instruments', () => {
  const on = (instrument: string, row: JobEvent): JobEvent =>
    row.kind === 'row-taken' ? { ...row, readings: row.readings.map(r => ({ ...r, instrument })) } : row
  it('both stand, with their names, and no change in figures', () => {
    const two = after(on('Power meter', carrier()), on('Test set', left()))
    expect(paper(two)).toMatch(
      /3\.20? W when it came \(Power meter\), 3\.90? W now \(Test set\), read on two/,
    )
    expect(paper(two)).not.toMatch(/dB\b[^.]*cannot be heard/)
  })
  it('after a part was replaced nobody says how it came', () => {
    const late = after(replaced(), on('Power meter', carrier()), on('Test set', left()))
    expect(paper(late)).not.toMatch(/when it came|read on two/)
  })
})

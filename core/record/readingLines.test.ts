import { describe, expect, it } from 'vitest'
import { ruleSet } from '../rules'
import { runState, type JobEvent } from '../run'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import { rowTaken, struck, turned } from '../../test/fixtures/jobEvents'
import { NOT_JUDGED, readingLines, unjudgedLines, type ReadingLine } from './readingLines'

const RULES = ruleSet('R-UK27')
/** What needs no sheet to be told. */
const asEntered = ({ verdict, stale, channel_name, channel_hz, ...line }: ReadingLine) => line
const lines = (events: readonly JobEvent[]) =>
  readingLines(OSMUND_27F, RULES, runState(OSMUND_27F, RULES, events))

describe('lines of readings', () => {
  it('one per reading, struck and stale ones named, none left out', () => {
    const row = rowTaken('as-left', null, 'high-20', { powerW: 3.8, carrierHz: 27_791_260 })
    const id = row.kind === 'row-taken' ? row.readings[0]!.id : ''
    const out = lines([row, turned('CT1'), struck(id, 'wrong meter')])
    expect(out.map(l => [l.quantity, l.struck_out, l.stale])).toEqual([
      ['powerW', 'wrong meter', ''],
      ['carrierHz', '', 'CT1'],
    ])
    expect(out[0]).toMatchObject({
      value_si: '3.8',
      unit_si: 'W',
      channel_name: '20',
      channel_hz: '27791250',
      low_power: 'false',
      power_position: '',
      on_time_s: '1800',
      modulation: 'none',
      tone_hz: '',
    })
  })
  it('gives no verdict where nothing is asked of the reading', () => {
    const out = lines([rowTaken('as-left', null, 'high-20', { powerW: 3.8, supplyV: 13.8 })])
    expect(out.map(l => [l.quantity, l.verdict])).toEqual([
      ['powerW', 'inside'],
      ['supplyV', ''],
    ])
  })
  it('writes an unknown uncertainty as nothing, not as zero', () => {
    const row = rowTaken('as-found', null, 'panel', { panelPowerW: 3 })
    const typed = {
      ...row,
      readings: (row as Extract<JobEvent, { kind: 'row-taken' }>).readings.map(r => ({
        ...r,
        standardUncertainty: null,
        instrument: null,
      })),
    } as JobEvent
    expect(lines([typed])[0]).toMatchObject({ standard_uncertainty_si: '', instrument: '' })
  })
  it('of a job whose sheet cannot be read are all there, unjudged, and say so', () => {
    const row = rowTaken('as-left', null, 'high-20', { powerW: 3.8, carrierHz: 27_791_260 })
    const id = row.kind === 'row-taken' ? row.readings[0]!.id : ''
    const events = [row, turned('CT1'), struck(id, 'wrong meter')]
    const unjudged = unjudgedLines(events)
    expect(unjudged.map(l => [l.verdict, l.struck_out, l.stale])).toEqual([
      [NOT_JUDGED, 'wrong meter', NOT_JUDGED],
      [NOT_JUDGED, '', NOT_JUDGED],
    ])
    const rest = lines(events).map(asEntered)
    expect(unjudged.map(asEntered)).toEqual(rest)
  })
})

import { describe, expect, it } from 'vitest'
import { compareMatrix, history, matrixState, type JobEvent, type RowTaken } from '#core/run'
import { boundToStandard, type Quantity } from '#core/quantity'
import { ruleSet } from '#core/rules'
import { modelSheet, operatingPoint, pointOf } from '#core/sheet'
import { rowTaken } from '../../test/fixtures/jobEvents'
import { levelChangeWords } from './levelChangeWords'

const SHEET = modelSheet('osmund-27f')
/** What is told of a row that read so before and so after, on a meter of 3 %. */
function told(pointId: string, quantity: Quantity, before: number, after: number): string | null {
  const conditions = { ...operatingPoint(pointOf(SHEET, null, pointId).state), load: SHEET.load }
  const taken = (phase: 'as-found' | 'as-left', value: number): JobEvent => {
    const event = rowTaken(phase, null, pointId, { [quantity]: value }, conditions) as RowTaken
    const standardUncertainty = boundToStandard(0.03 * value)
    return { ...event, readings: event.readings.map(r => ({ ...r, standardUncertainty })) }
  }
  const events = [taken('as-found', before), taken('as-left', after)]
  const past = history(SHEET, events)
  const rows = (phase: 'as-found' | 'as-left') => matrixState(SHEET, ruleSet('R-UK27'), past, phase)
  const cells = compareMatrix({ now: SHEET, found: SHEET }, rows('as-found'), rows('as-left'))
  return levelChangeWords(cells.find(c => c.point.id === pointId && c.want.quantity === quantity)!)
}
const RX = SHEET.matrix.find(p => p.wants.some(w => w.quantity === 'sensitivityV'))!.id

describe('a change of level in words', () => {
  it('has its sign, and says where the meters cannot tell it from none', () => {
    expect(told('high-20', 'powerW', 2.8, 4)).toBe('+1.5 dB')
    expect(told('high-20', 'powerW', 4.7, 3.9)).toBe('\u22120.8 dB')
    expect(told('high-20', 'powerW', 3.84, 3.79)).toBe('\u22120.1 dB, within the uncertainty')
  })
  it('of a receiver is gained or lost: a smaller number of microvolts is more', () => {
    expect(told(RX, 'sensitivityV', 3.2e-6, 0.6e-6)).toBe('14.5 dB gained')
    expect(told(RX, 'sensitivityV', 0.3e-6, 0.6e-6)).toBe('6.0 dB lost')
    expect(told(RX, 'sensitivityV', 0.5e-6, 0.5e-6)).toBe('0.0 dB, within the uncertainty')
  })
  it('is none of a frequency', () => {
    expect(told('high-20', 'carrierHz', 27_791_250, 27_791_262)).toBeNull()
  })
})

import { describe, expect, it } from 'vitest'
import { turned } from '../../test/fixtures/jobEvents'
import type { JobEvent } from '../run'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import { startPositions } from './positions'

const noted = (designator: string, position: string): JobEvent => ({
  kind: 'position-noted',
  id: `${designator}-${position}`,
  atMs: 1,
  designator,
  position,
})
const of = (events: readonly JobEvent[], designator = 'CT1') =>
  startPositions(OSMUND_27F, events).find(p => p.adjuster.designator === designator)!

describe('starting positions', () => {
  it('are the last said before the first turn; what is said later is no starting position', () => {
    expect(of([])).toMatchObject({ position: null, turnedSince: false })
    expect(of([noted('CT1', '10:00'), noted('CT1', '10:30')])).toMatchObject({
      position: '10:30',
      turnedSince: false,
    })
    expect(of([noted('CT1', '10:30'), turned('CT1'), noted('CT1', '12:00')])).toMatchObject({
      position: '10:30',
      turnedSince: true,
    })
    expect(of([turned('CT1'), noted('CT1', '12:00')])).toMatchObject({ position: null, turnedSince: true })
  })
  it('take what was said with the turn itself', () => {
    expect(of([{ ...turned('CT2'), startPosition: 'slot to the left' } as JobEvent], 'CT2').position).toBe(
      'slot to the left',
    )
  })
})

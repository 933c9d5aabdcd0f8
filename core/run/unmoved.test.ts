import { describe, expect, it } from 'vitest'
import { ruleSet } from '../rules'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import { stepRow, turned } from '../../test/fixtures/jobEvents'
import type { JobEvent } from './jobEvent'
import { runState } from './runState'
import { unmoved } from './unmoved'

const tx = (hz: number) => stepRow('A1.5', 'ch20', { carrierHz: hz })
const power = (powerW: number) => stepRow('A1.10', 'ch20', { powerW })
const seen = (stepId: string, ...events: readonly JobEvent[]) => {
  const run = runState(OSMUND_27F, ruleSet('R-UK27'), events)
  return unmoved(
    OSMUND_27F,
    run.steps.find(s => s.step.id === stepId)!,
    run.history,
  )
}

describe('an adjuster turned without effect', () => {
  it('is told with what stayed, and what looks like it', () =>
    expect(seen('A1.5', tx(27_791_410), turned('CT2'), tx(27_791_411))).toMatchObject({
      designator: 'CT2',
      reading: { value: 27_791_411 },
      isReturned: false,
      twins: ['CT3'],
    }))
  it('is told on when it was put back to its mark, until something moves', () => {
    const back: JobEvent = { ...turned('CT2'), isReturned: true } as JobEvent
    expect(seen('A1.5', tx(27_791_410), turned('CT2'), tx(27_791_410), back)).toMatchObject({
      isReturned: true,
    })
    const moved = [turned('CT2'), tx(27_791_300)]
    expect(seen('A1.5', tx(27_791_410), turned('CT2'), tx(27_791_410), back, ...moved)).toBeNull()
  })
  it('is told of any single adjuster', () =>
    expect(seen('A1.10', power(3.2), turned('L7'), power(3.2))).toMatchObject({ designator: 'L7' }))
  it('is not said of one that was back at its mark before it was read again', () => {
    const back: JobEvent = { ...turned('CT2'), isReturned: true } as JobEvent
    expect(seen('A1.5', tx(27_791_410), turned('CT2'), back, tx(27_791_410))).toBeNull()
  })
  it.each([
    ['it moved', [tx(27_791_410), turned('CT2'), tx(27_791_395)]],
    ['it was not turned', [tx(27_791_410), tx(27_791_410)]],
    ['it was not read again', [tx(27_791_410), turned('CT2')]],
    ['it was not read before', [turned('CT2'), tx(27_791_410)]],
    ['it is where it should be', [tx(27_791_262), turned('CT2'), tx(27_791_262)]],
    ['another one was turned', [tx(27_791_410), turned('CT3'), tx(27_791_410)]],
  ])('is not said where %s', (_why, events) => expect(seen('A1.5', ...events)).toBeNull())
  it('is not said of several cores, of which one may have done nothing', () =>
    expect(seen('A1.8', stepRow('A1.8', 'ch20', { powerW: 3 }), turned('L1'))).toBeNull())
})

import { describe, expect, it } from 'vitest'
import { modelSheet, stepOf } from '#core/sheet'
import { useBenchAtHand } from './useBenchAtHand'

const VALVES = modelSheet('quillon-hb150')

describe('how long the clock lets a set be keyed', () => {
  it('is the shortest that its sheet allows where no step says how long, as the page above the rows says', () => {
    const { setOnBench, workOn, keyDownLimitS } = useBenchAtHand()
    setOnBench(VALVES)
    workOn(null)
    expect(keyDownLimitS.value).toBe(10)
  })
  it('is that of the step that is worked on, and that of the set again once it is left', () => {
    const { setOnBench, workOn, leave, keyDownLimitS } = useBenchAtHand()
    setOnBench(VALVES)
    workOn(stepOf(VALVES, 'A6.7'))
    expect(keyDownLimitS.value).toBe(20)
    leave()
    expect(keyDownLimitS.value).toBe(10)
  })
  it('is that of the set in a step that does not key: somebody may key all the same', () => {
    const { setOnBench, workOn, keyDownLimitS } = useBenchAtHand()
    setOnBench(VALVES)
    workOn(stepOf(VALVES, 'A6.2'))
    expect(keyDownLimitS.value).toBe(10)
  })
  it('is what mobiles usually bear before any set was on the bench', () => {
    expect(useBenchAtHand().keyDownLimitS.value).toBe(20)
  })
})

import { describe, expect, it } from 'vitest'
import { heatPath } from './heatPath'

const PATH = { junctionKPerW: 2, junctionS: 1, sinkKPerW: 1, sinkS: 100 }
const input = { heatW: 10, ambientC: 25 }
const after = (dtS: number) =>
  heatPath.respond(PATH, input, heatPath.pass(PATH, input, heatPath.rest(PATH), dtS))

describe('heat of an output device', () => {
  it('is that of the air at first', () => {
    expect(heatPath.respond(PATH, input, heatPath.rest(PATH))).toEqual({ sinkC: 25, junctionC: 25 })
  })
  it('goes from the junction through the sink: each rises by its own resistance', () => {
    const hot = after(1e6)
    expect(hot.sinkC).toBeCloseTo(35, 6)
    expect(hot.junctionC).toBeCloseTo(55, 6)
  })
  it('comes to 63 % of its rise in one time constant', () => {
    expect(after(100).sinkC - 25).toBeCloseTo(10 * (1 - Math.exp(-1)), 6)
    expect(after(1).junctionC - after(1).sinkC).toBeCloseTo(20 * (1 - Math.exp(-1)), 6)
  })
})

import { describe, expect, it } from 'vitest'
import { applySchools, modelSheet, schoolOf, SCHOOLS, stepOf } from '../index'

const FM = modelSheet('osmund-27f')
const window = (choices: Record<string, string>) =>
  stepOf(applySchools(FM, choices), 'A1.5').points[0]!.wants[0]!.target

describe('schools', () => {
  it('each have two sides at least, a default among them, and a reason', () => {
    expect(SCHOOLS).toHaveLength(27)
    for (const s of SCHOOLS) {
      expect(s.options.length, s.id).toBeGreaterThan(1)
      expect(
        s.options.map(o => o.id),
        s.id,
      ).toContain(s.defaultId)
      expect(s.because.length, s.id).toBeGreaterThan(10)
    }
    expect(() => schoolOf('S99')).toThrow(expect.objectContaining({ code: 'unknown-item' }))
    expect(() => schoolOf('S01', 'z')).toThrowSaying(/no option/)
  })
  it('S01 moves the target of a crystal set, and of nothing else', () => {
    expect(applySchools(FM, {})).toBe(FM)
    expect(window({ S01: 'a' })).toMatchObject({ lowHz: -10, highHz: 10, aimHz: 0 })
    expect(window({ S01: 'c' })).toMatchObject({ lowHz: -200, highHz: 200 })
    const lx8 = modelSheet('larkfield-lx8')
    expect(applySchools(lx8, { S01: 'c' })).toEqual(lx8)
  })
  it('S13 sets the key-down of valve sets, S24 the level of S9; schools that only advise change nothing', () => {
    const valve = applySchools(modelSheet('quillon-hb150'), { S13: 'a' })
    expect(new Set(valve.procedure.flatMap(s => s.keyDownLimitS ?? []))).toEqual(new Set([10]))
    expect(applySchools(FM, { S13: 'a' })).toEqual(FM)
    const level = (choices: Record<string, string>) =>
      applySchools(modelSheet('osmund-40a'), choices).matrix.find(p => p.id === 's9')!.state.inputV
    expect([level({}), level({ S24: 'b' })]).toEqual([100e-6, 50e-6])
    expect(applySchools(FM, { S25: 'b' })).toEqual(FM)
  })
})

import { describe, expect, it } from 'vitest'
import { SHEETS, actsOn, applySchools, modelSheet, schoolOf, SCHOOLS, stepOf } from '../index'

const FM = modelSheet('osmund-27f')
const window = (choices: Record<string, string>) =>
  stepOf(applySchools(FM, choices), 'A1.5').points[0]!.wants[0]!.target

describe('schools', () => {
  it('each have two sides at least, a default among them, and a reason', () => {
    expect(SCHOOLS).toHaveLength(29)
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
  it('S09 tunes a dip by the output power, with the current as its limit, and no other step', () => {
    const valve = modelSheet('quillon-hb150')
    const dip = stepOf(applySchools(valve, { S09: 'b' }), 'A6.3')
    expect(dip.criterion).toMatchObject({ kind: 'peak', quantity: 'powerW' })
    expect(dip.points[0]!.wants.map(w => w.quantity)).toEqual(['plateA', 'powerW'])
    expect(dip.points[0]!.wants[0]!.target).toMatchObject({ window: { high: 0.13 } })
    expect(stepOf(applySchools(valve, { S09: 'b' }), 'A6.9')).toEqual(stepOf(valve, 'A6.9'))
    expect(applySchools(FM, { S09: 'b' })).toEqual(FM)
  })
  it('S28 aims within the tolerance that the sheet gives, and only where 4 W is in it', () => {
    const aim = (id: string, row: string, S28: string) =>
      applySchools(modelSheet(id), { S28 })
        .matrix.find(p => p.id === row)!
        .wants.find(w => w.quantity === 'powerW')!.target
    expect(aim('osmund-27f', 'high-20', 'c')).toMatchObject({ window: { low: 3.6, high: 4, aim: 4 } })
    expect(aim('osmund-40a', 'carrier-19', 'b')).toMatchObject({ window: { low: 3.6, high: 4, aim: 3.9 } })
    const p7 = modelSheet('quillon-p7')
    expect(applySchools(p7, { S28: 'b' })).toEqual(p7)
  })
  it('S20 moves the deviation of narrow sets', () => {
    const deviation = (id: string) =>
      applySchools(modelSheet(id), { S20: 'a' })
        .matrix.flatMap(p => p.wants)
        .find(w => w.quantity === 'deviationPositiveHz')?.target
    expect(deviation('larkfield-lx8')).toMatchObject({ window: { low: 2300, high: 2500, aim: 2400 } })
    expect(applySchools(modelSheet('quillon-hb150'), { S20: 'a' })).toEqual(modelSheet('quillon-hb150'))
  })
  it('each that acts changes some shipped sheet, and every choice of one differs there', () => {
    for (const school of SCHOOLS.filter(s => s.acts)) {
      const sheets = SHEETS.filter(s => actsOn(s, school))
      expect(sheets.length, school.id).toBeGreaterThan(0)
      for (const { id } of school.options.filter(o => o.id !== school.defaultId))
        expect(
          sheets.some(s => applySchools(s, { [school.id]: id }) !== s),
          `${school.id} ${id}`,
        ).toBe(true)
    }
    for (const school of SCHOOLS.filter(s => !s.acts))
      for (const sheet of SHEETS) expect(actsOn(sheet, school), school.id).toBe(false)
  })
})

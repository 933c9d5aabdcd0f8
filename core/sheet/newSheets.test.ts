import { describe, expect, it } from 'vitest'
import { sheetContradictions } from '../diagnose'
import { QUANTITIES } from '../quantity'
import { channelHz, planOf, ruleSet } from '../rules'
import { requirementOf } from '../run'
import { SHEETS, operatingPoint, isOfReceiver, modelSheet, sameConditions } from './index'

const matrix = (id: string) => modelSheet(id).matrix

describe.each(SHEETS.map(s => [s.model, s] as const))('%s', (_model, sheet) => {
  it('asks in its matrix only for channels of its plan, and judges every want', () => {
    for (const p of sheet.matrix) {
      if (p.state.channel !== null) expect(channelHz(planOf(sheet), p.state.channel)).toBeGreaterThan(1e6)
      for (const w of p.wants) {
        expect(QUANTITIES[w.quantity].label).toBeTruthy()
        expect(() => requirementOf(sheet, ruleSet(sheet.defaultRuleSetId), w, p.state)).not.toThrow()
      }
    }
  })
  it('has no two rows in the same state that ask for the same: they could not be told apart', () => {
    sheet.matrix.forEach((a, i) =>
      sheet.matrix.slice(i + 1).forEach(b => {
        const same =
          sameConditions(operatingPoint(a.state), operatingPoint(b.state)) &&
          a.state.keyed === b.state.keyed &&
          a.state.also === b.state.also
        if (same)
          expect(
            a.wants.some(w => b.wants.some(o => o.quantity === w.quantity)) && !a.id.startsWith('menu-'),
            `${a.id} and ${b.id}`,
          ).toBe(false)
      }),
    )
  })
  it('names no adjuster twice and no trimmer like a preset', () => {
    expect(sheetContradictions(sheet.adjusters)).toEqual([])
  })
  it('asks for windows that a reading can be inside of', () => {
    for (const w of [...sheet.matrix, ...sheet.procedure.flatMap(s => s.points)].flatMap(p => p.wants)) {
      if (w.target?.kind !== 'window') continue
      const { low, high, aim } = w.target.window
      if (low !== null && high !== null) expect(low).toBeLessThan(high)
      if (aim !== null) expect(aim >= (low ?? -Infinity) && aim <= (high ?? Infinity)).toBe(true)
    }
  })
})

/** The minimum as-found matrix of each kind of set (common practice). */
describe('as found, by kind of set', () => {
  it('multimode: low, middle and high channel of every band in AM, every mode, both sidebands received', () => {
    const rows = matrix('larkfield-lx8')
    expect(rows.filter(p => /^am-[A-F]\d+$/.test(p.id))).toHaveLength(18)
    expect(new Set(rows.map(p => p.state.mode))).toEqual(new Set(['AM', 'FM', 'USB', 'LSB']))
    expect(rows.filter(p => p.wants.some(w => isOfReceiver(w.quantity))).map(p => p.state.mode)).toEqual(
      expect.arrayContaining(['USB', 'LSB', 'AM']),
    )
    expect(
      rows
        .filter(p => p.state.coverage === 'expanded')
        .every(p => p.state.channel! <= 120 || p.state.channel! > 160),
    ).toBe(true)
  })
  it('menu set: every mode, power level and country state, and every menu value', () => {
    const rows = matrix('corvid-m6')
    const states = rows
      .filter(p => p.state.keyed)
      .map(p => `${p.state.mode} ${p.state.lowPower} ${p.state.coverage} ${p.state.toneHz !== null}`)
    expect(new Set(states).size).toBe(16)
    expect(rows.filter(p => p.wants.some(w => w.quantity === 'menuCode'))).toHaveLength(
      modelSheet('corvid-m6').adjusters.length,
    )
  })
  it('valve set: idle current, every band tuned, the panel against the external meter', () => {
    const rows = matrix('quillon-hb150')
    expect(
      rows
        .filter(p => p.wants.some(w => w.quantity === 'plateA') && p.state.mode === 'CW')
        .map(p => p.state.channel),
    ).toEqual([1, 2, 3, 4, 5])
    expect(rows.some(p => p.wants.some(w => w.quantity === 'panelPowerW'))).toBe(true)
  })
  it('high power: AM at minimum and where the owner had it, carrier, voice, volts and current; SSB alike', () => {
    const settings = new Set(
      matrix('brantwick-tallis60')
        .filter(p => p.state.keyed)
        .map(p => p.state.setting),
    )
    expect(settings).toEqual(
      new Set([
        'RF power at minimum',
        'RF power as the owner had it',
        'RF power as the owner had it, voice',
        'RF power at the recommended mark',
        'RF power at the recommended mark, voice',
        'RF power fully up',
      ]),
    )
  })
  it('kit: current received and keyed, power, frequency, bias and menu values', () => {
    const wanted = new Set(matrix('quillon-p5').flatMap(p => p.wants.map(w => w.quantity)))
    for (const q of ['supplyA', 'powerW', 'carrierHz', 'gateV', 'menuCode', 'referenceHz'] as const)
      expect(wanted.has(q), q).toBe(true)
  })
})

describe('order of work', () => {
  it('bias comes before power where it is set, SSB before AM, power before depth, carrier before deviation', () => {
    const before = (sheetId: string, first: string, then: string) => {
      const ids = modelSheet(sheetId).procedure.map(s => s.id)
      expect(ids.indexOf(first), `${first} before ${then}`).toBeLessThan(ids.indexOf(then))
      expect(ids).toEqual(expect.arrayContaining([first, then]))
    }
    before('larkfield-lx8', 'A3.7', 'A3.8')
    before('larkfield-lx8', 'A3.10', 'A3.11')
    before('larkfield-lx8', 'A3.11', 'A3.12')
    before('corvid-m6', 'A4.4a', 'A4.5')
    before('quillon-p5', 'A8.4', 'A8.5')
    before('quillon-hb150', 'A6.3', 'A6.7')
    before('brantwick-tallis60', 'A5.1', 'A5.3')
  })
})

import { describe, expect, it } from 'vitest'
import { showFigure, typedFigure } from './partFigures'

describe('figures of parts', () => {
  it.each([
    ['', 'capacitance', null],
    ['95', 'capacitance', 95e-9],
    ['22 pF', 'capacitance', 22e-12],
    ['220n', 'capacitance', 220e-9],
    ['2200 \u00b5F', 'capacitance', 2.2e-3],
    ['95 ohm', 'capacitance', Number.NaN],
    ['0,31', 'forward-drop', 0.31],
    ['0.31 V', 'forward-drop', Number.NaN],
    ['10.000012', 'crystal-frequency', 10_000_012],
    ['45', 'cathode-current', 0.045],
  ] as const)('"%s" as %s', (text, figure, si) => {
    const typed = typedFigure(text, figure)
    if (si === null || Number.isNaN(si)) expect(typed).toEqual(si)
    else expect(typed! / si).toBeCloseTo(1, 9)
  })
  it.each([
    [22e-12, 'capacitance', '22 pF'],
    [4.7e-12, 'capacitance', '4.7 pF'],
    [0.0045, 'cathode-current', '4.5 mA'],
    [95e-9, 'capacitance', '95 nF'],
    [2.2e-3, 'capacitance', '2200 \u00b5F'],
    [10_000_012, 'crystal-frequency', '10.000012 MHz'],
    [0.045, 'cathode-current', '45 mA'],
  ] as const)('%d is shown as it is printed on the part', (value, figure, shown) => {
    expect(showFigure(value, figure).replace(/[\u2009\u00a0\u202f]/g, ' ')).toBe(shown)
  })
})

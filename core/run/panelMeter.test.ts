import { describe, expect, it } from 'vitest'
import { rowTaken } from '../../test/fixtures/jobEvents'
import { VARIABLE } from '../../test/fixtures/variablePower'
import { ruleSet } from '../rules'
import { boundToStandard, type Quantity } from '../quantity'
import type { ModelSheet } from '../sheet'
import type { JobEvent } from './jobEvent'
import { matrixState } from './matrixState'
import { panelMeter } from './panelMeter'
import { runState } from './runState'

const RULES = ruleSet('R-UK27')
const LEAST = 'rear control at its left end'
/** The panel meter is read at the lowest end too. */
const SHEET: ModelSheet = {
  ...VARIABLE,
  matrix: VARIABLE.matrix.map(p =>
    p.id === 'least'
      ? { ...p, wants: [...p.wants, { quantity: 'panelPowerW', target: null, judgeLimit: false }] }
      : p,
  ),
}
/** Worked by hand against the case of a panel meter: 3 % at the bench, a tenth of a watt on the panel. */
function row(pointId: string, values: Partial<Record<Quantity, number>>, powerPosition?: string): JobEvent {
  const event = rowTaken('as-found', null, pointId, values, powerPosition ? { powerPosition } : {})
  if (event.kind !== 'row-taken') return event
  const readings = event.readings.map(r =>
    r.quantity === 'panelPowerW' ? { ...r, standardUncertainty: boundToStandard(0.1) } : r,
  )
  return { ...event, readings }
}
const least = (powerW: number, panelPowerW: number) => row('least', { powerW, panelPowerW }, LEAST)
const full = (powerW: number, panelPowerW: number) => [
  row('high-20', { powerW }),
  row('panel', { panelPowerW }),
]
const seen = (...events: JobEvent[]) =>
  panelMeter(matrixState(SHEET, RULES, runState(SHEET, RULES, events).history, 'as-found'))

describe('the panel meter of a set', () => {
  it.each([
    ['right at high power, too much at low: no preset', least(0.5, 0.9), full(4, 4), 'low-end'],
    ['too little at low power', least(2, 0.8), full(4, 4), 'low-end'],
    ['right at low power, far too little at high', least(2, 2), full(8, 4), 'not-linear'],
    ['half as much again at both', least(2, 3), full(4, 6), 'scale'],
    ['alike at both', least(2, 2.05), full(4, 4.1), 'agrees'],
    ['a fifth at low power: the panel cannot be read so well', least(0.5, 0.6), full(4, 4), null],
  ] as const)('%s', (_n, low, high, verdict) => expect(seen(low, ...high)?.verdict).toBe(verdict))

  it('of one level nothing is said, nor where a scale ended', () => {
    expect(seen(...full(4, 4))).toBeNull()
    expect(seen(least(3.5, 3.5), ...full(4, 4))).toBeNull()
    const [power, panel] = full(4, 5)
    const beyond =
      panel!.kind === 'row-taken'
        ? { ...panel!, readings: panel!.readings.map(r => ({ ...r, bound: 'at-least' as const })) }
        : panel!
    expect(seen(least(0.5, 0.9), power!, beyond)).toBeNull()
  })
  it('is held against the power at its own position of the control', () =>
    expect(
      seen(row('medium', { powerW: 1.5 }, '1.5 W'), row('panel', { panelPowerW: 4 }), least(0.5, 0.5)),
    ).toBeNull())
  it('on sideband, or with a tone, it shows another part of the power than the bench', () => {
    for (const change of [{ mode: 'USB' }, { toneHz: 1000 }, { setting: 'voice' }] as const) {
      const matrix = SHEET.matrix.map(p =>
        p.id === 'least' ? { ...p, state: { ...p.state, ...change } } : p,
      )
      const sheet = { ...SHEET, matrix }
      const rows = matrixState(
        sheet,
        RULES,
        runState(sheet, RULES, [least(0.5, 0.9), ...full(4, 4)]).history,
        'as-found',
      )
      expect(panelMeter(rows)).toBeNull()
    }
  })
})

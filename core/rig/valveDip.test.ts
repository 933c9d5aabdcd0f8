import { describe, expect, it } from 'vitest'
import { modelSheet } from '../sheet'
import { act, advance, healthyRig, truthOf, type RigAction } from './index'

const TICK_A = 0.02
const warm = advance(healthyRig('quillon-hb150', 6), 2400)
const keyed: RigAction = { kind: 'control', controls: { keyed: true, mode: 'CW' } }
const tuned = (carrier: number, plate: number) => {
  const turns: RigAction[] = [
    { kind: 'turn', designator: 'CARRIER', position: carrier },
    { kind: 'turn', designator: 'PLATE', position: plate },
    keyed,
  ]
  return truthOf(turns.reduce((state, action) => act(state, action).state, warm)).values
}

describe('the plate-current dip of the simulated valve set, against its own sheet', () => {
  const sheet = modelSheet('quillon-hb150')
  const most = sheet.procedure
    .find(s => s.id === 'A6.3')!
    .points[0]!.wants.find(w => w.quantity === 'plateA')!
  // The sheet's own half carrier: about 100 mA before the dip is found (A6.3).
  const half = 0.18
  it('starts at about 100 mA and dips by more than a tick of the panel meter, inside the window of the step', () => {
    const beside = tuned(half, 0.1).plateA!
    const dip = tuned(half, 0.5).plateA!
    expect(Math.abs(beside - 0.1)).toBeLessThan(TICK_A / 2)
    expect(beside - dip).toBeGreaterThan(TICK_A)
    const allowed = most.target as Extract<typeof most.target, { kind: 'window' }>
    expect(dip).toBeLessThan(allowed.window.high!)
  })
  it('output is largest where the plate current dips, at half and at full carrier', () => {
    const places = [0.3, 0.4, 0.45, 0.5, 0.55, 0.6, 0.7]
    for (const carrier of [half, 1]) {
      const all = places.map(p => tuned(carrier, p))
      const dipAt = places[all.findIndex(v => v.plateA === Math.min(...all.map(a => a.plateA!)))]!
      const peakAt = places[all.findIndex(v => v.powerW === Math.max(...all.map(a => a.powerW!)))]!
      expect(Math.abs(dipAt - peakAt)).toBeLessThanOrEqual(0.05)
    }
  })
})

import { describe, expect, it } from 'vitest'
import { bandChannel, channelHz } from '../../rules'
import { act, advance, healthyRig, rigFault, truthOf, type RigState } from '../../rig'
import { MULTIMODE_OSCILLATORS, THREE_CRYSTALS, attribute, multimodeRow, threeCrystalRow, type AttributionRow } from './index'

const of = (rows: readonly AttributionRow[], unknowns = THREE_CRYSTALS) => new Map(attribute(unknowns, rows).map(a => [a.name, a]))
const tx = (channel: number, errorHz: number, standardUncertaintyHz = 1) => threeCrystalRow({ at: 'transmit', channel, errorHz, standardUncertaintyHz })

describe('three crystals', () => {
  // C19, computed: -52 Hz on channel 1, -72 Hz on 40: eps -51.3 +/- 3.6 ppm; the transmit crystal gives +25.4 Hz of -61.7 Hz on channel 20.
  it('two channels give the reference only as far as their slope does', () => {
    const free = THREE_CRYSTALS.map(u => ({ ...u, priorSigma: 1e6 }))
    const found = of([tx(1, -52), tx(40, -72)], free)
    expect(found.get('reference')!.value).toBeCloseTo(-51.3, 1)
    expect(found.get('reference')!.sigma).toBeCloseTo(3.63, 2)
    expect(found.get('transmit crystal')!.value * 2 * 13.045625).toBeCloseTo(25.4, 0)
  })
  it('a counter that resolves 10 Hz cannot tell them apart, and says so', () => {
    const found = of([tx(1, -52, 10), tx(40, -72, 10)])
    expect(found.get('reference')!.verdict).toBe('unknown')
    expect(found.get('receive crystal')!.verdict).toBe('unknown')
    // the transmit crystal is known to a few ppm all the same: on the air it counts 26 times, the reference hardly twice
    expect(found.get('transmit crystal')!.sigma).toBeLessThan(4)
    expect(found.get('transmit crystal')!.verdict).not.toBe('off')
  })
  it('with the pin read, the hidden reference is named and the trimmed crystal with it', () => {
    const found = of([threeCrystalRow({ at: 'reference', channel: 20, errorHz: -409.6, standardUncertaintyHz: 1 }), tx(1, 7.6), tx(20, 0), tx(40, -8)])
    expect(found.get('reference')).toMatchObject({ verdict: 'off' })
    expect(found.get('reference')!.value).toBeCloseTo(-40, 0)
    expect(found.get('transmit crystal')!.verdict).toBe('off')
  })
})

describe('simulated sets', () => {
  const read = (s: RigState, controls: Partial<RigState['controls']>) => truthOf(advance(act(advance(act(s, { kind: 'control', controls: { ...controls, keyed: false } }).state, 5), { kind: 'control', controls: { keyed: true } }).state, 0.3))
  it.each([['X01', 'reference'], ['X02', 'transmit crystal']] as const)('%s on the 27F: %s is named', (fault, culprit) => {
    const s = rigFault(fault).apply(advance(healthyRig('osmund-27f', 3), 3600))
    const rows = [1, 20, 40].map(channel => tx(channel, read(s, { channel }).values.carrierHz! - channelHz('uk27', channel)))
    const found = of([...rows, threeCrystalRow({ at: 'reference', channel: 20, errorHz: truthOf(s).values.referenceHz! - 10_240_000, standardUncertaintyHz: 1 })])
    expect(found.get(culprit)!.verdict).toBe('off')
    if (fault === 'X02') expect(Math.abs(found.get('reference')!.value)).toBeLessThan(1)
  })
  const modes = (s: RigState, withPoints: boolean) => (['AM', 'USB', 'LSB'] as const).flatMap((mode) => {
    const t = read(s, { mode, channel: bandChannel('D', 19) })
    const carrierErrorHz = (t.clarifierNull - 0.5) * 2000
    const row = (at: 'transmit' | 'carrier-oscillator', errorHz: number) => multimodeRow({ at, mode, n: 150, errorHz, standardUncertaintyHz: 2 })
    return [row('transmit', carrierErrorHz), ...(withPoints ? [row('carrier-oscillator', t.passbandShiftHz)] : [])]
  })
  const reference = multimodeRow({ at: 'reference', mode: 'AM', n: 150, errorHz: 0, standardUncertaintyHz: 1 })
  it.each([['X26', 'LSB mixing', 480], ['X27', 'USB carrier oscillator', -400]] as const)('%s on the LX-8 with its test points: %s', (fault, culprit, hz) => {
    const s = rigFault(fault).apply(advance(healthyRig('larkfield-lx8', 3), 3600))
    const found = of([reference, ...modes(s, true)], MULTIMODE_OSCILLATORS)
    expect(found.get(culprit)!.verdict).toBe('off')
    expect(found.get(culprit)!.value).toBeCloseTo(hz, -1.3)
    expect([...found.values()].filter(a => a.verdict === 'off' && Math.abs(a.value) > 40).map(a => a.name)).toEqual([culprit])
  })
  it('without the test points offset and carrier oscillator of a mode cannot be told apart (C18)', () => {
    const s = rigFault('X27').apply(advance(healthyRig('larkfield-lx8', 3), 3600))
    const found = of([reference, ...modes(s, false)], MULTIMODE_OSCILLATORS)
    expect(found.get('USB carrier oscillator')).toMatchObject({ verdict: 'unknown', confusedWith: ['USB mixing'] })
  })
})

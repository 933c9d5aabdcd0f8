import { describe, expect, it } from 'vitest'
import { bandChannel, channelHz, channelPlan, planOf } from '../../rules'
import { act, advance, healthyRig, rigFault, truthOf, type RigState } from '../../rig'
import { modelSheet } from '../../sheet'
import { rowTaken } from '../../../test/fixtures/jobEvents'
import { history } from '../history'
import {
  ageingOffset,
  attribute,
  schemeNominalHz,
  schemeReadings,
  schemeRow,
  schemeUnknowns,
  type SchemeReading,
  type Unknown,
} from './index'

const UK27 = channelPlan('uk27')
const FM = modelSheet('osmund-27f')
const LX8 = modelSheet('larkfield-lx8')
const fmScheme = FM.scheme!
const lxScheme = LX8.scheme!

function found(
  sheet: typeof FM,
  readings: readonly SchemeReading[],
  unknowns: readonly Unknown[] = schemeUnknowns(sheet.scheme!),
) {
  return new Map(
    attribute(
      unknowns,
      readings.map(r => schemeRow(sheet.scheme!, planOf(sheet), r)),
    ).map(a => [a.name, a]),
  )
}
const at = (
  frequencyId: string,
  channel: number | null,
  errorHz: number,
  standardUncertaintyHz = 1,
): SchemeReading => ({ frequencyId, channel, errorHz, standardUncertaintyHz })
const tx = (channel: number, errorHz: number, u = 1) => at('tx', channel, errorHz, u)

describe('the scheme of a sheet', () => {
  it('makes the nominal of every channel from its oscillators', () => {
    for (const channel of [1, 20, 40])
      expect(schemeNominalHz(fmScheme, UK27, fmScheme.frequencies[0]!, channel)).toBeCloseTo(
        channelHz(UK27, channel),
        3,
      )
    const d19 = bandChannel('D', 19)
    for (const mode of ['AM', 'USB', 'LSB'])
      expect(
        schemeNominalHz(
          lxScheme,
          planOf(LX8),
          lxScheme.frequencies.find(f => f.id === `tx-${mode}`)!,
          d19,
        ),
      ).toBeCloseTo(27_185_000, 3)
    // 10.695 MHz on the air less 10.240 MHz and the receive mixing: 455 kHz
    const rx =
      channelHz(UK27, 20) -
      schemeNominalHz(
        fmScheme,
        UK27,
        {
          ...fmScheme.frequencies[2]!,
          terms: [
            { oscillator: 'xr', factor: 1, stepFactor: 0 },
            { oscillator: 'reference', factor: 0, stepFactor: 1 / 1024 },
          ],
        },
        20,
      )
    expect(rx - 10_240_000).toBeCloseTo(455_000, 0)
  })
  it('refuses what it does not have', () => {
    expect(() => schemeRow(fmScheme, UK27, at('nothing', 1, 0))).toThrowSaying('no frequency')
    expect(() => schemeRow({ ...fmScheme, oscillators: [] }, UK27, tx(1, 0))).toThrowSaying('no oscillator')
  })
})

describe('three crystals', () => {
  // C19, computed: -52 Hz on channel 1, -72 Hz on 40: eps -51.3 +/- 3.6 ppm; the transmit crystal gives +25.4
  // Hz of -61.7 Hz on channel 20.
  it('two channels give the reference only as far as their slope does', () => {
    const free = schemeUnknowns(fmScheme).map(u => ({ ...u, priorSigma: 1e6 }))
    const f = found(FM, [tx(1, -52), tx(40, -72)], free)
    expect(f.get('reference')!.value).toBeCloseTo(-51.3, 1)
    expect(f.get('reference')!.sigma).toBeCloseTo(3.63, 2)
    expect(f.get('xt')!.value * 2 * 13.045625).toBeCloseTo(25.4, 0)
  })
  it('a counter that resolves 10 Hz cannot tell them apart, and says so', () => {
    const f = found(FM, [tx(1, -52, 10), tx(40, -72, 10)])
    expect(f.get('reference')!.verdict).toBe('unknown')
    expect(f.get('xr')!.verdict).toBe('unknown')
    // the transmit crystal is known to a few ppm all the same: on the air it counts 26 times, the reference
    // hardly twice
    expect(f.get('xt')!.sigma).toBeLessThan(4)
    expect(f.get('xt')!.verdict).not.toBe('off')
  })
  it('with the pin read, the hidden reference is named and the trimmed crystal with it', () => {
    const f = found(FM, [at('ref', null, -409.6), tx(1, 7.6), tx(20, 0), tx(40, -8)])
    expect(f.get('reference')).toMatchObject({ verdict: 'off' })
    expect(f.get('reference')!.value).toBeCloseTo(-40, 0)
    expect(f.get('xt')!.verdict).toBe('off')
  })
  it('the second intermediate frequency shows the receive crystal', () => {
    const f = found(FM, [at('ref', null, 0), at('if2', 20, 800, 20)])
    expect(f.get('xr')).toMatchObject({ verdict: 'off' })
    expect(f.get('xr')!.value).toBeCloseTo(-800 / 15.39625, 0)
  })
})

describe('one counter for all', () => {
  // 1 ppm of 27.6 MHz: nine channels read by it are all 27.6 Hz high, and no oscillator is off.
  it('that is 1 ppm off names no innocent crystal, however many channels it reads', () => {
    const rows = Array.from({ length: 9 }, (_, k) => ({
      ...tx(1 + 4 * k, 27.6, 28 / Math.sqrt(3)),
      instrument: 'Counter',
    }))
    expect([...found(FM, rows).values()].filter(a => a.verdict === 'off')).toEqual([])
  })
  it('that is ten times better names the one that is off', () => {
    const rows = [at('ref', null, 0), ...[1, 20, 40].map(channel => tx(channel, 900, 3))].map(r => ({
      ...r,
      instrument: 'Counter',
    }))
    expect([...found(FM, rows).values()].filter(a => a.verdict === 'off').map(a => a.name)).toEqual(['xt'])
  })
})

describe('every constructed case', () => {
  // One oscillator off by twenty times what the readings leave open, each in turn: it is named, and nobody
  // else.
  it.each(fmScheme.oscillators.map(o => o.id))('27F: %s', culprit => {
    const off = (id: string) => (id === culprit ? 25 : 0)
    const row = (frequencyId: string, channel: number | null) => {
      const { coefficients } = schemeRow(fmScheme, UK27, at(frequencyId, channel, 0))
      return at(
        frequencyId,
        channel,
        Object.entries(coefficients).reduce((s, [id, c]) => s + c * off(id), 0),
      )
    }
    const f = found(FM, [row('ref', null), row('tx', 1), row('tx', 40), row('if2', 20)])
    expect([...f.values()].filter(a => a.verdict === 'off').map(a => a.name)).toEqual([culprit])
  })
  const made = (culprit: string, ppm: number, points: readonly (readonly [string, number | null])[]) =>
    points.map(([frequencyId, channel]) => {
      const { coefficients } = schemeRow(lxScheme, planOf(LX8), at(frequencyId, channel, 0))
      return at(frequencyId, channel, (coefficients[culprit] ?? 0) * ppm, 2)
    })
  const low = bandChannel('D', 1)
  const high = bandChannel('D', 40)
  const onAir = (['AM', 'USB', 'LSB'] as const).flatMap(
    m =>
      [
        [`tx-${m}`, low],
        [`tx-${m}`, high],
      ] as const,
  )
  const testPoints = (['AM', 'USB', 'LSB'] as const).map(m => [`osc-${m}`, null] as const)
  // 20 ppm: some 200 to 300 Hz, a hundred times what the counter leaves open.
  it.each(lxScheme.oscillators.map(o => o.id))('LX-8 with its test points: %s', culprit => {
    const f = found(LX8, made(culprit, 20, [['ref', null], ...onAir, ...testPoints]))
    expect([...f.values()].filter(a => a.verdict === 'off').map(a => a.name)).toEqual([culprit])
  })
  it.each(lxScheme.oscillators.filter(o => o.id !== 'reference').map(o => o.id))(
    'LX-8 on the air alone: %s is never blamed on another, and its twin is named',
    culprit => {
      const f = found(LX8, made(culprit, 20, [['ref', null], ...onAir]))
      expect([...f.values()].filter(a => a.verdict === 'off')).toEqual([])
      expect(f.get(culprit)!.confusedWith).toEqual([
        culprit.startsWith('carrier')
          ? culprit.replace('carrier', 'mixing')
          : culprit.replace('mixing', 'carrier'),
      ])
    },
  )
})

describe('simulated sets', () => {
  const read = (s: RigState, controls: Partial<RigState['controls']>) =>
    truthOf(
      advance(
        act(advance(act(s, { kind: 'control', controls: { ...controls, keyed: false } }).state, 5), {
          kind: 'control',
          controls: { keyed: true },
        }).state,
        0.3,
      ),
    )
  it.each([
    ['X01', 'reference'],
    ['X02', 'xt'],
  ] as const)('%s on the 27F: %s is named', (fault, culprit) => {
    const s = rigFault(fault).apply(advance(healthyRig('osmund-27f', 3), 3600))
    const rows = [1, 20, 40].map(channel =>
      tx(channel, read(s, { channel }).values.carrierHz! - channelHz(UK27, channel)),
    )
    const f = found(FM, [...rows, at('ref', null, truthOf(s).values.referenceHz! - 10_240_000)])
    expect(f.get(culprit)!.verdict).toBe('off')
    if (fault === 'X02') expect(Math.abs(f.get('reference')!.value)).toBeLessThan(1)
  })
  const D19 = bandChannel('D', 19)
  const modes = (s: RigState, withPoints: boolean) =>
    (['AM', 'USB', 'LSB'] as const).flatMap(mode => {
      const t = read(s, { mode, channel: D19 })
      return [
        at(`tx-${mode}`, D19, (t.clarifierNull - 0.5) * 2000, 2),
        ...(withPoints ? [at(`osc-${mode}`, null, t.passbandShiftHz, 2)] : []),
      ]
    })
  const hertz = (id: string, ppm: number) =>
    (ppm * lxScheme.oscillators.find(o => o.id === id)!.nominalHz) / 1e6
  it.each([
    ['X26', 'mixing-LSB', 480],
    ['X27', 'carrier-USB', -400],
  ] as const)('%s on the LX-8 with its test points: %s', (fault, culprit, hz) => {
    const s = rigFault(fault).apply(advance(healthyRig('larkfield-lx8', 3), 3600))
    const f = found(LX8, [at('ref', null, 0), ...modes(s, true)])
    expect(f.get(culprit)!.verdict).toBe('off')
    expect(hertz(culprit, f.get(culprit)!.value)).toBeCloseTo(hz, -1.3)
    expect(
      [...f.values()]
        .filter(a => a.verdict === 'off' && Math.abs(hertz(a.name, a.value)) > 40)
        .map(a => a.name),
    ).toEqual([culprit])
  })
  it('without the test points offset and carrier oscillator of a mode cannot be told apart (C18)', () => {
    const s = rigFault('X27').apply(advance(healthyRig('larkfield-lx8', 3), 3600))
    const f = found(LX8, [at('ref', null, 0), ...modes(s, false)])
    expect(f.get('carrier-USB')).toMatchObject({ verdict: 'unknown', confusedWith: ['mixing-USB'] })
  })
})

describe('readings of the job', () => {
  it('the latest current one of each channel, with its bound; a struck or expanded one not', () => {
    const events = [
      rowTaken('as-found', null, 'high-20', { carrierHz: 27_791_100 }),
      rowTaken('as-found', null, 'high-20', { carrierHz: 27_791_180 }),
      rowTaken('as-found', null, 'reference', { referenceHz: 10_239_900 }),
    ]
    const rows = schemeReadings(FM, history(FM, events))
    expect(rows.map(r => [r.frequencyId, r.channel, Math.round(r.errorHz)])).toEqual([
      ['tx', 20, -70],
      ['ref', null, -100],
    ])
    expect(schemeReadings(modelSheet('quillon-p5'), history(FM, events))).toEqual([])
  })
})

describe('offset for ageing', () => {
  it('starts at the far edge of the window, so far inside as the counter can tell', () => {
    expect(ageingOffset(-5, 0, 20, 2)).toEqual({ offsetHz: 18, insideForYears: 3.6 })
    expect(ageingOffset(5, -20, 20, 2)).toEqual({ offsetHz: -18, insideForYears: 7.6 })
  })
  it('without drift the middle; slow drift has no date; a coarse counter is refused', () => {
    expect(ageingOffset(0, -20, 20, 1)).toEqual({ offsetHz: 0, insideForYears: null })
    expect(ageingOffset(-0.5, 0, 20, 1).insideForYears).toBeNull()
    expect(() => ageingOffset(-5, 0, 20, 11)).toThrowSaying('narrower')
  })
})

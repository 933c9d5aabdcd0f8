import { describe, expect, it } from 'vitest'
import { audioRecording, recordingOf } from '../../../test/fixtures/signals'
import { bandChannel } from '../../rules'
import { DEFAULT_OPTIONS, measureRecording, worstAdjacent, type MeasureOptions } from '../../signal'
import {
  act,
  advance,
  healthyRig,
  renderAudio,
  renderIq,
  rigFault,
  truthOf,
  type RigAction,
  type RigState,
} from '../index'

/**
 * Signals measures the simulated set: what comes out equals what the model says of itself. Tolerances: depth
 * 0.5 points, deviation 0.5 % + 3 Hz (residual FM counts into the peak), frequency 0.7 Hz (the counter noise
 * of the model is 0.3 Hz), neighbours 0.5 dB, products 0.5 dB, suppression 0.3 dB, SINAD 0.7 dB.
 */
const RATE_HZ = 250_000
const does = (s: RigState, ...actions: RigAction[]) => actions.reduce((state, a) => act(state, a).state, s)
const ready = (
  id: string,
  mode: RigState['controls']['mode'],
  tones: readonly (readonly [number, number])[],
  fault?: string,
  ...more: RigAction[]
) => {
  const set = does(advance(healthyRig(id, 8), 2400), ...more, { kind: 'control', controls: { mode } })
  const wrong = fault ? rigFault(fault).apply(set) : set
  return advance(
    does(
      advance(wrong, 5),
      { kind: 'control', controls: { keyed: true } },
      { kind: 'stimulus', stimulus: { tones: tones.map(([hz, v]) => ({ hz, v })) } },
    ),
    0.5,
  )
}
async function heard(s: RigState, options: Partial<MeasureOptions> = {}) {
  const truth = truthOf(s, true)
  const { i, q } = renderIq(s, {
    rateHz: RATE_HZ,
    seconds: 1,
    offsetHz: 20_000,
    noiseDb: 70,
    fullScaleW: 4 * Math.max(1, truth.values.pepW!),
  })
  const made = recordingOf(
    { i: Float64Array.from(i), q: Float64Array.from(q), rateHz: RATE_HZ },
    { centreHz: truth.channelHz - 20_000 },
  )
  return {
    truth,
    m: (await measureRecording(made, { ...DEFAULT_OPTIONS, nominalHz: truth.channelHz, ...options }))
      .measurement,
  }
}

describe('AM', () => {
  it.each([
    ['90 %', undefined],
    ['over-modulated', 'X07'],
  ])('%s: frequency, depth, neighbours', async (_name, fault) => {
    const bare = ready('osmund-40a', 'AM', [], fault)
    const { truth, m } = await heard(
      does(bare, { kind: 'stimulus', stimulus: { tones: [{ hz: 2500, v: 0.03 }] } }),
    )
    expect(Math.abs(m.carrier!.frequencyHz! - truth.values.carrierHz!)).toBeLessThan(0.7)
    // The measurement counts from the mean envelope; a pinched one is higher than the bare carrier, which is
    // the model's base.
    const mean = truth.emission.kind === 'am' ? truth.values.depthNegativeRatio! : 0
    expect(Math.abs(m.am!.depthNegative - mean)).toBeLessThan(0.005)
    if (!fault) expect(Math.abs(m.am!.depthPositive - truth.values.depthPositiveRatio!)).toBeLessThan(0.005)
    if (fault) expect(Math.abs(worstAdjacent(m)!.dbc - truth.values.adjacentDbc!)).toBeLessThan(0.5)
  })
})

describe('FM', () => {
  it.each([
    ['osmund-27f', 0.1],
    ['corvid-m6', 0.03],
  ])('%s: deviation of both polarities, frequency', async (id, v) => {
    const { truth, m } = await heard(ready(id, 'FM', [[1000, v]]), { as: 'fm' })
    for (const [own, model] of [
      [m.fm!.deviationPositiveHz!, truth.values.deviationPositiveHz!],
      [m.fm!.deviationNegativeHz!, truth.values.deviationNegativeHz!],
    ] as const) {
      // The model adds 1.5 % of asymmetry for the meters that read it; the wave itself is even.
      expect(Math.abs(own - model)).toBeLessThan(0.02 * model + 18)
    }
    expect(Math.abs(m.carrier!.frequencyHz! - truth.values.carrierHz!)).toBeLessThan(0.7)
  })
})

describe('SSB', () => {
  it('two tones: products, suppression, PEP over average', async () => {
    const { truth, m } = await heard(
      ready(
        'larkfield-lx8',
        'USB',
        [
          [700, 0.015],
          [1900, 0.015],
        ],
        undefined,
        { kind: 'control', controls: { channel: bandChannel('D', 19) } },
      ),
      { as: 'ssb' },
    )
    expect(m.ssb!.sideband).toBe('USB')
    expect(Math.abs(m.ssb!.imd3DbBelowTone! - truth.values.imd3Db!)).toBeLessThan(0.5)
    expect(Math.abs(m.ssb!.carrierDbBelowPep! - truth.values.carrierLeakDb!)).toBeLessThan(0.3)
    expect(
      Math.abs(10 ** (m.ssb!.pepToMeanDb! / 10) - truth.values.pepW! / truth.values.powerW!),
    ).toBeLessThan(0.03)
  })
  it('a leak 20 dB down is found as that', async () => {
    const s = ready(
      'larkfield-lx8',
      'USB',
      [
        [700, 0.015],
        [1900, 0.015],
      ],
      'X31',
      { kind: 'turn', designator: 'VR12', position: 0.4 },
    )
    const { truth, m } = await heard(s, { as: 'ssb' })
    expect(Math.abs(m.ssb!.carrierDbBelowPep! - truth.values.carrierLeakDb!)).toBeLessThan(0.3)
  })
})

describe('drift and audio', () => {
  it('a cold set drifts through its own recording', async () => {
    const cold = does(healthyRig('osmund-40a', 8), { kind: 'control', controls: { keyed: true } })
    const { i, q, state } = renderIq(advance(cold, 2), {
      rateHz: 48_000,
      seconds: 4,
      offsetHz: 4000,
      noiseDb: 60,
      fullScaleW: 16,
    })
    const { carrier } = (
      await measureRecording(
        recordingOf({ i: Float64Array.from(i), q: Float64Array.from(q), rateHz: 48_000 }),
        { ...DEFAULT_OPTIONS, as: 'am' },
      )
    ).measurement
    const model = truthOf(state).values.carrierHz! - truthOf(advance(cold, 2)).values.carrierHz!
    expect(Math.abs(carrier!.drift!.endHz - carrier!.drift!.startHz - model)).toBeLessThan(0.7)
  })
  it.each([0.5e-6, 1e-6, 10e-6])('SINAD at %d V of the rendered audio is the model’s', async inputV => {
    const s = does(advance(healthyRig('osmund-40a', 8), 1200), { kind: 'stimulus', stimulus: { inputV } })
    const audio = audioRecording(Float64Array.from(renderAudio(s, 48_000, 2)), 48_000)
    const { measurement } = await measureRecording(audio, { ...DEFAULT_OPTIONS, as: 'audio' })
    expect(Math.abs(measurement.audio!.sinadDb! - truthOf(s).values.sinadDb!)).toBeLessThan(0.7)
  })
  it('refuses what is no recording', () => {
    expect(() =>
      renderIq(healthyRig('osmund-27f', 1), {
        rateHz: 0,
        seconds: 1,
        offsetHz: 0,
        noiseDb: 60,
        fullScaleW: 1,
      }),
    ).toThrow(expect.objectContaining({ code: 'out-of-range' }))
    expect(() => renderAudio(healthyRig('osmund-27f', 1), 8000, 1)).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
  })
})

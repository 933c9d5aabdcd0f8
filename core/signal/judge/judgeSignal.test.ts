import { describe, expect, it } from 'vitest'
import { amSignal, fmSignal, lineSignal, recordingOf, withNoise } from '../../../test/fixtures/signals'
import { ruleSet } from '../../rules'
import { DEFAULT_OPTIONS, judgeSignal, measureRecording, signalReadings } from '..'

const measured = async (
  made: ReturnType<typeof amSignal>,
  as: 'am' | 'fm' | 'ssb' | 'auto' = 'auto',
  centreHz = 27_181_000,
) =>
  (await measureRecording(recordingOf(withNoise(made, 60), { centreHz }), { ...DEFAULT_OPTIONS, as }))
    .measurement
const kinds = async (m: Awaited<ReturnType<typeof measured>>, rules = 'R-US', carrierW: number | null = 4) =>
  judgeSignal(m, ruleSet(rules), carrierW).findings.map(f => f.kind)

describe('a recording against a rule set', () => {
  it('clean AM on its channel is clean; its channel is found', async () => {
    const m = await measured(amSignal({ depth: 0.9, offsetHz: 4010, rateHz: 96_000 }))
    expect(await kinds(m)).toEqual(['clean'])
    expect(judgeSignal(m, ruleSet('R-US'), 4).channel).toBe(19)
  })
  it('pinched off comes first, then the limit, then the neighbours', async () => {
    const m = await measured(amSignal({ depth: 1.5, toneHz: 2500, offsetHz: 4010, rateHz: 96_000 }))
    const found = await kinds(m, 'R-EU')
    expect(found[0]).toBe('pinched')
    expect(
      judgeSignal(m, ruleSet('R-EU'), 4).readings.find(r => r.quantity === 'depthNegativeRatio')!.judgement!
        .verdict,
      'an envelope cannot show more than 100 %',
    ).toBe('above')
    expect(found).toContain('adjacent-power')
    expect(found).toContain('neighbours')
  })
  it('without the carrier power no absolute limit is judged', async () => {
    const m = await measured(amSignal({ depth: 1.5, toneHz: 2500, offsetHz: 4010, rateHz: 96_000 }))
    expect(await kinds(m, 'R-EU', null)).not.toContain('adjacent-power')
  })
  it('a carrier 1.5 kHz off is outside 50 ppm', async () => {
    expect(await kinds(await measured(amSignal({ depth: 0.5, offsetHz: 5500 })))).toContain('outside')
  })
  it('deviation of 2.4 kHz is outside R-EU and its readings carry their uncertainty', async () => {
    const m = await measured(fmSignal(2400, 1000, 4000), 'fm')
    expect(judgeSignal(m, ruleSet('R-EU'), null).findings.filter(f => f.kind === 'outside')).toHaveLength(2)
    for (const r of signalReadings(m)) expect(r.standardUncertainty).toBeGreaterThan(0)
  })
  it('noise is nothing sent', async () => {
    expect(
      await kinds(
        (await measureRecording(recordingOf(withNoise(lineSignal([]), 0, 0.01)), DEFAULT_OPTIONS))
          .measurement,
      ),
    ).toEqual(['nothing-sent'])
  })
})

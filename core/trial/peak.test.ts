import { describe, expect, it } from 'vitest'
import { shown, trialNoted } from '../../test/fixtures/trials'
import type { TrialNoted } from '../run'
import { notSameDepth, peaksByDepth } from './peak'

const bare = trialNoted('carrier', { powerW: 3.6, pepW: 3.6 })
const DUO = { name: 'Duo', devices: 2, claimedW: null }

describe('a peak against its depth', () => {
  it('is four times the carrier at 100 % (worked example: 3.6 W, 14.4 W PEP)', () => {
    const { last } = shown(bare, trialNoted('tone', { depthPositiveRatio: 1, pepW: 14.9 }))
    const [pep] = peaksByDepth(last)
    expect(pep).toMatchObject({ kind: 'pep', verdict: 'fits' })
    expect(pep!.expected).toBeCloseTo(14.4, 6)
    expect(pep!.db).toBeCloseTo(0.148, 3)
  })
  it('is flat-topped where the scope shows less than the meters may be off by', () => {
    const { last } = shown(bare, trialNoted('tone', { depthPositiveRatio: 1.2, envelopePeakRatio: 2.09 }))
    expect(peaksByDepth(last)).toMatchObject([{ kind: 'envelope', verdict: 'less' }])
    const rough = trialNoted('tone', {
      depthPositiveRatio: 1.2,
      envelopePeakRatio: { value: 2.09, bound: 0.3 },
    })
    expect(peaksByDepth(shown(bare, rough).last)).toMatchObject([{ verdict: 'fits' }])
  })
  it('takes the larger of both peaks of the modulation meter for what the audio asks', () => {
    const both = trialNoted('tone', { depthPositiveRatio: 0.73, depthNegativeRatio: 0.9, pepW: 10.8 })
    expect(peaksByDepth(shown(bare, both).last)).toMatchObject([{ depthRatio: 0.9, verdict: 'less' }])
  })
  it('says nothing of a voice, without a depth, without a carrier, of a needle at its stop', () => {
    const tone = { depthPositiveRatio: 1, pepW: 14.9 }
    expect(peaksByDepth(shown(bare, trialNoted('voice', tone)).last)).toEqual([])
    expect(peaksByDepth(shown(bare, trialNoted('tone', { pepW: 14.9 })).last)).toEqual([])
    expect(peaksByDepth(shown(trialNoted('tone', tone)).last)).toEqual([])
    const atStop = { depthPositiveRatio: 1, pepW: { value: 20, end: 'at-least' } } as const
    expect(peaksByDepth(shown(bare, trialNoted('tone', atStop)).last)).toEqual([])
  })
  it('holds nothing against the carrier of another amplifier', () => {
    const { last } = shown(bare, trialNoted('tone', { depthPositiveRatio: 1, pepW: 98 }, DUO))
    expect(peaksByDepth(last)).toEqual([])
  })
  it('draws no conclusion from a meter of unknown accuracy', () => {
    const unknown = trialNoted('tone', { depthPositiveRatio: { value: 1, bound: null }, pepW: 9 })
    expect(peaksByDepth(shown(bare, unknown).last)).toMatchObject([{ verdict: null, boundDb: null }])
  })
})

describe('two trials called the same depth', () => {
  const at = (pepW: number, meter = 'peak meter', depth = 1) =>
    trialNoted('tone', { depthPositiveRatio: depth, pepW: { value: pepW, meter } })
  const told = (...noted: readonly TrialNoted[]) => {
    const { last, all } = shown(...noted)
    return notSameDepth(last, all.slice(0, -1))
  }
  it('cannot both have had it where one meter reads 0.31 dB more', () => {
    const [found] = told(bare, at(14.9), at(16))
    expect(found!.db).toBeCloseTo(0.309, 3)
    expect(found!.largerDepthRatio).toBeCloseTo(Math.sqrt(16 / 3.6) - 1, 9)
  })
  it('may differ by what the modulation meter may be off by, and by another meter', () => {
    expect(told(bare, at(14.9), at(15.1))).toEqual([])
    expect(told(bare, at(14.9), at(16, 'another'))).toEqual([])
    expect(told(bare, at(14.9), at(16, 'peak meter', 1.05))).toEqual([])
  })
  it('are of two carriers where the carrier was set again between them', () => {
    expect(told(bare, at(14.9), trialNoted('carrier', { powerW: 4 }), at(16))).toEqual([])
  })
})

import { describe, expect, it } from 'vitest'
import { told } from '../../test/fixtures/wholeJob/told'
import { claim, job, writer } from '../../test/fixtures/wholeJob/wholeJob'
import { modelSheet } from '#core/sheet'

const AM = modelSheet('osmund-40a')

describe('4: what over-modulation does to meters', () => {
  const w = writer(AM)
  const carrier = w.found('carrier-19', { powerW: [3.6, 0.8], supplyA: [1.0, 0.05] })
  const at = (depth: number, pepW: number, meanW: number) =>
    told(
      job(
        AM,
        'R-EU',
        [],
        [
          carrier,
          w.found('tone-19', { depthPositiveRatio: [depth, 0.02], pepW: [pepW, 0.8], powerW: [meanW, 1] }),
        ],
      ),
    )
  it('says: 7.0 W on a carrier of 3.6 W at full depth is no true mean, which shows at most 5.4 W', () => {
    expect(at(1, 14.9, 7).challenges.find(c => c.rule === 'P05')!.words).toMatch(
      /5\.4 W at most.*probably not true-average/,
    )
  })
  it('says: at 100 % 14.9 W of 3.6 W fits the class of the meter', () => {
    expect(at(1, 14.9, 5.4).challenges.filter(c => c.pointId === 'tone-19')).toEqual([])
  })
  it('says: two rows called 100 % that read 14.9 and 18 W: one of them was over', () => {
    const two = told(
      job(
        AM,
        'R-EU',
        [],
        [
          carrier,
          w.found('tone-19', { depthPositiveRatio: [1, 0.02], pepW: [14.9, 0.8] }),
          w.found('carrier-40', { powerW: [3.6, 0.8] }),
          w.found('tone-40', { depthPositiveRatio: [1, 0.02], pepW: [18, 0.8] }),
        ],
      ),
    )
    expect(
      two.challenges.some(
        c => c.rule === 'P21' && c.words.includes('At least one was probably over-modulated'),
      ),
    ).toBe(true)
  })
  it('says: a needle at its stop is a bound, judged as one', () => {
    const stop = told(
      job(
        AM,
        'R-EU',
        [claim({ quantity: 'powerW', kind: 'about', value: 20 })],
        [w.found('carrier-19', { powerW: [20, 1, 'at-least'] })],
      ),
    )
    expect(stop.verdict('as-found', 'carrier-19', 'powerW')).toBe('above')
    expect(stop.claims[0]!.outcome).toBe('cannot-tell')
  })
  it('says: -29 dBc of 3.6 W is 24 dB over the adjacent channel', () => {
    const wide = told(
      job(
        AM,
        'R-EU',
        [],
        [w.left('carrier-19', { powerW: [3.6, 0.11] }), w.left('purity', { adjacentDbc: [-29, 1] })],
      ),
    )
    expect(wide.paper.join('\n')).toMatch(/6\.6\s*dBm/)
    expect(wide.paper.join('\n')).toMatch(/24\s*dB/)
  })
  it('says: 92 % of 3.6 W is 13.3 W: the set is as it was', () => {
    const last = told(
      job(
        AM,
        'R-EU',
        [],
        [
          w.left('carrier-19', { powerW: [3.6, 0.11] }),
          w.left('tone-19', {
            depthPositiveRatio: [0.92, 0.02],
            depthNegativeRatio: [0.92, 0.02],
            pepW: [13.3, 0.5],
          }),
        ],
      ),
    )
    expect(last.challenges).toEqual([])
    expect(last.verdict('as-left', 'tone-19', 'depthNegativeRatio')).toBe('inside')
  })
  it('must not say: more power by over-modulation, or a missing limiter after it was put back', () => {
    const over = told(
      job(
        AM,
        'R-EU',
        [],
        [
          carrier,
          w.found('tone-19', { depthPositiveRatio: [1.2, 0.02], pepW: [15.9, 0.8] }),
          w.work({ kind: 'item-inspected', itemId: 'I33', state: 'treated', text: 'Q9 put back' }),
        ],
      ),
    )
    expect(over.all).not.toMatch(/a fifth|off channel|Limiter[^.\n]*defect found/)
    expect(over.all).toContain('Modulation limiter parts: put right')
  })
})

import { describe, expect, it } from 'vitest'
import { ruleSet } from '#core/rules'
import type { TrialNoted } from '#core/run'
import { shown, trialNoted } from '../../test/fixtures/trials'
import { quantitiesRead, trialReading, trialWords } from './trialWords'

const EU = ruleSet('R-EU')
const wordsOf = (...noted: readonly TrialNoted[]) => {
  const { last, all } = shown(...noted)
  return trialWords(last, all, EU)
    .join(' ')
    .replaceAll(/[\s\u2009\u00a0]+/g, ' ')
}
const bare = trialNoted('carrier', { powerW: 3.6 })

describe('a trial in words', () => {
  it('says nothing of readings that bear nothing', () => {
    expect(wordsOf(trialNoted('carrier', { powerW: { value: 20, end: 'at-least' } }))).toBe('')
    expect(wordsOf(trialNoted('voice', { pepW: 12 }))).toBe('')
  })
  it('calls a neighbouring line that was at most so strong at most so strong', () => {
    const line = (value: number) => trialNoted('tone', { adjacentDbc: { value, end: 'at-most' } })
    expect(wordsOf(bare, line(-50))).toMatch(/line is < −14\.4 dBm.*Cannot tell/)
    expect(wordsOf(bare, line(-80))).toMatch(
      /line is < −44\.4 dBm.*below it; the whole channel may hold more/,
    )
  })
  it('names what nobody knows the accuracy of, and concludes nothing', () => {
    const unknown = trialNoted('tone', { depthPositiveRatio: 1, pepW: { value: 8, bound: null } })
    expect(wordsOf(bare, unknown)).toMatch(/8\.0 W \(−2\.55 dB\)\. The accuracy of a meter is not known/)
    expect(wordsOf(bare, unknown)).not.toMatch(/flat-topping|overshoots/)
  })
  it('does not call a carrier one that did not grow where its line was not read', () => {
    const [a, b] = [14, 15.5].map(pepW => trialNoted('tone', { depthPositiveRatio: 1, pepW }))
    expect(wordsOf(bare, a!, b!)).toMatch(/Against trial 2: PEP on the meter \+0\.44 dB/)
    expect(wordsOf(bare, a!, b!)).not.toMatch(/growth|neighbouring channels/)
  })
  it('says of a carrier only that no growth was seen, within what its line was read to', () => {
    const [a, b] = [14, 15.5].map(pepW =>
      trialNoted('tone', { depthPositiveRatio: 1, pepW, carrierLineDb: 0, adjacentDbc: -3 * pepW }),
    )
    expect(wordsOf(bare, a!, b!)).toMatch(/No growth of the carrier was seen \(±0\.5 dB\)\./)
  })
  it('leaves open whether a low PEP is a flattened peak or a slow meter', () => {
    const low = trialNoted('tone', { depthPositiveRatio: 1, pepW: 10 })
    expect(wordsOf(bare, low)).toMatch(/flat-topping, or a meter that does not show the whole peak/)
  })
  it('calls nothing compressed or not where the drive was the same', () => {
    const duo = { name: 'Duo', devices: 2, claimedW: null }
    const driven = (drivePowerW: number, powerW: number) =>
      trialNoted('carrier', { drivePowerW, powerW }, duo)
    expect(wordsOf(driven(1.2, 24), driven(1.2, 24))).not.toMatch(/compression/)
    expect(wordsOf(driven(1.2, 24), driven(2.4, 48))).toMatch(/no compression of the carrier seen/)
  })
  it('speaks of one device, and of a claim that was reached', () => {
    const one = { name: 'Solo', devices: 1, claimedW: 40 }
    const said = wordsOf(
      trialNoted('carrier', { powerW: 12 }, one),
      trialNoted('tone', { depthPositiveRatio: 1, pepW: 48 }, one),
    )
    expect(said).toMatch(/48\.0 W PEP from 1 device is 48\.0 W each.* Claimed: 40\.0 W each\./)
    expect(said).not.toMatch(/times as much/)
  })
})

describe('readings of trials side by side', () => {
  it('are those that were read in any of them, as their meters showed them', () => {
    const { all, last } = shown(bare, trialNoted('tone', { pepW: { value: 20, end: 'at-least' } }))
    expect(quantitiesRead(all)).toEqual(['powerW', 'pepW'])
    expect(trialReading(last, 'pepW')).toMatch(/^>.20/)
    expect(trialReading(last, 'powerW')).toBeNull()
  })
})

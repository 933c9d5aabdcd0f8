import { describe, expect, it } from 'vitest'
import type { CarrierAdvice } from '#core/handover'
import { fromTemplate, modelSheet } from '#core/sheet'
import { familyWords, handoverCautions, operatingAdvice } from './ownerWords'

const AM = modelSheet('osmund-40a')
const ADVICE: CarrierAdvice = {
  maxW: 4.5,
  by: 'quarter-of-pep',
  isFound: false,
  asLeftW: 8,
  setting: '',
  headroom: { neededW: 32, reachedW: 18, mostDepthRatio: 0.5 },
}
const aboutAm = (advice: CarrierAdvice | null) =>
  operatingAdvice(AM, advice, []).filter(line => /carrier/i.test(line))

describe('how high the AM carrier may be left', () => {
  it('says what it asks of the final, and what that gives', () => {
    const [most, headroom] = aboutAm(ADVICE)
    expect(most).toMatch(/carrier 4\.5 W max\., a quarter of the PEP.*It is at 8\.0 W/)
    expect(headroom).toMatch(/carrier of 8.* W needs 32.* W PEP.*reached 18.* W: 50 % at most/)
  })
  it('says nothing of headroom where no ceiling was seen, or it is enough', () => {
    const enough = { neededW: 16, reachedW: 17, mostDepthRatio: 1 }
    for (const headroom of [null, enough]) expect(aboutAm({ ...ADVICE, headroom })).toHaveLength(1)
    expect(aboutAm(null)).toEqual([])
  })
})

describe('the sheet of a family', () => {
  it('is named as such, and no other sheet is', () => {
    const [words] = familyWords(fromTemplate('am-mobile', 'tern-5', 'Tern 5', '2026-11-30'))
    expect(words).toMatch(
      /^The sheet of Tern 5 was begun from that of its family \(AM mobile\) and is not yet confirmed/,
    )
    expect(familyWords(AM)).toEqual([])
  })
})

describe('high voltage', () => {
  it('is told with the volts of the set where its sheet knows them, never with those of its family', () => {
    expect(handoverCautions(modelSheet('quillon-hb150')).join(' ')).toMatch(/800 V inside, lethal/)
    const family = handoverCautions(fromTemplate('hybrid-valve', 'tern-v', 'Tern V', '2026-11-30')).join(' ')
    expect(family).toMatch(/High voltage inside, lethal/)
    expect(family).not.toMatch(/\d+ V/)
  })
  it('is not told of a set without valves', () => {
    expect(handoverCautions(modelSheet('osmund-27f')).join(' ')).not.toMatch(/lethal/)
  })
})

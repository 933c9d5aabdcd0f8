import { describe, expect, it } from 'vitest'
import type { AntennaMatch, SettingsNoted } from '#core/run'
import { modelSheet } from '#core/sheet'
import { matchAdvice, matchAdviceOfCard, matchText, positionsText } from './settingsWords'

const match = (change: Partial<AntennaMatch> = {}): Pick<SettingsNoted, 'match'> => ({
  match: { forwardW: null, reflectedW: null, swr: null, meterAt: 'set-side', ...change },
})
const plain = (text: string) => text.replaceAll('\u2009', ' ')

describe('what the line to the antenna showed, in words', () => {
  it('has its powers and the SWR that follows from them', () =>
    expect(plain(matchText(match({ forwardW: 94, reflectedW: 0.8 })))).toBe(
      '94 W forward, 0.8 W reflected, SWR 1.2',
    ))
  it('has the scale where the powers say nothing', () => {
    expect(matchText(match({ swr: 1.3 }))).toBe('SWR 1.3, about 1.7 % comes back')
    expect(plain(matchText(match({ forwardW: 26, swr: 2.2 })))).toBe(
      '26 W forward, SWR 2.2, about 14 % (3.7 W) comes back',
    )
  })
  it('one power alone is no SWR; nothing back is 1.0; all of it is none', () => {
    expect(plain(matchText(match({ forwardW: 44 })))).toBe('44 W forward')
    expect(matchText(match({ forwardW: 44, reflectedW: 0 }))).toMatch(/SWR 1\.0$/)
    expect(matchText(match({ forwardW: 44, reflectedW: 44 }))).toMatch(/all of it reflected$/)
    expect(matchText({})).toBe('')
  })
  it('says where it was read, and stands in the log', () => {
    const behind = match({ forwardW: 176, swr: 1.1, meterAt: 'antenna-side' })
    expect(matchText(behind)).toMatch(/read behind the tuner$/)
    const noted = { ...behind, positions: [{ control: 'C1', position: '3.5' }], text: 'club' }
    expect(plain(positionsText(noted))).toBe('C1 3.5. 176 W forward, SWR 1.1, read behind the tuner. club')
  })
})

describe('what follows from it', () => {
  it('matching first where much comes back; nothing where little does', () => {
    expect(matchAdvice(match({ forwardW: 40, reflectedW: 7.9 }))).toEqual([
      'Match the antenna at reduced power before the power is raised.',
    ])
    expect(matchAdvice(match({ forwardW: 94, reflectedW: 0.8 }))).toEqual([])
    expect(matchAdvice(match({ forwardW: 94 }))).toEqual([])
    expect(matchAdvice({})).toEqual([])
  })
  it('behind a tuner no advice on the match, but that its watts need not be the power', () => {
    const [advice, ...more] = matchAdvice(match({ forwardW: 40, reflectedW: 7.9, meterAt: 'antenna-side' }))
    expect(advice).toMatch(/need not be the power/)
    expect(more).toEqual([])
  })
  it('is told of each line of the card with what it is for', () => {
    const noted: SettingsNoted = {
      id: 'x',
      atMs: 0,
      kind: 'settings-noted',
      channel: 2,
      mode: null,
      connectedTo: 'antenna',
      positions: [],
      text: '',
      ...match({ forwardW: 40, reflectedW: 7.9, swr: 1.2 }),
    }
    const lines = matchAdviceOfCard(modelSheet('quillon-hb150'), [{ noted, output: null }])
    expect(lines).toHaveLength(2)
    expect(lines[0]).toMatch(/^40 m .*antenna: The scale shows an SWR of 1\.2/)
  })
})

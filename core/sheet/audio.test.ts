import { describe, expect, it } from 'vitest'
import { isUnmodulated, modulationOf, withoutAudioWords, type AudioAt } from './audio'
import { SHEETS } from './sheets'
import { sameConditions, operatingPoint } from './operatingPoint'

const at = (change: Partial<AudioAt> = {}): AudioAt => ({ toneHz: null, setting: '', ...change })

describe('what modulates a set', () => {
  it.each([
    ['nothing', at(), 'none'],
    ['a tone', at({ toneHz: 1000 }), 'tone'],
    ['a tone of a row whose controls speak of a voice', at({ toneHz: 1000, setting: 'mark, voice' }), 'tone'],
    [
      'speech, in whatever language the controls are',
      at({ audio: 'speech', setting: 'mando al 3' }),
      'speech',
    ],
    ['two tones', at({ audio: 'two-tones' }), 'two-tones'],
    ['a row that is older than the field', at({ setting: 'RF power at the mark, voice' }), 'speech'],
    ['two tones of such a row', at({ setting: 'two tones 700 and 1900 Hz, 30 mV peak' }), 'two-tones'],
    ['a control that has its name of the voice', at({ setting: 'voice compressor off' }), 'none'],
  ] as const)('%s', (_what, state, modulation) => {
    expect(modulationOf(state)).toBe(modulation)
    expect(isUnmodulated(state)).toBe(modulation === 'none')
  })

  it('stands in a field wherever a shipped sheet says it in words', () => {
    const points = SHEETS.flatMap(s => [...s.matrix, ...s.procedure.flatMap(p => p.points)])
    const inWords = points.filter(p => /voice|two tones/i.test(`${p.title} ${p.state.setting}`))
    expect(inWords.length).toBeGreaterThan(10)
    expect(inWords.filter(p => p.state.audio === undefined)).toEqual([])
  })

  it.each([
    ['RF power at the mark, voice', 'RF power at the mark'],
    ['two tones 700 and 1900 Hz, 30 mV peak', '700 and 1900 Hz, 30 mV peak'],
    ['voice', ''],
    ['voice compressor off', 'voice compressor off'],
  ])('is said by the field alone once it was chosen: "%s"', (controls, left) => {
    expect(withoutAudioWords(controls)).toBe(left)
    expect(isUnmodulated(at({ setting: withoutAudioWords(controls) }))).toBe(true)
  })

  it('is the same condition, whether a row is older than the field or not', () => {
    const { state } = SHEETS.flatMap(s => s.matrix).find(p => p.state.audio === 'speech' && p.state.setting)!
    const { audio: _audio, ...older } = operatingPoint(state)
    expect(sameConditions(older, operatingPoint(state))).toBe(true)
    expect(sameConditions({ ...older, setting: '' }, operatingPoint(state))).toBe(false)
  })
})

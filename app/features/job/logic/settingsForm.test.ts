import { describe, expect, it } from 'vitest'
import type { SettingsNoted } from '#core/run'
import { settingsDraft, settingsOf } from './settingsForm'

const NOTED: SettingsNoted = {
  id: '72000000-0000-4000-8000-000000000001',
  atMs: 0,
  kind: 'settings-noted',
  channel: null,
  mode: 'AM',
  connectedTo: null,
  positions: [{ control: 'PLATE', position: '6.8' }],
  text: 'half carrier first',
}

describe('settings as they are written', () => {
  it('begin with a place for every control, on the band that comes next', () => {
    expect(settingsDraft(['PLATE', 'LOAD'], null, 3)).toMatchObject({
      channel: 3,
      connectedTo: 'load',
      positions: [
        { control: 'PLATE', position: '' },
        { control: 'LOAD', position: '' },
      ],
    })
  })
  it('are changed as they stand: all bands stay all bands, whichever comes next', () => {
    const draft = settingsDraft(['PLATE', 'LOAD'], NOTED, 3)
    expect(draft).toMatchObject({ channel: null, mode: 'AM', connectedTo: null, text: 'half carrier first' })
    const { id: _id, atMs: _atMs, ...same } = NOTED
    expect(settingsOf(draft)).toEqual(same)
  })
  it('leave out what has no position or no name, and are nothing without either', () => {
    const draft = settingsDraft(['PLATE'], null, 1)
    expect(settingsOf({ ...draft, text: '  ' })).toBeNull()
    draft.positions.push({ control: ' ', position: '5' }, { control: ' Tuner L ', position: ' 14 turns ' })
    expect(settingsOf(draft)?.positions).toEqual([{ control: 'Tuner L', position: '14 turns' }])
    draft.positions.push({ control: 'Tuner L', position: '12 turns' })
    expect(settingsOf(draft)?.positions, 'written twice').toEqual([
      { control: 'Tuner L', position: '12 turns' },
    ])
    expect(settingsOf({ ...draft, positions: [], text: 'only a note' })).toMatchObject({ positions: [] })
  })
  it('hold what the line to the antenna showed, and none of it on the dummy load', () => {
    const draft = settingsDraft(['PLATE'], null, 1)
    draft.match.forward = '94'
    expect(settingsOf(draft)).toBeNull()
    draft.connectedTo = 'antenna'
    expect(settingsOf(draft)).toMatchObject({
      positions: [],
      match: { forwardW: 94, reflectedW: null, swr: null, meterAt: null },
    })
  })
})

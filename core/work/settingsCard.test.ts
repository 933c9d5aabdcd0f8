import { describe, expect, it } from 'vitest'
import { rowTaken, struck } from '../../test/fixtures/jobEvents'
import { ruleSet } from '../rules'
import type { JobEvent, JobKind, SettingsNoted } from '../run'
import { modelSheet, type ModelSheet } from '../sheet'
import { cardControls, jobState } from './index'

const VALVES = modelSheet('quillon-hb150')
let count = 0
const stamp = () => ({
  id: `71000000-0000-4000-8000-${String(++count).padStart(12, '0')}`,
  atMs: count * 1000,
})
const noted = (change: Partial<SettingsNoted> = {}): SettingsNoted => ({
  ...stamp(),
  kind: 'settings-noted',
  channel: 2,
  mode: null,
  connectedTo: 'load',
  positions: [{ control: 'PLATE', position: '6.8' }],
  text: '',
  ...change,
})
const kind = (jobKind: JobKind): JobEvent => ({ ...stamp(), kind: 'job-kind-set', jobKind, reason: '' })
const state = (events: readonly JobEvent[], sheet: ModelSheet = VALVES) =>
  jobState(sheet, ruleSet('R-AM'), events)
const CHECK = kind('check')
/** 40 m, tuned, full carrier, as the row of the sheet asks for. */
const read = (powerW: number, change: object = {}) =>
  rowTaken(
    'as-found',
    null,
    'band-2',
    { powerW },
    {
      mode: 'CW',
      channel: 2,
      setting: VALVES.main.setting,
      load: VALVES.load,
      supplyV: 230,
      ...change,
    },
  )
const settingsItems = (events: readonly JobEvent[], sheet?: ModelSheet) =>
  state(events, sheet).items.filter(i => i.kind === 'settings-missing')
const bandsIn = (events: readonly JobEvent[], id: string) => {
  const found = settingsItems(events).find(i => i.id === id)
  if (!found || typeof found.detail === 'string') return null
  return (found.detail.values.list as { term: string }[]).map(t => t.term)
}

describe('settings card', () => {
  it('has of every band, mode and connection what was written last, all bands first, load before antenna', () => {
    const card = state([
      CHECK,
      noted({ connectedTo: 'antenna', positions: [{ control: 'Tuner C1', position: '3.5' }] }),
      noted({ positions: [{ control: 'PLATE', position: '6.5' }] }),
      noted({ channel: 1 }),
      noted({ mode: 'AM', text: 'needle at 4.5 ticks' }),
      noted(),
      noted({ channel: null, text: 'half carrier first' }),
    ]).card.map(({ noted: n }) => [n.channel, n.mode, n.connectedTo, n.positions[0]!.position])
    expect(card).toEqual([
      [null, null, 'load', '6.8'],
      [1, null, 'load', '6.8'],
      [2, null, 'load', '6.8'],
      [2, 'AM', 'load', '6.8'],
      [2, null, 'antenna', '3.5'],
    ])
  })
  it('leaves out what was struck out, and shows what stood before it', () => {
    const [first, wrong] = [noted(), noted({ positions: [{ control: 'PLATE', position: '9' }] })]
    const events = [first, wrong, { ...stamp(), kind: 'event-struck', eventId: wrong.id, reason: 'misread' }]
    expect(state(events as JobEvent[]).card.map(l => l.noted.id)).toEqual([first.id])
  })
  it('offers the controls of the sheet, then those that were written on the card', () => {
    const events = [noted({ positions: [{ control: 'Tuner L', position: '14 turns' }] })]
    expect(cardControls(VALVES, events)).toEqual(['PRESELECTOR', 'PLATE', 'LOAD', 'CARRIER', 'Tuner L'])
    expect(cardControls(modelSheet('osmund-27f'), [])).toEqual([])
  })
})

describe('output on the settings card', () => {
  it('is what the row of that band read into the load', () => {
    expect(state([CHECK, read(118), noted()]).card[0]!.output?.reading.value).toBe(118)
  })
  it.each([
    ['an antenna, where watts are not watts into 50 ohm', read(176), noted({ connectedTo: 'antenna' })],
    ['whatever it is connected to', read(118), noted({ connectedTo: null })],
    ['another load than that of the sheet', read(176, { load: 'antenna through a tuner' }), noted()],
    ['another mode', read(118), noted({ mode: 'AM' })],
    ['all bands', read(118), noted({ channel: null })],
    ['another band', read(118), noted({ channel: 3 })],
  ])('is not told for %s', (_, row, line) => {
    expect(state([CHECK, row, line]).card[0]!.output).toBeNull()
  })
  it('is not told of a reading that was struck out or contradicts the plate input', () => {
    const row = read(118)
    const id = row.kind === 'row-taken' ? row.readings[0]!.id : ''
    expect(state([CHECK, row, struck(id), noted()]).card[0]!.output).toBeNull()
    // By hand: 800 V and 225 mA are 180 W of plate input; 176 W would be 98 % of it.
    const tooMuch = rowTaken(
      'as-found',
      null,
      'band-2',
      { powerW: 176, plateA: 0.225 },
      {
        mode: 'CW',
        channel: 2,
        setting: VALVES.main.setting,
        load: VALVES.load,
      },
    )
    expect(state([CHECK, tooMuch, noted()]).card[0]!.output).toBeNull()
  })
})

describe('what the card lacks', () => {
  it('is every band where the procedure calls for a card, and nothing where nobody asked for one', () => {
    expect(bandsIn([kind('alignment')], 'settings:bands')).toEqual(['80 m', '40 m', '20 m', '15 m', '10 m'])
    expect(settingsItems([CHECK])).toEqual([])
  })
  it('is the other bands once one was written, in a check too', () => {
    expect(bandsIn([CHECK, noted()], 'settings:bands')).toEqual(['80 m', '20 m', '15 m', '10 m'])
  })
  it('is no band when all are written: the owed card is done', () => {
    const all = [1, 2, 3, 4, 5].map(channel => noted({ channel }))
    const { items } = state([kind('alignment'), ...all])
    expect(items.filter(i => i.kind === 'settings-missing' || i.id === 'A6.10')).toEqual([])
  })
  it('is the antenna setting of a band that has only the load, once an antenna was written', () => {
    const load = [1, 2, 3].map(channel => noted({ channel }))
    expect(bandsIn([CHECK, ...load], 'settings:antenna')).toBeNull()
    const antenna = [1, 3].map(channel => noted({ channel, connectedTo: 'antenna' }))
    expect(bandsIn([CHECK, ...load, ...antenna], 'settings:antenna')).toEqual(['40 m'])
  })
  it('is not asked of a set that is not tuned by band', () => {
    const fm = modelSheet('osmund-27f')
    expect(settingsItems([noted({ channel: 1 })], fm)).toEqual([])
  })
  it('stays owed in the words of a sheet whose rows name no band', () => {
    const bare = { ...VALVES, matrix: VALVES.matrix.filter(p => !p.state.keyed) }
    expect(state([kind('alignment')], bare).items.find(i => i.id === 'A6.10')?.settled).toBeNull()
  })
})

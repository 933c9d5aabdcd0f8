import { randomUUID } from 'node:crypto'
import { blankSheet } from '../../core/sheet'
import { BARE_INSTRUMENT } from '../../shared/instrumentSetup'
import { fmRow } from '../fixtures/fmRow'
import { INTAKE } from './house'

const stamped = (event: object) => ({ id: randomUUID(), atMs: 1_795_000_000_000, ...event })

const EVENTS = [
  fmRow(),
  { kind: 'adjuster-turned', designators: ['CT2'], stepId: 'A1.5', startPosition: '' },
  { kind: 'step-confirmed', stepId: 'A1.5', outcome: 'done', reason: '' },
  { kind: 'note', stepId: null, text: 'a note' },
  { kind: 'keyed', stepId: null, lengthS: 3 },
  {
    kind: 'sheet-amended',
    changes: [{ line: 'adjuster/CT2/turn', from: 'more capacitance lowers, 180\u00b0 range', to: 'left' }],
    reason: '',
    who: '',
  },
  { kind: 'power-tried', limitA: 1.5, idleA: 0.31, seen: 'normal', text: '' },
  { kind: 'power-tried', limitA: 1.5, idleA: null, seen: 'limit', partsOut: ['Q18'], text: '' },
  { kind: 'item-inspected', itemId: 'I31', state: 'ask', text: '' },
  { kind: 'reminder-set', condition: 'spectrum', text: 'look at L8' },
  { kind: 'wait-begun', waitsFor: 'parts', text: 'crystal', untilDay: '2026-12-20' },
  { kind: 'test-made', observableId: 'cores', outcome: 'off', text: '' },
  { kind: 'cause-confirmed', causeId: 'coils-off', text: '' },
  { kind: 'soak-begun', hours: 4, text: '' },
  {
    kind: 'settings-noted',
    channel: 20,
    mode: null,
    connectedTo: 'load',
    positions: [{ control: 'Preselector', position: '5.2' }],
    text: '',
  },
  {
    kind: 'settings-noted',
    channel: null,
    mode: null,
    connectedTo: 'antenna',
    positions: [],
    match: { forwardW: 94, reflectedW: 0.8, swr: 1.2, meterAt: 'set-side' },
    text: '',
  },
  { kind: 'challenge-kept', readingId: randomUUID(), rule: 'P10', reason: 'seen twice' },
]

/** Requests that are taken as they stand, with the value to be broken in each. */
export const validRequests = (jobId: string): { method: string; path: string; body: object }[] => [
  { method: 'POST', path: '/api/jobs', body: { ...INTAKE, id: randomUUID() } },
  {
    method: 'PATCH',
    path: `/api/jobs/${jobId}`,
    body: { version: 1, owner: 'Barge Coot', promisedOn: '2026-12-01' },
  },
  ...EVENTS.map(e => ({ method: 'POST', path: `/api/jobs/${jobId}/events`, body: stamped(e) })),
  { method: 'PUT', path: '/api/jobs/order', body: { order: [{ id: jobId, bench: 1 }], was: [] } },
  {
    method: 'POST',
    path: '/api/instruments',
    body: { name: 'Meter', profileId: 'scpi-power-meter', host: '127.0.0.1', port: 9, ...BARE_INSTRUMENT },
  },
  {
    method: 'POST',
    path: '/api/blocked-periods',
    body: { id: randomUUID(), fromDay: '2031-07-01', toDay: '2031-08-15', why: 'boat season' },
  },
  {
    method: 'POST',
    path: '/api/sheets',
    body: { sheet: blankSheet('of-ours', 'Of ours', '2026-11-29'), who: '', reason: 'new' },
  },
  {
    method: 'POST',
    path: '/api/recordings',
    body: { id: randomUUID(), jobId, name: 'r.wav', bytes: 1000 },
  },
  {
    method: 'POST',
    path: '/api/search/views',
    body: {
      id: randomUUID(),
      name: 'late',
      query: { words: 'x', sheetId: '', state: 'any', causeId: '' },
      replaces: null,
    },
  },
]

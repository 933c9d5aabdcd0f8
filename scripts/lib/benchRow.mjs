import { randomUUID } from 'node:crypto'

const reading = (quantity, value) => ({
  id: randomUUID(),
  quantity,
  value,
  standardUncertainty: 0.1,
  source: 'instrument',
  instrument: 'Meter',
})

/** A row of the as-found table with four readings, as a screen sends it. */
export const benchRow = i => ({
  kind: 'row-taken',
  id: randomUUID(),
  atMs: 1_795_000_000_000 + i,
  phase: 'as-found',
  stepId: null,
  pointId: 'high-20',
  conditions: {
    mode: 'FM',
    channel: 20,
    lowPower: false,
    toneHz: null,
    toneV: null,
    inputV: null,
    coverage: 'standard',
    setting: '',
    supplyV: 13.8,
    load: 'dummy',
    onTimeS: 1500,
  },
  readings: [
    reading('carrierHz', 27_791_182),
    reading('powerW', 2.8),
    reading('supplyV', 13.8),
    reading('supplyA', 0.9),
  ],
})

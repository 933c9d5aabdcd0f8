import type { QuantityInfo } from '../quantityInfo'

/** Quantities of one kind: the working point of the output stage. */
export const BIAS_QUANTITIES = {
  stageIdleA: {
    label: 'Idle current of the output stage',
    symbol: 'Iq',
    siUnit: 'A',
    shownUnit: 'mA',
    perSi: 1000,
    min: 0,
    max: 10,
    needs: ['key'],
    topic: 'bias',
    rail: { slot: 'when-read', rank: 4, label: 'Idle current' },
  },
  plateA: {
    label: 'Plate current',
    symbol: 'Ia',
    siUnit: 'A',
    shownUnit: 'mA',
    perSi: 1000,
    min: 0,
    max: 5,
    needs: ['key'],
    topic: 'supply-current',
    rail: { slot: 'when-read', rank: 5 },
    ownerWord: 'plate current',
  },
  gateV: {
    label: 'Gate voltage',
    symbol: 'Vg',
    siUnit: 'V',
    shownUnit: 'V',
    perSi: 1,
    min: 0,
    max: 30,
    needs: [],
    topic: 'bias',
    rail: { slot: 'when-read', rank: 3 },
  },
} as const satisfies Record<string, QuantityInfo>

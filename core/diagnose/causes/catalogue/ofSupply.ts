import type { Cause } from '../cause'

const base = { domain: 'supply', modes: null } as const

/** Over-current with the set merely on. Isolation goes from the output backwards, one device at a time. */
export const SUPPLY_CAUSES: readonly Cause[] = [
  {
    ...base,
    id: 'shorted-final',
    row: 'F44',
    title: 'Final shorted',
    remedy: 'Replace it, then set gate or base bias before the first key-down, then peak and balance.',
    prior: 3,
    shows: {
      'idle': { 'at-limit': 0.97 },
      'lift-final': { falls: 0.97 },
      'input-ohms': { 'one-way': 0.6, 'short-both': 0.4 },
    },
  },
  {
    ...base,
    id: 'shorted-driver',
    row: 'F44',
    title: 'Driver shorted',
    remedy: 'Fit the correct type and renew stressed resistors with it; bias before keying.',
    prior: 1.5,
    shows: {
      'idle': { 'at-limit': 0.93, 'high': 0.06 },
      'lift-final': { stays: 0.97 },
      'lift-driver': { falls: 0.97 },
      'input-ohms': { 'one-way': 0.7, 'short-both': 0.3 },
    },
  },
  {
    ...base,
    id: 'polarity-diode',
    row: 'F76',
    title: 'Polarity diode shorted',
    remedy: 'Fit a larger diode, so that the fuse blows first. Ask about reversed leads.',
    prior: 1.5,
    shows: {
      'idle': { 'at-limit': 0.98 },
      'lift-final': { stays: 0.97 },
      'lift-driver': { stays: 0.97 },
      'input-ohms': { 'short-both': 0.98 },
    },
  },
  {
    ...base,
    id: 'bias-high',
    row: 'F45',
    title: 'Bias far too high',
    remedy: 'Do not key. Set the bias from zero upwards.',
    prior: 1,
    shows: { 'idle': { 'high': 0.9, 'at-limit': 0.08 }, 'lift-final': { falls: 0.93 } },
  },
  {
    ...base,
    id: 'reversed-supply',
    row: 'F77',
    title: 'Supply was reversed: diode missing or too small',
    remedy: 'Fit a diode large enough to blow the fuse of the lead; then look for what was damaged.',
    prior: 0.8,
    shows: { trace: { burnt: 0.96 }, idle: { 'right': 0.6, 'at-limit': 0.35 } },
  },
]

import { powerRatioToDb } from '../../../quantity'
import { isFullPower } from '../../../sheet'
import { found, isCarrier, isLowPower, middle, rated, seen, windowOf } from '../cells'
import type { Observable } from '../observable'
import { between, repeatable } from '../soft'

const DEAD_DB = -30
const toDb = (ratio: number) => (ratio > 0 ? powerRatioToDb(ratio) : DEAD_DB)
/**
 * Spread over the band that a set may have [dB] (common practice: 0.5), and half of it for a sag at
 * both ends.
 */
const TILT_DB = 0.7
const SAG_DB = 0.5
/** A carrier down to this share of its rating is right (common practice: -10 %). */
const MIN_OF_RATED = 0.9

const base = { domain: 'power', modes: null } as const

export const POWER_OBSERVABLES: readonly Observable[] = [
  {
    ...base,
    id: 'power',
    question: 'Carrier on the middle channel and its rating',
    healthy: 'right',
    outcomes: {
      'none': 'no power',
      'tenth': 'a tenth or less',
      'third': 'about a third or less',
      'low': 'low',
      'right': 'normal',
      'high': 'high',
      'far-high': 'about twice or more',
    },
    source: {
      kind: 'readings',
      quantities: ['powerW'],
      see: rows => {
        const mid = middle(found(rows, 'powerW', isCarrier).filter(rated))
        const most = mid && rated(mid)
        if (!mid || !most) return null
        const window = windowOf(mid)
        const least = window ? window.low / window.high : MIN_OF_RATED
        const name = between(
          [0.02, 0.12, 0.45, least * 0.983, 1.05, 1.7],
          ['none', 'tenth', 'third', 'low', 'right', 'high', 'far-high'],
        )
        return seen([mid], ([w]) => name(w! / most))
      },
    },
  },
  {
    ...base,
    id: 'band',
    question: 'Power over the band',
    healthy: 'even',
    outcomes: {
      'even': 'equal at low, middle and high channel',
      'low-end': 'weak towards the low end',
      'high-end': 'weak towards the high end',
      'both-ends': 'weak at both ends',
    },
    source: {
      kind: 'readings',
      quantities: ['powerW'],
      see: rows => {
        const all = found(rows, 'powerW', isCarrier)
        const mid = middle(all)
        if (all.length < 3 || !mid || mid.value <= 0) return null
        return seen(
          [all[0]!, mid, all.at(-1)!],
          ([low, centre, high]) => {
            const [lowDb, highDb] = [toDb(low! / centre!), toDb(high! / centre!)]
            if (highDb - lowDb > TILT_DB) return 'low-end'
            if (lowDb - highDb > TILT_DB) return 'high-end'
            return (lowDb + highDb) / 2 < -SAG_DB ? 'both-ends' : 'even'
          },
          f => repeatable(f),
        )
      },
    },
  },
  {
    ...base,
    id: 'low-switch',
    question: 'What the low-power switch does',
    healthy: 'ten',
    outcomes: { none: 'nothing', small: 'less than 10 dB', ten: '10 dB', large: 'more than 10 dB' },
    source: {
      kind: 'readings',
      quantities: ['powerW'],
      inSheet: sheet => sheet.matrix.some(p => isLowPower(p.state)),
      see: rows => {
        const [high, low] = [
          middle(found(rows, 'powerW', isCarrier)),
          middle(found(rows, 'powerW', isLowPower)),
        ]
        if (!high || !low) return null
        const name = between([1, 8.8, 11.2], ['none', 'small', 'ten', 'large'])
        return seen([high, low], ([h, l]) => name(-toDb(l! / Math.max(h!, 1e-9))))
      },
    },
  },
  {
    ...base,
    id: 'current',
    question: 'Supply current while keyed',
    healthy: 'right',
    outcomes: { low: 'low', right: 'as stated on the sheet', high: 'high' },
    source: {
      kind: 'readings',
      quantities: ['supplyA'],
      see: (rows, sheet) => {
        const mid = middle(found(rows, 'supplyA', isCarrier))
        const name = between([sheet.keyedA.low * 0.85, sheet.keyedA.high * 1.15], ['low', 'right', 'high'])
        return mid && seen([mid], ([a]) => name(a!))
      },
    },
  },
  {
    ...base,
    id: 'supply',
    question: 'Supply at the set while keyed',
    healthy: 'right',
    outcomes: { low: 'low', right: 'normal' },
    source: {
      kind: 'readings',
      quantities: ['supplyV'],
      see: (rows, sheet) => {
        const mid = middle(found(rows, 'supplyV', isCarrier))
        return mid && seen([mid], ([v]) => (v! < sheet.nominalSupplyV - 0.5 ? 'low' : 'right'))
      },
    },
  },
  {
    ...base,
    id: 'panel',
    question: 'Panel meter and external meter',
    healthy: 'agrees',
    outcomes: {
      'panel-low': 'the panel reads low',
      'agrees': 'they agree',
      'panel-high': 'the panel reads high',
    },
    source: {
      kind: 'readings',
      quantities: ['panelPowerW', 'powerW'],
      see: rows => {
        const [panel, power] = [
          middle(found(rows, 'panelPowerW', s => s.keyed && isFullPower(s))),
          middle(found(rows, 'powerW', isCarrier)),
        ]
        if (!panel || !power || power.value <= 0) return null
        const name = between([0.82, 1.22], ['panel-low', 'agrees', 'panel-high'])
        return seen([panel, power], ([p, w]) => name(p! / w!))
      },
    },
  },
]

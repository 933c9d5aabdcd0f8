import { voltageRatioToDb } from '../../../quantity'
import { receiverTest } from '../../../sheet'
import { minAudibleV, minSensitivityV } from '../../plausibility/signalChallenges'
import { found, middle, rated, seen, type Found } from '../cells'
import type { Observable } from '../observable'
import { between } from '../soft'

const base = { domain: 'receiver', modes: null } as const
/** Near its floor SINAD falls less by nature: the slope is judged above this [dB]. */
const ABOVE_FLOOR_DB = 6

export const RECEIVER_OBSERVABLES: readonly Observable[] = [
  {
    ...base,
    id: 'threshold',
    question: 'Sensitivity and its requirement',
    healthy: 'good',
    outcomes: {
      good: 'good',
      poor: 'up to 12 dB worse than required',
      deaf: 'more than 12 dB worse than required',
    },
    source: {
      kind: 'readings',
      quantities: ['sensitivityV', 'audibleV'],
      see: rows => {
        const mid = middle([
          ...found(rows, 'sensitivityV', () => true),
          ...found(rows, 'audibleV', () => true),
        ])
        const most = mid && rated(mid)
        // What is better than physics allows is leakage or a slip, and no witness for the receiver.
        if (!mid || !most || mid.value < minInput(mid)) return null
        const name = between([1.05, 4], ['good', 'poor', 'deaf'])
        return seen([mid], ([v]) => name(v! / most))
      },
    },
  },
  {
    ...base,
    id: 's-meter',
    question: 'S-meter at the S9 level',
    healthy: 'right',
    outcomes: { low: 'more than an S-unit low', right: 'within an S-unit', high: 'more than an S-unit high' },
    source: {
      kind: 'readings',
      quantities: ['sMeter'],
      see: rows => {
        const mid = middle(found(rows, 'sMeter', () => true))
        const name = between([8, 10.01], ['low', 'right', 'high'])
        return mid && seen([mid], ([s]) => name(s!))
      },
    },
  },
  {
    ...base,
    id: 'sinad-slope',
    question: 'SINAD when the generator is turned down',
    healthy: 'falls',
    outcomes: { falls: 'falls with the level', flat: 'hardly falls' },
    source: {
      kind: 'readings',
      quantities: ['sinadDb'],
      see: rows => {
        const all = found(rows, 'sinadDb', s => s.inputV !== null).sort(
          (a, b) => a.state.inputV! - b.state.inputV!,
        )
        const [low, high] = [all[0], all.at(-1)]
        if (!low || !high || low.state.inputV === high.state.inputV || low.value < ABOVE_FLOOR_DB) return null
        return seen([low, high], ([l, h]) => ((h! - l!) / levelDb(low, high) < 0.5 ? 'flat' : 'falls'))
      },
    },
  },
]

function minInput({ point, used }: Found): number {
  const test = receiverTest(point)
  return used.quantity === 'audibleV' ? minAudibleV(test.modulation) : minSensitivityV(test)
}

function levelDb(low: Found, high: Found): number {
  return voltageRatioToDb(high.state.inputV! / low.state.inputV!)
}

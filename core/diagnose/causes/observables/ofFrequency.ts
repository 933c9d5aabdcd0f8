import { found, isCarrier, middle, seen } from '../cells'
import type { Observable } from '../observable'
import { between } from '../soft'

/** Error in transmit frequency that a set may have [Hz] (workshop), and from where on it is more than age. */
const RIGHT_HZ = 50
const FAR_HZ = 600
/** One counter reads both band ends: its time base cancels, its resolution stays [Hz]. */
const RESOLUTION_U_HZ = 0.6
const SLOPE_HZ = 3

const base = { domain: 'frequency', modes: null } as const

export const FREQUENCY_OBSERVABLES: readonly Observable[] = [
  {
    ...base,
    id: 'tx-error',
    question: 'Transmit frequency on the middle channel',
    healthy: 'right',
    outcomes: { right: 'normal', off: 'off by more than 50 Hz', far: 'off by more than 600 Hz' },
    source: {
      kind: 'readings',
      quantities: ['carrierHz'],
      see: rows => {
        const mid = middle(found(rows, 'carrierHz', isCarrier))
        const nominal = mid?.cell.requirement.nominalHz
        if (!mid || nominal == null) return null
        const name = between([RIGHT_HZ, FAR_HZ], ['right', 'off', 'far'])
        return seen([mid], ([hz]) => name(Math.abs(hz! - nominal)))
      },
    },
  },
  {
    ...base,
    id: 'reference',
    question: 'Reference oscillator',
    healthy: 'right',
    outcomes: { right: 'within 2 ppm', slight: '2 to 10 ppm off', off: 'more than 10 ppm off' },
    source: {
      kind: 'readings',
      quantities: ['referenceHz'],
      see: rows => {
        const ref = middle(found(rows, 'referenceHz', () => true))
        const nominal = ref?.cell.requirement.nominalHz
        if (!ref || nominal == null) return null
        const name = between([2.2, 10], ['right', 'slight', 'off'])
        return seen([ref], ([hz]) => name(Math.abs(hz! / nominal - 1) * 1e6))
      },
    },
  },
  {
    ...base,
    id: 'slope',
    question: 'Frequency error from the lowest to the highest channel',
    healthy: 'flat',
    outcomes: { flat: 'the same on all channels', slopes: 'changes with the channel' },
    source: {
      kind: 'readings',
      quantities: ['carrierHz'],
      see: rows => {
        const all = found(rows, 'carrierHz', isCarrier).filter(f => f.cell.requirement.nominalHz !== null)
        if (all.length < 3) return null
        const [low, high] = [all[0]!, all.at(-1)!]
        return seen(
          [low, high],
          ([a, b]) =>
            Math.abs(b! - high.cell.requirement.nominalHz! - (a! - low.cell.requirement.nominalHz!)) >
            SLOPE_HZ
              ? 'slopes'
              : 'flat',
          f => ({ value: f.value, standardUncertainty: RESOLUTION_U_HZ }),
        )
      },
    },
  },
]

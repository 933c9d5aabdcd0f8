import {
  ANALYSER,
  BENCH_SUPPLY,
  CHEAP_WATTMETER,
  COUNTER_INSTRUMENT,
  MODULATION_METER,
  MULTIMETER,
  POWER_METER,
  TEST_SET,
} from './instruments'
import type { SimulatedInstrument } from './simulatedInstrument'

/**
 * What stands on a simulated bench. The dongle records what is sent, its crystal off by a fixed amount [ppm].
 */
export interface BenchKit {
  readonly id: string
  readonly name: string
  readonly what: string
  readonly instruments: readonly SimulatedInstrument[]
  readonly dongleOfPpm: number
}

export const BENCH_KITS: readonly BenchKit[] = [
  {
    id: 'usual',
    name: 'The usual equipment',
    what: 'power meter 3 %, counter 0.1 ppm, modulation meter 2 %, supply',
    instruments: [POWER_METER, COUNTER_INSTRUMENT, MODULATION_METER, BENCH_SUPPLY],
    dongleOfPpm: 0.5,
  },
  {
    id: 'test-set',
    name: 'Test set and analyser',
    what: 'communications test set, spectrum analyser, multimeter on test points, supply',
    instruments: [TEST_SET, ANALYSER, MULTIMETER, BENCH_SUPPLY],
    dongleOfPpm: 0.5,
  },
  {
    id: 'practice',
    name: 'One cheap meter and a dongle',
    what:
      'diode wattmeter, 10 % of a 20 W scale, average-responding; ' +
      'a receiver dongle some ppm off; nothing else',
    instruments: [CHEAP_WATTMETER],
    dongleOfPpm: 2.3,
  },
]

/** The kit of that id; the usual one when there is none. */
export function benchKit(id: string): BenchKit {
  return BENCH_KITS.find(k => k.id === id) ?? BENCH_KITS[0]!
}

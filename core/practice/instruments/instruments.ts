import type { Quantity } from '../../quantity'
import type {
  BenchLook,
  SimulatedInstrument,
  SimulatedReading,
  SimulatedSetting,
} from './simulatedInstrument'

/** Weakest carrier that counter and modulation meter still read [W]. */
const NEEDS_W = 0.01
const identity = (what: string, serial: string) => `Weirside Bench,${what} (simulated),${serial},2.0`

const of =
  (quantity: Quantity) =>
  ({ truth }: BenchLook) =>
    truth.values[quantity] ?? null
const spectralOf =
  (quantity: Quantity) =>
  ({ truth, spectral }: BenchLook) =>
    truth.energy.rfW > 1e-9 ? (spectral().values[quantity] ?? null) : null
/** Counters and modulation meters need a carrier. */
const onAir = (quantity: Quantity) => (look: BenchLook) =>
  look.truth.energy.rfW >= NEEDS_W ? of(quantity)(look) : null

const reading = (
  header: string,
  read: SimulatedReading['read'],
  accuracy: SimulatedReading['accuracy'],
  resolution: number,
  settleS: number,
  rest: Partial<SimulatedReading> = {},
): SimulatedReading => ({ header, read, accuracy, resolution, settleS, ...rest })

const POWER = { ofReading: 0.03, absolute: 0.001 }
const COUNTER = { ofReading: 1e-7 }
const DEVIATION = { ofReading: 0.02, absolute: 1 }
const DEPTH = { absolute: 0.02 }

const POWER_READINGS = [
  reading('MEASure:POWer:AVERage?', of('powerW'), POWER, 0.001, 0.05),
  reading('MEASure:POWer:PEAK?', of('pepW'), POWER, 0.001, 0.05),
]
const COUNTER_READINGS = [
  reading('MEASure:FREQuency?', onAir('carrierHz'), COUNTER, 0.1, 0, { channel: 1 }),
  reading('MEASure:FREQuency?', of('referenceHz'), COUNTER, 0.01, 0, { channel: 2 }),
]
const MODULATION_READINGS = [
  reading('MEASure:FM:DEViation:POSitive?', onAir('deviationPositiveHz'), DEVIATION, 1, 0.1),
  reading('MEASure:FM:DEViation:NEGative?', onAir('deviationNegativeHz'), DEVIATION, 1, 0.1),
  reading('MEASure:AM:DEPTh:POSitive?', onAir('depthPositiveRatio'), DEPTH, 0.001, 0.1),
  reading('MEASure:AM:DEPTh:NEGative?', onAir('depthNegativeRatio'), DEPTH, 0.001, 0.1),
]

const toneOf = ({ state }: BenchLook, n: number) => state.stimulus.tones[n] ?? null
const setTones = (tones: readonly { hz: number; v: number }[]) => [
  { kind: 'stimulus' as const, stimulus: { tones } },
]
const FIRST_HZ = 1000
const SECOND_HZ = 1900

/** Audio generator: level is the sum of both tones; a level of nought is silence. */
const AUDIO_SETTINGS: readonly SimulatedSetting[] = [
  {
    header: 'SOURce:AUDio:FREQuency',
    kind: 'number',
    min: 50,
    max: 10_000,
    get: look => toneOf(look, 0)?.hz ?? FIRST_HZ,
    actions: (hz, { state }) =>
      setTones(state.stimulus.tones.map((t, i) => (i === 0 ? { ...t, hz: Math.round(hz) } : t))),
  },
  {
    header: 'SOURce:AUDio:LEVel',
    kind: 'number',
    min: 0,
    max: 0.5,
    get: ({ state }) => state.stimulus.tones.reduce((sum, t) => sum + t.v, 0),
    actions: (v, { state }) => {
      const tones = state.stimulus.tones.length > 0 ? state.stimulus.tones : [{ hz: FIRST_HZ, v: 0 }]
      return setTones(v > 0 ? tones.map(t => ({ hz: t.hz, v: v / tones.length })) : [])
    },
  },
  {
    header: 'SOURce:AUDio:TONes',
    kind: 'number',
    min: 0,
    max: 2,
    get: ({ state }) => state.stimulus.tones.length,
    actions: (n, { state }) => {
      const v = state.stimulus.tones.reduce((sum, t) => sum + t.v, 0) || 0.03
      if (Math.round(n) === 0) return setTones([])
      if (Math.round(n) === 1) return setTones([{ hz: FIRST_HZ, v }])
      return setTones([
        { hz: 700, v: v / 2 },
        { hz: SECOND_HZ, v: v / 2 },
      ])
    },
  },
]
/** Until somebody sets it, the generator stands on the channel. */
const RF_SETTINGS: readonly SimulatedSetting[] = [
  {
    header: 'SOURce:RF[:LEVel]',
    kind: 'number',
    min: 0,
    max: 0.1,
    get: ({ state }) => state.stimulus.inputV,
    actions: inputV => [{ kind: 'stimulus', stimulus: { inputV } }],
  },
  {
    header: 'SOURce:RF:FREQuency',
    kind: 'number',
    min: 1e5,
    max: 1e9,
    get: ({ state, truth }) => state.stimulus.inputHz ?? truth.channelHz,
    actions: inputHz => [{ kind: 'stimulus', stimulus: { inputHz } }],
  },
]
const SUPPLY_SETTINGS: readonly SimulatedSetting[] = [
  {
    header: 'VOLTage',
    kind: 'number',
    min: 0,
    max: 16,
    get: ({ state }) => state.surroundings.supplyV,
    actions: supplyV => [{ kind: 'surroundings', surroundings: { supplyV } }],
  },
  {
    header: 'CURRent',
    kind: 'number',
    min: 0.05,
    max: 60,
    get: ({ state }) => state.surroundings.limitA,
    actions: limitA => [{ kind: 'surroundings', surroundings: { limitA } }],
  },
  {
    header: 'CURRent:FOLDback',
    kind: 'boolean',
    min: 0,
    max: 1,
    get: ({ state }) => Number(state.surroundings.foldback),
    actions: on => [{ kind: 'surroundings', surroundings: { foldback: on === 1 } }],
  },
]
/** In a supply volts and amperes: nothing below zero comes out of a display of this kind. */
const VOLTS = { ofReading: 0.002, absolute: 0.02 }
const AMPERES = { ofReading: 0.01, absolute: 0.005 }

export const POWER_METER: SimulatedInstrument = {
  key: 'power',
  name: 'Power meter',
  profileId: 'scpi-power-meter',
  identity: identity('RF power meter', 'S1'),
  readings: POWER_READINGS,
  settings: [],
}
export const COUNTER_INSTRUMENT: SimulatedInstrument = {
  key: 'counter',
  name: 'Counter',
  profileId: 'scpi-counter',
  identity: identity('Frequency counter', 'S2'),
  readings: COUNTER_READINGS,
  settings: [],
}
export const MODULATION_METER: SimulatedInstrument = {
  key: 'modulation',
  name: 'Modulation meter',
  profileId: 'scpi-modulation-meter',
  identity: identity('Modulation meter', 'S3'),
  readings: MODULATION_READINGS,
  settings: AUDIO_SETTINGS,
}
export const BENCH_SUPPLY: SimulatedInstrument = {
  key: 'supply',
  name: 'Bench supply',
  profileId: 'scpi-supply',
  identity: identity('Bench supply', 'S4'),
  settings: SUPPLY_SETTINGS,
  readings: [
    reading('MEASure:VOLTage?', of('supplyV'), VOLTS, 0.001, 0.02),
    reading('MEASure:CURRent?', of('supplyA'), AMPERES, 0.001, 0.02),
    reading('OUTPut:ELAPsed?', of('onTimeS'), {}, 1, 0),
  ],
}
export const TEST_SET: SimulatedInstrument = {
  key: 'testset',
  name: 'Radio test set',
  profileId: 'scpi-test-set',
  identity: identity('Communications test set', 'S5'),
  settings: [...AUDIO_SETTINGS, ...RF_SETTINGS],
  readings: [
    ...POWER_READINGS,
    ...COUNTER_READINGS,
    ...MODULATION_READINGS,
    reading('MEASure:SINad?', of('sinadDb'), { absolute: 1 }, 0.1, 0.2),
  ],
}
export const ANALYSER: SimulatedInstrument = {
  key: 'analyser',
  name: 'Spectrum analyser',
  profileId: 'scpi-analyser',
  identity: identity('Spectrum analyser', 'S6'),
  settings: [],
  traces: true,
  readings: [
    reading('CALCulate:HARMonic?', spectralOf('harmonicDbc'), { absolute: 2 }, 0.1, 0),
    reading('CALCulate:ACP?', spectralOf('adjacentDbc'), { absolute: 2 }, 0.1, 0),
    reading('CALCulate:IMD?', spectralOf('imd3Db'), { absolute: 2 }, 0.1, 0),
    reading('CALCulate:CARRier?', spectralOf('carrierLeakDb'), { absolute: 2 }, 0.1, 0),
  ],
}
export const MULTIMETER: SimulatedInstrument = {
  key: 'multimeter',
  name: 'Multimeter on test points',
  profileId: 'scpi-multimeter',
  identity: identity('Multimeter', 'S7'),
  settings: [],
  probes: true,
  readings: [
    reading('MEASure:VOLTage?', of('vcoV'), { ofReading: 0.005, absolute: 0.01 }, 0.001, 0.3, { channel: 1 }),
    reading('MEASure:VOLTage?', of('gateV'), { ofReading: 0.005, absolute: 0.01 }, 0.001, 0.3, {
      channel: 2,
    }),
    reading('MEASure:CURRent?', of('stageIdleA'), { ofReading: 0.02, absolute: 0.001 }, 0.0001, 0.3, {
      channel: 1,
    }),
    reading('MEASure:CURRent?', of('plateA'), { ofReading: 0.02, absolute: 0.001 }, 0.0001, 0.3, {
      channel: 2,
    }),
  ],
}

/** Square of the mean envelope: what a diode in front of a lazy needle makes of a modulated signal (C06). */
const averageResponding = ({ truth }: BenchLook) => truth.envelope.meanV ** 2
export const CHEAP_WATTMETER: SimulatedInstrument = {
  key: 'wattmeter',
  name: 'Cheap wattmeter',
  profileId: 'practice-wattmeter',
  identity: identity('In-line wattmeter', 'S8'),
  settings: [],
  readings: [
    reading('MEASure:POWer:AVERage?', averageResponding, { ofFullScale: 0.1, fullScale: 20 }, 0.1, 0.5, {
      most: 22,
    }),
  ],
}

import type { Accuracy, Quantity } from '../../quantity'
import type { InstrumentProfile, ProfileQuantity, ProfileSetting } from '../instrumentProfile'

const scpi = (quantity: Quantity, query: string, accuracy: Accuracy, toSi = 1): ProfileQuantity => ({
  quantity,
  query,
  toSi,
  accuracy,
})
const sets = (name: ProfileSetting['name'], header: string, min: number, max: number): ProfileSetting => ({
  name,
  command: `${header} {value}`,
  query: `${header}?`,
  toSi: 1,
  min,
  max,
})

/** 3 % of reading; the last digit of the display is 1 mW. */
const POWER: Accuracy = { ofReading: 0.03, absolute: 0.001 }
const COUNTER: Accuracy = { ofReading: 1e-7 }
const MODULATION: Accuracy = { ofReading: 0.02, absolute: 1 }
const DEPTH: Accuracy = { absolute: 0.02 }
const SIMULATED = 'simulated bench, accuracy as stated'

const POWER_METER = [scpi('powerW', 'MEAS:POW:AVER?', POWER), scpi('pepW', 'MEAS:POW:PEAK?', POWER)]
const MODULATION_METER = [
  scpi('deviationPositiveHz', 'MEAS:FM:DEV:POS?', MODULATION),
  scpi('deviationNegativeHz', 'MEAS:FM:DEV:NEG?', MODULATION),
  scpi('depthPositiveRatio', 'MEAS:AM:DEPT:POS?', DEPTH),
  scpi('depthNegativeRatio', 'MEAS:AM:DEPT:NEG?', DEPTH),
]
const AUDIO = [sets('toneHz', 'SOUR:AUD:FREQ', 50, 10_000), sets('toneV', 'SOUR:AUD:LEV', 0, 0.5)]

/** Instruments that answer queries, and what can be set on them. */
export const TALKING: readonly InstrumentProfile[] = [
  {
    id: 'scpi-power-meter',
    name: 'RF power meter, SCPI',
    what: 'average power and PEP',
    meterKind: 'true-mean',
    talks: true,
    accuracyWords: '3 % of reading + 1 mW',
    source: SIMULATED,
    quantities: POWER_METER,
  },
  {
    id: 'scpi-counter',
    name: 'Frequency counter, SCPI',
    what: 'carrier (input 1) and reference pin (input 2)',
    talks: true,
    accuracyWords: '0.1 ppm',
    source: SIMULATED,
    quantities: [
      scpi('carrierHz', 'MEAS:FREQ? (@1)', COUNTER),
      scpi('referenceHz', 'MEAS:FREQ? (@2)', COUNTER),
    ],
  },
  {
    id: 'scpi-modulation-meter',
    name: 'Modulation meter, SCPI',
    what: 'peak deviation and depth, both polarities; its audio generator',
    talks: true,
    accuracyWords: '2 % of reading + 1 Hz; 2 points',
    source: SIMULATED,
    quantities: MODULATION_METER,
    settings: AUDIO,
  },
  {
    id: 'scpi-supply',
    name: 'Bench supply, SCPI',
    what: 'voltage, current, time since switch-on; sets voltage and limit',
    talks: true,
    accuracyWords: '0.2 % of reading + 20 mV; 1 % + 5 mA; 1 s',
    source: SIMULATED,
    quantities: [
      scpi('supplyV', 'MEAS:VOLT?', { ofReading: 0.002, absolute: 0.02 }),
      scpi('supplyA', 'MEAS:CURR?', { ofReading: 0.01, absolute: 0.005 }),
      scpi('onTimeS', 'OUTP:ELAP?', { absolute: 1 }),
    ],
    settings: [sets('supplyV', 'VOLT', 0, 16), sets('limitA', 'CURR', 0.05, 60)],
  },
  {
    id: 'scpi-test-set',
    name: 'Communications test set, SCPI',
    what: 'power, PEP, frequency, depth, deviation, SINAD; RF and audio generator',
    meterKind: 'true-mean',
    talks: true,
    accuracyWords: '3 %; 0.1 ppm; 2 points; 2 %; 1 dB',
    source: SIMULATED,
    quantities: [
      ...POWER_METER,
      scpi('carrierHz', 'MEAS:FREQ? (@1)', COUNTER),
      scpi('referenceHz', 'MEAS:FREQ? (@2)', COUNTER),
      ...MODULATION_METER,
      scpi('sinadDb', 'MEAS:SIN?', { absolute: 1 }),
    ],
    settings: [...AUDIO, sets('inputV', 'SOUR:RF:LEV', 0, 0.1), sets('inputHz', 'SOUR:RF:FREQ', 1e5, 1e9)],
  },
  {
    id: 'scpi-analyser',
    name: 'Spectrum analyser, SCPI',
    what: 'second harmonic, adjacent channel, products, carrier; the trace',
    talks: true,
    accuracyWords: '2 dB',
    source: SIMULATED,
    quantities: [
      scpi('harmonicDbc', 'CALC:HARM?', { absolute: 2 }),
      scpi('adjacentDbc', 'CALC:ACP?', { absolute: 2 }),
      scpi('imd3Db', 'CALC:IMD?', { absolute: 2 }),
      scpi('carrierLeakDb', 'CALC:CARR?', { absolute: 2 }),
    ],
  },
  {
    id: 'scpi-multimeter',
    name: 'Multimeter on test points, SCPI',
    what: 'VCO, gate, idle current, plate current',
    talks: true,
    accuracyWords: '0.5 % + 10 mV; 2 % + 1 mA',
    source: SIMULATED,
    quantities: [
      scpi('vcoV', 'MEAS:VOLT? (@1)', { ofReading: 0.005, absolute: 0.01 }),
      scpi('gateV', 'MEAS:VOLT? (@2)', { ofReading: 0.005, absolute: 0.01 }),
      scpi('stageIdleA', 'MEAS:CURR? (@1)', { ofReading: 0.02, absolute: 0.001 }),
      scpi('plateA', 'MEAS:CURR? (@2)', { ofReading: 0.02, absolute: 0.001 }),
    ],
  },
  {
    id: 'practice-wattmeter',
    name: 'Cheap in-line wattmeter',
    what: 'average-responding diode, 20 W scale',
    meterKind: 'average',
    talks: true,
    accuracyWords: '10 % of full scale',
    source: SIMULATED,
    quantities: [scpi('powerW', 'MEAS:POW:AVER?', { ofFullScale: 0.1, fullScale: 20 })],
  },
]

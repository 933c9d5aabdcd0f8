import type { Accuracy, Quantity } from '../../quantity'
import type { InstrumentProfile, ProfileQuantity } from '../instrumentProfile'

const byEye = (quantity: Quantity, accuracy: Accuracy): ProfileQuantity => ({ quantity, query: null, toSi: 1, accuracy })
const TYPICAL = 'typical for its kind (general trade knowledge): enter your own from its data sheet'

/** Instruments that do not talk: their readings are typed. */
export const READ_BY_EYE: readonly InstrumentProfile[] = [
  { id: 'eye-power-20', name: 'In-line power meter, 20 W scale', what: 'power by eye', meterKind: 'average', talks: false, accuracyWords: '5 % of full scale', source: TYPICAL,
    quantities: [byEye('powerW', { ofFullScale: 0.05, fullScale: 20 })] },
  { id: 'eye-power-5', name: 'Terminating power meter, 5 W scale', what: 'power by eye', meterKind: 'average', talks: false, accuracyWords: '5 % of full scale', source: TYPICAL,
    quantities: [byEye('powerW', { ofFullScale: 0.05, fullScale: 5 })] },
  { id: 'eye-counter', name: 'Counter with a 1 ppm time base', what: 'frequency, read off', talks: false, accuracyWords: '1 ppm + 1 Hz', source: TYPICAL,
    quantities: [byEye('carrierHz', { ofReading: 1e-6, absolute: 1 }), byEye('referenceHz', { ofReading: 1e-6, absolute: 1 })] },
  { id: 'eye-deviation', name: 'Deviation meter, 5 kHz scale', what: 'deviation by eye', talks: false, accuracyWords: '5 % of reading', source: TYPICAL,
    quantities: [byEye('deviationPositiveHz', { ofReading: 0.05 }), byEye('deviationNegativeHz', { ofReading: 0.05 })] },
  { id: 'eye-multimeter', name: 'Multimeter', what: 'voltages and current', talks: false, accuracyWords: '0.5 % + 10 mV; 2 % + 10 mA', source: TYPICAL,
    quantities: [byEye('supplyV', { ofReading: 0.005, absolute: 0.01 }), byEye('supplyA', { ofReading: 0.02, absolute: 0.01 }), byEye('vcoV', { ofReading: 0.01, absolute: 0.01 }), byEye('gateV', { ofReading: 0.01, absolute: 0.01 })] },
  { id: 'eye-generator', name: 'RF generator and SINAD meter', what: 'receiver sensitivity, SINAD, audible threshold', talks: false, accuracyWords: '1.5 dB; 1 dB; 3 dB by ear', source: TYPICAL,
    // 1.5 dB of voltage upwards is 18.9 %, 3 dB 41 %
    quantities: [byEye('sensitivityV', { ofReading: 10 ** (1.5 / 20) - 1 }), byEye('sinadDb', { absolute: 1 }), byEye('audibleV', { ofReading: 10 ** (3 / 20) - 1 })] },
  { id: 'eye-test-set', name: 'Communications test set', what: 'power, PEP, frequency, depth, deviation, SINAD, audible threshold', meterKind: 'true-mean', talks: false, accuracyWords: '5 %; 0.1 ppm; 2 points; 3 %; 1 dB; 3 dB by ear', source: TYPICAL,
    quantities: [
      byEye('powerW', { ofReading: 0.05 }), byEye('pepW', { ofReading: 0.05 }), byEye('carrierHz', { ofReading: 1e-7, absolute: 1 }), byEye('depthPositiveRatio', { absolute: 0.02 }), byEye('depthNegativeRatio', { absolute: 0.02 }),
      byEye('deviationPositiveHz', { ofReading: 0.03 }), byEye('deviationNegativeHz', { ofReading: 0.03 }), byEye('sinadDb', { absolute: 1 }), byEye('audibleV', { ofReading: 10 ** (3 / 20) - 1 }),
    ] },
  { id: 'eye-analyser', name: 'Spectrum analyser', what: 'second harmonic, adjacent channel, products, carrier', talks: false, accuracyWords: '2 dB', source: TYPICAL,
    quantities: [byEye('harmonicDbc', { absolute: 2 }), byEye('adjacentDbc', { absolute: 2 }), byEye('imd3Db', { absolute: 2 }), byEye('carrierLeakDb', { absolute: 2 })] },
  { id: 'eye-power-200', name: 'In-line power meter, 200 W scale', what: 'power and PEP by eye', meterKind: 'leaky-peak', talks: false, accuracyWords: '5 % of full scale', source: TYPICAL,
    quantities: [byEye('powerW', { ofFullScale: 0.05, fullScale: 200 }), byEye('pepW', { ofFullScale: 0.1, fullScale: 200 })] },
  { id: 'eye-swr', name: 'Directional meter', what: 'SWR by eye', talks: false, accuracyWords: '10 %', source: TYPICAL,
    quantities: [byEye('swr', { ofReading: 0.1 })] },
  { id: 'eye-panel', name: 'The set itself', what: 'panel meters, S-meter, lock lamp, menu by eye', meterKind: 'panel', talks: false, accuracyWords: 'half a tick (0.1 W, 10 mA); half an S-unit; 0.2 s', source: TYPICAL,
    quantities: [byEye('panelPowerW', { absolute: 0.1 }), byEye('sMeter', { absolute: 0.5 }), byEye('lockS', { absolute: 0.2 }), { ...byEye('stageIdleA', { absolute: 0.01 }), tick: 0.02 }, { ...byEye('plateA', { absolute: 0.01 }), tick: 0.02 }, byEye('menuCode', { absolute: 0 })] },
  { id: 'eye-clock', name: 'Wall clock', what: 'minutes since power-on', talks: false, accuracyWords: '1 min', source: TYPICAL,
    quantities: [byEye('onTimeS', { absolute: 60 })] },
]

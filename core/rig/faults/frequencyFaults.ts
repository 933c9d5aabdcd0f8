import { trimmerFor } from '../../circuit'

import { truthOf } from '../assembly/truth'
import type { RigState } from '../rigState'
import { coilPositionFor, vcoTurnsFor } from './coilPosition'
import { left, worse, type RigFault } from './fault'

const PPM = 1e-6
const REFERENCE_HZ = 10_240_000
/** A transmit crystal whose trimmer has left only this much upwards [ppm]. */
const SHORT_REACH_F = 5.884e-12
/** Control voltage just under the rail of 8 V. */
const EDGE_V = 7.88
const referenceRight = (s: RigState) => Math.abs(truthOf(s).values.referenceHz! / REFERENCE_HZ - 1) < 3 * PPM
const carrierOff = (s: RigState, mode: RigState['controls']['mode']) => {
  const t = truthOf({ ...s, controls: { ...s.controls, powerOn: true, mode } })
  return t.clarifierNull - 0.5
}
/** The clarifier covers 2 kHz: this share is 60 Hz. */
const NEAR = 0.03

export const FREQUENCY_FAULTS: readonly RigFault[] = [
  {
    id: 'X01',
    designIds: ['osmund-27f'],
    difficulty: 3,
    name: 'reference 40 ppm low, the transmit trimmer set to mask it',
    causeIds: ['reference-hidden'],
    shows: 'reference pin, receiver off centre',
    apply: s => {
      const low = left(s, 'CT1', trimmerFor(s.parts.reference, REFERENCE_HZ * (1 - 40 * PPM)))
      return left(low, 'CT2', trimmerFor(s.parts.txCrystal!, 13_045_625 + 34))
    },
    cured: referenceRight,
  },
  {
    id: 'X02',
    designIds: ['osmund-27f'],
    difficulty: 2,
    name: 'transmit crystal aged 35 ppm low: its trimmer no longer reaches',
    causeIds: ['crystal-out-of-reach', 'tx-trimmer-off'],
    shows: 'trimmer stops, all channels low alike',
    apply: s =>
      left(
        worse(s, 'txCrystal', {
          ageingPpm: -35,
          trimmerF: { min: SHORT_REACH_F, max: s.parts.txCrystal!.trimmerF.max },
        }),
        'CT2',
        0,
      ),
    cured: s => s.parts.txCrystal!.ageingPpm > -20,
  },
  {
    id: 'X03',
    designIds: ['osmund-40a'],
    difficulty: 1,
    name: 'no trimmer fitted, the fixed capacitor leaves it 11 ppm low',
    causeIds: ['no-trimmer', 'reference-off'],
    shows: 'same ppm on every channel, nothing to adjust',
    apply: s => worse(s, 'reference', { ageingPpm: -11, warmUpPpm: 0 }),
    cured: referenceRight,
  },
  {
    id: 'X20',
    designIds: ['osmund-40a'],
    difficulty: 2,
    name: 'VCO coil set until one end of the range is at the rail',
    causeIds: ['vco-off'],
    shows: 'control voltage, slow lock at one end',
    apply: s => left(s, 'L1', vcoTurnsFor(s, 40, EDGE_V)),
    cured: s => truthOf({ ...s, controls: { ...s.controls, channel: 40 } }).values.vcoV! < 7,
  },
  {
    id: 'X22',
    designIds: ['larkfield-lx8'],
    difficulty: 3,
    name: 'brown glue over the VCO has become conductive',
    causeIds: ['glue-leak'],
    shows: 'control voltage and frequency move with the damp',
    apply: s => worse(s, 'loop', { glueF: 0.7e-12, glueWanderHz: 35 }),
    cured: s => s.parts.loop!.glueF === 0,
  },
  {
    id: 'X23',
    designIds: ['larkfield-lx8'],
    difficulty: 2,
    name: 'synthesiser programmed for a sister model: band E is 10 kHz off',
    causeIds: ['sister-model'],
    shows: 'one band off by the same on every channel',
    apply: s => worse(s, 'program', { bandShiftHz: { 4: 10_000 } }),
    cured: s => Object.values(s.parts.program.bandShiftHz).every(hz => hz === 0),
  },
  {
    id: 'X24',
    designIds: ['osmund-27f', 'larkfield-lx8', 'quillon-hb150'],
    difficulty: 1,
    name: 'drifts long after switching on',
    causeIds: ['not-warm'],
    shows: 'frequency falls or rises along an exponential',
    apply: s => worse(s, 'reference', { warmUpPpm: -9, warmUpS: 866 }),
    cured: s => Math.abs(s.parts.reference.warmUpPpm) < 8 || s.memory.warmS > 5 * 866,
  },
  {
    id: 'X26',
    designIds: ['larkfield-lx8'],
    difficulty: 2,
    name: 'LSB offset coil 480 Hz off',
    causeIds: ['mode-offset-off'],
    shows: 'LSB alone off, clarifier off centre only there',
    apply: s => left(s, 'L22', coilPositionFor(s.parts.mixing!.LSB, s.parts.mixing!.LSB.nominalHz + 480)),
    cured: s => Math.abs(carrierOff(s, 'LSB')) < NEAR,
  },
  {
    id: 'X27',
    designIds: ['larkfield-lx8'],
    difficulty: 3,
    name: 'USB carrier oscillator 400 Hz low',
    causeIds: ['mode-offset-off', 'sidebands-uneven'],
    shows: 'carrier oscillator test point, thin or boomy voice',
    apply: s =>
      left(
        s,
        'L15',
        coilPositionFor(s.parts.carrierOscillators!.USB, s.parts.carrierOscillators!.USB.nominalHz - 400),
      ),
    cured: s =>
      Math.abs(carrierOff(s, 'USB')) < NEAR &&
      Math.abs(truthOf({ ...s, controls: { ...s.controls, mode: 'USB' } }).passbandShiftHz) < 60,
  },
  {
    id: 'XP1',
    designIds: ['quillon-p5', 'quillon-p7'],
    difficulty: 1,
    name: 'reference value in the menu wrong',
    causeIds: ['reference-value', 'reference-off'],
    shows: 'every frequency off by the same ppm',
    apply: s => left(s, 'REF', s.positions.REF! + 240),
    cured: s => Math.abs(truthOf(s).values.referenceHz! - 10e6) < 15,
  },
]

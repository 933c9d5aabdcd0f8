import {
  CARRIER_OSCILLATOR_HZ,
  clockGenerator,
  crystalOscillator,
  decay,
  mixingPlan,
  multimodeHz,
  secondIfHz,
  singleReference,
  transmitHz,
  type CrystalOscillator,
} from '../../circuit'
import { channelHz, channelPlan } from '../../rules'
import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'

/** Where every oscillator stands now [Hz]. */
export interface Frequencies {
  readonly channelHz: number
  readonly referenceHz: number
  /** of the carrier, suppressed or not */
  readonly carrierHz: number
  readonly vcoHz: number
  readonly secondIfHz: number
  readonly carrierOscillatorHz: number | null
  readonly passbandShiftHz: number
}

const FIRST_IF_HZ = 10_695_000
const SECOND_IF_HZ = 455_000
/**
 * A set whose synthesiser has to find a channel multiplies by this from the loop: the loop of the clock
 * scheme is in its chip.
 */
const CLOCK_REFERENCE_HZ = 10_000_000
const BANDS_START_HZ = 25_615_000
const BAND_HZ = 450_000

/** @returns frequencies by the mixing scheme of the design */
export function frequenciesOf(design: RigDesign, state: RigState, at: At): Frequencies {
  const nominalHz = channelHz(channelPlan(design.planId), state.controls.channel)
  switch (design.scheme) {
    case 'three-crystal':
      return threeCrystal(design, state, at, nominalHz)
    case 'single-reference':
      return single(design, state, at, nominalHz)
    case 'multimode':
      return multimode(design, state, at, nominalHz)
    case 'clock':
      return clock(design, state, at, nominalHz)
  }
}

/** Frequency of one oscillator with its trimmer or coil where it stands, warm as it is. */
export function oscillatorNow(
  state: RigState,
  part: CrystalOscillator,
  trimmer: number,
  turns: number,
): number {
  return crystalOscillator.respond(
    part,
    { trimmer, turns, ambientC: state.surroundings.ambientC },
    { coldShare: decay(state.memory.warmS, part.warmUpS) },
  )
}

function trimmed(state: RigState, at: At, part: CrystalOscillator, trimmer: string | undefined): number {
  return oscillatorNow(state, part, trimmer ? at(trimmer) : 0.5, 0)
}

function threeCrystal({ wiring }: RigDesign, state: RigState, at: At, nominalHz: number): Frequencies {
  const { parts, controls } = state
  const crystals = {
    referenceHz: trimmed(state, at, parts.reference, wiring.reference),
    txCrystalHz: trimmed(state, at, parts.txCrystal!, wiring.txTrimmer),
    rxCrystalHz: trimmed(state, at, parts.rxCrystal!, wiring.rxTrimmer),
  }
  const carrierHz = transmitHz(crystals, controls.channel)
  return {
    channelHz: nominalHz,
    referenceHz: crystals.referenceHz,
    carrierHz,
    vcoHz: carrierHz - FIRST_IF_HZ,
    secondIfHz: secondIfHz(crystals, controls.channel, nominalHz),
    carrierOscillatorHz: null,
    passbandShiftHz: 0,
  }
}

function single({ wiring }: RigDesign, state: RigState, at: At, nominalHz: number): Frequencies {
  const referenceHz = trimmed(state, at, state.parts.reference, wiring.reference)
  const made = singleReference(referenceHz, nominalHz)
  return {
    channelHz: nominalHz,
    referenceHz,
    carrierHz: made.transmitHz,
    vcoHz: made.transmitHz - FIRST_IF_HZ,
    secondIfHz: made.secondIfHz,
    carrierOscillatorHz: null,
    passbandShiftHz: 0,
  }
}

function multimode({ wiring }: RigDesign, state: RigState, at: At, nominalHz: number): Frequencies {
  const mode = state.controls.mode === 'USB' || state.controls.mode === 'LSB' ? state.controls.mode : 'AM'
  const nominalCarrierHz = CARRIER_OSCILLATOR_HZ[mode]
  const { mixingHz, n } = mixingPlan(nominalHz, nominalCarrierHz)
  const coil = (designator: string | undefined) => (designator ? at(designator) : 0)
  const carrierHz = oscillatorNow(
    state,
    state.parts.carrierOscillators![mode],
    0.5,
    coil(wiring.carrierCoils?.[mode]),
  )
  const crystal = state.parts.mixing![mode]
  const mixingRatio = oscillatorNow(state, crystal, 0.5, coil(wiring.offsetCoils?.[mode])) / crystal.nominalHz
  const referenceHz = trimmed(state, at, state.parts.reference, wiring.reference)
  const made = multimodeHz({ referenceHz, mixingHz: mixingHz * mixingRatio, carrierHz }, n)
  const shiftHz = state.parts.program.bandShiftHz[Math.floor((nominalHz - BANDS_START_HZ) / BAND_HZ)] ?? 0
  return {
    channelHz: nominalHz,
    referenceHz,
    carrierHz: made.transmitHz + shiftHz,
    vcoHz: made.vcoHz + shiftHz,
    secondIfHz: SECOND_IF_HZ - (made.vcoHz - nominalHz + nominalCarrierHz),
    carrierOscillatorHz: carrierHz,
    passbandShiftHz: carrierHz - nominalCarrierHz,
  }
}

function clock(design: RigDesign, state: RigState, at: At, nominalHz: number): Frequencies {
  const { reference } = state.parts
  const driftPpm = reference.warmUpPpm * decay(state.memory.warmS, reference.warmUpS)
  const input = { assumedHz: design.assumedHz?.(at) ?? reference.nominalHz, driftPpm }
  const made = (targetHz: number) =>
    clockGenerator.respond(
      { crystalHz: reference.nominalHz, ageingPpm: reference.ageingPpm },
      { ...input, targetHz },
      null,
    )
  const ifHz = design.parts.ifFilter.centreHz
  return {
    channelHz: nominalHz,
    referenceHz: made(CLOCK_REFERENCE_HZ),
    carrierHz: made(nominalHz),
    vcoHz: made(nominalHz),
    secondIfHz:
      ifHz +
      (design.wiring.ifOffset
        ? at(design.wiring.ifOffset) - design.adjusters[design.wiring.ifOffset]!.start
        : 0),
    carrierOscillatorHz: null,
    passbandShiftHz: 0,
  }
}

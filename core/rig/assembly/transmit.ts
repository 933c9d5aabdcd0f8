import {
  audioChain,
  balancedModulator,
  bipolarBias,
  gateBias,
  levelControl,
  outputStage,
  seriesModulator,
  softLimit,
  type AmplitudeLaw,
} from '../../circuit'
import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'
import type { Emission, Tone } from '../signal/emission'
import { cycleOf, envelopeFigures, type EnvelopeFigures } from '../signal/figures'
import { rowResponse } from './drive'
import type { Frequencies } from './frequencies'

/** What a solid-state transmitter puts out and draws at one supply voltage. */
export interface Transmission {
  readonly emission: Emission
  readonly envelope: EnvelopeFigures
  readonly carrierW: number
  /** idle current of the output stage [A], its gate voltage [V] */
  readonly idleA: number
  readonly gateV: number | null
  /** rail of the output stage [V] */
  readonly railV: number
  readonly finalA: number
  readonly driverA: number
  readonly heatW: { readonly final: number; readonly regulator: number; readonly driver: number }
  /** crest that SSB could reach [W], for the suppression */
  readonly fullPepW: number
}

const NO_ENVELOPE: EnvelopeFigures = { meanW: 0, pepW: 0, highV: 0, lowV: 0, meanV: 0 }
const HUM_HZ = 100
/** A level control of this kind takes away 20 dB at most (common practice). */
const ALC = { rangeDb: 20 }

interface Stage {
  readonly law: AmplitudeLaw
  readonly outGain: number
  readonly drive: number
  readonly idleA: number
  readonly gateV: number | null
  readonly supplyV: number
}

/** @param junctionC of the output device; hot ones give less */
export function transmit(
  design: RigDesign,
  state: RigState,
  at: At,
  f: Frequencies,
  locked: boolean,
  supplyV: number,
  junctionC: number,
): Transmission {
  const bias = biasOf(design, state, at)
  const { keyed, mode, driveOff } = state.controls
  const silent = {
    emission: { kind: 'none' } as const,
    envelope: NO_ENVELOPE,
    carrierW: 0,
    ...bias,
    railV: 0,
    finalA: 0,
    driverA: 0,
    heatW: { final: 0, regulator: 0, driver: 0 },
    fullPepW: 0,
  }
  if (!keyed || supplyV < 1) return { ...silent, gateV: keyed ? bias.gateV : null, idleA: 0 }
  const law = outputStage.respond(state.parts.final, { supplyV, idleA: bias.idleA, junctionC }, null)
  const drive =
    Math.sqrt(rowResponse(state, design.wiring.driveCoils, f.carrierHz)) * state.parts.driver.gainRatio
  const stage: Stage = {
    law,
    outGain: Math.sqrt(rowResponse(state, design.wiring.outputCoils, f.carrierHz)),
    drive,
    ...bias,
    supplyV,
  }
  const driverA = (state.parts.driver.currentA * supplyV) / design.nominalSupplyV
  const driverW = driverA * supplyV
  if (!locked || driveOff)
    return {
      ...silent,
      finalA: bias.idleA,
      driverA,
      heatW: { final: bias.idleA * supplyV, regulator: 0, driver: driverW },
    }
  const made =
    mode === 'USB' || mode === 'LSB'
      ? sideband(design, state, at, f, stage)
      : carrier(design, state, at, f, stage)
  return { ...made, ...bias, driverA, heatW: { ...made.heatW, driver: driverW } }
}

/** Idle current and gate voltage as the bias presets stand. */
function biasOf(design: RigDesign, state: RigState, at: At): { idleA: number; gateV: number | null } {
  const { bipolarBias: bipolar, gateBias: gate } = state.parts
  const designators = design.wiring.biasByMode?.[state.controls.mode] ?? design.wiring.bias ?? []
  const span = design.adjusters[designators[0] ?? '']?.max ?? 1
  const position =
    designators.length > 0
      ? designators.reduce((sum, d) => sum + at(d), 0) / designators.length
      : (design.wiring.fixedBias ?? 0)
  if (gate) return gateBias.respond(gate, { position: position / span }, null)
  return { idleA: bipolar ? bipolarBias.respond(bipolar, { position }, null) : 0, gateV: null }
}

/**
 * Tones as they reach the modulator, from the socket or through the microphone, with the hum of dried-out
 * capacitors.
 */
function modulationTones(state: RigState, limitRatio: number): Tone[] {
  const { stimulus, parts, controls } = state
  const throughItsOwn = stimulus.whistle && !stimulus.otherMicrophone
  const share = throughItsOwn ? parts.microphone.sensitivityRatio : 1
  const total = stimulus.tones.reduce((sum, { v }) => sum + v, 0)
  const tones = stimulus.tones.map(({ hz, v }) => ({
    hz,
    level:
      total > 0
        ? (audioChain.respond(
            parts.audio,
            { toneV: total * share * controls.micGain, toneHz: hz, limitRatio },
            null,
          ) *
            v) /
          total
        : 0,
  }))
  return parts.audio.humRatio > 0
    ? [...tones, { hz: HUM_HZ, level: parts.audio.humRatio * limitRatio }]
    : tones
}

type TransmitResult = Omit<Transmission, 'idleA' | 'gateV' | 'driverA' | 'heatW'> & {
  readonly heatW: { readonly final: number; readonly regulator: number }
}

/** AM, FM, CW: a carrier, with or without a regulator between supply and output stage. */
function carrier(design: RigDesign, state: RigState, at: At, f: Frequencies, stage: Stage): TransmitResult {
  const { parts, controls } = state
  const { law, outGain, supplyV } = stage
  const share = softLimit(design.drive.carrier * stage.drive - law.threshold, law.sharpness)
  const wanted = design.laws.carrierRatio(at, controls)
  const regulator = design.regulated ? parts.regulator : null
  const fullRailV = design.nominalSupplyV - (parts.regulator?.dropV ?? 0)
  const rail = regulator
    ? seriesModulator.respond(regulator, { supplyV, wantedV: wanted * fullRailV }, null)
    : null
  const railRatio = rail ? rail.railV / supplyV : wanted
  const offsetHz = f.carrierHz - f.channelHz
  const carrierV = law.saturationV * share * railRatio * outGain
  // A carrier of 1e-200 V has no power that a number can hold.
  const carrierW = carrierV ** 2
  const emission = modulated(
    design,
    state,
    at,
    { offsetHz, carrierV, crestV: law.saturationV * share * outGain * (rail ? rail.crestV / supplyV : 1) },
    rail !== null && parts.regulator!.shorted,
  )
  const envelope = envelopeFigures(cycleOf(emission))
  const swing = carrierV > 0 ? envelope.meanV / carrierV : 1
  const loading = Math.max(0.3, outGain)
  const fullA =
    ((parts.final.saturatedW / (parts.final.efficiency * design.nominalSupplyV)) * supplyV) /
    design.nominalSupplyV
  const finalA = parts.final.dead
    ? 0
    : stage.idleA * 0.1 + fullA * Math.max(share, 0.25) * railRatio * loading * swing
  const inputW = rail
    ? Math.max(
        envelope.meanW,
        Math.min(
          finalA * supplyV,
          finalA * rail.railV * (carrierW > 0 ? envelope.meanW / carrierW / swing : 1),
        ),
      )
    : finalA * supplyV
  return {
    emission,
    envelope,
    carrierW,
    railV: rail ? rail.railV : supplyV,
    finalA,
    heatW: { final: inputW - envelope.meanW, regulator: finalA * supplyV - inputW },
    fullPepW: (law.saturationV * outGain) ** 2,
  }
}

function modulated(
  design: RigDesign,
  state: RigState,
  at: At,
  c: { offsetHz: number; carrierV: number; crestV: number },
  shorted: boolean,
): Emission {
  const { mode } = state.controls
  if (!(c.carrierV > 0)) return { kind: 'none' }
  if (mode === 'FM' && state.parts.fm) {
    const fullHz = state.parts.fm.fullHz * design.laws.deviationShare(at, state.controls)
    const tones = modulationTones(state, 1).map(t => ({ hz: t.hz, level: t.level * fullHz }))
    return {
      kind: 'fm',
      offsetHz: c.offsetHz,
      carrierV: c.carrierV,
      tones: [...tones, { hz: HUM_HZ, level: state.parts.fm.residualHz }],
    }
  }
  const tones =
    mode === 'AM' && !shorted ? modulationTones(state, design.laws.depthLimit(at, state.controls)) : []
  return {
    kind: 'am',
    offsetHz: c.offsetHz,
    carrierV: c.carrierV,
    crestV: Math.max(c.crestV, c.carrierV),
    tones,
  }
}

/** SSB: the output stage straight from the supply, its crest held by the level control. */
function sideband(design: RigDesign, state: RigState, at: At, f: Frequencies, stage: Stage): TransmitResult {
  const { law, outGain, supplyV } = stage
  const limitV = Math.sqrt(design.laws.ssbLimitW(at, state.controls)) / Math.max(outGain, 1e-3)
  const offered = design.drive.ssb * stage.drive
  const driveAtLimit = driveFor(law, limitV)
  const full = levelControl.respond(ALC, { driveOffered: offered, driveAtLimit }, null)
  const asked = modulationTones(state, 1)
  const peak = asked.reduce((sum, t) => sum + t.level, 0)
  const scale =
    peak > 0 ? levelControl.respond(ALC, { driveOffered: offered * peak, driveAtLimit }, null) / peak : 0
  const leak = state.parts.balanced
    ? balancedModulator.respond(
        state.parts.balanced,
        { position: design.wiring.balance ? at(design.wiring.balance) : state.parts.balanced.nullAt },
        null,
      ) * full
    : 0
  const saturationV = law.saturationV * outGain
  const emission: Emission =
    saturationV > 0
      ? {
          kind: 'ssb',
          offsetHz: f.carrierHz - f.channelHz,
          side: state.controls.mode === 'USB' ? 1 : -1,
          tones: asked.map(t => ({ hz: t.hz, level: t.level * scale })),
          leak,
          saturationV,
          threshold: law.threshold,
          sharpness: law.sharpness,
        }
      : { kind: 'none' }
  const envelope = envelopeFigures(cycleOf(emission))
  const fullA =
    ((state.parts.final.saturatedW / (state.parts.final.efficiency * design.nominalSupplyV)) * supplyV) /
    design.nominalSupplyV
  const finalA = state.parts.final.dead
    ? 0
    : stage.idleA + fullA * (saturationV > 0 ? envelope.meanV / saturationV : 0) * Math.max(0.3, outGain)
  const fullPepW = (saturationV * softLimit(full - law.threshold, law.sharpness)) ** 2
  return {
    emission,
    envelope,
    carrierW: envelope.pepW,
    railV: supplyV,
    finalA,
    heatW: { final: Math.max(0, finalA * supplyV - envelope.meanW), regulator: 0 },
    fullPepW,
  }
}

/** Drive at which the output stage gives an amplitude; Infinity when it never does. Inverse of its law. */
function driveFor(law: AmplitudeLaw, amplitudeV: number): number {
  const x = law.saturationV > 0 ? amplitudeV / law.saturationV : Infinity
  return x < 1 ? law.threshold + x / (1 - x ** (2 * law.sharpness)) ** (1 / (2 * law.sharpness)) : Infinity
}

import { CoreError } from '../../errors'
import { channelHz } from '../../rules'
import { oscillatorHz, warmUpPpm } from '../../circuit/crystal'
import { deterministicNoise } from '../../circuit/deterministicNoise'
import { secondIfHz, transmitHz, type ThreeCrystals } from '../../circuit/mixingScheme'
import { atSupply, saturatedPowerW } from '../../circuit/saturatingStage'
import { stageResponse, type TunedStage } from '../../circuit/tunedStage'
import type { RigChange, RigState, RigTruth } from '../rigState'
import * as part from './parts'

/** As found: the reference is 40 ppm low, coils are mis-set towards the high end, presets are wrong. */
const AS_FOUND_ADJUSTERS: Readonly<Record<string, number>> = {
  CT1: 0.8912, CT2: 0.412, CT3: 0.4179,
  L1: 0.1, L2: -0.15, L3: 0.2, L4: -1.6, L5: 0.1, L6: -1.7, L7: 0,
  RV1: 0.78, RV2: 0.72, RV3: 0.3,
}

/** A freshly delivered simulated set at time nowS, cold. @param seed varies its noise */
export function osmund27fAsFound(seed: number, nowS: number): RigState {
  return {
    seed, adjusters: AS_FOUND_ADJUSTERS, channel: 20, keyed: false, lowPower: false, toneOn: false, toneLevelV: 0.04,
    supplyV: part.NOMINAL_SUPPLY_V, switchedOnAtS: nowS, channelChangedAtS: nowS, lockS: 0.2,
  }
}

/**
 * The set after someone touched it. Pure: the old state stays as it was.
 * @throws {CoreError} unknown-channel, unknown-adjuster, out-of-range (a non-finite position, a supply outside 0..20 V)
 */
export function changeOsmund27f(state: RigState, change: RigChange, nowS: number): RigState {
  const { adjusters = {}, channel = state.channel, warmByS = 0, ...rest } = change
  channelHz('uk27', channel)
  for (const [designator, position] of Object.entries(adjusters)) {
    if (!(designator in state.adjusters)) throw new CoreError('unknown-adjuster', `no adjuster "${designator}"`)
    if (!Number.isFinite(position)) throw new CoreError('out-of-range', `${designator} at ${position}`)
  }
  if (rest.supplyV !== undefined && !(rest.supplyV >= 0 && rest.supplyV <= 20)) throw new CoreError('out-of-range', `supply ${rest.supplyV} V`)
  const stepped = channel !== state.channel
  return {
    ...state, ...rest, channel,
    adjusters: { ...state.adjusters, ...adjusters },
    switchedOnAtS: state.switchedOnAtS - Math.max(0, warmByS),
    channelChangedAtS: stepped ? nowS : state.channelChangedAtS,
    lockS: stepped ? lockTimeS(state.channel, channel) : state.lockS,
  }
}

/** The loop slews in proportion to the jump. Source: a model of the usual order of size, 0.1 to 0.25 s. */
function lockTimeS(from: number, to: number): number {
  return 0.1 + 0.15 * Math.abs(to - from) / 39
}

/** What the set does at nowS. Deterministic for its seed and the time. */
export function measureOsmund27f(state: RigState, nowS: number): RigTruth {
  const onTimeS = Math.max(0, nowS - state.switchedOnAtS)
  const crystals = crystalsAt(state, onTimeS)
  const locked = nowS - state.channelChangedAtS >= state.lockS
  const frequencyHz = transmitHz(crystals, state.channel)
  const onAir = state.keyed && locked
  const noise = (stream: number) => deterministicNoise(state.seed, stream, nowS)
  const powerW = onAir ? outputW(state, frequencyHz) * (1 + 0.001 * noise(1)) : 0
  const deviationHz = onAir ? limitedDeviationHz(state) : null
  return {
    carrierHz: onAir ? frequencyHz + 0.3 * noise(2) : null,
    referenceHz: crystals.referenceHz + 0.1 * noise(3),
    powerW, pepW: powerW,
    deviationPositiveHz: deviationHz === null ? null : deviationHz * (1 + part.DEVIATION_ASYMMETRY) + 2 * noise(4),
    deviationNegativeHz: deviationHz === null ? null : deviationHz * (1 - part.DEVIATION_ASYMMETRY) + 2 * noise(5),
    supplyV: state.supplyV,
    supplyA: part.IDLE_A + (state.keyed ? part.EXCITER_A : 0) + (state.supplyV > 0 ? powerW / (state.supplyV * part.FINAL_EFFICIENCY) : 0),
    panelPowerW: powerW * (0.5 + position(state, 'RV3')),
    sensitivityV: sensitivityV(crystals, state.channel),
    locked, lockS: state.lockS, onTimeS,
  }
}

function position(state: RigState, designator: string): number {
  return state.adjusters[designator]!
}

function crystalsAt(state: RigState, onTimeS: number): ThreeCrystals {
  const { referencePpm, crystalPpm, timeConstantS } = part.WARM_UP
  const crystalDriftPpm = warmUpPpm(crystalPpm, timeConstantS, onTimeS)
  return {
    referenceHz: oscillatorHz(part.REFERENCE, position(state, 'CT1'), warmUpPpm(referencePpm, timeConstantS, onTimeS)),
    txCrystalHz: oscillatorHz(part.TX_CRYSTAL, position(state, 'CT2'), crystalDriftPpm),
    rxCrystalHz: oscillatorHz(part.RX_CRYSTAL, position(state, 'CT3'), crystalDriftPpm),
  }
}

function outputW(state: RigState, frequencyHz: number): number {
  const through = (stages: Readonly<Record<string, TunedStage>>) => Object.entries(stages)
    .reduce((ratio, [designator, stage]) => ratio * stageResponse(stage, position(state, designator), frequencyHz), 1)
  const finalW = saturatedPowerW(part.PEAKED_DRIVE_RATIO * through(part.DRIVE_STAGES), part.SATURATED_W)
  const highW = atSupply(finalW, state.supplyV, part.NOMINAL_SUPPLY_V) * through(part.OUTPUT_STAGES)
  const { min, max } = part.LOW_POWER_RATIO
  return state.lowPower ? highW * (min + (max - min) * clamped(position(state, 'RV1'))) : highW
}

function limitedDeviationHz(state: RigState): number {
  const spoken = state.toneOn ? Math.tanh(state.toneLevelV / part.LIMITER_V) : 0
  return Math.hypot(part.MAX_DEVIATION_HZ * clamped(position(state, 'RV2')) * spoken, part.RESIDUAL_FM_HZ)
}

/** Off-centre intermediate frequency costs sensitivity on one side of the filter; the size is illustrative. */
function sensitivityV(crystals: ThreeCrystals, channel: number): number {
  const offHz = secondIfHz(crystals, channel, channelHz('uk27', channel)) - 455_000
  return 0.32e-6 * (1 + (offHz / 1500) ** 2)
}

function clamped(value: number): number {
  return Math.min(1, Math.max(0, value))
}

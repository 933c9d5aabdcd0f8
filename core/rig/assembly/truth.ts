import {
  benchSupply,
  deterministicNoise,
  heatPath,
  lockedLoop,
  lowPass,
  meterMovement,
  slowWander,
} from '../../circuit'
import type { Quantity } from '../../quantity'
import { rigDesign } from '../designs'
import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'
import type { RigTruth } from '../rigTruth'

import { frequenciesOf, type Frequencies } from './frequencies'
import { positionsOf } from './positions'
import { receive } from './receive'
import type { RigSolution } from './rigSolution'
import { testPointsOf } from './testPoints'
import { transmit, type Transmission } from './transmit'
import { modulationValues } from './modulationValues'
import { valveTransmit } from './valveTransmit'

const CLARIFIER_SPAN_HZ = 2000
/** Losses between mains and plate of a valve set, and its other consumers [W]. */
const MAINS = { standbyW: 75, keyedW: 25, rectifierEfficiency: 0.85 }

/**
 * What the set does now. Deterministic for its state: same seed, same time, same truth.
 * @param spectral also neighbours and products, which cost a transform
 */
export function truthOf(state: RigState, spectral = false): RigTruth {
  const w = work(state)
  const { junctionC, sinkC } = heatPath.respond(
    state.parts.heat,
    { heatW: 0, ambientC: state.surroundings.ambientC },
    state.memory.heat,
  )
  const rx = receive(w.design, state, w.at, w.f)
  const dcW = w.plate ? w.plate.plateV * w.plate.plateA : w.supplyV * w.supplyA
  const heatW: Record<string, number> = { ...w.tx.heatW, ...(w.plate ? { tank: w.plate.tankHeatW } : {}) }
  const rest = w.plate ? 0 : w.supplyV * restA(w.design, state, w.supplyV)
  return {
    values: { ...valuesOf(w, rx), ...modulationValues(w, spectral) },
    carrierW: w.tx.carrierW,
    emission: w.tx.emission,
    envelope: w.tx.envelope,
    channelHz: w.f.channelHz,
    locked: w.locked,
    secondIfHz: w.f.secondIfHz,
    passbandShiftHz: w.f.passbandShiftHz,
    clarifierNull: 0.5 + (w.f.carrierHz - w.f.channelHz) / CLARIFIER_SPAN_HZ,
    junctionC,
    sinkC,
    driverC: state.surroundings.ambientC + state.memory.driverRiseK,
    energy: { dcW, rfW: w.tx.envelope.meanW, heatW: { ...heatW, rest } },
    supplyLimiting: w.limiting,
    testPoints: testPointsOf(w, rx),
    dcGain: state.parts.final.dcGain,
  }
}

/** Solves supply, synthesiser and transmitter together. */
export function work(state: RigState): RigSolution {
  const design = rigDesign(state.designId)
  const at = positionsOf(design, state)
  const raw = frequenciesOf(design, state, at)
  const loop = loopOf(design, state, at, raw)
  const f =
    loop.wanderHz > 0
      ? { ...raw, carrierHz: raw.carrierHz + loop.wanderHz * slowWander(state.seed, state.memory.timeS) }
      : raw
  const { junctionC } = heatPath.respond(
    state.parts.heat,
    { heatW: 0, ambientC: state.surroundings.ambientC },
    state.memory.heat,
  )
  const shared = { design, state, at, f, locked: loop.locked, lockS: loop.lockS, controlV: loop.controlV }
  if (state.parts.valves) return { ...shared, ...valveWork(design, state, at, f) }
  // The supply asks for the same voltage again and again: the transmitter is made once for each.
  const made = new Map<number, Transmission>()
  const run = (v: number) => {
    const there = made.get(v) ?? transmit(design, state, at, f, loop.locked, v, junctionC)
    made.set(v, there)
    return there
  }
  const { setV, limitA, foldback, leadOhm } = { setV: state.surroundings.supplyV, ...state.surroundings }
  const supply = benchSupply.respond(
    { setV, limitA, foldback, leadOhm },
    { drawA: v => restA(design, state, v) + drawnBy(run(v)) },
    null,
  )
  return {
    ...shared,
    tx: run(supply.setV),
    plate: null,
    supplyV: supply.setV,
    supplyA: supply.currentA,
    limiting: supply.limiting,
  }
}

function valveWork(
  design: RigDesign,
  state: RigState,
  at: At,
  f: Frequencies,
): Pick<RigSolution, 'tx' | 'plate' | 'supplyV' | 'supplyA' | 'limiting'> {
  const v = valveTransmit(design, state, at, f)
  const on = state.controls.powerOn
  const mainsW = on
    ? MAINS.standbyW +
      (state.controls.keyed ? MAINS.keyedW : 0) +
      (v.plateV * v.plateA) / MAINS.rectifierEfficiency
    : 0
  const tx: Transmission = {
    emission: v.emission,
    envelope: v.envelope,
    carrierW: v.carrierW,
    idleA: v.idleA,
    gateV: null,
    railV: v.plateV,
    finalA: v.plateA,
    driverA: 0,
    heatW: { final: v.plateHeatW, regulator: 0, driver: 0 },
    fullPepW: v.carrierW,
  }
  return {
    tx,
    plate: { plateA: v.plateA, plateV: v.plateV, tankHeatW: v.tankHeatW },
    supplyV: state.surroundings.supplyV,
    supplyA: mainsW / Math.max(1, state.surroundings.supplyV),
    limiting: false,
  }
}

function loopOf(design: RigDesign, state: RigState, at: At, f: Frequencies) {
  if (!state.controls.powerOn) return { controlV: null, locked: false, lockS: 0, wanderHz: 0 }
  const { loop } = state.parts
  if (!loop) return { controlV: null, locked: true, lockS: 0, wanderHz: 0 }
  return lockedLoop.respond(
    loop,
    {
      neededHz: f.vcoHz,
      turns: design.wiring.vcoCoil ? at(design.wiring.vcoCoil) : 0,
      humidity: state.surroundings.humidity,
    },
    state.memory.loop,
  )
}

/** Everything beside driver and output stage, shorts included [A]. */
function restA(design: RigDesign, state: RigState, supplyV: number): number {
  const { supplyInput, final } = state.parts
  const share = supplyV / design.nominalSupplyV
  const running = state.controls.powerOn
    ? supplyInput.receiveA + (state.controls.keyed ? supplyInput.exciterA : 0)
    : 0
  return (
    running * share +
    (supplyInput.diodeShorted ? supplyV / supplyInput.diodeOhm : 0) +
    (state.controls.powerOn && final.shortOhm !== null ? supplyV / final.shortOhm : 0)
  )
}

function drawnBy(tx: Transmission): number {
  return tx.finalA + tx.driverA
}

function valuesOf(w: RigSolution, rx: ReturnType<typeof receive>): Partial<Record<Quantity, number | null>> {
  const { state, tx, design } = w
  const noise = (stream: number) => deterministicNoise(state.seed, stream, state.memory.timeS)
  const { meanW, pepW } = tx.envelope
  const { onS } = state.memory
  const { panel } = state.parts
  const preset = design.wiring.panel ? 0.5 + w.at(design.wiring.panel) : 1
  return {
    powerW: meanW * (1 + 0.001 * noise(1)),
    pepW: pepW * (1 + 0.001 * noise(1)),
    referenceHz: state.controls.powerOn ? w.f.referenceHz + 0.1 * noise(3) : null,
    supplyV: w.supplyV,
    supplyA: w.supplyA,
    onTimeS: onS,
    panelPowerW: panel ? meterMovement.respond(panel, { powerW: meanW, preset }, null) : null,
    vcoV: w.controlV,
    lockS: Number.isFinite(w.lockS) ? w.lockS : null,
    harmonicDbc:
      meanW > 0
        ? lowPass.respond(
            state.parts.filter,
            { carrierHz: w.f.carrierHz, trapTurns: design.wiring.trap ? w.at(design.wiring.trap) : 0 },
            null,
          ) +
          0.2 * noise(7)
        : null,
    stageIdleA: state.controls.keyed ? tx.idleA : null,
    gateV: tx.gateV,
    plateA: w.plate ? w.plate.plateA : null,
    swr: meanW > 0 ? 1 : null,
    sensitivityV: rx.sensitivityV,
    audibleV: rx.audibleV,
    sinadDb: rx.sinadDb,
    sMeter: rx.sMeter,
  }
}

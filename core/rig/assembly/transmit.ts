import { bipolarBias, gateBias, outputStage } from '../../circuit'
import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'
import type { EnvelopeFigures } from '../signal/figures'
import { carrierOutput } from './carrierTransmit'
import { rowResponse } from './drive'
import type { Frequencies } from './frequencies'
import { sidebandOutput } from './sidebandTransmit'
import type { Stage, StageOutput } from './transmitStage'

/** What a solid-state transmitter puts out and draws at one supply voltage. */
export interface Transmission extends Omit<StageOutput, 'heatW'> {
  /** idle current of the output stage [A], its gate voltage [V] */
  readonly idleA: number
  readonly gateV: number | null
  readonly driverA: number
  readonly heatW: { readonly final: number; readonly regulator: number; readonly driver: number }
}

const NO_ENVELOPE: EnvelopeFigures = { meanW: 0, pepW: 0, highV: 0, lowV: 0, meanV: 0 }

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
      ? sidebandOutput(design, state, at, f, stage)
      : carrierOutput(design, state, at, f, stage)
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

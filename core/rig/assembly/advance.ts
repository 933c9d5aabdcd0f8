import { decay, heatPath, highVoltage } from '../../circuit'
import type { RigState } from '../rigState'
import { work } from './truth'

/** Longest step while it transmits: heat and power change together [s]. */
const KEYED_STEP_S = 0.25
/**
 * Device junctions above this die (common practice) [deg C]; valves glow above this dissipation for
 * seconds.
 */
const JUNCTION_DIES_C = 220
const DRIVER_S = 6

/**
 * The set after dtS, nothing touched. Oscillators, heat and high voltage follow exponentials and are exact
 * for any step; while keyed the step is cut, because heat changes the power that makes it.
 * @throws nothing; dtS <= 0 gives the same state
 */
export function advance(state: RigState, dtS: number): RigState {
  let left = dtS
  let now = state
  while (left > 1e-9) {
    const stepS = now.controls.keyed && now.controls.powerOn ? Math.min(left, KEYED_STEP_S) : left
    now = step(now, stepS)
    left -= stepS
  }
  return now
}

function step(state: RigState, dtS: number): RigState {
  const { memory, parts, controls } = state
  const w = work(state)
  const heat = heatPath.pass(
    parts.heat,
    { heatW: w.tx.heatW.final, ambientC: state.surroundings.ambientC },
    memory.heat,
    dtS,
  )
  const on = controls.powerOn
  const transmitting = w.tx.envelope.meanW > 0 || (controls.keyed && on)
  const driverEndK = w.tx.heatW.driver * parts.driver.kelvinPerW
  const hotC = state.surroundings.ambientC + heat.junctionRiseK + heat.sinkRiseK
  const next: RigState = {
    ...state,
    memory: {
      ...memory,
      timeS: memory.timeS + dtS,
      onS: on ? memory.onS + dtS : 0,
      warmS: on ? memory.warmS + dtS : Math.max(0, memory.warmS - dtS),
      heat,
      loop: { ...memory.loop, sinceS: memory.loop.sinceS + dtS },
      driverRiseK: driverEndK + (memory.driverRiseK - driverEndK) * decay(dtS, DRIVER_S),
      highV: parts.highVoltage
        ? highVoltage.pass(parts.highVoltage, { on }, { volts: memory.highV }, dtS).volts
        : 0,
      keyedS: transmitting ? memory.keyedS + dtS : 0,
      keyedTotalS: memory.keyedTotalS + (transmitting ? dtS : 0),
      hottestC: Math.max(memory.hottestC, hotC),
    },
  }
  return hotC > JUNCTION_DIES_C && !parts.final.dead ? dies(next) : next
}

/** An overheated output device is gone for good. */
function dies(state: RigState): RigState {
  const why = 'output device too hot'
  const parts = state.parts.valves
    ? { ...state.parts, valves: { ...state.parts.valves, emission: state.parts.valves.emission * 0.5 } }
    : { ...state.parts, final: { ...state.parts.final, dead: true } }
  return {
    ...state,
    parts: { ...parts, final: { ...parts.final, dead: true } },
    damage: [
      ...state.damage,
      { timeS: state.memory.timeS, what: state.parts.valves ? 'valves' : 'final', why },
    ],
  }
}

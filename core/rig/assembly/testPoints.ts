import type { RigTruth } from '../rigTruth'
import { stageResponse } from './drive'
import type { receive } from './receive'
import type { RigSolution } from './rigSolution'

/** What a probe finds, by the name of the place. */
export function testPointsOf(w: RigSolution, _rx: ReturnType<typeof receive>): RigTruth['testPoints'] {
  const { state, design, f, tx } = w
  const { parts } = state
  const powered = state.controls.powerOn
  const points: Record<string, RigTruth['testPoints'][string]> = {
    'reference pin': { value: powered ? f.referenceHz : null, unit: 'Hz' },
    'PA rail': { value: powered ? tx.railV : 0, unit: 'V' },
    'driver emitter resistor': { value: parts.driver.emitterOhm, unit: 'ohm' },
    'supply input, forward': { value: parts.supplyInput.diodeShorted ? 0 : 55_000, unit: 'ohm' },
    'supply input, reversed': { value: parts.supplyInput.diodeShorted ? 0 : 400, unit: 'ohm' },
    'output device': { value: 0, unit: 'degC' },
  }
  if (w.controlV !== null) points['VCO control'] = { value: w.controlV, unit: 'V' }
  if (f.carrierOscillatorHz !== null)
    points['carrier oscillator'] = { value: powered ? f.carrierOscillatorHz : null, unit: 'Hz' }
  if (parts.gateBias) points['gate'] = { value: tx.gateV, unit: 'V' }
  if (w.plate) points['plate supply'] = { value: w.plate.plateV, unit: 'V' }
  points['output device'] = {
    value: state.surroundings.ambientC + state.memory.heat.junctionRiseK + state.memory.heat.sinkRiseK,
    unit: 'degC',
  }
  for (const [row, coils] of [
    ['drive', design.wiring.driveCoils],
    ['output', design.wiring.outputCoils],
  ] as const) {
    let level = row === 'drive' ? 1 : Math.sqrt(tx.envelope.meanW)
    for (const coil of coils) {
      level *= Math.sqrt(stageResponse(state, coil, coils, f.carrierHz))
      points[`RF behind ${coil}`] = {
        value: state.controls.keyed && w.locked ? level * (row === 'drive' ? parts.driver.gainRatio : 1) : 0,
        unit: 'V rf',
      }
    }
  }
  return points
}

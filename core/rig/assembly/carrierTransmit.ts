import { seriesModulator, softLimit } from '../../circuit'
import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'
import type { Emission } from '../signal/emission'
import { cycleOf, envelopeFigures } from '../signal/figures'
import type { Frequencies } from './frequencies'
import { HUM_HZ, fullCurrentA, modulationTones, type Stage, type StageOutput } from './transmitStage'

/** AM, FM, CW: a carrier, with or without a regulator between supply and output stage. */
export function carrierOutput(
  design: RigDesign,
  state: RigState,
  at: At,
  f: Frequencies,
  stage: Stage,
): StageOutput {
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
  const loading = Math.max(share, 0.25) * railRatio * Math.max(0.3, outGain) * swing
  const drivenA = stage.idleA * 0.1 + fullCurrentA(design, state, supplyV) * loading
  const finalA = parts.final.dead ? 0 : drivenA
  const inputW = rail
    ? railInputW(rail.railV, finalA, supplyV, envelope.meanW, carrierW > 0 ? carrierW * swing : null)
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

/** What the regulator leaves to the output stage: never less than it puts out, never more than is drawn. */
function railInputW(
  railV: number,
  finalA: number,
  supplyV: number,
  meanW: number,
  swungCarrierW: number | null,
): number {
  const inputW = finalA * railV * (swungCarrierW === null ? 1 : meanW / swungCarrierW)
  return Math.max(meanW, Math.min(finalA * supplyV, inputW))
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

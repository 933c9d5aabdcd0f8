import { balancedModulator, levelControl, softLimit, type AmplitudeLaw } from '../../circuit'
import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'
import type { Emission } from '../signal/emission'
import { cycleOf, envelopeFigures } from '../signal/figures'
import type { Frequencies } from './frequencies'
import { fullCurrentA, modulationTones, type Stage, type StageOutput } from './transmitStage'

/** A level control of this kind takes away 20 dB at most (common practice). */
const ALC = { rangeDb: 20 }

/** SSB: the output stage straight from the supply, its crest held by the level control. */
export function sidebandOutput(
  design: RigDesign,
  state: RigState,
  at: At,
  f: Frequencies,
  stage: Stage,
): StageOutput {
  const { law, outGain, supplyV } = stage
  const limitV = Math.sqrt(design.laws.ssbLimitW(at, state.controls)) / Math.max(outGain, 1e-3)
  const offered = design.drive.ssb * stage.drive
  const driveAtLimit = driveFor(law, limitV)
  const full = levelControl.respond(ALC, { driveOffered: offered, driveAtLimit }, null)
  const asked = modulationTones(state, 1)
  const peak = asked.reduce((sum, t) => sum + t.level, 0)
  const scale =
    peak > 0 ? levelControl.respond(ALC, { driveOffered: offered * peak, driveAtLimit }, null) / peak : 0
  const leak = carrierLeak(design, state, at) * full
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
  const finalA = state.parts.final.dead
    ? 0
    : stage.idleA +
      fullCurrentA(design, state, supplyV) *
        (saturationV > 0 ? envelope.meanV / saturationV : 0) *
        Math.max(0.3, outGain)
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

/** Carrier that the balanced modulator lets through [ratio to full drive]. */
function carrierLeak({ wiring }: RigDesign, { parts: { balanced } }: RigState, at: At): number {
  if (!balanced) return 0
  return balancedModulator.respond(
    balanced,
    { position: wiring.balance ? at(wiring.balance) : balanced.nullAt },
    null,
  )
}

/** Drive at which the output stage gives an amplitude; Infinity when it never does. Inverse of its law. */
function driveFor(law: AmplitudeLaw, amplitudeV: number): number {
  const x = law.saturationV > 0 ? amplitudeV / law.saturationV : Infinity
  return x < 1 ? law.threshold + x / (1 - x ** (2 * law.sharpness)) ** (1 / (2 * law.sharpness)) : Infinity
}

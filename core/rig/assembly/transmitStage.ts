import { audioChain, type AmplitudeLaw } from '../../circuit'
import type { RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'
import type { Emission, Tone } from '../signal/emission'
import type { EnvelopeFigures } from '../signal/figures'

export const HUM_HZ = 100

/** Drive and law of the output stage at one supply voltage. */
export interface Stage {
  readonly law: AmplitudeLaw
  readonly outGain: number
  readonly drive: number
  readonly idleA: number
  readonly gateV: number | null
  readonly supplyV: number
}

/** What the output stage makes of it, as a carrier or as a sideband. */
export interface StageOutput {
  readonly emission: Emission
  readonly envelope: EnvelopeFigures
  readonly carrierW: number
  /** rail of the output stage [V] */
  readonly railV: number
  readonly finalA: number
  readonly heatW: { readonly final: number; readonly regulator: number }
  /** crest that SSB could reach [W], for the suppression */
  readonly fullPepW: number
}

/** Current of the output stage at full drive [A]. */
export function fullCurrentA({ nominalSupplyV }: RigDesign, { parts }: RigState, supplyV: number): number {
  const { saturatedW, efficiency } = parts.final
  return ((saturatedW / (efficiency * nominalSupplyV)) * supplyV) / nominalSupplyV
}

/**
 * Tones as they reach the modulator, from the socket or through the microphone, with the hum of dried-out
 * capacitors.
 */
export function modulationTones(state: RigState, limitRatio: number): Tone[] {
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

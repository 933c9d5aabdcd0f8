import { neutralising, piNetwork, valvePair } from '../../circuit'
import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'
import type { Emission } from '../signal/emission'
import { cycleOf, envelopeFigures, type EnvelopeFigures } from '../signal/figures'
import { tankAt } from '../tank'
import type { Frequencies } from './frequencies'
import { preselectorResponse } from './receive'

export interface ValveTransmission {
  readonly emission: Emission
  readonly envelope: EnvelopeFigures
  readonly carrierW: number
  readonly plateA: number
  readonly idleA: number
  readonly plateV: number
  readonly plateHeatW: number
  readonly tankHeatW: number
}

const NONE: EnvelopeFigures = { meanW: 0, pepW: 0, highV: 0, lowV: 0, meanV: 0 }
/** Heaters are warm after a minute or two [s]. */
const HEATER_S = 45
/** Tone at the microphone that fills the modulation [V]. */
const FULL_AUDIO_V = 0.02
/** On AM the screen modulator of this kind of set reaches about full depth. */
const AM_DEPTH = 0.95

/** Unkeyed. */
const SILENT = {
  emission: { kind: 'none' },
  envelope: NONE,
  carrierW: 0,
  plateA: 0,
  plateHeatW: 0,
  tankHeatW: 0,
} as const

/**
 * Output of a valve transmitter with its tank where it stands. Crests of AM and SSB by the same tank at full
 * drive.
 */
export function valveTransmit(design: RigDesign, state: RigState, at: At, f: Frequencies): ValveTransmission {
  const { parts, controls, memory } = state
  const valves = parts.valves!
  const plateV = memory.highV
  const tank = tankAt(design, state, at, f.channelHz)
  const pi = piNetwork.respond(tank.network, tank.input, null)
  const gain =
    Math.sqrt(preselectorResponse(design, at('PRESELECTOR'), controls.channel)) *
    neutralising.respond(parts.neutralising!, { position: at(design.wiring.neutralising!) }, null) *
    parts.driver.gainRatio
  const warmth = 1 - Math.exp(-memory.warmS / HEATER_S)
  const run = (drive: number) =>
    valvePair.respond(
      valves,
      {
        plateV,
        bias: at('VR3'),
        drive: Math.min(1, drive * gain),
        loadResistanceOhm: pi.resistanceOhm,
        loadReactanceOhm: pi.reactanceOhm,
        warmth,
      },
      null,
    )
  const audio = audioShare(state)
  const sideband = controls.mode === 'USB' || controls.mode === 'LSB'
  const isDriven = controls.keyed && !controls.driveOff
  const source = sideband ? audio : at('CARRIER')
  const drive = isDriven ? source : 0
  const now = run(drive)
  if (!controls.keyed || !controls.powerOn) return { ...SILENT, idleA: now.idleA, plateV }
  const carrierW = now.tankW * pi.efficiency
  const emission = emissionOf(state, f, carrierW, run(1).tankW * pi.efficiency, audio)
  const envelope = envelopeFigures(cycleOf(emission))
  // Over a modulated second the plates take what the mean output asks for in proportion; the rest is heat.
  const plateA = carrierW > 0 ? now.plateA * Math.max(1, envelope.meanW / carrierW) ** 0.5 : now.plateA
  return {
    emission,
    envelope,
    carrierW,
    plateA,
    idleA: now.idleA,
    plateV,
    plateHeatW: Math.max(0, plateV * plateA - envelope.meanW / Math.max(0.05, pi.efficiency)),
    tankHeatW: envelope.meanW * (1 / Math.max(0.05, pi.efficiency) - 1),
  }
}

/** Audio at the modulator, of what drives it fully [ratio up to 1]. */
function audioShare({ parts, controls, stimulus }: RigState): number {
  const throughItsOwn = stimulus.whistle && !stimulus.otherMicrophone
  const share = throughItsOwn ? parts.microphone.sensitivityRatio : 1
  const toneV = stimulus.tones.reduce((sum, tone) => sum + tone.v, 0)
  return Math.min(1, (toneV * controls.micGain * share) / FULL_AUDIO_V)
}

function emissionOf(
  { controls, stimulus }: RigState,
  f: Frequencies,
  carrierW: number,
  crestW: number,
  audio: number,
): Emission {
  const offsetHz = f.carrierHz - f.channelHz
  const carrierV = Math.sqrt(carrierW)
  if (!(carrierV > 0)) return { kind: 'none' }
  if (controls.mode === 'AM')
    return {
      kind: 'am',
      offsetHz,
      carrierV,
      crestV: Math.max(carrierV, Math.sqrt(crestW)),
      tones: stimulus.tones.slice(0, 1).map(t => ({ hz: t.hz, level: AM_DEPTH * audio })),
    }
  if (controls.mode === 'CW' || stimulus.tones.length === 0)
    return { kind: 'am', offsetHz, carrierV, crestV: carrierV, tones: [] }
  const total = stimulus.tones.reduce((s, t) => s + t.v, 0)
  const saturationV = Math.sqrt(Math.max(crestW, carrierW)) * 1.1
  const full = carrierV / saturationV
  return {
    kind: 'ssb',
    offsetHz,
    side: controls.mode === 'USB' ? 1 : -1,
    tones: stimulus.tones.map(t => ({
      hz: t.hz,
      level: ((full / (1 - full ** 6) ** (1 / 6)) * t.v) / total,
    })),
    leak: 0,
    saturationV,
    threshold: 0,
    sharpness: 3,
  }
}

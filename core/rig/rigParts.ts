import type {
  AudioChain,
  BalancedModulator,
  BipolarBias,
  CoupledPair,
  CrystalOscillator,
  FrontEnd,
  GateBias,
  HeatPath,
  HighVoltage,
  IfFilter,
  LockedLoop,
  LowPass,
  MeterMovement,
  Neutralising,
  OutputStage,
  PiNetwork,
  SeriesModulator,
  SMeter,
  TunedStage,
  ValvePair,
} from '../circuit'

/** Two stages that share their field: peaking one pulls the other. */
export interface Pair extends CoupledPair {
  readonly primary: string
  readonly secondary: string
}

export interface Driver {
  /** of its healthy gain [ratio] */
  readonly gainRatio: number
  /** keyed [A] */
  readonly currentA: number
  /** its emitter resistor [ohm]; stressed ones read high */
  readonly emitterOhm: number
  readonly kelvinPerW: number
}

/**
 * Everything in a simulated set that can be wrong, as data. A fault changes values in here and nothing else;
 * replacing a part puts the healthy values of its group back. Quantities of a set that lacks the group are
 * null.
 */
export interface RigParts {
  readonly reference: CrystalOscillator
  readonly txCrystal: CrystalOscillator | null
  readonly rxCrystal: CrystalOscillator | null
  readonly carrierOscillators: Readonly<Record<'AM' | 'USB' | 'LSB', CrystalOscillator>> | null
  /** mixing crystal per mode, its offset coil in series */
  readonly mixing: Readonly<Record<'AM' | 'USB' | 'LSB', CrystalOscillator>> | null
  readonly loop: LockedLoop | null
  /** program of the synthesiser: shift of a band, by its index from 0 [Hz] */
  readonly program: { readonly bandShiftHz: Readonly<Record<number, number>> }
  readonly stages: Readonly<Record<string, TunedStage>>
  readonly pairs: readonly Pair[]
  readonly driver: Driver
  readonly final: OutputStage
  readonly bipolarBias: BipolarBias | null
  readonly gateBias: GateBias | null
  readonly heat: HeatPath
  readonly regulator: SeriesModulator | null
  readonly audio: AudioChain
  /** of its healthy voltage for the same voice [ratio] */
  readonly microphone: { readonly sensitivityRatio: number }
  /** deviation with its preset at the end and the limiter full [Hz], residual FM by hum [Hz] */
  readonly fm: { readonly fullHz: number; readonly residualHz: number } | null
  readonly balanced: BalancedModulator | null
  readonly tracks: Readonly<Record<string, { readonly dirty: boolean }>>
  readonly filter: LowPass
  readonly panel: MeterMovement | null
  readonly frontEnd: FrontEnd
  readonly ifFilter: IfFilter
  readonly sMeter: SMeter | null
  /** receiving, and all but driver and final when keyed [A]; protection diode across the supply */
  readonly supplyInput: {
    readonly receiveA: number
    readonly exciterA: number
    readonly diodeShorted: boolean
    readonly diodeOhm: number
  }
  readonly valves: ValvePair | null
  readonly tank: PiNetwork | null
  readonly neutralising: Neutralising | null
  readonly highVoltage: HighVoltage | null
}

/** A group of parts that is replaced or mended as one. */
export type PartGroup = keyof RigParts

/** Positions and controls of a simulated set. Adjusters: trimmers and presets 0..1, cores in turns inwards. */
export interface RigState {
  readonly seed: number
  readonly adjusters: Readonly<Record<string, number>>
  readonly channel: number
  readonly keyed: boolean
  readonly lowPower: boolean
  readonly toneOn: boolean
  /** tone level at the microphone socket [V rms] */
  readonly toneLevelV: number
  readonly supplyV: number
  readonly switchedOnAtS: number
  readonly channelChangedAtS: number
  /** time the loop needs after the last change of channel [s] */
  readonly lockS: number
}

/** What the simulated set really does at one moment; instruments add their own errors. */
export interface RigTruth {
  /** null = no carrier */
  readonly carrierHz: number | null
  readonly referenceHz: number
  readonly powerW: number
  readonly pepW: number
  readonly deviationPositiveHz: number | null
  readonly deviationNegativeHz: number | null
  readonly supplyV: number
  readonly supplyA: number
  readonly panelPowerW: number
  /** level for 12 dB SINAD, pd into 50 ohm [V] */
  readonly sensitivityV: number
  readonly locked: boolean
  readonly lockS: number
  readonly onTimeS: number
}

export interface RigChange {
  readonly adjusters?: Readonly<Record<string, number>>
  readonly channel?: number
  readonly keyed?: boolean
  readonly lowPower?: boolean
  readonly toneOn?: boolean
  readonly toneLevelV?: number
  readonly supplyV?: number
  /** let this much warm-up time pass at once [s] */
  readonly warmByS?: number
}

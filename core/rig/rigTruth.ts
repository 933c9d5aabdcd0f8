import type { Quantity } from '../quantity'
import type { Emission } from './signal/emission'
import type { EnvelopeFigures } from './signal/figures'

/** What the simulated set really does at one moment; instruments add their own errors. */
export interface RigTruth {
  /** by the names of readings; null = there is nothing of the kind now */
  readonly values: Readonly<Partial<Record<Quantity, number | null>>>
  /** bare carrier, or full output on SSB [W] */
  readonly carrierW: number
  readonly emission: Emission
  readonly envelope: EnvelopeFigures
  readonly channelHz: number
  readonly locked: boolean
  readonly secondIfHz: number
  /** audio of a sideband is shifted by this [Hz] */
  readonly passbandShiftHz: number
  /** clarifier position that nulls the error, may lie beyond its ends */
  readonly clarifierNull: number
  readonly junctionC: number
  readonly sinkC: number
  readonly driverC: number
  /** DC in, and where it goes [W] */
  readonly energy: {
    readonly dcW: number
    readonly rfW: number
    readonly heatW: Readonly<Record<string, number>>
  }
  readonly supplyLimiting: boolean
  /** by name, with unit: what a probe finds there */
  readonly testPoints: Readonly<
    Record<
      string,
      { readonly value: number | null; readonly unit: 'V' | 'Hz' | 'ohm' | 'A' | 'degC' | 'V rf' }
    >
  >
  /** DC gain of the output device on a component tester, out of circuit */
  readonly dcGain: number
}

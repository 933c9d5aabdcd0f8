import type { Message } from '../message'
import type {
  AmFigures,
  AudioFigures,
  CarrierFigures,
  FmFigures,
  Health,
  Note,
  SpectrumFigures,
  SsbFigures,
  UncertaintyOf,
} from './result'
import type { LimitsOf } from './limits'
import type { SignalMode } from './classify'

/** Every figure of a recording. Groups that do not apply are null, and a note says why. */
export interface Measurement {
  readonly file: string
  readonly format: string
  readonly sampleRateHz: number
  readonly durationS: number
  readonly centreHz: number | null
  readonly mode: SignalMode | 'audio' | null
  readonly signalPresent: boolean
  /** standard uncertainties under the same names, in the same units */
  readonly uncertainty: {
    readonly carrier?: UncertaintyOf<CarrierFigures>
    readonly am?: UncertaintyOf<AmFigures>
    readonly fm?: UncertaintyOf<FmFigures>
    readonly ssb?: UncertaintyOf<SsbFigures>
    readonly audio?: UncertaintyOf<AudioFigures>
    readonly spectrum?: UncertaintyOf<SpectrumFigures>
    readonly health?: UncertaintyOf<Health>
  }
  /**
   * what most of the uncertainty of the main figures comes from; recordings that were kept before it was told
   * have none
   */
  readonly limitedBy?: {
    readonly carrier?: LimitsOf<CarrierFigures>
    readonly am?: LimitsOf<AmFigures>
    readonly fm?: LimitsOf<FmFigures>
    readonly ssb?: LimitsOf<SsbFigures>
    readonly audio?: LimitsOf<AudioFigures>
  }
  readonly health: Health
  readonly notes: readonly Note[]
  readonly carrier: CarrierFigures | null
  readonly am: AmFigures | null
  readonly fm: FmFigures | null
  readonly ssb: SsbFigures | null
  readonly audio: AudioFigures | null
  readonly spectrum: SpectrumFigures | null
}

/** What the pictures are drawn from, thinned to what a screen can show. */
export interface SignalPictures {
  /** mean power per bin against offset from the own channel [Hz, dB below the carrier] */
  readonly spectrum: {
    readonly offsetHz: Float64Array
    readonly dbc: Float64Array
    readonly floorDbc: number
  } | null
  /** power in every channel of the raster that the recording holds, against that in the own [Hz, dB] */
  readonly channels: readonly { readonly offsetHz: number; readonly dbc: number }[]
  /** one cycle of the tone: envelope over the carrier, or deviation [Hz], or envelope of two tones */
  readonly cycle: {
    readonly kind: 'envelope' | 'deviation' | 'two-tone'
    readonly toneHz: number
    readonly values: Float64Array
    readonly carrier: number | null
  } | null
  /** how often each value of envelope (over carrier) or deviation [Hz] occurs */
  readonly histogram: {
    readonly kind: 'envelope' | 'deviation'
    readonly from: number
    readonly step: number
    readonly share: Float64Array
  } | null
  /** frequency against time [s, Hz from its mean] */
  readonly drift: { readonly timeS: Float64Array; readonly hz: Float64Array } | null
  /** distortion products of two tones, or harmonics of the demodulated tone */
  readonly products: readonly { readonly name: Message; readonly db: number }[]
}

export interface MeasuredRecording {
  readonly measurement: Measurement
  readonly pictures: SignalPictures
}

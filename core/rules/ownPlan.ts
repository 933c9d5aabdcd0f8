import type { ChannelPlan } from './channelPlan'
import { channelPlan } from './channelPlans'
import type { Mode } from './mode'

/** Channels of a band: equally spaced but for gaps, or one by one. */
export type BandChannels =
  | {
      readonly kind: 'raster'
      readonly firstHz: number
      readonly lastHz: number
      readonly stepHz: number
      /** places of the raster that are no channel */
      readonly leftOutHz: readonly number[]
    }
  | { readonly kind: 'list'; readonly frequenciesHz: readonly number[] }

/** A stretch of a channel plan of one's own: a CB plan, a coverage of an export set, an amateur band. */
export interface PlanBand {
  /** as the set or the band is called; '' = its channels go by their numbers alone */
  readonly name: string
  readonly channels: BandChannels
  /** what is sent must lie within; null = no edges are known [Hz] */
  readonly edgesHz: { readonly low: number; readonly high: number } | null
  /** modes it is used in; empty = every mode of the set */
  readonly modes: readonly Mode[]
  /** received so much above what is sent [Hz]; 0 = on the same frequency */
  readonly receiveOffsetHz: number
  /** its channels are judged by this rule set where that of the job says nothing of them */
  readonly ruleSetId?: string
}

/** Id of the plan of a sheet that has bands of its own. */
export const OWN_PLAN = 'own'
/** More channels than any set has; a raster typed with a wrong step would be longer. */
export const MAX_CHANNELS_OF_A_SET = 400

/** What says which channels a set has: a plan that ships with the application, or bands of its own. */
export interface OfPlan {
  readonly planId: string
  readonly bands?: readonly PlanBand[]
}

/**
 * Centre frequencies of a band [Hz], in the order of its channels; never more than one beyond
 * {@link MAX_CHANNELS_OF_A_SET}.
 */
export function bandChannelsHz({ channels }: PlanBand): number[] {
  if (channels.kind === 'list') return [...channels.frequenciesHz]
  const { firstHz, lastHz, stepHz, leftOutHz } = channels
  if (!(stepHz > 0) || !(lastHz >= firstHz)) return []
  // A step that was typed as 12.5 kHz adds up without a remainder, one of 8.33 does not.
  const count = Math.min(Math.floor((lastHz - firstHz) / stepHz + 1e-6) + 1, MAX_CHANNELS_OF_A_SET + 1)
  return Array.from({ length: count }, (_, i) => Math.round(firstHz + i * stepHz)).filter(
    hz => !leftOutHz.includes(hz),
  )
}

const expanded = new WeakMap<readonly PlanBand[], ChannelPlan>()

/**
 * The channels of a set, numbered through all its bands.
 * @throws {CoreError} unknown-plan
 * @example planOf({ planId: 'forty' }).channelsHz.length // => 40
 */
export function planOf({ planId, bands }: OfPlan): ChannelPlan {
  if (planId !== OWN_PLAN) return channelPlan(planId)
  const own = bands ?? NO_BANDS
  // The same bands are asked for with every reading.
  const plan = expanded.get(own) ?? planOfBands(own)
  expanded.set(own, plan)
  return plan
}

const NO_BANDS: readonly PlanBand[] = []

function planOfBands(bands: readonly PlanBand[]): ChannelPlan {
  const all = bands.flatMap(band => {
    const channelsHz = bandChannelsHz(band)
    return channelsHz.map((hz, i) => ({ band, hz, name: nameIn(band, i, channelsHz.length) }))
  })
  const isNamed = bands.some(b => b.name !== '')
  return {
    id: OWN_PLAN,
    name: 'channels of its own',
    source: 'sheet of the model',
    channelsHz: all.map(c => c.hz),
    ...(isNamed ? { names: all.map((c, i) => c.name || String(i + 1)) } : {}),
    ...(bands.some(b => b.receiveOffsetHz !== 0)
      ? { receiveHz: all.map(c => c.hz + c.band.receiveOffsetHz) }
      : {}),
    modes: all.map(c => c.band.modes),
  }
}

/** A band with one channel is called by its own name, like an amateur band with its test frequency. */
function nameIn({ name }: PlanBand, index: number, count: number): string {
  if (name === '') return ''
  return count === 1 ? name : `${name} ${index + 1}`
}

/** A plan that ships with the application as bands of one's own: the same channels, in order. */
export function bandsLike({ channelsHz, names }: ChannelPlan): PlanBand[] {
  const bands = new Map<string, number[]>()
  channelsHz.forEach((hz, i) => {
    const name = names?.[i]?.replace(/ \d+$/, '') ?? ''
    bands.set(name, [...(bands.get(name) ?? []), hz])
  })
  return [...bands].map(([name, frequenciesHz]) => ({ ...NEW_BAND, name, channels: asRaster(frequenciesHz) }))
}

/** What a band begins with until it is written. */
export const NEW_BAND: PlanBand = {
  name: '',
  channels: { kind: 'list', frequenciesHz: [] },
  edgesHz: null,
  modes: [],
  receiveOffsetHz: 0,
}

/** Where nothing says otherwise: the step of the CB plans [Hz]. */
const USUAL_STEP_HZ = 10_000

/**
 * Frequencies as a raster in rising order: the widest step that meets them all, and what lies between them
 * left out. Where that would be more than a set has channels, the usual step from the first to the last.
 * @param frequenciesHz whole hertz, in any order
 */
export function rasterOver(frequenciesHz: readonly number[]): BandChannels {
  const risingHz = [...new Set(frequenciesHz)].sort((a, b) => a - b)
  const [firstHz, lastHz] = [risingHz[0] ?? 0, risingHz.at(-1) ?? 0]
  const stepHz = risingHz.reduce((step, hz) => commonDivisor(step, hz - firstHz), 0) || USUAL_STEP_HZ
  const raster = { kind: 'raster', firstHz, lastHz, stepHz, leftOutHz: [] } as const
  const allHz = bandChannelsHz({ ...NEW_BAND, channels: raster })
  return allHz.length > MAX_CHANNELS_OF_A_SET
    ? { ...raster, stepHz: USUAL_STEP_HZ }
    : { ...raster, leftOutHz: risingHz.length > 0 ? allHz.filter(hz => !risingHz.includes(hz)) : [] }
}

const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b))

/** One distance throughout is written as a raster; gaps and channels out of order are a list. */
function asRaster(frequenciesHz: readonly number[]): BandChannels {
  const [firstHz, secondHz] = frequenciesHz
  const stepHz = (secondHz ?? 0) - (firstHz ?? 0)
  const isEven = stepHz > 0 && frequenciesHz.every((hz, i) => hz === firstHz! + i * stepHz)
  return isEven
    ? { kind: 'raster', firstHz: firstHz!, lastHz: frequenciesHz.at(-1)!, stepHz, leftOutHz: [] }
    : { kind: 'list', frequenciesHz }
}

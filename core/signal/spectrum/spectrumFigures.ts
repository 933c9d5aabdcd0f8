import { bandPower, holds, type PowerSpectrum } from './powerSpectrum'
import { ratioToDb, type AdjacentFigure, type MaskFigure } from '../result'

/** Share of the mean power outside at each end (ITU Radio Regulations, article 1: 0.5 %, from memory). */
const OUTSIDE_SHARE = 0.005
const MAX_OFFSETS = 5
/** Bandwidths of an adjacent channel: the whole raster, and the inner 8 kHz against the carrier line. */
const INNER_HZ = 8000

/**
 * Bandwidth that holds 99 % of the mean power above the noise.
 * @returns null when the noise alone would fill the edges
 */
export function occupiedBandwidth(
  s: PowerSpectrum,
  floor: number,
  lowHz: number,
  highHz: number,
): { lowHz: number; highHz: number } | null {
  const [from, to] = [
    Math.max(0, Math.floor((lowHz - s.fromHz) / s.binHz)),
    Math.min(s.power.length, Math.ceil((highHz - s.fromHz) / s.binHz)),
  ]
  const clean = Float64Array.from(s.power.subarray(from, to), p =>
    Math.max(0, p - floor * (1 + 3 / Math.sqrt(s.segments))),
  )
  const total = clean.reduce((a, b) => a + b, 0)
  if (!(total > 0)) return null
  const edge = (values: Float64Array) => {
    let sum = 0
    for (let k = 0; k < values.length; k++) {
      if (sum + values[k]! >= OUTSIDE_SHARE * total) return k + (OUTSIDE_SHARE * total - sum) / values[k]!
      sum += values[k]!
    }
    return values.length
  }
  const base = s.fromHz + (from - 0.5) * s.binHz
  return {
    lowHz: base + edge(clean) * s.binHz,
    highHz: base + (clean.length - edge(clean.slice().reverse())) * s.binHz,
  }
}

/**
 * Power in the neighbouring channels, each offset twice: the whole raster against the power in the own
 * channel, and the inner 8 kHz against the carrier. Noise of the receiver is in them.
 * @param ownHz middle of the own channel
 * @param carrierPower power of the carrier line, full scale = 1
 */
export function adjacentFigures(
  s: PowerSpectrum,
  ownHz: number,
  spacingHz: number,
  carrierPower: number,
): Omit<AdjacentFigure, 'bound'>[] {
  const own = bandPower(s, ownHz - spacingHz / 2, ownHz + spacingHz / 2)
  const offsets = Array.from({ length: MAX_OFFSETS }, (_, k) => (k + 1) * spacingHz)
    .flatMap(o => [-o, o])
    .sort((a, b) => Math.abs(a) - Math.abs(b) || a - b)
  return offsets.flatMap(offsetHz =>
    [
      [spacingHz, own],
      [INNER_HZ, carrierPower],
    ].flatMap(([bandwidthHz, reference]) => {
      const [low, high] = [ownHz + offsetHz - bandwidthHz! / 2, ownHz + offsetHz + bandwidthHz! / 2]
      return holds(s, low, high)
        ? [
            {
              offsetHz,
              bandwidthHz: bandwidthHz!,
              dbc: ratioToDb(bandPower(s, low, high) / Math.max(reference!, 1e-30)),
            },
          ]
        : []
    }),
  )
}

/** One part of an emission mask: from and to this far from the channel, this far below the carrier. */
export interface MaskPart {
  readonly fromHz: number
  readonly toHz: number
  readonly belowDb: number
}

/**
 * Bandwidth in which a mask is judged [Hz] (common practice for narrow emissions; the rule set names its
 * own).
 */
export const MASK_RBW_HZ = 300

/** How a mask is judged beside its numbers. */
export interface MaskJudging {
  /** whether power that was read somewhere is not the set's alone */
  readonly untold: (offsetHz: number, power: number) => boolean
  /** expanded uncertainty of a margin [dB] */
  readonly guardDb: number
}

/**
 * The least distance of the spectrum from a mask, in steps of a third of its bandwidth. Broken or kept by
 * more than the guard is told; a place that noise or a stranger fills can be kept, but never broken by the
 * set.
 * @returns null when no part of the mask lies inside the spectrum; pass null = cannot tell
 */
export function maskFigure(
  s: PowerSpectrum,
  ruleSet: string,
  parts: readonly MaskPart[],
  ownHz: number,
  referencePower: number,
  { untold, guardDb }: MaskJudging,
): MaskFigure | null {
  const margins = marginsOf(s, parts, ownHz, referencePower)
  const worst = (list: typeof margins) =>
    list.reduce<(typeof margins)[number] | null>(
      (a, b) => (a === null || b.marginDb < a.marginDb ? b : a),
      null,
    )
  const own = worst(margins.filter(m => !untold(m.offsetHz, m.power)))
  const all = worst(margins)
  if (!all) return null
  const broken = own !== null && own.marginDb < -guardDb
  const shown = broken ? own : all
  // What noise of the receiver may hide is not said to be kept.
  const kept = all.marginDb > guardDb ? true : null
  return {
    ruleSet,
    pass: broken ? false : kept,
    worstOffsetHz: shown.offsetHz,
    worstMarginDb: shown.marginDb,
  }
}

function marginsOf(s: PowerSpectrum, parts: readonly MaskPart[], ownHz: number, referencePower: number) {
  const out: { offsetHz: number; marginDb: number; power: number }[] = []
  for (const { fromHz, toHz, belowDb } of parts) {
    for (const side of [-1, 1]) {
      for (
        let offset = fromHz + MASK_RBW_HZ / 2;
        offset <= toHz - MASK_RBW_HZ / 2;
        offset += MASK_RBW_HZ / 3
      ) {
        const hz = ownHz + side * offset
        if (!holds(s, hz - MASK_RBW_HZ / 2, hz + MASK_RBW_HZ / 2)) break
        const power = bandPower(s, hz - MASK_RBW_HZ / 2, hz + MASK_RBW_HZ / 2)
        out.push({
          offsetHz: side * offset,
          power,
          marginDb: -belowDb - ratioToDb(power / Math.max(referencePower, 1e-30)),
        })
      }
    }
  }
  return out
}

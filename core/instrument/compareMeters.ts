import { powerRatioToDb } from '../quantity'
import { toTrueMean, type MeterKind, type Signal } from './meterKind'

/** A meter with what it shows of the same signal as the others. */
export interface MeterReading {
  readonly name: string
  readonly kind: MeterKind
  /** as it shows [W]; 0 = it shows nothing */
  readonly shownW: number
  /** standard uncertainty [W]; null = nobody knows: it cannot be weighed */
  readonly standardUncertaintyW: number | null
  /** what it shares with others: coupler, cable, load */
  readonly path: readonly string[]
}

export interface ComparedMeter {
  readonly meter: MeterReading
  /** true mean by this meter [W]; null = not comparable on this signal */
  readonly meanW: number | null
  readonly standardUncertaintyW: number | null
  /** against the weighed mean [dB], and in standard deviations of the difference */
  readonly offDb: number | null
  readonly offSigma: number | null
  /** what it has to be multiplied by to agree, near this level only (C34) */
  readonly factor: number | null
  /** names of the meters that it shares something with: together they are one opinion (F64) */
  readonly sharesWith: readonly string[]
}

export interface MeterComparison {
  readonly meters: readonly ComparedMeter[]
  /** independent opinions that were weighed */
  readonly opinions: number
  /** weighed mean [W] and its standard uncertainty; null = nothing can be weighed */
  readonly meanW: number | null
  readonly standardUncertaintyW: number | null
  /** largest over smallest comparable reading [dB] */
  readonly spreadDb: number | null
  /** false = they differ by more than their uncertainties allow (P18); null = fewer than two */
  readonly agree: boolean | null
}

/** Two readings further apart than this many standard deviations disagree. */
const DISAGREE_SIGMA = 2

/** A meter that shows nothing has no distance in dB. */
const ratioDb = (w: number, toW: number) => (w > 0 && toW > 0 ? powerRatioToDb(w / toW) : null)

interface Comparable {
  readonly meter: MeterReading
  readonly meanW: number
  readonly u: number
  readonly path: readonly string[]
}

/**
 * Several meters on one signal: converted to true mean where the signal allows, weighed by 1/u^2, correlated
 * ones once.
 *
 * Meters that share coupler, cable, generator or load err together: of such a group the best speaks, the
 * others add nothing.
 * @param readings in any order
 * Source: JCGM 100 (GUM) 5.1 (from memory); C31, F64, P18, P19.
 * @example two meters 3.82 +/- 0.05 and 4.10 +/- 0.20 W (standard) // => 3.836 +/- 0.049 W, 1.36 sigma apart
 */
export function compareMeters(readings: readonly MeterReading[], signal: Signal): MeterComparison {
  const usable = readings.flatMap((r): Comparable[] => {
    const factor = toTrueMean(r.kind, signal)
    return factor === null || r.standardUncertaintyW === null || !(r.standardUncertaintyW > 0)
      ? []
      : [{ meter: r, meanW: r.shownW * factor, u: r.standardUncertaintyW * factor, path: r.path }]
  })
  const opinions = groups(usable).map(group => group.reduce((best, c) => (c.u < best.u ? c : best)))
  const weight = opinions.reduce((sum, o) => sum + 1 / o.u ** 2, 0)
  const meanW = weight > 0 ? opinions.reduce((sum, o) => sum + o.meanW / o.u ** 2, 0) / weight : null
  const values = usable.map(c => c.meanW)
  return {
    opinions: opinions.length,
    meanW,
    standardUncertaintyW: weight > 0 ? 1 / Math.sqrt(weight) : null,
    spreadDb: values.length > 1 ? ratioDb(Math.max(...values), Math.min(...values)) : null,
    agree:
      opinions.length < 2
        ? null
        : opinions.every((a, i) =>
            opinions
              .slice(i + 1)
              .every(b => Math.abs(a.meanW - b.meanW) <= DISAGREE_SIGMA * Math.hypot(a.u, b.u)),
          ),
    meters: readings.map(r => compared(r, signal, meanW, readings, opinions, weight)),
  }
}

function compared(
  meter: MeterReading,
  signal: Signal,
  weighedW: number | null,
  all: readonly MeterReading[],
  opinions: readonly Comparable[],
  weight: number,
): ComparedMeter {
  const factor = toTrueMean(meter.kind, signal)
  const meanW = factor === null ? null : meter.shownW * factor
  const u =
    factor === null || meter.standardUncertaintyW === null ? null : meter.standardUncertaintyW * factor
  const sharesWith = all.filter(o => o !== meter && o.path.some(p => meter.path.includes(p))).map(o => o.name)
  if (meanW === null || weighedW === null)
    return { meter, meanW, standardUncertaintyW: u, offDb: null, offSigma: null, factor: null, sharesWith }
  const speaks = opinions.find(o => o.meter === meter)
  // Against the others, not against a mean that holds its own reading.
  const others = speaks ? weight - 1 / speaks.u ** 2 : weight
  const othersW =
    speaks && others > 0 ? (weighedW * weight - speaks.meanW / speaks.u ** 2) / others : weighedW
  const offSigma =
    u === null || !(others > 0) ? null : (meanW - othersW) / Math.hypot(u, 1 / Math.sqrt(others))
  return {
    meter,
    meanW,
    standardUncertaintyW: u,
    offDb: ratioDb(meanW, weighedW),
    offSigma,
    factor: meanW > 0 && weighedW > 0 ? weighedW / meanW : null,
    sharesWith,
  }
}

/** Meters joined by anything they share, directly or through a third. */
function groups(meters: readonly Comparable[]): Comparable[][] {
  const out: Comparable[][] = []
  for (const meter of meters) {
    const joined = out.filter(g => g.some(o => o.path.some(p => meter.path.includes(p))))
    for (const g of joined) out.splice(out.indexOf(g), 1)
    out.push([...joined.flat(), meter])
  }
  return out
}

/**
 * How far two meters at two levels differ: the same factor is calibration, a shortfall that grows at low
 * level a diode (C32, F23).
 */
export type TwoLevelVerdict = 'agree' | 'calibration' | 'diode' | 'other'

const SAME_FACTOR_DB = 0.3

/**
 * @param high, low the suspect's and the reference's power at two levels [W]; 0 = shows nothing
 * @example twoLevels({ suspectW: 100, referenceW: 100 }, { suspectW: 2.1, referenceW: 10 }) // => 'diode'
 */
export function twoLevels(
  high: { suspectW: number; referenceW: number },
  low: { suspectW: number; referenceW: number },
): TwoLevelVerdict {
  const [highDb, lowDb] = [ratioDb(high.suspectW, high.referenceW), ratioDb(low.suspectW, low.referenceW)]
  // A diode meter that shows nothing of a low power falls short there the most.
  if (highDb === null || lowDb === null) return highDb !== null && low.referenceW > 0 ? 'diode' : 'other'
  if (Math.abs(highDb) <= SAME_FACTOR_DB && Math.abs(lowDb) <= SAME_FACTOR_DB) return 'agree'
  if (Math.abs(highDb - lowDb) <= SAME_FACTOR_DB) return 'calibration'
  return lowDb < highDb ? 'diode' : 'other'
}

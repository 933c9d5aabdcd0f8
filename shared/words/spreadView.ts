import { t } from '#shared/i18n'
import { quantityInfo, showPlain, type Quantity } from '#core/quantity'
import type { ModelSheet } from '#core/sheet'
import type { SpreadCell } from '../search'

/** A line of the picture: places on a scale on which the middle half of the model spans -1 to 1. */
export interface SpreadLine {
  readonly title: string
  readonly p10: number
  readonly p25: number
  readonly p75: number
  readonly p90: number
  /** clipped to the picture; null = this set has no reading here */
  readonly own: number | null
  readonly beyond: boolean
  readonly words: string
}

/** Sets of a model that a spread needs before it says anything. */
export const MIN_SETS = 5
/** The picture ends here; a set further out is drawn at its edge. */
const EDGE = 6

/**
 * As found, this set against the others of its model; lines without enough sets or without any spread are
 * left out.
 */
export function spreadLines(sheet: ModelSheet, cells: readonly SpreadCell[]): SpreadLine[] {
  return cells
    .filter(c => c.count >= MIN_SETS && c.p75 > c.p25)
    .map(c => {
      const quantity = c.quantity as Quantity
      const point = sheet.matrix.find(p => p.id === c.pointId)
      const half = (c.p75 - c.p25) / 2
      const scaled = (value: number) => (value - c.p50) / half
      const own = c.own === null ? null : scaled(c.own)
      const range = t('verdict.halfOfSetsBetweenAndMedian', {
        count: c.count,
        p25: showPlain(c.p25, quantity),
        p75: showPlain(c.p75, quantity),
        p50: showPlain(c.p50, quantity),
      })
      return {
        title: `${point?.title ?? c.pointId}, ${quantityInfo(quantity).symbol}`,
        p10: clip(scaled(c.p10)),
        p25: clip(scaled(c.p25)),
        p75: clip(scaled(c.p75)),
        p90: clip(scaled(c.p90)),
        own: own === null ? null : clip(own),
        beyond: own !== null && (c.own! < c.p10 || c.own! > c.p90),
        words: c.own === null ? range : t('verdict.thisSet', { own: showPlain(c.own, quantity), range }),
      }
    })
}

const clip = (x: number) => Math.max(-EDGE, Math.min(EDGE, x))

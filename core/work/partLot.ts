import type { PartTested } from '../run'
import { partVerdict } from './partTest'

/** What the tests of other parts of one type from one seller, and of one lot, showed. */
export interface LotHistory {
  readonly tested: number
  readonly rejected: number
  readonly doubtful: number
}

type OfLot = Pick<PartTested, 'part' | 'boughtAt' | 'lot'>

/** The type; what follows a comma is where this one lies: "2SC1969, drawer 3". */
const typeOf = (part: string) => plain(part.split(',')[0])
const plain = (text: string | undefined) => (text ?? '').trim().toLowerCase().replace(/\s+/g, ' ')

/**
 * Earlier tests of the same type from the same seller; where a lot was noted for both, of the same lot.
 * @returns null = seller not noted, or nothing of his was tested
 */
export function lotHistory(earlier: readonly PartTested[], of: OfLot): LotHistory | null {
  if (!plain(of.boughtAt) || !typeOf(of.part)) return null
  const same = earlier.filter(
    t =>
      typeOf(t.part) === typeOf(of.part) &&
      plain(t.boughtAt) === plain(of.boughtAt) &&
      (!plain(t.lot) || !plain(of.lot) || plain(t.lot) === plain(of.lot)),
  )
  if (same.length === 0) return null
  const count = (verdict: string) => same.filter(t => partVerdict(t) === verdict).length
  return { tested: same.length, rejected: count('rejected'), doubtful: count('doubtful') }
}

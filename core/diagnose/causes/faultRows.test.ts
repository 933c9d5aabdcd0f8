import { describe, expect, it } from 'vitest'
import type { Case } from '../../../test/fixtures/faults/faultRow'
import { OTHER_ROWS } from '../../../test/fixtures/faults/faultRowsOfOthers'
import { POWER_ROWS } from '../../../test/fixtures/faults/faultRowsOfPower'
import { randomFrom } from '../../../test/fixtures/faults/random'
import { readMatrix } from '../../../test/fixtures/faults/readMatrix'
import { healthy } from '../../../test/fixtures/faults/truth'
import { modelSheet } from '../../sheet'
import { diagnose } from './diagnose'
import type { Domain } from './observable'

/** A whole matrix without luck: no error, no row missing. */
const still = () => ({ ...randomFrom(1), within: (a: number, b: number) => (a + b) / 2, chance: () => false })

function leader({ kind, sheet, truth, tests = {} }: Case, domain: Domain): string | null {
  const model = modelSheet(sheet)
  const made = Object.entries(tests).map(([observableId, outcome]) => ({ observableId, outcome }))
  return (
    diagnose(
      model,
      readMatrix(model, { ...healthy(kind), ...truth }, still()),
      made,
      () => true,
    ).domains.find(d => d.domain === domain)!.ranked[0]?.cause?.id ?? null
  )
}

describe.each([...POWER_ROWS, ...OTHER_ROWS])('$row', ({ domain, cause, has, hasNot }) => {
  it(`names ${cause} first where it is`, () => expect(leader(has, domain)).toBe(cause))
  it(`does not name ${cause} first where it is not`, () => expect(leader(hasNot, domain)).not.toBe(cause))
})

import { describe, expect, it } from 'vitest'
import { SHEETS } from '#core/sheet'
import { inspectionItems } from '#core/work'
import { BAD_LOOKS } from './badLooks'

describe('drawings of defects', () => {
  it('stand at items that some set is inspected for', () => {
    const ids = SHEETS.flatMap(s => inspectionItems(s).map(i => i.id))
    for (const id of Object.keys(BAD_LOOKS)) expect(ids).toContain(id)
  })
})
